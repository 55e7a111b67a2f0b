import type { ReplyBody, ReplyFile } from '@nubrin/core/record'
import { useCallback, useEffect, useRef, useState } from 'react'
import { freshId, todayIso } from '../data/local'

/** Something that the client has said back, and whether the shop has it. */
export interface Said {
  body: ReplyBody
  on: string
  sent: boolean
}
/** How what is said reaches the shop: by its server, or as a small file that the client sends himself. */
export type Way = { send: (body: ReplyBody) => Promise<void> } | { file: { of: string; number: number } }

const read = (keep: string): Said[] => {
  try {
    return JSON.parse(localStorage.getItem(keep) ?? '[]') as Said[]
  } catch {
    return []
  }
}

/**
 * What came back from the client, kept in this browser until the shop has it: with a server it is sent at once, and again when the
 * page is opened or the line is back; each has an id of its own, so that what was sent and not acknowledged is taken once.
 */
export function useReplies(keep: string, way: Way) {
  const [said, setSaid] = useState(() => read(keep))
  const now = useRef(said)
  const set = useCallback(
    (next: Said[]) => {
      now.current = next
      localStorage.setItem(keep, JSON.stringify(next))
      setSaid(next)
    },
    [keep],
  )
  const [refused, setRefused] = useState('')
  const flush = useCallback(async () => {
    if (!('send' in way)) return
    for (const x of now.current.filter((y) => !y.sent))
      try {
        await way.send(x.body)
        setRefused('')
        set(now.current.map((y) => (y.body.id === x.body.id ? { ...y, sent: true } : y)))
      } catch (e) {
        setRefused((e as Error).message)
      }
  }, [way, set])
  useEffect(() => {
    void flush()
    const again = () => void flush()
    window.addEventListener('online', again)
    return () => window.removeEventListener('online', again)
  }, [flush])
  const say = (what: { asks: string; by?: string } | { read: string }) => {
    set([...now.current, { body: { id: `r-${freshId()}`, ...what }, on: todayIso(), sent: false }])
    void flush()
  }
  /** All of it as the file that the shop takes in. */
  const asFile = (): string | undefined => {
    if (!('file' in way) || !now.current.length) return undefined
    const says = now.current.map((x) => x.body)
    const reply: ReplyFile = { format: 'nubrin-reply', version: 1, ...way.file, on: todayIso(), says }
    return `${JSON.stringify(reply, null, 2)}\n`
  }
  const handed = () => set(now.current.map((x) => ({ ...x, sent: true })))
  return { said, say, asFile, handed, refused }
}
export type Replies = ReturnType<typeof useReplies>
