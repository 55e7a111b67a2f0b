import { DIRECTIONS, type Saber, type Step, type Task } from '@nubrin/core/record'
import { later } from '../../base/later'
import { bound, CheckBox, NumberCell, RefPicker, RemoveButton, SelectCell, setText, TextCell } from '../../kit'
import { useEditSaber, useLight, useRemove } from '../../store/commission'

const TURN: Record<(typeof DIRECTIONS)[number], string> = {
  clockwise: '↻ clockwise',
  anticlockwise: '↺ anticlockwise',
  pull: '← pull',
  push: '→ push',
  lift: '↑ lift',
  slide: '↔ slide',
  none: '–',
}

/** It brings a calendar, which few steps need. */
const Consent = later(() => import('./Consent').then((m) => m.Consent))

/** One step: what to do, where, which way, with what, and what to mind. */
export function StepRow({ saber, task, step: s, n }: { saber: Saber; task: Task; step: Step; n: number }) {
  const editSaber = useEditSaber()
  const light = useLight()
  const remove = useRemove()
  const set = (run: (x: Step) => void) =>
    editSaber('step', (d) => {
      const x = d.access.find((p) => p.task === task)?.steps.find((y) => y.id === s.id)
      if (x) run(x)
    })
  const { choice, text } = bound(s, set)
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: focusing any field inside lights the place
    <div className="py-1" onFocus={() => light(s.place)}>
      <div className="flex items-center gap-2">
        <span className="text-brass w-5 text-right font-semibold">{n}</span>
        <TextCell
          label={`Step ${n}`}
          className="text-[1.05rem] font-medium"
          value={s.text}
          onCommit={(v) =>
            set((x) => {
              if (!v || v === x.text) return
              x.text = v
              if (x.act) x.ownWords = true
            })
          }
        />
        <RemoveButton what={`step ${n}`} onClick={() => remove(`step:${s.id}`)} />
      </div>
      <div className="grid grid-cols-[150px_132px_56px_1fr_1fr_auto] gap-2 pl-7">
        <RefPicker
          label={`Place of step ${n}`}
          saber={saber}
          value={s.place}
          onCommit={(v) => set((x) => setText(x, 'place', v ?? ''))}
        />
        <SelectCell
          label={`Direction of step ${n}`}
          options={DIRECTIONS}
          words={(d) => TURN[d]}
          {...choice('direction')}
        />
        {s.direction.endsWith('clockwise') ? (
          <NumberCell
            label={`Turns of step ${n}`}
            placeholder="turns"
            max={99}
            value={s.turns}
            onCommit={(v) => set((x) => void (v === undefined ? delete x.turns : (x.turns = v)))}
          />
        ) : (
          <span />
        )}
        <TextCell label={`Tool of step ${n}`} placeholder="tool" {...text('tool')} />
        <TextCell label={`Caution of step ${n}`} placeholder="caution" className="text-brass" {...text('caution')} />
        <CheckBox
          className="label"
          checked={!!s.irreversible}
          onChange={(on) =>
            set((x) => {
              if (on) x.irreversible = true
              else {
                delete x.irreversible
                delete x.consent
              }
            })
          }
        >
          cannot be undone
        </CheckBox>
      </div>
      {s.irreversible ? <Consent step={s} n={n} onEdit={set} /> : null}
    </div>
  )
}
