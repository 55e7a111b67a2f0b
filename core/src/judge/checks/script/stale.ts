import type { Ref } from '../../../record'
import { filmedOtherwise, type Stale, staleSentences } from '../../../script'
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
  /** The newest film shows what is otherwise by now. */
  filmed: { on: string; beats: { n: number; say: string }[]; gone: number }
}>({
  id: 'stale',
  station: 'walkthrough',
  scope: 'saber',
  source: 'the record, sentence by sentence',
  reads: [...TOPICS_READ, 'takes', 'order.handoff'],
  run: ({ commission, saber, topics }) => {
    const found = staleSentences(commission, saber, topics)
    const of = <C extends Stale['code']>(code: C) => found.filter((x): x is Of<C> => x.code === code)
    const changed = of('changed')
    const n = (id: string) => saber.beats.findIndex((b) => b.id === id) + 1
    const beat = (id: string): Ref => `beat:${id}`
    const take = saber.takes.at(-1)
    const otherwise = take ? filmedOtherwise(saber, take) : []
    const given = commission.handoff.films.some((f) => !f.saber || f.saber === saber.id)
    return [
      ...(take && otherwise.length
        ? [
            {
              code: 'filmed' as const,
              subject: `filmed-${take.id}`,
              level: 'caution' as const,
              params: {
                on: take.at.slice(0, 10),
                beats: otherwise.flatMap((x) => (x.n ? [{ n: x.n, say: saber.beats[x.n - 1]!.say }] : [])),
                gone: otherwise.filter((x) => !x.n).length,
              },
              refs: otherwise.flatMap((x) => (x.n ? [beat(x.beat)] : [])),
              names: otherwise.map((x) => x.beat),
              // A film that nobody gets stands against nothing.
              gate: given,
            },
          ]
        : []),
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
        level: 'note' as const,
        params: { text: x.text, said: x.said, is: x.is },
        refs: [x.where],
        // Words are matched by pattern: a right sentence must not stand in the way.
        gate: false,
      })),
      ...of('unsure').map((x) => ({
        code: 'unsure' as const,
        subject: `unsure-${x.where}-${x.said}`,
        level: 'note' as const,
        params: { text: x.text, said: x.said, of: x.of },
        refs: [x.where],
        // Words are matched by pattern: a right sentence must not stand in the way.
        gate: false,
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
