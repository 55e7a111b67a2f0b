import { beatMark, type Saber } from '@nubrin/core/record'
import { type FilmAct, type Filming, filmed, filmOf, firstOpen, takeOf } from '@nubrin/core/script'
import { useCallback, useEffect, useRef, useState } from 'react'
import { freshId } from '../data'
import { useBench } from '../store/commission'
import { useSession } from '../store/session'

/** What a pedal, a remote or a keyboard sends. */
const KEYS: Readonly<Record<string, FilmAct['do'] | 'open'>> = {
  ...{ PageDown: 'next', ' ': 'next', ArrowRight: 'next', ArrowDown: 'next', Enter: 'next' },
  ...{ PageUp: 'back', ArrowLeft: 'back', ArrowUp: 'back' },
  ...{ s: 'slip', r: 'retake', n: 'saidNew', o: 'open' },
}
/** A take that is running is kept in this browser, so that a page that is loaded again goes on. */
const keptAs = (saber: string) => `nubrin-film-${saber}`
interface RunningTake {
  film: Filming
  started: number
}
function kept(saber: Saber): RunningTake | undefined {
  try {
    const k = JSON.parse(localStorage.getItem(keptAs(saber.id)) ?? 'null') as RunningTake | null
    const fits = k && saber.beats[k.film.at] && k.film.marks.every((m) => saber.beats.some((b) => b.id === m.beat))
    return fits ? k : undefined
  } catch {
    return undefined
  }
}

export interface FilmingNow {
  film: Filming
  ms: number
  act: (what: FilmAct['do'] | 'open') => void
  jump: (to: number) => void
  /** Ends it; gives back the take that was kept, if anything was told. */
  end: () => string | undefined
}

/** The beat that is told now, the clock, and what pedal, keys and screen do; the times become a take when it ends. */
export function useFilming(saber: Saber): FilmingNow {
  const edit = useBench((b) => b.edit)
  const me = useSession((s) => s.person?.name)
  const [goesOn] = useState(() => kept(saber))
  const [film, setFilm] = useState<Filming>(() => goesOn?.film ?? filmOf(saber.beats))
  const started = useRef(goesOn?.started)
  const [ms, setMs] = useState(0)
  const now = useRef(film)
  now.current = film
  const beats = useRef(saber.beats)
  beats.current = saber.beats
  const go = useCallback(
    (act: FilmAct) => {
      const next = filmed(beats.current, now.current, act, started.current ? Date.now() - started.current : 0)
      if (next === now.current) return
      if (next.running && !now.current.running) started.current = Date.now()
      now.current = next
      setFilm(next)
      if (next.running) localStorage.setItem(keptAs(saber.id), JSON.stringify({ film: next, started: started.current }))
    },
    [saber.id],
  )
  const jump = useCallback((to: number) => go({ do: 'jump', to }), [go])
  const act = useCallback(
    (what: FilmAct['do'] | 'open') => {
      if (what !== 'open') return go({ do: what } as FilmAct)
      const to = firstOpen(beats.current, now.current)
      if (to !== undefined) jump(to)
    },
    [go, jump],
  )
  const end = useCallback(() => {
    const begun = started.current
    const take =
      begun === undefined
        ? undefined
        : takeOf(now.current, {
            ...{ id: freshId(), at: new Date(begun).toISOString(), endMs: Date.now() - begun, slipId: freshId },
            ...(me ? { by: me } : {}),
            was: (id) => {
              const beat = saber.beats.find((b) => b.id === id)
              return beat && beatMark(saber, beat)
            },
          })
    localStorage.removeItem(keptAs(saber.id))
    if (take) edit('keep the take', (d) => void d.sabers.find((s) => s.id === saber.id)?.takes.push(take))
    return take?.id
  }, [edit, me, saber])
  useEffect(() => {
    const key = (e: KeyboardEvent) => {
      const what = KEYS[e.key.length === 1 ? e.key.toLowerCase() : e.key]
      if (!what || e.ctrlKey || e.metaKey || e.altKey) return
      // A key that is held sends itself again and again; a beat is told once.
      e.preventDefault()
      if (!e.repeat) act(what)
    }
    window.addEventListener('keydown', key)
    return () => window.removeEventListener('keydown', key)
  }, [act])
  useEffect(() => {
    const t = setInterval(() => started.current && setMs(Date.now() - started.current), 200)
    return () => clearInterval(t)
  }, [])
  return { film, ms, act, jump, end }
}

/** Keeps the screen awake while somebody films, where the browser can; asked again when the page comes back to the front. */
export function useAwake() {
  useEffect(() => {
    let lock: { release: () => Promise<void> } | undefined
    let here = true
    const ask = () => {
      if (document.visibilityState !== 'visible') return
      void navigator.wakeLock?.request('screen').then(
        (l) => {
          if (here) lock = l
          else void l.release()
        },
        () => undefined,
      )
    }
    ask()
    document.addEventListener('visibilitychange', ask)
    return () => {
      here = false
      document.removeEventListener('visibilitychange', ask)
      void lock?.release()
    }
  }, [])
}
