import { doingOf } from '../controls'
import { Gather, known, type NumberFact } from '../facts'
import { safeVolume } from '../power'
import { byId, fontOf, LIGHT_EVENTS, type Preset, refTo, type Saber, soundsOf, worksIn } from '../record'
import type { Reader } from '../units'
import { reachableEvents } from '../voice'
import { say } from '../words'
import { between, type Planned, partsOf, predicted, wiresOf } from './planned'

/** Effects that a hand can call up. */
const CALLED: ReadonlySet<string> = new Set(['lock', 'drag', 'melt', 'deflect', 'surge'])
/** The events of a preset that are heard or seen: those of its font that the controls reach, those with a colour of their own, and those that a control calls up in it. */
const eventsOf = (s: Saber, p: Preset): string[] => {
  const called = s.controls.filter((r) => CALLED.has(r.does) && worksIn(r, p.id))
  const coloured = LIGHT_EVENTS.filter((e) => p.effects?.[e] && p.effects[e].is !== 'notThere')
  const reached = new Set<string>(reachableEvents(s, p))
  const sounding = (fontOf(s, p)?.sounds ?? []).map((x) => x.event).filter((e) => reached.has(e))
  return [...new Set([...sounding, ...coloured, ...called.map((r): string => r.does)])]
}

/** How long the blade takes to come out, s. */
const extension = (s: Saber, preset: string) => {
  const g = new Gather()
  const p = s.presets.find((x) => x.id === preset)
  const ms = g.take(`extension of ${p?.name}`, p?.extendMs, p && refTo('preset', p.id))
  return g.figure('s', 'extension ÷ 1000', 'as it is set', () => ms / 1000)
}
/** A thumb on a stopwatch is that late, s. */
const THUMB = 0.2
/** A menu shows whole steps of a volume, %. */
const STEP = 1
/** The volume that was promised, as a menu shows it, and never more than is safe, %. */
const asPromised = (volume: number, most: number) => ({
  min: Math.max(0, volume - STEP),
  max: Math.min(most, volume + STEP),
})

export function setUpTests(reader: Reader, s: Saber): Planned[] {
  const safe = safeVolume(s)
  const promised = known(s.use.volume)
  const played = partsOf(s, 'card', 'speaker', 'board')
  return [
    ...s.presets.flatMap((p): Planned[] => {
      const place = refTo('preset', p.id)
      const heard = p.font ? [refTo('font', p.font)] : []
      const events = eventsOf(s, p)
      return [
        {
          test: {
            key: `preset-${p.id}`,
            what: say(reader, 'test.preset', { preset: p.name }),
            ...{ place, expect: say(reader, 'test.preset.expect') },
          },
          rests: [place, ...heard, ...played],
        },
        ...(events.length
          ? [
              {
                test: {
                  key: `effects-${p.id}`,
                  what: say(reader, 'test.effects', {
                    preset: p.name,
                    effects: events.map((e) => say(reader, 'event', { event: e })).join(', '),
                  }).slice(0, 240),
                  ...{ place, expect: say(reader, 'test.effects.expect') },
                },
                rests: [place, ...heard, ...played],
              },
            ]
          : []),
        ...(extension(s, p.id).ok && soundsOf(s, p).some((x) => x.event === 'ignite')
          ? [
              {
                test: { key: `extend-${p.id}`, what: say(reader, 'test.extend', { preset: p.name }), place, unit: 's' },
                rests: [place],
                reads: {
                  of: (x: Saber) => byId(x.presets, p.id)?.extendMs,
                  put: (x: Saber, f: NumberFact) => void Object.assign(byId(x.presets, p.id) ?? {}, { extendMs: f }),
                  per: 1000,
                },
                ...predicted(
                  s,
                  (x) => extension(x, p.id),
                  (e) => between({ ...e, plusMinus: e.plusMinus + THUMB }),
                ),
              },
            ]
          : []),
      ]
    }),
    ...s.controls
      .filter((r) => r.status !== 'unsure')
      .map((r): Planned => {
        const input = s.inputs.find((i) => i.id === r.input)
        return {
          test: {
            key: `row-${r.id}`,
            what: say(reader, 'test.control', { what: doingOf(reader, r) }),
            place: refTo('row', r.id),
            expect: say(reader, 'test.control.expect'),
          },
          rests: [
            refTo('row', r.id),
            refTo('input', r.input),
            ...(input?.part ? [refTo('part', input.part)] : []),
            ...partsOf(s, 'board'),
            ...wiresOf(s, 'signal'),
          ],
        }
      }),
    ...(safe.ok || promised !== undefined
      ? [
          {
            test: {
              ...{ key: 'volume', what: say(reader, 'test.volume'), unit: '%' },
              ...(promised === undefined ? { min: 1 } : asPromised(promised, 100)),
            },
            rests: partsOf(s, 'speaker', 'board'),
            reads: {
              of: (x: Saber) => x.use.volume,
              put: (x: Saber, f: NumberFact) => void Object.assign(x.use, { volume: f }),
              per: 1,
            },
            // The speaker is kept safe where its figures are a little off, too.
            ...predicted(s, safeVolume, (e) => {
              const most = Math.max(1, Math.floor(e.value - e.plusMinus))
              return promised === undefined || promised > most ? { min: 1, max: most } : asPromised(promised, most)
            }),
            ...(promised === undefined ? {} : { allowed: () => asPromised(promised, 100) }),
          },
        ]
      : []),
  ]
}

/** How readily it answers, with what the socket will hold. */
export const sensitivityTests = (reader: Reader, s: Saber): Planned[] => {
  const there = new Set(s.blades.map((b) => (b.kind === 'plug' ? ('plug' as const) : ('blade' as const))))
  return s.settings.sensitivities.flatMap((x) =>
    (['plug', 'blade'] as const)
      .filter((w) => there.has(w))
      .map(
        (setup): Planned => ({
          test: {
            key: `sense-${x.id}-${setup}`,
            what: say(reader, 'test.sense', { sense: say(reader, 'sense', { sense: x.sense }) }),
            ...{ setup, expect: say(reader, 'test.sense.expect') },
          },
          // A board that sits otherwise, or in another chassis, feels otherwise.
          rests: [refTo('setting', x.id), ...partsOf(s, 'board', 'chassis')],
        }),
      ),
  )
}

export const linkTests = (reader: Reader, s: Saber): Planned[] =>
  s.settings.link
    ? [
        {
          test: {
            key: 'link',
            what: say(reader, 'test.link', { link: s.settings.link.name ?? '' }),
            expect: say(reader, 'test.link.expect'),
          },
          rests: partsOf(s, 'board', 'auxBoard'),
        },
      ]
    : []
