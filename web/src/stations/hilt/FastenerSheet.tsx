import { standardKey } from '@nubrin/core/fit'
import { CLIENT_MAY, type Fastener, type Saber, SCREW_PURPOSES, words } from '@nubrin/core/record'
import { useEditSaber } from '../../store/commission'
import { FactField } from '../../ui/FactField'
import { Labelled, SelectCell, TextCell } from '../../ui/fields'
import { Sheet } from './Sheet'

export function FastenerSheet({ saber, fastener: x }: { saber: Saber; fastener: Fastener }) {
  const editSaber = useEditSaber()
  const h = saber.hilt
  const set = (run: (y: Fastener) => void) =>
    editSaber('screw', (s) => {
      const y = s.hilt.fasteners.find((q) => q.id === x.id)
      if (y) run(y)
    })
  return (
    <Sheet
      what="Screw"
      name={x.name}
      onName={(v) => set((y) => void (y.name = v))}
      onRemove={() =>
        editSaber('remove screw', (s) => {
          s.hilt.fasteners = s.hilt.fasteners.filter((q) => q.id !== x.id)
          for (const q of s.hilt.sockets) q.retention = q.retention.filter((r) => r !== x.id)
        })
      }
    >
      <div className="grid grid-cols-3 gap-2">
        <Labelled label="thread">
          <TextCell
            label="Thread"
            value={x.thread}
            onCommit={(v) =>
              set((y) => {
                y.thread = v
                const std = standardKey(v, y.head)
                if (std && !y.key) y.key = std
              })
            }
          />
        </Labelled>
        <Labelled label="key">
          <TextCell
            label="Key"
            value={x.key}
            placeholder={standardKey(x.thread, x.head) ?? ''}
            onCommit={(v) => set((y) => void (y.key = v))}
          />
        </Labelled>
        <Labelled label="head">
          <SelectCell
            label="Head"
            value={x.head}
            options={['set', 'cap', 'button', 'thumb', 'dummy'] as const}
            onCommit={(v) => set((y) => void (y.head = v))}
          />
        </Labelled>
        <FactField
          label="from pommel"
          value={x.at}
          unit="mm"
          quantity="length"
          onCommit={(v) => set((y) => void (y.at = v))}
        />
        <FactField
          label="clock angle"
          value={x.clock}
          unit="deg"
          quantity="angle"
          onCommit={(v) => set((y) => void (y.clock = v))}
        />
        <Labelled label="holds">
          <SelectCell
            label="Holds"
            value={x.purpose}
            options={SCREW_PURPOSES}
            words={words}
            onCommit={(v) => set((y) => void (y.purpose = v))}
          />
        </Labelled>
      </div>
      <Labelled label="the client may">
        <SelectCell
          label="The client may"
          value={x.clientMay}
          options={CLIENT_MAY}
          words={(v) => (v === 'never' ? 'NOT touch it' : v === 'loosen' ? 'loosen, not remove' : 'remove')}
          onCommit={(v) => set((y) => void (y.clientMay = v))}
        />
      </Labelled>
      <div className="flex flex-wrap gap-4">
        {h.sockets.map((q, i) => (
          <label key={q.id} className="flex items-center gap-1.5">
            <input
              type="checkbox"
              checked={q.retention.includes(x.id)}
              onChange={(e) =>
                editSaber(
                  'what holds the blade',
                  (s) =>
                    void (s.hilt.sockets[i]!.retention = e.target.checked
                      ? [...s.hilt.sockets[i]!.retention, x.id]
                      : s.hilt.sockets[i]!.retention.filter((r) => r !== x.id)),
                )
              }
            />
            holds the blade in the {q.name}
          </label>
        ))}
        <label className="flex items-center gap-1.5">
          <input
            type="checkbox"
            checked={!!x.looseNow}
            onChange={(e) => set((y) => void (e.target.checked ? (y.looseNow = true) : delete y.looseNow))}
          />{' '}
          loose at the moment
        </label>
      </div>
    </Sheet>
  )
}
