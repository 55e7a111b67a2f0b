import { Socket } from '@nubrin/core/record'
import { bound, FactField, SelectCell } from '../../kit'
import { Notes } from '../../shared/Notes'
import { useEditHilt, useRemove } from '../../store/commission'
import { Sheet } from './Sheet'

export function SocketSheet({ socket: x }: { socket: Socket }) {
  const edit = useEditHilt('sockets')
  const remove = useRemove()
  const set = (run: (y: Socket) => void) => edit('socket', x.id, run)
  const { choice, given } = bound(x, set)
  return (
    <Sheet
      what="Socket"
      name={x.name}
      onName={(v) => set((y) => void (y.name = v))}
      onRemove={() => remove(`socket:${x.id}`)}
    >
      <div className="grid grid-cols-2 gap-2">
        <FactField label="socket bore" kind="bore" of={Socket.properties.bore} {...given('bore')} />
        <FactField label="depth" of={Socket.properties.depth} {...given('depth')} />
      </div>
      <SelectCell
        title="the blade goes in"
        label="The blade goes in"
        options={['straight', 'clockwise', 'pushAndHold'] as const}
        words={(v) =>
          ({ straight: 'straight, never twisted', clockwise: 'turned clockwise', pushAndHold: 'pushed and held' })[v]
        }
        {...choice('insertion')}
      />
      <Notes of={x} what={x.name} onEdit={set} />
    </Sheet>
  )
}
