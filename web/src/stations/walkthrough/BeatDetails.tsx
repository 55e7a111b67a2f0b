import { modeName } from '@nubrin/core/controls'
import { type Beat, type Saber, THINGS } from '@nubrin/core/record'
import { say } from '@nubrin/core/words'
import { CountCell, GroupedSelect, Labelled, RefPicker, setText, TextCell } from '../../kit'
import { useLight } from '../../store/commission'

/** What a beat shows, does, expects and performs. */
export function BeatDetails({
  saber,
  beat: b,
  n,
  onEdit,
}: {
  saber: Saber
  beat: Beat
  n: number
  onEdit: (run: (x: Beat) => void) => void
}) {
  const light = useLight()
  const performs = [
    { title: '', choices: [{ value: '', words: 'nothing' }] },
    {
      title: THINGS.task[1],
      choices: saber.access.map((p) => ({ value: `task:${p.id}`, words: say('task', { task: p.task }) })),
    },
    {
      title: THINGS.row[1],
      choices: saber.controls.map((r) => ({
        value: `row:${r.id}`,
        words: `${modeName(saber, r.mode)}: ${r.says ?? say('action', { action: r.does })}`,
      })),
    },
  ]
  return (
    <div className="grid grid-cols-[1fr_1fr_1fr_1fr_70px] gap-3 pl-8">
      <Labelled label="show">
        <RefPicker
          label={`Show, beat ${n}`}
          saber={saber}
          value={b.show}
          onCommit={(v) => {
            onEdit((x) => setText(x, 'show', v ?? ''))
            light(v)
          }}
        />
      </Labelled>
      <Labelled label="do">
        <TextCell
          label={`Do, beat ${n}`}
          value={b.doText ?? ''}
          onCommit={(v) => onEdit((x) => setText(x, 'doText', v))}
        />
      </Labelled>
      <Labelled label="expect">
        <TextCell
          label={`Expect, beat ${n}`}
          value={b.expect ?? ''}
          onCommit={(v) => onEdit((x) => setText(x, 'expect', v))}
        />
      </Labelled>
      <Labelled label="performs">
        <GroupedSelect
          label={`Performs, beat ${n}`}
          value={b.perform ?? ''}
          groups={performs.filter((g) => g.choices.length)}
          onCommit={(v) => onEdit((x) => setText(x, 'perform', v))}
        />
      </Labelled>
      <Labelled label="how often">
        <CountCell
          label={`How often, beat ${n}`}
          value={b.times ?? 1}
          max={60}
          onCommit={(v) => onEdit((x) => void (v > 1 ? (x.times = v) : delete x.times))}
        />
      </Labelled>
    </div>
  )
}
