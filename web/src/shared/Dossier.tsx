import { type AnyFact, isFact, SOURCE_WORDS } from '@nubrin/core/facts'
import {
  type Commission,
  findThing,
  type Kind,
  keyWords,
  nameIn,
  nameOfThing,
  type Ref,
  THINGS,
  thingsOf,
} from '@nubrin/core/record'
import { formatNumber, MAKER } from '@nubrin/core/units'
import { useMemo } from 'react'
import { urlOf } from '../data'
import { dayText } from '../kit'
import { useBench, useOrder } from '../store/commission'
import { ToDosOf } from './ToDos'

interface Line {
  name: string
  value: string
  from?: string
}

/** A choice of the record in words; what somebody wrote stays as it is written. */
const chosen = (v: string): string => (/^[a-z][a-zA-Z]*$/.test(v) ? keyWords(v) : v)

const unitOf = (f: AnyFact<unknown>) => {
  const u = (f as { unit?: string }).unit
  return !u || u === '×' ? '' : u === 'deg' ? '°' : ` ${u}`
}
function factLine(name: string, f: AnyFact<unknown>): Line[] {
  if (f.value === null) return []
  const value = typeof f.value === 'number' ? `${formatNumber(MAKER, f.value)}${unitOf(f)}` : chosen(String(f.value))
  const past = (f.trail?.length ?? 0) + (f.rivals?.length ?? 0)
  const from = [
    SOURCE_WORDS[f.source],
    f.with,
    f.by,
    f.on && dayText(f.on),
    past ? `${past} other statement${past > 1 ? 's' : ''}` : '',
  ]
  return [{ name, value, from: from.filter(Boolean).join(', ') }]
}

/** What a thing says of itself, field by field; what only points to it or hangs inside it is told apart. */
/** The name of what an id alone names; nothing for words that are no id. */
function nameOfId(c: Commission, id: string): string | undefined {
  const thing = /^[a-z0-9][a-z0-9-]+$/.test(id) ? thingsOf(c).find((t) => t.id === id) : undefined
  return thing && nameOfThing(thing.kind, thing.value)
}

const inList = (list: readonly unknown[]): string =>
  list.every((x) => typeof x === 'string') ? list.map(chosen).join(', ') : `${list.length}`

function linesOf(c: Commission, value: Record<string, unknown>): Line[] {
  return Object.entries(value).flatMap(([key, v]): Line[] => {
    if (key === 'id' || v === undefined || v === null || v === '' || v === false) return []
    if (isFact(v)) return factLine(keyWords(key), v)
    if (v === true) return [{ name: keyWords(key), value: 'yes' }]
    if (typeof v === 'number') return [{ name: keyWords(key), value: formatNumber(MAKER, v) }]
    if (typeof v === 'string')
      return [
        {
          name: keyWords(key),
          value: nameIn(c, v) ?? nameOfId(c, v) ?? (/^(note|shopNote|name)$/.test(key) ? v : chosen(v)),
        },
      ]
    if (Array.isArray(v)) return v.length ? [{ name: keyWords(key), value: inList(v) }] : []
    const inner = linesOf(c, v as Record<string, unknown>)
    // What a joint says is told from what its section says of the same name.
    return key === 'specs' ? inner : inner.map((l) => ({ ...l, name: `${keyWords(key)}: ${l.name}` }))
  })
}

/** What else in the order speaks of a thing, by its kind: tests, repairs, beats, steps, photos. */
function spokenOf(c: Commission, target: Ref): { what: string; names: string[] }[] {
  const of = (what: string, names: string[]) => (names.length ? [{ what, names }] : [])
  return [
    ...of(
      'tests',
      c.sabers.flatMap((s) => s.tests.filter((t) => t.place === target).map((t) => t.what)),
    ),
    ...of(
      'repairs',
      c.sabers.flatMap((s) => s.repairs.filter((f) => f.place === target).map((f) => `${dayText(f.on)}: ${f.fix}`)),
    ),
    ...of(
      'steps',
      c.sabers.flatMap((s) =>
        s.access.flatMap((p) => p.steps.flatMap((x) => ((x.place ?? x.act?.at) === target && x.text ? [x.text] : []))),
      ),
    ),
    ...of(
      'told in',
      c.sabers.flatMap((s) => s.beats.flatMap((b, i) => (b.show === target ? [`beat ${i + 1}`] : []))),
    ),
    ...of(
      'wishes',
      c.requests.filter((r) => r.where === target).map((r) => r.text),
    ),
    ...of(
      'lost',
      c.sabers.flatMap((s) => s.losses.filter((x) => x.about === target).map((x) => x.what)),
    ),
    ...of(
      'goes with it',
      c.sabers.flatMap((s) => s.items.filter((x) => x.of === target).map((x) => x.what)),
    ),
  ]
}

/** All that the record knows of the thing that is lit on the drawing. */
export function Dossier() {
  const order = useOrder()
  const lit = useBench((b) => b.lit)
  const thing = useMemo(() => findThing(order, lit), [order, lit])
  if (!thing || !lit)
    return <p className="text-quiet mt-2">Select anything on the drawing to read what is recorded about it.</p>
  const photos = order.media.filter((m) => m.place === lit)
  return (
    <section
      aria-label={`What is known of ${nameOfThing(thing.kind, thing.value)}`}
      className="h-full overflow-y-auto pr-1"
    >
      <p className="label">{THINGS[thing.kind as Kind][0]}</p>
      <h2 className="h2 mb-1">{nameOfThing(thing.kind, thing.value)}</h2>
      <dl>
        {linesOf(order, thing.value)
          .filter((l) => l.name !== 'name')
          .map((l) => (
            <div
              key={`${l.name} ${l.value}`}
              className="border-rule grid grid-cols-[7rem_minmax(0,1fr)] gap-2 border-b py-0.5"
            >
              <dt className="text-quiet">{l.name}</dt>
              <dd>
                <span className="font-medium">{l.value}</span>
                {l.from ? <span className="text-quiet block text-[0.82rem]">{l.from}</span> : null}
              </dd>
            </div>
          ))}
      </dl>
      {spokenOf(order, lit).map((x) => (
        <div key={x.what} className="mt-2">
          <p className="label">{x.what}</p>
          {x.names.map((n) => (
            <p key={n} className="leading-snug">
              {n}
            </p>
          ))}
        </div>
      ))}
      {photos.length ? (
        <div className="mt-2 grid grid-cols-2 gap-2">
          {photos.map((m) => (
            <img
              key={m.id}
              src={urlOf('stored', { params: { hash: m.hash } })}
              alt={m.caption ?? m.name}
              className="w-full"
            />
          ))}
        </div>
      ) : null}
      <p className="label mt-2">left to do on it</p>
      <ToDosOf about={lit} />
    </section>
  )
}
