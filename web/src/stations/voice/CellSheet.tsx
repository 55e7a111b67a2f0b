import { brightnessOf, eventsOn, type Lamp, setTo, shownOn } from '@nubrin/core/looks'
import { litCurrent } from '@nubrin/core/power'
import { EVENT_IS, type EventLook, hueText, type LightEvent, type Preset, type Saber } from '@nubrin/core/record'
import { formatNumber, MAKER } from '@nubrin/core/units'
import { useEffect, useRef } from 'react'
import { freshId } from '../../data'
import { bound, ColourFactField, FigureView, Labelled, SelectCell } from '../../kit'
import { useEditThing } from '../../store/commission'
import { Moving } from './Moving'
import { eventWords } from './words'

export const IS_WORDS: Record<(typeof EVENT_IS)[number], string> = {
  ...{ boardDefault: 'the board’s default', notThere: 'not there', varies: 'varies' },
}
/** Which cell of the sheet is looked at: the light while it only shines, an event, or a light of the hilt. */
export type CellAt = 'shines' | LightEvent | { zone: string }

/** One cell of the sheet, to be set and to be read: what it is, how it moves, and what the eye will see of it. */
export function CellSheet({
  saber,
  preset: p,
  at,
  lamp,
  chosen,
}: {
  saber: Saber
  preset: Preset
  at: CellAt
  lamp: Lamp
  /** Somebody has just chosen it on the sheet. */
  chosen: boolean
}) {
  const edit = useEditThing('presets')
  const set = (run: (x: Preset) => void) => edit('preset', p.id, run)
  const zone = typeof at === 'object' ? saber.zones.find((z) => z.id === at.zone) : undefined
  const here = useRef<HTMLElement>(null)
  // What was chosen on the sheet is set just beneath: it is brought into sight.
  useEffect(() => {
    if (chosen) here.current?.scrollIntoView?.({ block: 'nearest' })
  }, [chosen])
  return (
    <section ref={here} aria-label="The cell" className="border-rule mt-2 border-t pt-2">
      <h3 className="font-semibold">
        {p.name}, {typeof at === 'object' ? zone?.name : at === 'shines' ? 'while it shines' : eventWords(at)}
      </h3>
      <div className="grid grid-cols-7 items-start gap-3">
        {typeof at === 'object' ? (
          <OfZone preset={p} zone={at.zone} name={zone?.name ?? ''} set={set} />
        ) : at === 'shines' ? (
          <OfBase preset={p} set={set} />
        ) : (
          <OfEvent preset={p} event={at} set={set} />
        )}
      </div>
      <Read saber={saber} preset={p} at={at} lamp={lamp} />
    </section>
  )
}

type Set = (run: (x: Preset) => void) => void
function OfBase({ preset: p, set }: { preset: Preset; set: Set }) {
  const { given, put } = bound(p, set)
  return (
    <>
      <Labelled label="colour">
        <ColourFactField label="Colour while it shines" className="h-7 w-12" {...given('colour')} />
      </Labelled>
      <Labelled label="asked for">
        <ColourFactField label="Colour that was asked for" className="h-7 w-12" {...given('asked')} />
      </Labelled>
      <Moving of={p.moves} what={p.name} onEdit={(m) => put('moves', m)} />
    </>
  )
}
function OfEvent({ preset: p, event, set }: { preset: Preset; event: LightEvent; set: Set }) {
  const look = p.effects?.[event] ?? {}
  const write = (run: (x: EventLook) => void) =>
    set((x) => {
      x.effects ??= {}
      const own = x.effects[event] ?? {}
      run(own)
      if (Object.keys(own).length) x.effects[event] = own
      else delete x.effects[event]
    })
  const { given, maybe, put } = bound(look, write)
  const what = eventWords(event)
  return (
    <>
      <SelectCell
        title="is"
        label={`What ${what} is`}
        options={['', ...EVENT_IS]}
        words={(v) => (v ? IS_WORDS[v] : look.colour || look.moves ? 'as set here' : 'not recorded')}
        {...maybe('is')}
      />
      {look.is ? null : (
        <>
          <Labelled label="colour">
            <ColourFactField label={`${what} colour`} className="h-7 w-12" {...given('colour')} />
          </Labelled>
          <Labelled label="asked for">
            <ColourFactField label={`Colour asked for at ${what}`} className="h-7 w-12" {...given('asked')} />
          </Labelled>
          <Moving of={look.moves} what={what} onEdit={(m) => put('moves', m)} />
        </>
      )}
    </>
  )
}
function OfZone({ preset: p, zone, name, set }: { preset: Preset; zone: string; name: string; set: Set }) {
  const look = p.lights.find((l) => l.zone === zone)
  type Own = Preset['lights'][number]
  const write = (run: (x: Own) => void) =>
    set((x) => {
      let own = x.lights.find((l) => l.zone === zone)
      if (!own) x.lights.push((own = { id: freshId(), zone }))
      run(own)
      if (!own.colour && !own.moves) x.lights = x.lights.filter((l) => l !== own)
    })
  const { given, put } = bound(look ?? ({ id: '', zone } as Own), write)
  return (
    <>
      <Labelled label="colour">
        <ColourFactField label={`Colour of ${name}`} className="h-7 w-12" {...given('colour')} />
      </Labelled>
      <Moving of={look?.moves} what={name} onEdit={(m) => put('moves', m)} />
      {look ? (
        <button
          type="button"
          className="btn col-span-2"
          onClick={() => set((x) => void (x.lights = x.lights.filter((l) => l.zone !== zone)))}
        >
          remove its own setting
        </button>
      ) : null}
    </>
  )
}

/** Less of full white than this is weak by day, by eye at the bench. */
const WEAK = 0.1
/** What the eye will see of it, and what it draws. */
function Read({ saber, preset: p, at, lamp }: { saber: Saber; preset: Preset; at: CellAt; lamp: Lamp }) {
  const event = typeof at === 'string' && at !== 'shines' ? at : undefined
  const hex = setTo(saber, p, lamp, event)
  if (hex === undefined) return null
  const { seen, share } = shownOn(lamp, hex)
  const against = event && eventsOn(saber, p, lamp, [event])[0]
  const light = brightnessOf(seen)
  const percent = (v: number) => `${formatNumber(MAKER, v * 100, v < 0.1 ? 1 : 0)} %`
  return (
    <ul className="mt-2 flex flex-wrap gap-x-7 gap-y-1">
      <li>
        <span className="label block">on {lamp.name} one sees</span>
        <Swatch hex={seen} /> {hueText(MAKER, seen)}
        {lamp.tint ? `, ${percent(share)} gets through` : ''}
      </li>
      {against ? (
        <li>
          <span className="label block">against its base</span>
          {against.apart < 12 ? '▲ hardly shows' : 'stands apart'}, ΔE00 {formatNumber(MAKER, against.apart, 0)}
        </li>
      ) : null}
      <li>
        <span className="label block">beside full white</span>
        {percent(light)} of its light{light < WEAK ? ': weak by day' : ''}
      </li>
      <li>
        <FigureView name="the saber draws" figure={litCurrent(saber, hex, p)} digits={2} />
      </li>
    </ul>
  )
}
export const Swatch = ({ hex }: { hex: string }) => (
  <span
    aria-hidden
    className="border-ink mr-1 inline-block h-3 w-6 border align-[-1px]"
    style={{ backgroundColor: hex }}
  />
)
