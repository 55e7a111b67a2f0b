import { isObject, nameOfThing, SABER_PLAN, type Saber, walk } from '../../../record'
import type { Reader } from '../../../units'
import { say } from '../../../words'
import { type SaberChapter, table } from '../../block'

/** What the maker wanted to say of single things: every note for the client, wherever it hangs. */
export const notes: SaberChapter = (reader, s) => {
  const head = (column: 'of' | 'note') => say(reader, 'chapter.notes.head', { column })
  return {
    id: 'notes',
    title: say(reader, 'chapter.notes'),
    blocks: table([head('of'), head('note')], notesOf(reader, s)),
  }
}

function notesOf(reader: Reader, s: Saber): string[][] {
  const out: string[][] = []
  const note = (name: string, value: unknown) => {
    if (isObject(value) && typeof value.note === 'string' && value.note) out.push([name, value.note])
  }
  walk(SABER_PLAN, s, (plan, _value, at) => {
    const own = at.within.at(-1)
    if (!plan.kind || !own || own.kind === 'saber') return
    const name =
      own.kind === 'setting'
        ? say(reader, 'sense', { sense: String(own.value.sense) })
        : nameOfThing(own.kind, own.value)
    note(name, own.value)
    // A joint has no name of its own: it is that of its section.
    if (own.kind === 'section') note(say(reader, 'note.joint', { section: name }), own.value.joint)
  })
  return out
}
