import type { Ref } from '../../../record'
import { type Stale, staleSentences } from '../../../script'
import { check, TOPICS_READ } from '../../check'

type Of<C extends Stale['code']> = Extract<Stale, { code: C }>
interface Said {
  n: number
  say: string
}

export const stale = check<{
  changed: { beats: (Said & { now: string })[] }
  gone: Said & { what: string }
  differs: { text: string; said: string; is: string }
  unsure: { text: string; said: string; of: string }
}>({
  id: 'stale',
  station: 'walkthrough',
  scope: 'saber',
  source: 'the record, sentence by sentence',
  reads: TOPICS_READ,
  run: ({ commission, saber, topics }) => {
    const found = staleSentences(commission, saber, topics)
    const of = <C extends Stale['code']>(code: C) => found.filter((x): x is Of<C> => x.code === code)
    const changed = of('changed')
    const n = (id: string) => saber.beats.findIndex((b) => b.id === id) + 1
    const beat = (id: string): Ref => `beat:${id}`
    return [
      ...(changed.length
        ? [
            {
              code: 'changed' as const,
              subject: 'changed',
              level: 'caution' as const,
              params: { beats: changed.map((x) => ({ n: n(x.beat.id), say: x.beat.say, now: x.now })) },
              refs: changed.map((x) => beat(x.beat.id)),
              // Set aside for what it would say today; said otherwise tomorrow, it is asked again.
              names: changed.map((x) => `${x.beat.id}-${sumOf(x.now)}`),
              gate: true,
            },
          ]
        : []),
      ...of('gone').map((x) => ({
        code: 'gone' as const,
        subject: `gone-${x.beat.id}-${x.what}`,
        level: 'caution' as const,
        params: { n: n(x.beat.id), say: x.beat.say, what: x.what },
        refs: [beat(x.beat.id)],
        gate: true,
      })),
      ...of('differs').map((x) => ({
        code: 'differs' as const,
        subject: `differs-${x.where}-${x.said}`,
        level: 'caution' as const,
        params: { text: x.text, said: x.said, is: x.is },
        refs: [x.where],
        gate: true,
      })),
      ...of('unsure').map((x) => ({
        code: 'unsure' as const,
        subject: `unsure-${x.where}-${x.said}`,
        level: 'caution' as const,
        params: { text: x.text, said: x.said, of: x.of },
        refs: [x.where],
        gate: true,
      })),
    ]
  },
})

/** A short mark of a sentence (djb2). */
const sumOf = (text: string): string => {
  let h = 5381
  for (const c of text) h = (h * 33 + c.codePointAt(0)!) % 0x7fffffff
  return h.toString(36)
}
