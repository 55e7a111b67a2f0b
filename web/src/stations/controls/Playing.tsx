import { compile, doingOf, gestureText, modeById, modeName, secondsInWords, timeOutOf } from '@nubrin/core/controls'
import { powered } from '@nubrin/core/machine'
import { type Saber, tracksOf } from '@nubrin/core/record'
import { MAKER } from '@nubrin/core/units'
import { useEffect, useMemo, useState } from 'react'
import { lazyView } from '../../base/lazy'
import { urlOf } from '../../data'
import { Empty } from '../../kit'
import { Hands, Practice, Slowed, useHandKeys, usePlay } from '../../play'
import { useBench, useLight, useSaber } from '../../store/commission'

const mediaUrl = (hash: string) => urlOf('stored', { params: { hash } })

/** What may be taken out, and whether it sounds, comes a moment later. */
const Parts = lazyView(() => import('./Parts').then((m) => m.Parts))
const SoundSwitch = lazyView(() => import('./Parts').then((m) => m.SoundSwitch))

/** The saber in hand: pressed, moved and lit by its own map; what it is in, what is possible from here, and what came of it. */
export function Playing({ onMap }: { onMap: () => void }) {
  const saber = useSaber()
  const setPlaying = useBench((b) => b.setPlaying)
  const { take, lay } = usePlay.getState()
  useEffect(() => take(MAKER, saber, mediaUrl), [saber, take])
  useEffect(() => {
    setPlaying(true)
    return () => {
      setPlaying(false)
      lay()
    }
  }, [setPlaying, lay])
  useHandKeys(saber)
  const [practising, setPractising] = useState(false)
  if (!saber.controls.length)
    return (
      <Empty
        title="Nothing to press yet"
        action={
          <button type="button" className="btn btn-main" onClick={onMap}>
            Begin the map
          </button>
        }
      >
        Say what pressing and holding does in each mode, or start from a map you have; then try it here.
      </Empty>
    )
  return (
    <div className="grid grid-cols-[minmax(0,1.05fr)_minmax(0,1fr)_minmax(0,0.8fr)] gap-6">
      <div className="min-w-0">
        <Now saber={saber} />
        <Slowed saber={saber} className="text-quiet mt-1 text-[0.92rem]" />
        <div className="mt-3">
          <Hands saber={saber} />
        </div>
        <div className="mt-3 flex flex-wrap items-center gap-3">
          <SoundSwitch />
          <button type="button" className="btn" aria-pressed={practising} onClick={() => setPractising(!practising)}>
            {practising ? 'leave the practice' : 'practise'}
          </button>
        </div>
      </div>
      {practising ? <Practice saber={saber} /> : <Possible saber={saber} />}
      <div>
        <Came />
        <Parts saber={saber} />
      </div>
    </div>
  )
}

/** What it is in now, in large letters: readable at arm's length. */
function Now({ saber }: { saber: Saber }) {
  const state = usePlay((p) => p.state)
  const machine = usePlay((p) => p.machine)
  const assembly = usePlay((p) => p.assembly)
  if (!state || !machine || !assembly) return null
  const mode = modeById(saber, state.mode)
  const preset = saber.presets[mode?.chooses === 'preset' ? state.choice : state.preset]
  const out = timeOutOf(saber, state.mode)
  const dead = !powered(assembly, machine)
  const facts = [
    preset ? `${preset.name}, preset ${saber.presets.indexOf(preset) + 1} of ${saber.presets.length}` : '',
    mode?.chooses && mode.chooses !== 'preset' ? `${mode.chooses} is at ${state.choice}` : `volume ${state.volume}`,
    state.track === undefined ? '' : `plays ${(preset && tracksOf(saber, preset)[state.track]?.name) ?? 'a track'}`,
    out ? `${modeName(saber, out.to)} after ${secondsInWords(MAKER, out.s)}` : '',
  ].filter(Boolean)
  return (
    <section aria-label="What it is in" aria-live="polite">
      <p className="text-[1.7rem] leading-tight font-semibold">{dead ? 'dead' : (mode?.name ?? 'no mode')}</p>
      <p className="text-quiet">{dead ? 'No power: nothing responds.' : facts.join(' · ')}</p>
    </section>
  )
}

/** Everything that can be done from here, as the board has it in this mode, pose and preset. */
function Possible({ saber }: { saber: Saber }) {
  const mode = usePlay((p) => p.state?.mode ?? '')
  const pose = usePlay((p) => p.state?.pose ?? 'level')
  const preset = usePlay((p) => (p.state ? saber.presets[p.state.preset]?.id : undefined))
  const board = useMemo(() => compile(saber), [saber])
  const light = useLight()
  const context = board.context(mode, pose, preset)
  const other = board.rowsOf(mode).filter(({ row }) => !context.patterns.some((p) => p.row.id === row.id))
  return (
    <section aria-label="Possible from here">
      <h2 className="h2">From here</h2>
      <ul>
        {context.patterns.map((p) => (
          <li key={p.row.id}>
            <button
              type="button"
              className="border-rule hover:bg-card flex w-full items-baseline gap-3 border-b px-1 py-1.5 text-left"
              title="show it"
              onClick={() => {
                light(`input:${p.row.input}`)
                usePlay.getState().show(p.row)
              }}
            >
              <span className="min-w-0 flex-1">
                <span className="font-semibold">{doingOf(MAKER, p.row)}</span>
                <span className="text-quiet block">{gestureText(MAKER, saber, p.row)}</span>
              </span>
              <span aria-hidden className="text-brass shrink-0">
                ▸
              </span>
            </button>
          </li>
        ))}
        {context.patterns.length ? null : <li className="text-quiet">Nothing is recorded for this mode.</li>}
      </ul>
      {other.length ? (
        <p className="text-quiet mt-2">
          In another pose or preset: {other.map(({ row }) => doingOf(MAKER, row)).join(', ')}.
        </p>
      ) : null}
    </section>
  )
}

const TONE = {
  did: 'font-semibold',
  waits: 'text-brass',
  beep: 'text-brass',
  went: '',
  nothing: 'text-quiet',
  cue: 'text-quiet',
  dead: 'text-stop font-semibold',
} as const

/** What came of a hand, newest first. */
function Came() {
  const lines = usePlay((p) => p.lines)
  return (
    <section aria-label="What happened" aria-live="polite">
      <h2 className="h2">What happened</h2>
      <ol className="h-[190px] overflow-y-auto">
        {lines.length ? null : <li className="text-quiet">Press a button on the drawing, or its key.</li>}
        {lines.map((l) => (
          <li key={l.n} className={`border-rule flex gap-2 border-b py-1 ${TONE[l.what]}`}>
            <span className="text-quiet w-14 shrink-0 font-normal">{l.t.toFixed(2)} s</span>
            <span className="min-w-0">{l.text}</span>
          </li>
        ))}
      </ol>
    </section>
  )
}
