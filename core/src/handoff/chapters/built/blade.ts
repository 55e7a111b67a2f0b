import { formatFact, known } from '../../../facts'
import { type Blade, hueText } from '../../../record'
import type { Reader } from '../../../units'
import { say, whether } from '../../../words'
import { type SaberChapter, table } from '../../block'
import { bothWays, diesText, stepsOf } from '../../values'

export const blade: SaberChapter = (reader, s) => {
  const head = (column: 'blade' | 'outside' | 'length' | 'light' | 'inBox') =>
    say(reader, 'chapter.blade.head', { column })
  return {
    id: 'blade',
    title: say(reader, 'chapter.blade'),
    blocks: [
      ...stepsOf(reader, s, ['bladeIn', 'bladeOut']),
      ...table(
        [head('blade'), head('outside'), head('length'), head('light'), head('inBox')],
        s.blades.map((b) => [
          b.adapter ? withAdapter(reader, b.name, b.adapter) : b.name,
          bothWays(reader, b.outside),
          formatFact(reader, b.length, 0),
          [light(reader, b), seen(reader, b)].filter(Boolean).join('. '),
          say(reader, 'blade.inBox', { use: b.use }),
        ]),
      ),
    ],
  }
}

/** A blade that stands in a sleeve: without it, it does not hold. */
const withAdapter = (reader: Reader, blade: string, a: NonNullable<Blade['adapter']>) =>
  say(reader, 'blade.with', {
    ...{ blade, adapter: a.name, outside: bothWays(reader, a.outside), bore: bothWays(reader, a.bore) },
    ...{ length: a.length ? formatFact(reader, a.length, 1) : '', long: whether(a.length) },
  })

/** What its light is seen through, and how it spreads. */
const seen = (reader: Reader, b: Blade): string =>
  say(reader, 'blade.seen', {
    ...{ tint: known(b.tint) ? hueText(reader, known(b.tint)!) : '', tinted: whether(known(b.tint)) },
    ...{ tip: whether(b.litTip), dies: diesText(reader, b.dies ?? []), made: whether(b.dies?.length) },
    ...{ spreads: b.spreads ? formatFact(reader, b.spreads) : '', wide: whether(known(b.spreads)) },
  }).trim()

/** How a blade is lit: so that another one can be ordered like it. */
function light(reader: Reader, b: Blade): string {
  const count = (f: Blade['groups']) => (f ? formatFact(reader, f, 0) : say(reader, 'notRecorded'))
  return say(reader, 'blade.light', {
    kind: b.kind,
    density: count({ ...b.density, unit: '×' }),
    strips: count(b.strips),
    set: whether(b.configured),
    configured: count(b.configured),
    groups: count(b.groups),
    each: count(b.ledsPerGroup),
    total: count(b.ledsTotal),
  })
}
