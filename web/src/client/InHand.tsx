import { EVERYDAY, gestureText, isOf, modeName, rowOfMap } from '@nubrin/core/controls'
import { drawSection } from '@nubrin/core/drawing'
import { type ControlRow, colourOf, hueText, nounOf, type Saber } from '@nubrin/core/record'
import { seenText } from '@nubrin/core/script'
import type { Reader } from '@nubrin/core/units'
import { large, nounWords, say, whether } from '@nubrin/core/words'
import { useEffect, useMemo } from 'react'
import { useReader } from '../base/reader'
import { SceneView } from '../drawing/SceneView'
import { BladeLight } from '../play/BladeLight'
import { PlayLayer } from '../play/PlayLayer'
import { Slowed } from '../play/Slowed'
import { usePlay } from '../play/usePlay'
import { HoldButton } from './HoldButton'

/** How tall it stands and how much room it has to each side, px. */
const [TALL, WIDE] = [580, 150]
/** How a key looks on the dark. */
const KEY = {
  down: 'w-full border-2 px-3 py-2.5 text-[1.12rem] border-[#e3bd78] bg-[#e3bd78] text-[#141a1a]',
  up: 'w-full border-2 px-3 py-2.5 text-[1.12rem] border-[#e3bd78] text-[#e3bd78]',
} as const
const MOTIONS = ['swing', 'strike', 'twist'] as const

/** The client’s own saber, standing on its pommel in the dark: pressed, held, turned and lit as the real one is. */
export function InHand({
  saber,
  urlOf,
  onOpen,
  onPractise,
}: {
  saber: Saber
  urlOf: (hash: string) => string
  onOpen: () => void
  onPractise: () => void
}) {
  const reader = useReader()
  const { take, lay, setSound } = usePlay.getState()
  useEffect(() => take(reader, saber, urlOf), [reader, saber, take, urlOf])
  useEffect(() => lay, [lay])
  const sound = usePlay((p) => p.sound)
  return (
    <section
      aria-label={say(reader, 'page.inHand')}
      className="flex items-stretch justify-center gap-x-4 bg-[#141a1a] px-3 pt-2 pb-6 text-[#efe6d2] sm:gap-x-12"
    >
      <Standing saber={saber} />
      <div className="flex max-w-md min-w-0 flex-1 flex-col justify-end gap-3">
        <HowItIs saber={saber} />
        <Slowed saber={saber} className="text-[0.92rem] text-[#a59d88]" />
        <Keys saber={saber} />
        <Presets saber={saber} />
        <div className="flex flex-wrap gap-2">
          <button type="button" className="flex-1 bg-[#efe6d2] px-4 py-3 font-semibold text-[#141a1a]" onClick={onOpen}>
            {say(reader, 'page.openWith')}
          </button>
          <button type="button" className="flex-1 border border-[#efe6d2] px-4 py-3 font-semibold" onClick={onPractise}>
            {say(reader, 'page.practise')}
          </button>
        </div>
        <button type="button" className="self-start text-[#a59d88] underline" onClick={() => setSound(!sound)}>
          {say(reader, 'page.sound', { on: whether(sound) })}
        </button>
      </div>
    </section>
  )
}

/** The drawing, turned up, with its light and what a hand can touch on it. */
function Standing({ saber }: { saber: Saber }) {
  const reader = useReader()
  const scene = useMemo(
    () => drawSection(reader, saber, { width: TALL, height: WIDE, bladeShare: 0.46, quiet: true }),
    [reader, saber],
  )
  return (
    <div className="relative shrink-0 touch-none select-none" style={{ width: WIDE, height: TALL }}>
      <div
        className="absolute top-0 left-0"
        style={{
          ...{ width: TALL, height: WIDE, transformOrigin: 'top left' },
          transform: `rotate(-90deg) translateX(${-TALL}px)`,
        }}
      >
        <SceneView night scene={scene} title={say(reader, 'page.drawing', { saber: saber.name })} className="block">
          <PlayLayer saber={saber} scene={scene} upright />
        </SceneView>
        <BladeLight saber={saber} scene={scene} />
      </div>
    </div>
  )
}

/** What it is doing, what one would do next, and what came of the last hand. */
function HowItIs({ saber }: { saber: Saber }) {
  const reader = useReader()
  const mode = usePlay((p) => p.state?.mode)
  const last = usePlay((p) => p.lines[0])
  const hint = mode === undefined ? undefined : leadsOn(saber, mode)
  return (
    <>
      <p className="text-[1.35rem] leading-snug font-semibold" aria-live="polite">
        {mode === undefined
          ? ''
          : say(reader, 'page.asleep', { state: isOf(saber, mode), mode: modeName(saber, mode) })}
        {hint ? (
          <span className="mt-1 block text-[1.1rem] font-normal text-[#c9bd9f]">
            {say(reader, 'page.hint', {
              gesture: gestureText(reader, saber, hint),
              what: large(hint.says ?? seenText(reader, saber, hint.does)),
            })}
          </span>
        ) : null}
      </p>
      <p className="min-h-6 text-[#e3bd78]" role="status">
        {last ? large(last.text) : ''}
      </p>
    </>
  )
}

/** Its buttons and what can be done with the whole of it. */
function Keys({ saber }: { saber: Saber }) {
  const reader = useReader()
  const { press, release, move } = usePlay.getState()
  const held = usePlay((p) => p.state?.held)
  return (
    <div className="flex flex-wrap gap-2">
      {saber.inputs
        .filter((i) => i.kind === 'button')
        .map((i) => {
          const down = held?.some((h) => h.input === i.id) ?? false
          return (
            <HoldButton
              key={i.id}
              look={KEY[down ? 'down' : 'up']}
              on={down}
              onPress={() => press(i.id)}
              onRelease={() => release(i.id)}
            >
              {bareName(reader, saber, i)}
            </HoldButton>
          )
        })}
      {MOTIONS.map((m) => (
        <button key={m} type="button" className="border border-[#5d675f] px-2.5 py-1.5" onClick={() => move(m)}>
          {say(reader, 'page.move', { motion: m })}
        </button>
      ))}
    </div>
  )
}

function Presets({ saber }: { saber: Saber }) {
  const reader = useReader()
  const at = usePlay((p) => p.state?.preset)
  const { toPreset } = usePlay.getState()
  const all = saber.presets.filter((p) => !p.look).map(colourOf)
  return (
    <fieldset className="flex min-w-0 flex-wrap gap-x-4 gap-y-1" aria-label={say(reader, 'page.presets')}>
      {saber.presets.map((p, i) => (
        <button
          key={p.id}
          type="button"
          aria-pressed={at === i}
          className={`flex min-w-0 items-center gap-2 py-1 text-left ${at === i ? 'font-semibold' : 'text-[#a59d88]'}`}
          onClick={() => toPreset(i)}
        >
          <span className="h-3.5 w-3.5 rounded-full" style={{ background: colourOf(p) }} aria-hidden />
          {p.name}
          {p.look ? null : <span className="text-[0.88rem] font-normal">{hueText(reader, colourOf(p), all)}</span>}
        </button>
      ))}
    </fieldset>
  )
}

/** What a button is called, as it stands on a key. */
export function bareName(reader: Reader, s: Saber, i: Saber['inputs'][number]): string {
  const noun = nounOf(reader, s, `input:${i.id}`)
  return noun ? nounWords(reader, noun, 'bare') : i.name
}

/** What somebody who has never held it does next: what wakes it, lights it, or puts it away again. */
function leadsOn(s: Saber, mode: string): ControlRow | undefined {
  const rows = s.controls.filter((r) => r.mode === mode && r.status !== 'unsure' && !r.presets?.length)
  const wants = { asleep: ['wake', 'ignite'], off: ['ignite'], lit: ['retract'] }[isOf(s, mode) as 'off'] ?? EVERYDAY
  const found = wants.map((does) => rows.find((r) => r.does === does)).find(Boolean)
  return found ? rowOfMap(s, found.id) : undefined
}
