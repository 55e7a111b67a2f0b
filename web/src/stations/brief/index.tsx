import { lazyView } from '../../base/lazy'
import { Arrivals } from './Arrivals'
import { Client } from './Client'
import { Questions } from './Questions'
import { Requests } from './Requests'

/** What the wishes do not need to be read: it comes right after. */
const Photos = lazyView(() => import('./Photos').then((m) => m.Photos))
const KeptAsideList = lazyView(() => import('./KeptAside').then((m) => m.KeptAsideList))

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
          <Questions />
        </div>
        <KeptAsideList />
      </div>
    </div>
  )
}
