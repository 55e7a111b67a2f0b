import { Compared } from './Compared'
import { Replies } from './Replies'
import { Visits } from './Visits'

/** What comes after it was handed over: what the client says back, a saber that returns, and what a later record says otherwise. */
export function Afterwards() {
  return (
    <div className="grid grid-cols-2 gap-8">
      <div className="space-y-5">
        <Replies />
        <Compared />
      </div>
      <Visits />
    </div>
  )
}
