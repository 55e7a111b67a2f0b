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
import { bound, CheckBox, ChoiceFactField, FactField, SelectCell, TextCell } from '../../kit'
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
  const { choice, given, tick } = bound(x, set)
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
        <TextCell
          title="thread"
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
        <TextCell title="key" label="Key" placeholder={standardKey(x.thread, x.head) ?? ''} {...choice('key')} />
        <SelectCell title="head" label="Head" options={HEADS} {...choice('head')} />
        <FactField label="from pommel" of={Fastener.properties.at} {...given('at')} />
        <FactField label="clock angle" of={Fastener.properties.clock} {...given('clock')} />
        <SelectCell title="holds" label="Holds" options={SCREW_PURPOSES} words={words} {...choice('purpose')} />
      </div>
      <SelectCell
        title="the client may"
        label="The client may"
        options={CLIENT_MAY}
        words={(v) => (v === 'never' ? 'NOT touch it' : v === 'loosen' ? 'loosen, not remove' : 'remove')}
        {...choice('clientMay')}
      />
      <div className="flex flex-wrap gap-4">
        {saber.hilt.sockets.map((q) => (
          <CheckBox key={q.id} checked={q.retention.includes(x.id)} onChange={(on) => holds(q.id, on)}>
            holds the blade in the {q.name}
          </CheckBox>
        ))}
        <CheckBox {...tick('looseNow')}>loose at the moment</CheckBox>
      </div>
      <ChoiceFactField
        label="comes from"
        source="recalled"
        options={SCREW_ORIGINS}
        words={(v) => ORIGIN_WORDS[v]}
        {...given('origin')}
      />
      <Notes of={x} what={x.name} onEdit={set} />
    </Sheet>
  )
}
