import { standardKey } from '@nubrin/core/fit'
import {
  CLIENT_MAY,
  Fastener,
  HEADS,
  purposeOf,
  type Saber,
  SCREW_ORIGINS,
  SCREW_PURPOSES,
  type TAKEN_OF_SCREW,
  keyWords as words,
} from '@nubrin/core/record'
import { todayIso } from '../../data'
import { bound, CheckBox, ChoiceFactField, dayText, FactField, SelectCell, TextCell } from '../../kit'
import { Notes } from '../../shared/Notes'
import { useEditHilt, useRemove } from '../../store/commission'
import { useSession } from '../../store/session'
import { Sheet } from './Sheet'

const ORIGIN_WORDS = { hilt: 'the hilt', kit: 'the kit', shop: 'the shop', client: 'the client' }

const TAKEN = { thread: 'Thread', key: 'key', purpose: 'what it holds' } as const
const TAKEN_WORDS = (taken: NonNullable<Fastener['taken']>) => taken.map((t) => TAKEN[t]).join(', ')
/** What somebody enters is no longer only taken as usual. */
function seen(y: Fastener, what: (typeof TAKEN_OF_SCREW)[number], run: () => void) {
  run()
  const left = y.taken?.filter((t) => t !== what)
  if (left?.length) y.taken = left
  else delete y.taken
}
/** The key that a thread takes by the standard: nobody has tried it. */
function takeKey(y: Fastener, key: string) {
  y.key = key
  y.taken = [...new Set([...(y.taken ?? []), 'key' as const])]
}
function confirm(y: Fastener, by: string, on: string) {
  delete y.taken
  y.confirmed = { by, on }
}

/** One screw in full. */
export function FastenerSheet({ saber, fastener: x }: { saber: Saber; fastener: Fastener }) {
  const edit = useEditHilt('fasteners')
  const editSocket = useEditHilt('sockets')
  const remove = useRemove()
  const me = useSession((s) => s.person?.name ?? '')
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
          field="thread"
          value={x.thread}
          onCommit={(v) =>
            set((y) =>
              seen(y, 'thread', () => {
                y.thread = v
                const std = standardKey(v, y.head)
                // A key that nobody has tried follows the thread.
                if (std && (!y.key || y.taken?.includes('key'))) takeKey(y, std)
              }),
            )
          }
        />
        <TextCell
          title="key"
          label="Key"
          field="key"
          placeholder={standardKey(x.thread, x.head) ?? ''}
          value={x.key}
          onCommit={(v) => set((y) => seen(y, 'key', () => void (y.key = v)))}
        />
        <SelectCell title="head" label="Head" options={HEADS} {...choice('head')} />
        <FactField label="from pommel" of={Fastener.properties.at} {...given('at')} />
        <FactField label="clock angle" of={Fastener.properties.clock} {...given('clock')} />
        <SelectCell
          title="holds"
          label="Holds"
          field="purpose"
          options={['', ...SCREW_PURPOSES]}
          words={(v) => (v ? words(v) : purposeOf(saber, x) ? 'a blade' : 'not said')}
          value={x.purpose ?? ''}
          onCommit={(v) =>
            set((y) =>
              seen(y, 'purpose', () => {
                if (v) y.purpose = v
                else delete y.purpose
              }),
            )
          }
        />
      </div>
      <SelectCell
        title="the client may"
        label="The client may"
        options={CLIENT_MAY}
        words={(v) => (v === 'never' ? 'not touch it' : v === 'loosen' ? 'loosen, not remove' : 'remove')}
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
      {x.taken?.length ? (
        <p className="border-brassline flex items-center gap-3 border-l-2 pl-2">
          <span>{TAKEN_WORDS(x.taken)} assumed as usual; printed once you have checked.</span>
          <button type="button" className="btn" onClick={() => set((y) => confirm(y, me, todayIso()))}>
            It is so
          </button>
        </p>
      ) : x.confirmed ? (
        <p className="text-quiet">
          Checked by {x.confirmed.by}, {dayText(x.confirmed.on)}.
        </p>
      ) : null}
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
