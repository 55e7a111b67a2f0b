import { useEffect } from 'react'
import { Link } from 'react-router'
import { useSession } from '../store/session'
import { Account } from './Account'
import { Archive } from './Archive'
import { Hours } from './Hours'
import { People } from './People'
import { Sessions } from './Sessions'
import { Settings } from './Settings'
import { Upkeep } from './Upkeep'

/** The shop itself: what it says of itself, who works here, where they are signed in, how it is kept. */
export default function Shop() {
  const person = useSession((s) => s.person)
  const owner = person?.role === 'owner'
  useEffect(() => {
    document.title = 'The shop · Nubrin'
  }, [])
  return (
    <div className="min-h-screen">
      <header className="border-rule flex h-[53px] items-center gap-4 border-b px-5">
        <Link to="/" className="btn">
          the rack
        </Link>
        <h1 className="text-[1.4rem]">The shop</h1>
        <p className="text-quiet truncate">{person?.shop}</p>
      </header>
      <main className="grid grid-cols-1 gap-x-10 gap-y-7 px-5 py-5 min-[1000px]:grid-cols-2">
        <div className="space-y-7">
          <Settings mayChange={owner} />
          <Hours />
          <Upkeep />
          <Archive />
        </div>
        <div className="space-y-7">
          {owner ? <People /> : null}
          <Account />
          <Sessions />
        </div>
      </main>
    </div>
  )
}
