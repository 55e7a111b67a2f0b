import { Before } from './Before'
import { Board } from './Board'
import { Items } from './Items'
import { NotFor } from './NotFor'
import { Ownership } from './Ownership'
import { Provenance } from './Provenance'
import { Sabers } from './Sabers'

/** What a saber is beside its metal and its parts: whose it is, what its board is set to, what goes with it, what it was. */
export function SaberDesk() {
  return (
    <div className="space-y-6">
      <Sabers />
      <div className="grid grid-cols-[minmax(0,2fr)_minmax(0,3fr)] gap-8">
        <Ownership />
        <Board />
      </div>
      <Items />
      <div className="grid grid-cols-3 gap-7">
        <NotFor />
        <Before />
        <Provenance />
      </div>
    </div>
  )
}
