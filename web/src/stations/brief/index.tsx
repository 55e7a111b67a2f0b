import { later } from '../../later'
import { Arrivals } from './Arrivals'
import { Client } from './Client'
import { KeptAsideList } from './KeptAside'
import { Photos } from './Photos'
import { Questions } from './Questions'
import { Requests } from './Requests'

/** The shop's own log; it brings nothing that the client's wishes need. */
const Log = later(() => import('./Log').then((m) => m.Log))

/** What the client wishes, what they sent, and what has to be asked. */
export default function Brief() {
  return (
    <div className="grid grid-cols-[270px_minmax(0,1fr)] gap-x-8 gap-y-4">
      <div className="space-y-3">
        <Client />
        <Photos />
      </div>
      <div className="min-w-0 space-y-5">
        <Requests />
        <div className="grid grid-cols-2 gap-7">
          <Arrivals />
          <div className="space-y-5">
            <Questions />
            <Log />
          </div>
        </div>
        <KeptAsideList />
      </div>
    </div>
  )
}
