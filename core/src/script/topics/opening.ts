import { balance } from '../../fit'
import { nounText, purposeOf, type Ref, type Saber } from '../../record'
import { formatNumber, MAKER, type Reader } from '../../units'
import { say, whether } from '../../words'
import { asSpoken } from './amounts'
import { giftOf, listenerOf, readersOf } from './readers'
import { tellingOrder } from './several'
import { listed, type Told, type Topic, topic } from './topic'

/** Whose it is, and for whom: the first words and the last ones, and what this listener needs to hear before anything else. */
export function openingTopics({ reader, c, s }: Told): Topic[] {
  const to = listenerOf(c, s)
  const { gift, giver } = giftOf(c, s)
  const nth = tellingOrder(c).findIndex((x) => x.id === s.id) + 1
  const who = { to, named: whether(to) }
  const readers = readersOf(c, s)
  const differs = s.telling?.differs ?? []
  return [
    topic({
      ...{ key: 'welcome', chapter: 'welcome', must: false, weight: 0 },
      what: say(MAKER, 'topic.welcome.what'),
      say: say(reader, 'topic.welcome', {
        ...who,
        ...{ saber: s.name, gift: whether(gift), giver, given: whether(giver), nth, of: c.sabers.length },
      }),
    }),
    ...(readers.has('returning') && differs.length
      ? [
          topic({
            ...{ key: 'differs', chapter: 'welcome', must: true, weight: 0 },
            what: say(MAKER, 'topic.differs.what'),
            say: say(reader, 'topic.differs', {
              what: listed(reader, differs),
            }),
          }),
        ]
      : []),
    ...(readers.has('neverHeld') ? heft({ reader, c, s }) : []),
    topic({
      ...{ key: 'farewell', chapter: 'farewell', must: false, weight: 0 },
      what: say(MAKER, 'topic.farewell.what'),
      say: say(reader, 'topic.farewell', { ...who, saber: s.name, more: whether(nth < c.sabers.length) }),
    }),
  ]
}

/** How heavy it is and where it balances, for hands that have never held it. */
function heft({ reader, s }: Told): Topic[] {
  const { mass, centre } = balance(s)
  if (!mass.ok && !centre.ok) return []
  const grams = mass.ok
    ? say(reader, 'about', { what: `${formatNumber(reader, Math.round(mass.value / 10) * 10, 0)} g` })
    : ''
  return [
    topic({
      ...{ key: 'heft', chapter: 'outside', must: false, weight: 2 },
      what: say(MAKER, 'topic.heft.what'),
      say: say(reader, 'topic.heft', {
        ...{ mass: grams, weighed: whether(mass.ok) },
        ...{ balance: centre.ok ? asSpoken(reader, centre.value, true) : '', balanced: whether(centre.ok) },
      }).trim(),
    }),
  ]
}

/** What blows work loose, for who duels: the blade screws, and threads that nothing else holds. */
export function duelTopics({ reader, c, s }: Told): Topic[] {
  if (!readersOf(c, s).has('duels')) return []
  const screws = s.hilt.fasteners.filter((f) => purposeOf(s, f) === 'bladeRetention' && f.clientMay !== 'never')
  const threads = s.hilt.sections.filter((x, i) => i < s.hilt.sections.length - 1 && x.joint.kind === 'thread')
  if (!screws.length && !threads.length) return []
  return [
    topic({
      ...{ key: 'duel', chapter: 'care', must: true, weight: 0 },
      what: say(MAKER, 'topic.duel.what'),
      say: say(reader, 'topic.duel', {
        ...{
          screws: listed(
            reader,
            screws.map((f) => spoken(reader, s, `fastener:${f.id}`, f.name)),
          ),
          n: screws.length,
        },
        ...{
          joints: listed(
            reader,
            threads.map((x) => spoken(reader, s, `section:${x.id}`, x.name)),
          ),
          threads: threads.length,
        },
      }).trim(),
    }),
  ]
}

const spoken = (reader: Reader, s: Saber, ref: Ref, name: string) => nounText(reader, s, ref) ?? name
