import { known } from '../../facts'
import { byId, nounOf, refTo, type Saber, toldNoun, toldText } from '../../record'
import { formatNumber, MAKER, type Reader } from '../../units'
import { large, say, whether } from '../../words'
import { bare, listed, type Told, type Topic, topic } from './topic'

/** So many seconds, minutes or hours as one says them; nothing where nobody has set them. */
function durationText(reader: Reader, seconds: number | undefined): string {
  if (seconds === undefined || seconds <= 0) return ''
  const [form, n] =
    seconds < 60
      ? (['seconds', seconds] as const)
      : seconds < 3600
        ? (['minutes', seconds / 60] as const)
        : (['hours', seconds / 3600] as const)
  return say(reader, 'duration', { form, n, text: formatNumber(reader, n, 1) })
}

/** How long it lasts until it falls asleep, where that is set. */
export function sleepTopics({ reader, s }: Told): Topic[] {
  const after = durationText(reader, known(s.settings.sleepAfter))
  if (!after) return []
  return [
    topic({
      ...{ key: 'sleeps', chapter: 'care', must: false, weight: 2 },
      what: say(MAKER, 'topic.sleeps.what'),
      say: say(reader, 'topic.sleeps', { after }),
    }),
  ]
}

/** What its display greets with, and when it goes dark. */
export function displayTopics({ reader, s }: Told): Topic[] {
  const { greeting, picture } = s.settings
  const after = durationText(reader, known(s.settings.displayTimeout))
  if (!greeting && !picture && !after) return []
  const display = s.parts.find((p) => p.kind === 'display')
  return [
    topic({
      ...{ key: 'display', chapter: 'outside', must: false, weight: 1 },
      what: say(MAKER, 'topic.display.what'),
      say: say(reader, 'topic.display', {
        ...{ greeting: greeting ?? '', greets: whether(greeting) },
        ...{ picture: picture ? bare(picture) : '', pictured: whether(picture) },
        ...{ after, timed: whether(after) },
      }).trim(),
      ...(display ? { show: refTo('part', display.id) } : {}),
    }),
  ]
}

/** What it is called on a phone, and the code that it asks for there. */
export function linkTopics({ reader, s }: Told): Topic[] {
  const { link } = s.settings
  if (!link) return []
  const code = known(link.code) ?? ''
  return [
    topic({
      ...{ key: 'link', chapter: 'care', must: true, weight: 1 },
      what: say(MAKER, 'topic.link.what'),
      say: say(reader, 'topic.link', {
        ...{ name: link.name ?? '', named: whether(link.name) },
        ...{ code, coded: whether(code), program: link.program ?? '', by: whether(link.program) },
      }),
    }),
  ]
}

/** To what its motions are set, and with what in the socket they were tried. */
export function senseTopics({ reader, s }: Told): Topic[] {
  const all = s.settings.sensitivities.flatMap((x) => {
    const value = known(x.value) ?? ''
    return value
      ? [
          say(reader, 'topic.sense.one', {
            ...{ sense: x.sense, value, with: x.triedWith.length === 1 ? x.triedWith[0]! : 'both' },
            ...{ note: x.note ? bare(x.note) : '', noted: whether(x.note) },
          }),
        ]
      : []
  })
  if (!all.length) return []
  return [
    topic({
      ...{ key: 'senses', chapter: 'care', must: false, weight: 3 },
      what: say(MAKER, 'topic.sense.what'),
      say: say(reader, 'topic.sense', { all: listed(reader, all) }),
    }),
  ]
}

/** How many ways there are to wear it: its looks by its blades by what may stand in for a piece of it. */
export function waysToWear(s: Saber): { looks: number; blades: number; pieces: number; all: number } {
  const looks = s.presets.filter((p) => p.status !== 'unsure').length
  const bySocket = s.hilt.sockets.map(
    (k) => s.blades.filter((b) => b.socket === k.id && b.use === 'ship' && b.kind !== 'plug').length,
  )
  const blades = Math.max(0, ...bySocket)
  const by = new Map<string, number>()
  // What is only seen here does not go with it.
  for (const i of s.items)
    if (i.role === 'alternative' && i.supplied !== 'bench') by.set(i.of ?? i.id, (by.get(i.of ?? i.id) ?? 1) + 1)
  const pieces = [...by.values()].reduce((n, x) => n * x, 1)
  return { looks, blades, pieces, all: looks * Math.max(1, blades) * pieces }
}

/** The ways to wear it, counted, where more than its looks can be changed. */
export function wearTopics({ reader, s }: Told): Topic[] {
  const { looks, blades, pieces, all } = waysToWear(s)
  if (looks < 2 || (blades < 2 && pieces < 2)) return []
  return [
    topic({
      ...{ key: 'wear', chapter: 'presets', must: false, weight: 2 },
      what: say(MAKER, 'topic.wear.what'),
      say: say(reader, 'topic.wear', { looks, blades, pieces, all }),
    }),
  ]
}

/** Parts that are not in the box and without which it does not go: what has to be asked for. */
export const missingTopics = ({ reader, s }: Told): Topic[] =>
  s.parts
    .filter((p) => p.supplied === 'notSupplied')
    .map((p) => {
      const type = bare(known(p.type) ?? '')
      const [note, length] = [p.note ? bare(p.note) : '', known(p.specs.length)]
      return topic({
        ...{ key: `missing:${p.id}`, chapter: 'care', must: true },
        what: say(MAKER, 'topic.missing.what', { what: toldText(MAKER, s, refTo('part', p.id)) ?? p.name }),
        say: large(
          say(reader, 'topic.missing', {
            ...{ part: toldNoun(reader, s, refTo('part', p.id)) ?? p.name, type, typed: whether(type) },
            ...{ protected: whether(p.protected && !type), note, noted: whether(note) },
            ...{
              length: length === undefined ? '' : formatNumber(reader, length, 1),
              long: whether(length !== undefined && p.kind === 'cell'),
            },
          }),
        ),
      })
    })

/** Joints that are closed for life, which nobody tries to open. */
export const lockedTopics = ({ reader, s }: Told): Topic[] =>
  s.hilt.sections.flatMap((x, i) => {
    const next = s.hilt.sections[i + 1]
    if (!x.joint.lockedForLife || !next) return []
    return [
      topic({
        ...{ key: `locked:${x.id}`, chapter: 'outside', must: true, show: refTo('section', x.id) },
        what: say(MAKER, 'topic.locked.what', { section: x.name }),
        say: say(reader, 'topic.locked', {
          ...{ section: nounOf(reader, s, refTo('section', x.id)) ?? x.name },
          ...{ note: x.joint.note ? bare(x.joint.note) : '', noted: whether(x.joint.note) },
        }),
      }),
    ]
  })

/** The blades that go with it, where one socket has several. */
export const secondBladeTopics = ({ reader, s }: Told): Topic[] =>
  s.hilt.sockets.flatMap((k) => {
    const all = s.blades.filter((b) => b.socket === k.id && b.use === 'ship' && b.kind !== 'plug')
    const [first] = all
    if (!first || all.length < 2) return []
    return [
      topic({
        ...{ key: `blade:${first.id}`, chapter: 'blade', must: true, show: refTo('blade', first.id) },
        what: say(MAKER, 'topic.blades.what'),
        say: say(reader, 'topic.blades', {
          ...{
            n: all.length,
            blades: listed(
              reader,
              all.map((b) => b.name),
            ),
          },
        }),
      }),
    ]
  })

/** The shipped blade that a preset takes to be seen as it is, where another one is on the bench. */
export function needsBlade(s: Saber, id: string | undefined): string {
  const b = byId(s.blades, id)
  return b && s.blades.some((x) => x.use === 'demo' && x.socket === b.socket) ? b.name : ''
}
