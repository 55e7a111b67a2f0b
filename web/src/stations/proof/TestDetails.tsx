import { SETUPS, type Test } from '@nubrin/core/record'
import { todayIso } from '../../data'
import { bound, Labelled, NumberCell, SelectCell, TextCell } from '../../kit'
import { Notes } from '../../shared/Notes'
import { useEditThing } from '../../store/commission'
import { useSession } from '../../store/session'
import { SETUP_WORDS } from './setups'

/** How a test is set up, why it cannot be done here, and what is noted on it. */
export function TestDetails({ test: t }: { test: Test }) {
  const edit = useEditThing('tests')
  const by = useSession((s) => s.person?.name ?? 'the shop')
  const set = (run: (x: Test) => void) => edit('test', t.id, run)
  const { text } = bound(t, set)
  return (
    <div className="grid grid-cols-[140px_minmax(0,1fr)] gap-x-3 pl-7">
      <TextCell title="unit" label={`Unit of ${t.what}`} placeholder="none: in words" {...text('unit')} />
      <div className="grid grid-cols-[110px_110px_minmax(0,1fr)] gap-3">
        {(['min', 'max'] as const).map((k) => (
          <Labelled key={k} label={k === 'min' ? 'at least' : 'at most'}>
            <NumberCell
              label={`${k === 'min' ? 'Least' : 'Most'} of ${t.what}`}
              max={1e6}
              value={t[k]}
              onCommit={(v) => set((x) => void (v === undefined ? delete x[k] : (x[k] = v)))}
            />
          </Labelled>
        ))}
        <TextCell title="or as it should be, in words" label={`What is expected of ${t.what}`} {...text('expect')} />
      </div>
      {t.key.startsWith('own-') ? (
        <>
          <span />
          <TextCell
            title="what is tested"
            label={`Words of ${t.what}`}
            value={t.what}
            onCommit={(v) => set((x) => void (x.what = v || x.what))}
          />
        </>
      ) : null}
      <SelectCell
        title="tried"
        label={`Setup of ${t.what}`}
        value={t.setup ?? 'any'}
        options={SETUPS}
        words={(v) => SETUP_WORDS[v]}
        onCommit={(v) => set((x) => void (v === 'any' ? delete x.setup : (x.setup = v)))}
      />
      <TextCell title="not possible here, because" label={`Why ${t.what} is not possible`} {...text('notPossible')} />
      <span />
      <TextCell
        title="left out by choice, because (printed)"
        label={`Why ${t.what} is left out`}
        value={t.waived?.why ?? ''}
        onCommit={(why) => set((x) => void (why ? (x.waived = { who: by, on: todayIso(), why }) : delete x.waived))}
      />
      <Notes of={t} what={t.what} onEdit={set} />
    </div>
  )
}
