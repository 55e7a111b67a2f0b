import { known } from '../../facts'
import { keyWays } from '../../machine'
import { safeVolume } from '../../power'
import { refTo, type Saber, toldNoun } from '../../record'
import { formatNumber, MAKER, type Reader } from '../../units'
import { large, say, whether } from '../../words'
import { cautionsOf } from '../cautions'
import { readersOf } from './readers'
import type { Told, Topic } from './topic'
import { topic } from './topic'

/** What can hurt, once and short; the whole of it is on paper. */
export const cautionTopics = ({ reader, s }: Told): Topic[] =>
  cautionsOf(reader, s).map((k) =>
    topic({
      key: `caution:${k.key}`,
      chapter: k.key === 'inside' ? 'inside' : k.key === 'blade' || k.key === 'flash' ? 'blade' : 'care',
      what: say(MAKER, 'topic.caution.what', { title: say(MAKER, `caution.${k.key}.title`).toLowerCase() }),
      say: large(
        say(reader, 'caution.spoken', {
          ...{ caution: k.key, polarity: k.polarity ?? '', told: whether(k.polarity) },
          ...{ presets: k.presets ?? '', named: whether(k.presets) },
        }),
      ),
      must: true,
    }),
  )

/** What cutting the power means here, and how it is put away for long. */
export function powerAbout(reader: Reader, s: Saber): string {
  const by = s.parts.find((p) => p.kind === (s.cutPower === 'killSwitch' ? 'killSwitch' : 'killKey'))
  return say(reader, 'power.about', {
    ...{ by: s.cutPower, name: (by && toldNoun(reader, s, refTo('part', by.id))) ?? '', named: whether(by) },
    cuts: (s.cutPower === 'killKey' && keyWays(s)?.cuts) || 'unsaid',
    cellOut: whether(s.parts.some((p) => p.kind === 'cell' && p.removable)),
    timed: whether((known(s.settings.sleepAfter) ?? 0) > 0),
  })
}

/** The same, told: to who keeps it on display it matters most. */
export function storingTopics({ reader, c, s }: Told): Topic[] {
  if (!s.parts.some((p) => p.kind === 'board')) return []
  const kept = readersOf(c, s).has('collects')
  return [
    topic({
      ...{ key: 'storing', chapter: 'care', must: kept, weight: kept ? 1 : 3 },
      what: say(MAKER, 'topic.storing.what'),
      say: powerAbout(reader, s),
    }),
  ]
}

/** How loud it leaves, and how loud it may be. What nobody knows is not said. */
export function volumeTopics({ reader, s }: Told): Topic[] {
  if (!s.parts.some((p) => p.kind === 'speaker')) return []
  const safe = safeVolume(s)
  const v = known(s.use.volume)
  if (v === undefined && !(safe.ok && safe.value < 100)) return []
  return [
    topic({
      ...{ key: 'volume', chapter: 'care', must: false, weight: 1 },
      what: say(MAKER, 'topic.volume.what'),
      say: say(reader, 'topic.volume', {
        ...{ volume: v === undefined ? '' : formatNumber(reader, v, 0), set: whether(v !== undefined) },
        ...{ highest: safe.ok ? formatNumber(reader, safe.value, 0) : '', known: whether(safe.ok && safe.value < 100) },
      }),
    }),
  ]
}
