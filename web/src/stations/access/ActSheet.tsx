import { moved, type Possible, procedureIn, saysNothing, stepFor, type ToldAct } from '@nubrin/core/access'
import type { Act, Saber, Step } from '@nubrin/core/record'
import { lazyView } from '../../base/lazy'
import { freshId } from '../../data'
import { bound, CheckBox, NumberCell, RefPicker, SelectCell, setText, TextCell } from '../../kit'
import { useEditSaber, useRemove } from '../../store/commission'

/** It brings a calendar, which few acts need. */
const Consent = lazyView(() => import('./Consent').then((m) => m.Consent))

/** What the maker says of the act in hand: his words, tool, what to mind, how one knows that it worked; blank stands for what is drafted. */
export function ActSheet({ saber, told: p, act, n }: { saber: Saber; told: Possible; act: ToldAct; n: number }) {
  const editSaber = useEditSaber()
  const remove = useRemove()
  const said: Partial<Step> = saber.access.flatMap((x) => x.steps).find((x) => x.id === act.step) ?? {}
  const set = (run: (x: Step) => void) =>
    editSaber('act', (s) => {
      const proc = procedureIn(s, p, freshId)
      const x = stepFor(proc, p, act.key, freshId)
      run(x)
      if (x.act && saysNothing(x)) proc.steps = proc.steps.filter((y) => y !== x)
    })
  const { text } = bound(said as Step, set)
  const own = act.key.startsWith('step:')
  const move = (by: -1 | 1) =>
    editSaber('order of acts', (s) => moved(procedureIn(s, p, freshId), p, act.key, by, freshId))
  return (
    <fieldset className="space-y-1 py-1.5 pr-2 pl-9" aria-label={`What is said of act ${n}`}>
      <TextCell
        title="in your words"
        label={`Words of act ${n}`}
        placeholder={act.text}
        value={said.text ?? ''}
        onCommit={(v) => set((x) => setText(x, 'text', v))}
      />
      <div className="grid grid-cols-2 gap-2">
        <TextCell title="tool" label={`Tool of act ${n}`} placeholder={act.tool ?? ''} {...text('tool')} />
        <TextCell
          title="caution"
          label={`Caution of act ${n}`}
          placeholder={act.caution ?? ''}
          className="text-brass"
          {...text('caution')}
        />
        <TextCell
          title="how to tell it worked"
          label={`Sign of act ${n}`}
          placeholder={act.cue ?? ''}
          {...text('cue')}
        />
        <TextCell title="recognised by" label={`Landmark of act ${n}`} {...text('landmark')} />
        {act.direction.endsWith('clockwise') ? (
          <NumberCell
            title="turns"
            label={`Turns of act ${n}`}
            max={99}
            value={said.turns}
            onCommit={(v) => set((x) => void (v === undefined ? delete x.turns : (x.turns = v)))}
          />
        ) : null}
        {own ? (
          <RefPicker
            title="where"
            label={`Place of act ${n}`}
            saber={saber}
            value={said.place}
            onCommit={(v) => set((x) => setText(x, 'place', v ?? ''))}
          />
        ) : null}
        {own ? <Changes saber={saber} said={said} n={n} onSet={set} /> : null}
      </div>
      <div className="flex flex-wrap items-center gap-3">
        <CheckBox
          className="label"
          checked={!!said.irreversible}
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
        <span className="ml-auto flex gap-2">
          <button type="button" className="btn" aria-label={`act ${n} earlier`} onClick={() => move(-1)}>
            ↑ earlier
          </button>
          <button type="button" className="btn" aria-label={`act ${n} later`} onClick={() => move(1)}>
            ↓ later
          </button>
          {said.id ? (
            <button type="button" className="btn" onClick={() => remove(`step:${said.id}`)}>
              {own ? 'remove this act' : 'as it is drafted'}
            </button>
          ) : null}
        </span>
      </div>
      {said.irreversible ? <Consent step={said as Step} n={n} onEdit={set} /> : null}
    </fieldset>
  )
}

const CHANGES = { nothing: 'changes nothing', takeOff: 'takes off', putOn: 'puts on' } as const
type Change = keyof typeof CHANGES

/** What an act of one's own changes: something comes off by it, or is put on; the machine carries it out with the others. */
function Changes({
  saber,
  said,
  n,
  onSet,
}: {
  saber: Saber
  said: Partial<Step>
  n: number
  onSet: (run: (x: Step) => void) => void
}) {
  const [does] = said.does ?? []
  const is: Change = does?.do === 'takeOff' || does?.do === 'putOn' ? does.do : 'nothing'
  const put = (act: Act | undefined) =>
    onSet((x) => {
      if (act) x.does = [act]
      else delete x.does
    })
  return (
    <>
      <SelectCell<Change>
        title="what it changes"
        label={`What act ${n} changes`}
        value={is}
        options={['nothing', 'takeOff', 'putOn']}
        words={(v) => CHANGES[v]}
        onCommit={(v) =>
          put(v === 'nothing' ? undefined : { do: v, at: does?.at ?? `section:${saber.hilt.sections[0]?.id}` })
        }
      />
      {does ? (
        <RefPicker
          title="of what"
          label={`Of what act ${n} changes it`}
          saber={saber}
          value={does.at}
          kinds={['section', 'part', 'blade']}
          onCommit={(v) => put(v ? { do: does.do, at: v as Act['at'] } : undefined)}
        />
      ) : null}
    </>
  )
}
