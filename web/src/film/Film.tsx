import { drawSection } from '@nubrin/core/drawing'
import { nameOf } from '@nubrin/core/record'
import { rehearse, troubleText } from '@nubrin/core/script'
import { useCallback, useEffect, useMemo, useRef, useState } from 'react'
import { useNavigate, useParams } from 'react-router'
import { freshId } from '../data'
import { SceneView } from '../drawing/SceneView'
import { useWidth } from '../drawing/useWidth'
import { useBench } from '../store/commission'
import { useSession } from '../store/session'

/** One beat at a time, readable at arm's length in a dim room, driven by a foot pedal. The times pressed become chapters. */
export default function Film() {
  const { id, saber: saberId } = useParams()
  const open = useBench((b) => b.open)
  const record = useBench((b) => (b.id === id ? b.record : undefined))
  const edit = useBench((b) => b.edit)
  const me = useSession((s) => s.person?.name)
  const navigate = useNavigate()
  const [at, setAt] = useState(0)
  const [started, setStarted] = useState<number>()
  const [now, setNow] = useState(0)
  const marks = useRef<{ beat: string; atMs: number }[]>([])
  const [ref, width] = useWidth<HTMLDivElement>()
  useEffect(() => {
    void open(id!)
  }, [id, open])
  const saber = record?.sabers.find((s) => s.id === saberId) ?? record?.sabers[0]
  const beat = saber?.beats[at]
  const scene = useMemo(
    () =>
      saber
        ? drawSection(saber, {
            width: Math.max(600, width),
            height: 210,
            ...(saber.presets[0] ? { blade: saber.presets[0].colour } : {}),
          })
        : undefined,
    [saber, width],
  )
  const trouble = useMemo(() => (saber ? rehearse(saber).troubles : []), [saber])

  const go = useCallback(
    (step: 1 | -1) => {
      if (!saber) return
      const next = Math.min(Math.max(at + step, 0), saber.beats.length - 1)
      let begin = started
      if (begin === undefined) {
        begin = Date.now()
        setStarted(begin)
        marks.current = [{ beat: saber.beats[at]!.id, atMs: 0 }]
        if (step === 1 && at === 0) return
      }
      if (next === at) return
      setAt(next)
      marks.current.push({ beat: saber.beats[next]!.id, atMs: Date.now() - begin })
    },
    [at, saber, started],
  )
  const stop = useCallback(() => {
    const index = record?.sabers.findIndex((s) => s.id === saber?.id) ?? -1
    if (marks.current.length > 1 && started !== undefined && index >= 0)
      edit(
        'keep the take',
        (d) =>
          void d.sabers[index]!.takes.push({
            id: freshId(),
            at: new Date(started).toISOString(),
            ...(me ? { by: me } : {}),
            marks: marks.current,
          }),
      )
    navigate(`/commission/${id}/walkthrough`)
  }, [edit, id, me, navigate, record, saber?.id, started])

  useEffect(() => {
    const key = (e: KeyboardEvent) => {
      if (['PageDown', ' ', 'ArrowRight', 'ArrowDown'].includes(e.key)) {
        e.preventDefault()
        go(1)
      } else if (['PageUp', 'ArrowLeft', 'ArrowUp'].includes(e.key)) {
        e.preventDefault()
        go(-1)
      } else if (e.key === 'Escape') stop()
    }
    window.addEventListener('keydown', key)
    return () => window.removeEventListener('keydown', key)
  }, [go, stop])
  useEffect(() => {
    if (started === undefined) return
    const t = setInterval(() => setNow(Date.now() - started), 250)
    return () => clearInterval(t)
  }, [started])

  if (!saber || !beat || !scene)
    return (
      <p className="p-6">{record ? 'There is no script yet: compose it under Walkthrough.' : 'Fetching the script…'}</p>
    )
  const clock = `${Math.floor(now / 60000)}:${String(Math.floor(now / 1000) % 60).padStart(2, '0')}`
  const bad = trouble.find((t) => t.beat.id === beat.id)
  const place = nameOf(saber, beat.show)
  const size = beat.say.length > 260 ? '2.1rem' : beat.say.length > 140 ? '2.7rem' : '3.4rem'
  return (
    <main className="flex h-screen flex-col bg-[#171d1d] text-[#efe6d2]">
      <div className="flex items-center gap-6 px-8 py-3 text-[1.3rem]">
        <h1 className="font-semibold">{saber.name}</h1>
        <span>
          {at + 1} of {saber.beats.length}
        </span>
        <span className="ml-auto text-[2rem] font-semibold" role="timer">
          {clock}
        </span>
        <button type="button" className="border border-[#8d8570] px-3 py-1 text-[1.05rem]" onClick={stop}>
          {started === undefined ? 'leave' : 'end and keep the take'} (Esc)
        </button>
      </div>
      <div ref={ref} className="mx-8 bg-[#d9cfb8] opacity-90">
        <SceneView scene={scene} title="Where it is on the saber" lit={beat.show} className="block" />
      </div>
      <div className="flex min-h-0 flex-1 flex-col justify-center overflow-y-auto px-8 pt-2 pb-6" aria-live="polite">
        {place ? <p className="text-[1.5rem] font-semibold text-[#e3bd78]">show: {place}</p> : null}
        <p data-testid="say" className="leading-[1.18] font-semibold" style={{ fontSize: size }}>
          {beat.say}
        </p>
        {beat.doText ? <p className="mt-3 text-[1.6rem] text-[#e3bd78]">do: {beat.doText}</p> : null}
        {beat.expect ? <p className="mt-2 text-[1.5rem] text-[#b9cdbf]">expect: {beat.expect}</p> : null}
        {bad ? (
          <p className="mt-3 border-l-4 border-[#e0786a] pl-3 text-[1.4rem] text-[#ffb4a8]">{troubleText(bad)}</p>
        ) : null}
      </div>
      <div className="flex items-center gap-6 border-t border-[#39433f] px-8 py-2 text-[1.05rem] text-[#a59d88]">
        <span>
          {started === undefined
            ? 'Page Down, space or the pedal starts the clock'
            : 'Page Down or space: next · Page Up: back'}
        </span>
        <span className="ml-auto truncate">
          {saber.beats[at + 1] ? `then: ${saber.beats[at + 1]!.say.slice(0, 70)}` : 'the last beat'}
        </span>
      </div>
    </main>
  )
}
