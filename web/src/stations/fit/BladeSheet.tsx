import { BLADE_KINDS, BLADE_USES, Blade, type Saber } from '@nubrin/core/record'
import { bound, CheckBox, ColourFactField, FactField, Labelled, RemoveButton, SelectCell, TextCell } from '../../kit'
import { DiesCell } from '../../shared/Dies'
import { Notes } from '../../shared/Notes'
import { SuppliedCell } from '../../shared/Supplied'
import { ToDosOf } from '../../shared/ToDos'
import { useEditThing, useRemove } from '../../store/commission'
import { AdapterFields } from './AdapterFields'
import { BladeFields } from './BladeFields'
import { DuelNote } from './DuelNote'
import { SocketFit } from './SocketFit'

/** One blade in full: what it is, its figures, how it sits, what is left to do on it, whether it may be struck. */
export function BladeSheet({ saber, blade: b }: { saber: Saber; blade: Blade }) {
  const edit = useEditThing('blades')
  const remove = useRemove()
  const set = (run: (x: Blade) => void) => edit('blade', b.id, run)
  const { choice, given, text, tick } = bound(b, set)
  return (
    <section aria-label={`Blade ${b.name}`}>
      <div className="flex items-center gap-2">
        <TextCell
          label="Blade name"
          className="font-semibold"
          value={b.name}
          onCommit={(v) => set((x) => void (x.name = v || x.name))}
        />
        <RemoveButton what={b.name} onClick={() => remove(`blade:${b.id}`)} />
      </div>
      <div className="grid grid-cols-5 gap-x-3 gap-y-0.5">
        <SelectCell
          title="this one"
          label="Use of the blade"
          options={BLADE_USES}
          words={(u) => ({ ship: 'ships', demo: 'is the bench’s', toBuy: 'client buys it' })[u]}
          {...choice('use')}
        />
        <SelectCell
          title="kind"
          label="Kind of blade"
          options={BLADE_KINDS}
          words={(v) => ({ pixel: 'pixel', string: 'string', inHilt: 'hollow tube', plug: 'plug' })[v]}
          {...choice('kind')}
        />
        <SelectCell
          title="socket"
          label="Socket of the blade"
          options={saber.hilt.sockets.map((q) => q.id)}
          words={(v) => saber.hilt.sockets.find((q) => q.id === v)?.name ?? '?'}
          {...choice('socket')}
        />
        <TextCell title="tip" label="Tip" {...text('tip')} />
        <TextCell title="diffusion" label="Diffusion" {...text('diffusion')} />
        <FactField label="spread of an LED" of={Blade.properties.spreads} {...given('spreads')} />
        <Labelled label="tint of the tube">
          <ColourFactField label="Tint of the tube" className="h-7 w-12" {...given('tint')} />
        </Labelled>
        <DiesCell of={b} what={b.name} onEdit={set} />
        <CheckBox className="self-end pb-1" {...tick('litTip')}>
          the tip is lit
        </CheckBox>
        <BladeFields saber={saber} blade={b} onEdit={set} />
        {b.kind === 'plug' && !b.adapter ? null : <AdapterFields saber={saber} blade={b} onEdit={set} />}
        <Labelled label="comes from">
          <SuppliedCell of={b} what={b.name} onEdit={set} />
        </Labelled>
        <Notes of={b} what={b.name} onEdit={set} />
      </div>
      <div className="mt-2 grid grid-cols-2 gap-5">
        <SocketFit saber={saber} blade={b} />
        <div>
          <p className="font-semibold">Left to do on it</p>
          <ToDosOf about={`blade:${b.id}`} label="drill the tip, roll in the film…" />
          <DuelNote saber={saber} blade={b} />
        </div>
      </div>
    </section>
  )
}
