import type { Op } from '@nubrin/core/record/ops'
import type { ReactNode } from 'react'
import { pathText } from '../base/pathText'
import { SignInSheet } from '../door/SignIn'
import { Mark } from '../kit'
import { useBench, useOrder } from '../store/commission'
import { type Conflict, PUT_BACK } from '../store/queue'
import { valueText } from './valueText'

const Bar = ({ children }: { children: ReactNode }) => (
  <div role="alert" className="bg-card border-stop flex flex-wrap items-center gap-3 border-b-2 px-5 py-2">
    <Mark level="stop" />
    {children}
  </div>
)

function deed(op: Op): string {
  if (op.op === 'set') return valueText(op.value)
  if (op.op === 'unset') return 'nothing'
  if (op.op === 'remove') return `taken out: ${valueText(op.item)}`
  return op.op === 'insert' ? `put in: ${valueText(op.item)}` : 'another place'
}

/** Two people changed the same: both values, and a word for each. */
function Decide({ c }: { c: Conflict }) {
  const order = useOrder()
  const settle = useBench((b) => b.settle)
  return (
    <Bar>
      <p className="flex-1">
        <strong>{pathText(order, c.mine.at) || c.label}</strong>: yours is {deed(c.mine)};{' '}
        {c.theirs
          ? c.by === PUT_BACK
            ? `${c.by} has ${deed(c.theirs)}.`
            : `${c.by} saved ${deed(c.theirs)} meanwhile.`
          : 'what it depended on no longer exists.'}
      </p>
      {c.theirs ? (
        <button type="button" className="btn" onClick={() => settle(c.id, 'mine')}>
          Use mine
        </button>
      ) : null}
      <button type="button" className="btn" onClick={() => settle(c.id, 'theirs')}>
        {c.by === PUT_BACK ? 'Keep that' : c.theirs ? 'Keep theirs' : 'Leave it out'}
      </button>
    </Bar>
  )
}

/** What went wrong with saving, and how to mend it. */
export function SaveProblem() {
  const order = useOrder()
  const save = useBench((b) => b.save)
  const conflicts = useBench((b) => b.conflicts)
  const problems = useBench((b) => b.problems)
  const takeBack = useBench((b) => b.takeBack)
  const flush = useBench((b) => b.flush)
  const because = useBench((b) => b.keptBecause)
  return (
    <>
      {save === 'signedOut' ? <SignInSheet done={() => void flush()} /> : null}
      {save === 'kept' && because ? (
        <Bar>
          <p>{because} What you enter is kept in this browser and sent as soon as possible.</p>
        </Bar>
      ) : null}
      {save === 'unkept' ? (
        <Bar>
          <p>
            This browser cannot keep anything (its storage is full or blocked). Stay on this page until it says “saved”.
          </p>
        </Bar>
      ) : null}
      {save === 'refused' ? (
        <Bar>
          <p className="flex-1">
            Not saved:{' '}
            {problems
              .slice(0, 3)
              .map((p) => `${pathText(order, p.path)} ${p.message}${p.got ? ` (${p.got})` : ''}`)
              .join('; ')}
            . Correct it, or undo it.
          </p>
          <button type="button" className="btn" onClick={takeBack}>
            Undo it
          </button>
        </Bar>
      ) : null}
      {conflicts.slice(0, 3).map((c) => (
        <Decide key={c.id} c={c} />
      ))}
      {conflicts.length > 3 ? (
        <Bar>
          <p>{`and ${conflicts.length - 3} more to decide.`}</p>
        </Bar>
      ) : null}
    </>
  )
}
