import { piecesOf, proceduresOf } from '../../access'
import { cuesOf, doingOf, EVERYDAY, gestureText, isOf, modeName } from '../../controls'
import { byId, type ControlRow, own, type Task } from '../../record'
import { MAKER, type Reader } from '../../units'
import { large, say, whether } from '../../words'
import { inOneBreath } from '../spoken'
import { readersOf } from './readers'
import { type Chapter, listed, type Told, type Topic, topic } from './topic'

const CHAPTER_OF: Partial<Record<Task, Chapter>> = {
  powerOn: 'power',
  powerOff: 'power',
  bladeIn: 'blade',
  bladeOut: 'blade',
  charge: 'care',
}
/** Without these nobody can use it or put it away. */
const NEEDED: readonly Task[] = ['powerOn', 'powerOff', 'bladeIn', 'bladeOut']
/** What may as well be found by oneself. */
const SHOWN: readonly Task[] = ['port', 'show']

/** What is to be seen and heard of a control, with its cues, for whoever films it. */
const seenOf = (reader: Reader, r: ControlRow): string =>
  [r.says ?? say(reader, 'action.seen', { action: r.does }), ...cuesOf(reader, r)].join('; ')

/** What the client does alone, step by step. */
export function taskTopics({ reader, c, s }: Told): Topic[] {
  // Who reprograms it needs the card more than anything else inside.
  const readers = readersOf(c, s)
  const card = readers.has('reprograms')
  return piecesOf(s, proceduresOf(reader, s)).map(({ task, acts }) => {
    const shown = acts.find((x) => x.place)?.place
    return topic({
      key: `task:${task}`,
      chapter: CHAPTER_OF[task] ?? 'inside',
      what: say(MAKER, 'task', { task }).toLowerCase(),
      say: say(reader, 'topic.task', {
        task,
        steps: inOneBreath(reader, s, acts),
        why: whether(readers.has('beginner')),
      }),
      ...(shown ? { show: shown } : {}),
      task,
      must: !SHOWN.includes(task),
      weight: NEEDED.includes(task) || (card && task === 'card') ? 0 : 2,
    })
  })
}

/** What every control does, as it is seen and heard; and that something turns it off. */
export function controlTopics({ reader, s }: Told): Topic[] {
  const out: Topic[] = s.controls
    .filter((r) => r.status !== 'unsure')
    .map((r) => {
      const only = (r.presets ?? []).map((id) => byId(s.presets, id)?.name).filter((x) => x !== undefined)
      const params = {
        ...{ state: isOf(s, r.mode), mode: modeName(s, r.mode), gesture: gestureText(reader, s, r) },
        what: r.says === undefined ? say(reader, 'action.seen', { action: r.does }) : own(reader, r.says),
        ...{ only: only.length ? listed(reader, only) : '', limited: whether(r.presets?.length) },
      }
      const words = (same: 'yes' | 'no') => large(say(reader, 'topic.control', { ...params, same }))
      const learnt = EVERYDAY.indexOf(r.does)
      return topic({
        key: `control:${r.id}`,
        chapter: 'controls',
        what: doingOf(MAKER, r),
        say: words('no'),
        again: { mode: r.mode, say: words('yes') },
        show: `input:${r.input}`,
        perform: `row:${r.id}`,
        expect: seenOf(MAKER, r),
        must: true,
        weight: ['ignite', 'retract', 'powerOn', 'wake'].includes(r.does) ? 0 : learnt >= 0 && learnt < 5 ? 1 : 2,
      })
    })
  const worked = s.controls.length > 0 || s.parts.some((p) => p.kind === 'board')
  const ends = s.controls.some((r) => r.does === 'retract' || r.does === 'sleep' || r.does === 'powerOff')
  if (worked && !ends)
    out.push(
      topic({
        key: 'off',
        chapter: 'controls',
        what: say(MAKER, 'topic.off.what'),
        say: say(reader, 'topic.off'),
        must: true,
      }),
    )
  return out
}
