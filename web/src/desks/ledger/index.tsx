import { Decisions } from './Decisions'
import { Log } from './Log'
import { Losses } from './Losses'
import { Parts } from './Parts'
import { People } from './People'
import { Wishes } from './Wishes'

/** How it went: every wish from asking to telling, every part of the client’s, what was spoilt, who worked on it, and the log with its hours. */
export function LedgerDesk() {
  return (
    <div className="space-y-6">
      <Wishes />
      <Parts />
      <div className="grid grid-cols-[minmax(0,3fr)_minmax(0,2fr)] gap-8">
        <div className="space-y-6">
          <Decisions />
          <Log />
        </div>
        <div className="space-y-6">
          <Losses />
          <People />
        </div>
      </div>
    </div>
  )
}
