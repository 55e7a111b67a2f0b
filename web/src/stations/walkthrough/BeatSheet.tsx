import { proceduresOf } from '@nubrin/core/access'
import { modeName } from '@nubrin/core/controls'
import { type Beat, type Commission, LEFT_TO, type Saber, type Task, THINGS } from '@nubrin/core/record'
import {
  composedWords,
  filmPieces,
  firstSentenceEnd,
  guessSeconds,
  merged,
  type Stray,
  splitAt,
} from '@nubrin/core/script'
import { LANGUAGE_NAME, MAKER } from '@nubrin/core/units'
import { say } from '@nubrin/core/words'
import { useState } from 'react'
import { freshId } from '../../data'
import { bound, CountCell, GroupedSelect, RefPicker, SelectCell, TextCell } from '../../kit'
import { useEditSaber, useEditThing, useLight } from '../../store/commission'
import { SayField } from './SayField'

const LEFT_WORDS = { paper: 'left to paper', picture: 'shown on a picture' } as const

interface Open {
  saber: Saber
  beat: Beat
  /** Its place in the script, from 1. */
  n: number
}

/** One beat, open: its words with facts in them, what it shows, does, expects and performs; cut in two, put to the next, or left to paper. */
export function BeatSheet({
  order,
  stray,
  onOpen,
  ...open
}: Open & { order: Commission; stray: Stray | undefined; onOpen: (id: string) => void }) {
  const { saber, beat, n } = open
  const [caret, setCaret] = useState(0)
  const set = useSetBeat(beat)
  return (
    <div className="pb-2 pl-9">
      <SayField
        saber={saber}
        label={`Say, beat ${n}`}
        value={beat.say}
        onCaret={setCaret}
        onCommit={(v) =>
          set((x) => {
            x.say = v
            x.seconds = guessSeconds(v)
          })
        }
      />
      <Fields {...open} />
      <Acts {...open} caret={caret} stray={stray} onOpen={onOpen} />
      {order.client.language && order.client.language !== 'en' ? (
        <p className="text-quiet mt-1">Spoken in {LANGUAGE_NAME[order.client.language]}.</p>
      ) : null}
    </div>
  )
}

/** An edit of a beat; a composed one is the maker's from then on. */
function useSetBeat(b: Beat) {
  const edit = useEditThing('beats')
  return (run: (x: Beat) => void) =>
    edit('beat', b.id, (x) => {
      run(x)
      if (x.by === 'composed') x.by = 'edited'
    })
}

/** What a beat can perform: nothing, a task, or a control. */
const performsOf = (saber: Saber) =>
  [
    { title: '', choices: [{ value: '', words: 'nothing' }] },
    {
      title: THINGS.task[1],
      choices: filmPieces(saber, proceduresOf(MAKER, saber)).map(({ task }) => ({
        value: task as string,
        words: say(MAKER, 'task', { task }),
      })),
    },
    {
      title: THINGS.row[1],
      choices: saber.controls.map((r) => ({
        value: `row:${r.id}`,
        words: `${modeName(saber, r.mode)}: ${r.says ?? say(MAKER, 'action', { action: r.does })}`,
      })),
    },
  ].filter((g) => g.choices.length)

/** What is shown, done, expected and performed while it is said, how long it takes, and whether it is said at all. */
function Fields({ saber, beat: b, n }: Open) {
  const light = useLight()
  const edit = useEditThing('beats')
  const editSaber = useEditSaber()
  const setBeat = useSetBeat(b)
  const { text, put } = bound(b, setBeat)
  const performs = (v: string) =>
    setBeat((x) => {
      delete x.perform
      delete x.task
      if (v.startsWith('row:')) x.perform = v as `row:${string}`
      else if (v) x.task = v as Task
    })
  return (
    <div className="mt-1 grid grid-cols-3 gap-x-3 gap-y-1">
      <RefPicker
        title="show"
        label={`Show, beat ${n}`}
        saber={saber}
        value={b.show}
        onCommit={(v) => {
          put('show', v)
          light(v)
        }}
      />
      <TextCell title="do" label={`Do, beat ${n}`} {...text('doText')} />
      <TextCell title="expect" label={`Expect, beat ${n}`} {...text('expect')} />
      <GroupedSelect
        title="performs"
        label={`Performs, beat ${n}`}
        groups={performsOf(saber)}
        value={b.perform ?? b.task ?? ''}
        onCommit={performs}
      />
      <div className="flex gap-3">
        <CountCell
          title="how often"
          span="w-20"
          label={`How often, beat ${n}`}
          value={b.times ?? 1}
          max={60}
          onCommit={(v) => put('times', v > 1 ? v : undefined)}
        />
        <CountCell
          title="seconds"
          span="w-20"
          label={`Seconds, beat ${n}`}
          value={Math.round(b.seconds)}
          max={600}
          onCommit={(v) => edit('seconds of a beat', b.id, (x) => void (x.seconds = v))}
        />
      </div>
      <SelectCell
        title="told"
        label={`Left to, beat ${n}`}
        value={b.leftTo ?? 'spoken'}
        options={['spoken', ...LEFT_TO] as const}
        words={(v) => (v === 'spoken' ? 'spoken' : LEFT_WORDS[v])}
        onCommit={(v) =>
          editSaber('left to paper', (s, d) => {
            const x = s.beats.find((y) => y.id === b.id)!
            if (v === 'spoken') delete x.leftTo
            else x.leftTo = v
            s.beats = composedWords(d, s)
          })
        }
      />
    </div>
  )
}

/** What can be done with it as a whole: split, joined, put back as it was composed, moved to its kind. */
function Acts({
  saber,
  beat: b,
  n,
  caret,
  stray,
  onOpen,
}: Open & { caret: number; stray: Stray | undefined; onOpen: (id: string) => void }) {
  const editSaber = useEditSaber()
  const next = saber.beats[n]
  const joined = next && merged(b, next)
  const inside = caret > 0 && caret < b.say.length
  const nth = stray && saber.beats.findIndex((x) => x.id === stray.after) + 1
  const split = () => {
    const two = splitAt(b, inside ? caret : firstSentenceEnd(b.say), freshId(), guessSeconds)
    if (two) editSaber('split a beat', (s) => void s.beats.splice(n - 1, 1, ...two))
  }
  const composed = () =>
    editSaber('words as composed', (s, d) => {
      s.beats.find((y) => y.id === b.id)!.by = 'composed'
      s.beats = composedWords(d, s)
    })
  const moveTo = (after: string) =>
    editSaber('move a beat', (s, d) => {
      const [moved] = s.beats.splice(n - 1, 1)
      s.beats.splice(s.beats.findIndex((x) => x.id === after) + 1, 0, moved!)
      s.beats = composedWords(d, s)
    })
  return (
    <div className="mt-2 flex flex-wrap gap-2">
      <button type="button" className="btn" onClick={split}>
        split {inside ? 'here' : 'after its first sentence'}
      </button>
      {joined ? (
        <button
          type="button"
          className="btn"
          onClick={() => editSaber('join two beats', (s) => void s.beats.splice(n - 1, 2, joined))}
        >
          join with {n + 1}
        </button>
      ) : null}
      {b.by === 'edited' && b.covers.length ? (
        <button type="button" className="btn" onClick={composed}>
          its composed words
        </button>
      ) : null}
      {stray && nth ? (
        <button type="button" className="btn border-brass! text-brass" onClick={() => moveTo(stray.after)}>
          out of place: move after {nth}
        </button>
      ) : null}
      {next ? (
        <button type="button" className="btn-plain btn ml-auto" onClick={() => onOpen(next.id)}>
          next beat
        </button>
      ) : null}
    </div>
  )
}
