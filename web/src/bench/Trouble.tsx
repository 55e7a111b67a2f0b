import type { ReactNode } from 'react'
import { Mark } from '../kit'
import { pathText } from '../pathText'
import { useBench, useOrder } from '../store/commission'

const Bar = ({ children }: { children: ReactNode }) => (
  <div role="alert" className="bg-card border-stop flex flex-wrap items-center gap-3 border-b-2 px-5 py-2">
    <Mark level="stop" />
    {children}
  </div>
)

/** What went wrong with saving, and how to mend it. */
export function Trouble() {
  const order = useOrder()
  const save = useBench((b) => b.save)
  const conflict = useBench((b) => b.conflict)
  const problems = useBench((b) => b.problems)
  const settle = useBench((b) => b.settleConflict)
  const undo = useBench((b) => b.undoLast)
  if (save === 'conflict' && conflict)
    return (
      <Bar>
        <p className="flex-1">
          {conflict.by} saved this commission meanwhile and changed{' '}
          {conflict.paths.map((p) => pathText(order, p)).join(', ') || 'it'}, as you did. Yours is kept here.
        </p>
        <button type="button" className="btn" onClick={() => void settle('mine')}>
          Put mine on top of theirs
        </button>
        <button type="button" className="btn" onClick={() => void settle('theirs')}>
          Take theirs
        </button>
      </Bar>
    )
  if (save !== 'refused') return null
  return (
    <Bar>
      <p className="flex-1">
        Not saved:{' '}
        {problems
          .slice(0, 3)
          .map((p) => `${pathText(order, p.path)} ${p.message}${p.got ? ` (${p.got})` : ''}`)
          .join('; ')}
      </p>
      <button type="button" className="btn" onClick={undo}>
        Undo the last change
      </button>
    </Bar>
  )
}
