import { drawSection } from '@nubrin/core/drawing'
import { known } from '@nubrin/core/facts'
import { rehearse } from '@nubrin/core/script'
import { useCallback, useEffect, useMemo } from 'react'
import { useNavigate, useParams } from 'react-router'
import { SceneView } from '../drawing/SceneView'
import { useWidth } from '../drawing/useWidth'
import { useBench } from '../store/commission'
import { BeatWords } from './BeatWords'
import { useFilming } from './useFilming'

/** One beat at a time, readable at arm's length in a dim room, driven by a foot pedal. The times pressed become chapters. */
export default function Film() {
  const { id, saber: saberId } = useParams()
  const open = useBench((b) => b.open)
  const record = useBench((b) => (b.id === id ? b.record : undefined))
  const navigate = useNavigate()
  const [ref, width] = useWidth<HTMLDivElement>()
  useEffect(() => {
    void open(id!)
  }, [id, open])
  const saber = record?.sabers.find((s) => s.id === saberId) ?? record?.sabers[0]
  const leave = useCallback(() => navigate(`/commission/${id}/walkthrough`), [id, navigate])
  const filming = useFilming(saber, leave)
  const { at } = filming
  const beat = saber?.beats[at]
  const scene = useMemo(() => {
    const blade = known(saber?.presets[0]?.colour)
    return saber && drawSection(saber, { width: Math.max(600, width), height: 210, ...(blade ? { blade } : {}) })
  }, [saber, width])
  const trouble = useMemo(() => (saber ? rehearse(saber).troubles : []), [saber])
  if (!saber || !beat || !scene)
    return (
      <p className="p-6">{record ? 'There is no script yet: compose it under Walkthrough.' : 'Fetching the script…'}</p>
    )
  const clock = `${Math.floor(filming.ms / 60000)}:${String(Math.floor(filming.ms / 1000) % 60).padStart(2, '0')}`
  const bad = trouble.find((t) => t.beat.id === beat.id)
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
        <button type="button" className="border border-[#8d8570] px-3 py-1 text-[1.05rem]" onClick={filming.stop}>
          {!filming.running ? 'leave' : 'end and keep the take'} (Esc)
        </button>
      </div>
      <div ref={ref} className="mx-8 bg-[#d9cfb8] opacity-90">
        <SceneView scene={scene} title="Where it is on the saber" lit={beat.show} className="block" />
      </div>
      <div className="flex min-h-0 flex-1 flex-col justify-center overflow-y-auto px-8 pt-2 pb-6" aria-live="polite">
        <BeatWords saber={saber} beat={beat} trouble={bad} />
      </div>
      <div className="flex items-center gap-6 border-t border-[#39433f] px-8 py-2 text-[1.05rem] text-[#a59d88]">
        <span>
          {!filming.running
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
