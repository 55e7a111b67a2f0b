import { SETUPS, type Test } from '@nubrin/core/record'
import { Labelled, SelectCell, setText, TextCell } from '../../kit'
import { useEditThing } from '../../store/commission'
import { Notes } from '../../things/Notes'

const SETUP_WORDS = { any: 'as it is', plug: 'with the plug', blade: 'with the blade', opened: 'opened' }

/** How a test is set up, why it cannot be done here, and what is noted on it. */
export function TestDetails({ test: t }: { test: Test }) {
  const edit = useEditThing('tests')
  const set = (run: (x: Test) => void) => edit('test', t.id, run)
  return (
    <div className="grid grid-cols-[140px_minmax(0,1fr)] gap-x-3 pl-7">
      <Labelled label="tried">
        <SelectCell
          label={`Setup of ${t.what}`}
          value={t.setup ?? 'any'}
          options={SETUPS}
          words={(v) => SETUP_WORDS[v]}
          onCommit={(v) => set((x) => void (v === 'any' ? delete x.setup : (x.setup = v)))}
        />
      </Labelled>
      <Labelled label="not possible here, because">
        <TextCell
          label={`Why ${t.what} is not possible`}
          value={t.notPossible ?? ''}
          onCommit={(v) => set((x) => setText(x, 'notPossible', v))}
        />
      </Labelled>
      <Notes of={t} what={t.what} onEdit={set} />
    </div>
  )
}
