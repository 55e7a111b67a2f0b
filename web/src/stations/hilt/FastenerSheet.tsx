import { standardKey } from '@nubrin/core/fit'
import {
  CLIENT_MAY,
  Fastener,
  HEADS,
  type Saber,
  SCREW_ORIGINS,
  SCREW_PURPOSES,
  keyWords as words,
} from '@nubrin/core/record'
import { CheckBox, ChoiceFactField, FactField, Labelled, SelectCell, TextCell } from '../../kit'
import { useEditHilt, useRemove } from '../../store/commission'
import { Notes } from '../../things/Notes'
import { Sheet } from './Sheet'

const ORIGIN_WORDS = { hilt: 'the hilt', kit: 'the kit', shop: 'the shop', client: 'the client' }

/** One screw in full. */
export function FastenerSheet({ saber, fastener: x }: { saber: Saber; fastener: Fastener }) {
  const edit = useEditHilt('fasteners')
  const editSocket = useEditHilt('sockets')
  const remove = useRemove()
  const set = (run: (y: Fastener) => void) => edit('screw', x.id, run)
  const holds = (socket: string, on: boolean) =>
    editSocket('what holds the blade', socket, (q) => {
      const others = q.retention.filter((r) => r !== x.id)
      q.retention = on ? [...others, x.id] : others
    })
  return (
    <Sheet
      what="Screw"
      name={x.name}
      onName={(v) => set((y) => void (y.name = v))}
      onRemove={() => remove(`fastener:${x.id}`)}
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
          <SelectCell label="Head" value={x.head} options={HEADS} onCommit={(v) => set((y) => void (y.head = v))} />
        </Labelled>
        <FactField
          label="from pommel"
          value={x.at}
          of={Fastener.properties.at}
          onCommit={(v) => set((y) => void (y.at = v))}
        />
        <FactField
          label="clock angle"
          value={x.clock}
          of={Fastener.properties.clock}
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
        {saber.hilt.sockets.map((q) => (
          <CheckBox key={q.id} checked={q.retention.includes(x.id)} onChange={(on) => holds(q.id, on)}>
            holds the blade in the {q.name}
          </CheckBox>
        ))}
        <CheckBox
          checked={!!x.looseNow}
          onChange={(on) => set((y) => void (on ? (y.looseNow = true) : delete y.looseNow))}
        >
          loose at the moment
        </CheckBox>
      </div>
      <ChoiceFactField
        label="comes from"
        value={x.origin}
        source="recalled"
        options={SCREW_ORIGINS}
        words={(v) => ORIGIN_WORDS[v]}
        onCommit={(f) => set((y) => void (y.origin = f))}
      />
      <Notes of={x} what={x.name} onEdit={set} />
    </Sheet>
  )
}
