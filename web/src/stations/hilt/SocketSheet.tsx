import type { Socket } from '@nubrin/core/record'
import { useEditSaber } from '../../store/commission'
import { FactField } from '../../ui/FactField'
import { Labelled, SelectCell, setText, TextCell } from '../../ui/fields'
import { Sheet } from './Sheet'

export function SocketSheet({ socket: x }: { socket: Socket }) {
  const editSaber = useEditSaber()
  const set = (run: (y: Socket) => void) =>
    editSaber('socket', (s) => {
      const y = s.hilt.sockets.find((q) => q.id === x.id)
      if (y) run(y)
    })
  return (
    <Sheet what="Socket" name={x.name} onName={(v) => set((y) => void (y.name = v))}>
      <div className="grid grid-cols-2 gap-2">
        <FactField
          label="socket bore"
          kind="bore"
          value={x.bore}
          unit="mm"
          quantity="length"
          onCommit={(v) => set((y) => void (y.bore = v))}
        />
        <FactField
          label="depth"
          value={x.depth}
          unit="mm"
          quantity="length"
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
      <Labelled label="note">
        <TextCell label="Socket note" value={x.note ?? ''} onCommit={(v) => set((y) => setText(y, 'note', v))} />
      </Labelled>
    </Sheet>
  )
}
