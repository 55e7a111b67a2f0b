import { known } from '../../facts'
import { duties, hueWord } from '../../light'
import { type Commission, clientBlade, colourOf, hueText, nounOf, refTo, type Saber } from '../../record'
import { MAKER, type Reader } from '../../units'
import { say, whether } from '../../words'
import { asSpoken } from './amounts'
import { isName, listenerOf } from './readers'
import { needsBlade } from './settings'
import { bare, listed, type Told, type Topic, topic } from './topic'

/** Whether who asked is who listens. */
const isListener = (c: Commission, s: Saber, who: string): boolean => isName(listenerOf(c, s), who)

/** Each preset by its colour, why it is there, and who asked for it. */
export const presetTopics = ({ reader, c, s }: Told): Topic[] =>
  s.presets.map((p) =>
    topic({
      key: `preset:${p.id}`,
      chapter: 'presets',
      what: say(MAKER, 'topic.preset.what', { preset: p.name }),
      say: say(reader, 'topic.preset', {
        preset: p.name,
        hue: hueText(reader, colourOf(p), s.presets.filter((q) => !q.look).map(colourOf)),
        why: p.why ? bare(p.why) : '',
        reasoned: whether(p.why),
        asker: p.askedBy ?? '',
        asked: !p.askedBy ? 'no' : isListener(c, s, p.askedBy) ? 'you' : 'other',
        look: p.look ?? 'colour',
        unsure: whether(p.status === 'unsure'),
        ...{ blade: needsBlade(s, p.needs), needs: whether(needsBlade(s, p.needs)) },
      }),
      show: refTo('preset', p.id),
      must: true,
      weight: p.why || p.askedBy ? 1 : 2,
    }),
  )

/** Presets of which nothing is to be said but their colour, when they share it with others: which of them is the deep one. */
export function alikeText(reader: Reader, c: Commission, s: Saber, ids: readonly string[]): string {
  const all = ids.map((id) => s.presets.find((p) => p.id === id)!)
  const by = all.map((p) => ({ name: p.name, light: lightness(colourOf(p)) })).sort((a, b) => a.light - b.light)
  const [deep, pale] = [by[0]!, by.at(-1)!]
  const wished = all.filter((p) => p.askedBy)
  const mine = wished.filter((p) => isListener(c, s, p.askedBy!))
  const asked = [
    ...(mine.length
      ? [
          say(reader, 'topic.presets.asked', {
            who: '',
            you: 'yes',
            presets: listed(
              reader,
              mine.map((p) => p.name),
            ),
          }),
        ]
      : []),
    ...wished.flatMap((p) =>
      mine.includes(p) ? [] : [say(reader, 'topic.presets.asked', { who: p.askedBy!, you: 'no', presets: p.name })],
    ),
  ]
  const told = say(reader, 'topic.presets', {
    ...{
      presets: listed(
        reader,
        all.map((p) => p.name),
      ),
      n: all.length,
      hue: hueText(reader, colourOf(all[0]!)),
    },
    ...{ deep: deep.name, pale: pale.name, told: whether(pale.light - deep.light > TOLD_APART) },
  })
  return [told, ...asked].join(' ')
}

/** The presets that are told in one breath, each list by its hue, in the order in which they stand. */
export function alikePresets(s: Saber): string[][] {
  const by = new Map<string, string[]>()
  for (const p of s.presets) {
    if (p.why || p.look || p.needs || p.status === 'unsure') continue
    const hue = hueWord(colourOf(p))
    by.set(hue, [...(by.get(hue) ?? []), p.id])
  }
  return [...by.values()].filter((ids) => ids.length > 1)
}

/** A difference of relative luminance from which one is called the deep and one the light one. */
const TOLD_APART = 0.12
/** Relative luminance of "#rrggbb" (WCAG 2.2), 0 to 1. */
function lightness(hex: string): number {
  const [red, green, blue] = duties(hex)
  return 0.2126 * red + 0.7152 * green + 0.0722 * blue
}

/** Blades that are seen and not shipped, and blades that are still to be bought. */
export function bladeTopics({ reader, s }: Told): Topic[] {
  return [
    ...s.blades
      .filter((b) => b.use === 'demo')
      .map((b) => {
        const own = clientBlade(s, b.socket)
        const shipped = own?.use === 'ship' ? own : undefined
        return topic({
          key: `blade:${b.id}`,
          chapter: 'blade',
          what: say(MAKER, 'topic.demoBlade.what', { blade: b.name }),
          say: say(reader, 'topic.demoBlade', {
            ...{ blade: b.name, shipped: shipped?.name ?? '', size: shipped ? bladeSize(reader, shipped) : '' },
            ...{ has: whether(shipped), sized: whether(shipped && bladeSize(reader, shipped)) },
          }),
          show: refTo('blade', b.id),
          must: true,
        })
      }),
    ...s.blades
      .filter((b) => b.use === 'toBuy')
      .map((b) =>
        topic({
          key: `blade:${b.id}`,
          chapter: 'blade',
          what: say(MAKER, 'topic.bladeToBuy.what', { blade: b.name }),
          say: say(reader, 'topic.bladeToBuy', {
            ...{
              socket: nounOf(reader, s, refTo('socket', b.socket)) ?? '',
              several: whether(s.hilt.sockets.length > 1),
            },
            ...{ size: bladeSize(reader, b), sized: whether(bladeSize(reader, b)) },
          }),
          must: true,
        }),
      ),
  ]
}

function bladeSize(reader: Reader, b: Saber['blades'][number]): string {
  const [d, l] = [known(b.outside), known(b.length)]
  return say(reader, 'bladeSize', {
    ...{ diameter: d === undefined ? '' : asSpoken(reader, d), measured: whether(d !== undefined) },
    ...{ length: l === undefined ? '' : asSpoken(reader, l), long: whether(l !== undefined) },
  })
}
