import { piecesOf, proceduresOf } from '../../access'
import { after, cuesOf, doingOf, EVERYDAY, gestureText, isOf, modeById, modeName } from '../../controls'
import { byId, type ControlRow, nounText, refTo, type Saber, type Socket, type Task } from '../../record'
import { MAKER, type Reader } from '../../units'
import { large, say, whether } from '../../words'
import { atHand, bladeComesOut, filmPieces } from '../at-hand'
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
const seenOf = (reader: Reader, s: Saber, r: ControlRow): string =>
  [r.says ?? seenText(reader, s, r.does), ...cuesOf(reader, r)].join('; ')

/** What is seen and heard of a doing on this saber. */
export const seenText = (reader: Reader, s: Saber, does: ControlRow['does']): string =>
  say(reader, 'action.seen', { action: does, blade: whether(bladeComesOut(s)) })

const socketText = (reader: Reader, s: Saber, k: Socket): string => nounText(reader, s, refTo('socket', k.id)) ?? k.name

/** What the client does alone, step by step. */
export function taskTopics({ reader, c, s }: Told): Topic[] {
  // Who reprograms it needs the card more than anything else inside.
  const readers = readersOf(c, s)
  const card = readers.has('reprograms')
  const all = proceduresOf(reader, s)
  const { can, cannot } = atHand(s)
  const shownOf = new Map(filmPieces(s, all).map((p) => [p.task, p.acts]))
  return piecesOf(s, all).map(({ task, acts: whole }) => {
    // What the bench cannot show is said, and how it will be.
    const acts = shownOf.get(task) ?? whole
    const bladed = task === 'bladeIn' || task === 'bladeOut'
    const later = bladed && cannot.length > 0 ? (can.length ? 'others' : cannot[0]!.why) : 'none'
    const shown = acts.find((x) => x.place)?.place
    const told = say(reader, 'topic.task', {
      task,
      steps: inOneBreath(reader, s, acts),
      why: whether(readers.has('beginner')),
    })
    return topic({
      key: `task:${task}`,
      chapter: CHAPTER_OF[task] ?? 'inside',
      what: say(MAKER, 'task', { task }).toLowerCase(),
      say:
        later === 'none'
          ? told
          : say(reader, 'topic.bladeLater', {
              ...{ told, later, steps: inOneBreath(reader, s, acts), out: whether(task === 'bladeOut') },
              ...{
                n: cannot.length,
                sockets: listed(
                  reader,
                  cannot.map((x) => socketText(reader, s, x.socket)),
                ),
              },
            }),
      ...(shown ? { show: shown } : {}),
      ...(shownOf.has(task) ? { task } : {}),
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
        what: r.says ?? seenText(reader, s, r.does),
        ...{ only: only.length ? listed(reader, only) : '', limited: whether(r.presets?.length) },
      }
      const menu = modeById(s, after(s, r))
      const turns = menu && menu.id !== r.mode && menu.by === 'turning' ? menu : undefined
      const more = turns ? ` ${say(reader, 'topic.turnsMenu', { what: turns.chooses ?? 'other' })}` : ''
      const words = (same: 'yes' | 'no') => large(say(reader, 'topic.control', { ...params, same })) + more
      const learnt = EVERYDAY.indexOf(r.does)
      return topic({
        key: `control:${r.id}`,
        chapter: 'controls',
        what: doingOf(MAKER, r),
        say: words('no'),
        again: { mode: r.mode, say: words('yes') },
        show: `input:${r.input}`,
        perform: `row:${r.id}`,
        expect: seenOf(MAKER, s, r),
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
