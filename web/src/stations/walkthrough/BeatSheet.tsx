import { modeName } from '@nubrin/core/controls'
import { type Beat, type Commission, LEFT_TO, type Saber, THINGS } from '@nubrin/core/record'
import { composedWords, firstSentenceEnd, guessSeconds, merged, type Stray, splitAt } from '@nubrin/core/script'
import { MAKER } from '@nubrin/core/units'
import { say } from '@nubrin/core/words'
import { useState } from 'react'
import { LANGUAGE_NAME } from '../../base/names'
import { freshId } from '../../data'
import { CountCell, GroupedSelect, Labelled, RefPicker, SelectCell, setText, TextCell } from '../../kit'
import { useEditSaber, useEditThing, useLight } from '../../store/commission'
import { SayField } from './SayField'

const LEFT_WORDS = { paper: 'left to paper', picture: 'shown on a picture' } as const

/** One beat, open: its words with facts in them, what it shows, does, expects and performs; cut in two, put to the next, or left to paper. */
export function BeatSheet({
  order,
  saber,
  beat: b,
  n,
  stray,
  onOpen,
}: {
  order: Commission
  saber: Saber
  beat: Beat
  n: number
  stray: Stray | undefined
  onOpen: (id: string) => void
}) {
  const light = useLight()
  const edit = useEditThing('beats')
  const editSaber = useEditSaber()
  const [caret, setCaret] = useState(0)
  const set = (run: (x: Beat) => void) =>
    edit('beat', b.id, (x) => {
      run(x)
      if (x.by === 'composed') x.by = 'edited'
    })
  const next = saber.beats[n]
  const joined = next && merged(b, next)
  const split = () => {
    const inside = caret > 0 && caret < b.say.length
    const two = splitAt(b, inside ? caret : firstSentenceEnd(b.say), freshId(), guessSeconds)
    if (two) editSaber('split a beat', (s) => void s.beats.splice(n - 1, 1, ...two))
  }
  const moveTo = (after: string) =>
    editSaber('move a beat', (s, d) => {
      const [moved] = s.beats.splice(n - 1, 1)
      s.beats.splice(s.beats.findIndex((x) => x.id === after) + 1, 0, moved!)
      s.beats = composedWords(d, s)
    })
  const nth = stray && saber.beats.findIndex((x) => x.id === stray.after) + 1
  const performs = [
    { title: '', choices: [{ value: '', words: 'nothing' }] },
    {
      title: THINGS.task[1],
      choices: saber.access.map((p) => ({ value: `task:${p.id}`, words: say(MAKER, 'task', { task: p.task }) })),
    },
    {
      title: THINGS.row[1],
      choices: saber.controls.map((r) => ({
        value: `row:${r.id}`,
        words: `${modeName(saber, r.mode)}: ${r.says ?? say(MAKER, 'action', { action: r.does })}`,
      })),
    },
  ]
  return (
    <div className="pb-2 pl-9">
      <SayField
        saber={saber}
        label={`Say, beat ${n}`}
        value={b.say}
        onCaret={setCaret}
        onCommit={(v) =>
          set((x) => {
            x.say = v
            x.seconds = guessSeconds(v)
          })
        }
      />
      <div className="mt-1 grid grid-cols-3 gap-x-3 gap-y-1">
        <Labelled label="show">
          <RefPicker
            label={`Show, beat ${n}`}
            saber={saber}
            value={b.show}
            onCommit={(v) => {
              set((x) => setText(x, 'show', v ?? ''))
              light(v)
            }}
          />
        </Labelled>
        <Labelled label="do">
          <TextCell
            label={`Do, beat ${n}`}
            value={b.doText ?? ''}
            onCommit={(v) => set((x) => setText(x, 'doText', v))}
          />
        </Labelled>
        <Labelled label="expect">
          <TextCell
            label={`Expect, beat ${n}`}
            value={b.expect ?? ''}
            onCommit={(v) => set((x) => setText(x, 'expect', v))}
          />
        </Labelled>
        <Labelled label="performs">
          <GroupedSelect
            label={`Performs, beat ${n}`}
            value={b.perform ?? ''}
            groups={performs.filter((g) => g.choices.length)}
            onCommit={(v) => set((x) => setText(x, 'perform', v))}
          />
        </Labelled>
        <div className="flex gap-3">
          <Labelled label="how often" className="w-20">
            <CountCell
              label={`How often, beat ${n}`}
              value={b.times ?? 1}
              max={60}
              onCommit={(v) => set((x) => void (v > 1 ? (x.times = v) : delete x.times))}
            />
          </Labelled>
          <Labelled label="seconds" className="w-20">
            <CountCell
              label={`Seconds, beat ${n}`}
              value={Math.round(b.seconds)}
              max={600}
              onCommit={(v) => edit('seconds of a beat', b.id, (x) => void (x.seconds = v))}
            />
          </Labelled>
        </div>
        <Labelled label="it is">
          <SelectCell
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
        </Labelled>
      </div>
      <div className="mt-2 flex flex-wrap gap-2">
        <button type="button" className="btn" onClick={split}>
          split {caret > 0 && caret < b.say.length ? 'here' : 'behind its first sentence'}
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
          <button
            type="button"
            className="btn"
            onClick={() =>
              editSaber('words as composed', (s, d) => {
                const x = s.beats.find((y) => y.id === b.id)!
                x.by = 'composed'
                s.beats = composedWords(d, s)
              })
            }
          >
            its composed words
          </button>
        ) : null}
        {stray && nth ? (
          <button type="button" className="btn border-brass! text-brass" onClick={() => moveTo(stray.after)}>
            it stands far from its kind: move behind {nth}
          </button>
        ) : null}
        {next ? (
          <button type="button" className="btn-plain btn ml-auto" onClick={() => onOpen(next.id)}>
            next beat
          </button>
        ) : null}
      </div>
      {order.client.language && order.client.language !== 'en' ? (
        <p className="text-quiet mt-1">Spoken in {LANGUAGE_NAME[order.client.language]}.</p>
      ) : null}
    </div>
  )
}
