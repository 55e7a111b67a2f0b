import { askText, compile, hintText, type Lesson, lessonsOf, missText, rowOfMap, triedAt } from '@nubrin/core/controls'
import type { Saber } from '@nubrin/core/record'
import { say } from '@nubrin/core/words'
import { useEffect, useMemo, useState } from 'react'
import { useReader } from '../base/reader'
import { usePlay } from './usePlay'

/** The saber asks for one control after another, in the order in which they are learnt, watches, and says what was different. */
export function Practice({ saber }: { saber: Saber }) {
  const reader = useReader()
  const board = useMemo(() => compile(saber), [saber])
  const preset = usePlay((p) => (p.state ? saber.presets[p.state.preset]?.id : undefined))
  const lessons = useMemo(() => lessonsOf(board, preset), [board, preset])
  const [at, setAt] = useState(0)
  const [done, setDone] = useState<ReadonlySet<string>>(new Set())
  const [said, setSaid] = useState<{ right: boolean; text: string }>()
  const [hint, setHint] = useState(false)
  const last = usePlay((p) => p.last)
  const lesson = lessons[Math.min(at, lessons.length - 1)]
  const row = lesson && rowOfMap(saber, lesson.row)
  useEffect(() => {
    if (row) usePlay.getState().bringTo(row.mode)
  }, [row])
  useEffect(() => {
    if (!row || !last.n) return
    for (const h of last.happened) {
      const tried = triedAt(board, row, h)
      if (!tried) continue
      setSaid(
        tried.ok
          ? { right: true, text: say(reader, 'practice.right') }
          : { right: false, text: missText(reader, saber, tried.miss) },
      )
      if (tried.ok) setDone((d) => new Set([...d, row.id]))
    }
    // Only what comes of a hand from now on counts.
  }, [last])
  if (!row) return <p className="text-quiet">{say(reader, 'page.nothingToLearn')}</p>
  const go = (n: number) => {
    setAt(n)
    setSaid(undefined)
    setHint(false)
  }
  return (
    <section aria-label="Practice">
      <h2 className="h2">
        {say(reader, 'page.learnt', { n: Math.min(at, lessons.length - 1) + 1, of: lessons.length })}
      </h2>
      <p className="mt-1 text-[1.25rem] leading-snug font-semibold">{askText(reader, saber, row)}</p>
      <p
        role="status"
        className={`mt-2 min-h-12 text-[1.1rem] ${said ? (said.right ? 'text-fine' : 'text-stop') : ''}`}
      >
        {said ? `${said.right ? '✓' : '✕'} ${said.text}` : ''}
      </p>
      {hint ? <p className="mb-2">{hintText(reader, saber, row)}</p> : null}
      <div className="flex flex-wrap gap-2">
        <button type="button" className="btn" onClick={() => usePlay.getState().bringTo(row.mode)}>
          {say(reader, 'page.again')}
        </button>
        <button type="button" className="btn" onClick={() => setHint(true)}>
          {say(reader, 'page.how')}
        </button>
        <button type="button" className="btn" onClick={() => usePlay.getState().show(row)}>
          {say(reader, 'page.showMe')}
        </button>
        <button
          type="button"
          className={`btn ${said?.right ? 'btn-main' : ''}`}
          disabled={at >= lessons.length - 1}
          onClick={() => go(at + 1)}
        >
          {say(reader, 'page.nextOne')}
        </button>
      </div>
      <Asked lessons={lessons} at={at} done={done} onGo={go} />
    </section>
  )
}

/** All that is asked, in the order in which it is learnt; what was done right is ticked. */
const Asked = ({
  lessons,
  at,
  done,
  onGo,
}: {
  lessons: readonly Lesson[]
  at: number
  done: ReadonlySet<string>
  onGo: (i: number) => void
}) => (
  <ol className="mt-3 flex flex-wrap gap-1" aria-label="What is asked">
    {lessons.map((l, i) => (
      <li key={l.row}>
        <button
          type="button"
          aria-current={i === at ? 'step' : undefined}
          aria-label={`${i + 1}${done.has(l.row) ? ', done' : ''}`}
          className={`border-ink h-7 w-7 border ${i === at ? 'bg-ink text-paper' : done.has(l.row) ? 'bg-fine text-card' : 'bg-card'}`}
          onClick={() => onGo(i)}
        >
          {done.has(l.row) ? '✓' : i + 1}
        </button>
      </li>
    ))}
  </ol>
)
