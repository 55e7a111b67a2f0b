import { Socket } from '@nubrin/core/record'
import { FactField, Labelled, SelectCell } from '../../kit'
import { useEditHilt, useRemove } from '../../store/commission'
import { Notes } from '../../things/Notes'
import { Sheet } from './Sheet'

export function SocketSheet({ socket: x }: { socket: Socket }) {
  const edit = useEditHilt('sockets')
  const remove = useRemove()
  const set = (run: (y: Socket) => void) => edit('socket', x.id, run)
  return (
    <Sheet
      what="Socket"
      name={x.name}
      onName={(v) => set((y) => void (y.name = v))}
      onRemove={() => remove(`socket:${x.id}`)}
    >
      <div className="grid grid-cols-2 gap-2">
        <FactField
          label="socket bore"
          kind="bore"
          value={x.bore}
          of={Socket.properties.bore}
          onCommit={(v) => set((y) => void (y.bore = v))}
        />
        <FactField
          label="depth"
          value={x.depth}
          of={Socket.properties.depth}
          onCommit={(v) => set((y) => void (y.depth = v))}
        />
      </div>
      <Labelled label="the blade goes in">
        <SelectCell
          label="The blade goes in"
          value={x.insertion}
          options={['straight', 'clockwise', 'pushAndHold'] as const}
          words={(v) =>
            ({ straight: 'straight, never twisted', clockwise: 'turned clockwise', pushAndHold: 'pushed and held' })[v]
          }
          onCommit={(v) => set((y) => void (y.insertion = v))}
        />
      </Labelled>
      <Notes of={x} what={x.name} onEdit={set} />
    </Sheet>
  )
}
