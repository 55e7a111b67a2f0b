import { cardSpace, configurationOf, lastReading } from '@nubrin/core/card'
import { byId, CARD_IS, Card as CardSchema, type Saber } from '@nubrin/core/record'
import { formatNumber, MAKER } from '@nubrin/core/units'
import { freshId, todayIso } from '../../data'
import {
  AddLine,
  bound,
  DateCell,
  dayText,
  Empty,
  FactField,
  FigureView,
  RemoveButton,
  SelectCell,
  TextCell,
} from '../../kit'
import { Notes } from '../../shared/Notes'
import { useBench, useEdit, useEditSaber, useEditThing, useRemove, useSaber } from '../../store/commission'
import { CardReads } from './CardReads'
import { ConfigurationSheet } from './ConfigurationSheet'

const IS_WORDS = { shipped: 'in the saber', spare: 'a spare', clients: 'the client’s old one' } as const
type CardOf = Saber['cards'][number]

/** The memory cards of a saber: what is on each, as it was written and as it was read, what it is set to, and what was changed. */
export function Card() {
  const saber = useSaber()
  const editSaber = useEditSaber()
  const lit = useBench((b) => b.lit)
  const light = useBench((b) => b.light)
  const chosen = saber.cards.find((c) => lit === `card:${c.id}`) ?? saber.cards[0]
  const add = (name: string) =>
    editSaber('card', (s) => {
      const part = s.parts.find((p) => p.kind === 'card')?.id
      const is = s.cards.some((c) => c.is === 'shipped') ? 'spare' : 'shipped'
      s.cards.push({ id: freshId(), name, is, edits: [], readings: [], ...(part && is === 'shipped' ? { part } : {}) })
      light(`card:${s.cards.at(-1)!.id}`)
    })
  return (
    <div className="grid grid-cols-[minmax(0,4fr)_minmax(0,7fr)] gap-7">
      <section aria-label="Memory cards">
        <h2 className="h2">Memory cards</h2>
        {saber.cards.length ? null : (
          <Empty title="No card yet">
            The card that ships, a spare, the client’s old one: each is read here, file by file. Name the first below.
          </Empty>
        )}
        <ul>
          {saber.cards.map((c) => (
            <li key={c.id} className="border-rule border-b">
              <button
                type="button"
                className={`w-full py-2 text-left ${chosen?.id === c.id ? 'bg-card' : ''}`}
                onClick={() => light(`card:${c.id}`)}
              >
                <span className="font-semibold">{c.name}</span>
                <span className="text-quiet block text-[0.92rem]">
                  {IS_WORDS[c.is]}; {holds(c)}
                </span>
              </button>
            </li>
          ))}
        </ul>
        <AddLine label="name of a card" onAdd={add} />
        <Firmware saber={saber} />
      </section>
      {chosen ? (
        <CardSheet key={chosen.id} saber={saber} card={chosen} />
      ) : (
        <ConfigurationSheet title="What it would be set to" configuration={configurationOf(saber)} />
      )}
    </div>
  )
}

const holds = (c: CardOf): string => {
  const last = lastReading(c)
  if (!last) return 'not read yet'
  const mb = last.files.reduce((n, f) => n + f.bytes, 0) / 1e6
  return `${last.files.length === 1 ? '1 file' : `${last.files.length} files`}, ${formatNumber(MAKER, mb, 1)} MB, ${last.was} ${dayText(last.on)}`
}

/** What its firmware is known not to do. */
function Firmware({ saber }: { saber: Saber }) {
  const editSaber = useEditSaber()
  return (
    <div className="mt-4">
      <TextCell
        title={`firmware ${saber.firmware?.value ?? 'not recorded'}: what it is known not to do`}
        field="firmwareLimits"
        label="What the firmware is known not to do"
        value={saber.firmwareLimits ?? ''}
        onCommit={(v) =>
          editSaber('limits of the firmware', (s) => {
            if (v.trim()) s.firmwareLimits = v
            else delete s.firmwareLimits
          })
        }
      />
    </div>
  )
}

function CardSheet({ saber, card: c }: { saber: Saber; card: CardOf }) {
  const edit = useEditThing('cards')
  const remove = useRemove()
  const set = (run: (x: CardOf) => void) => edit('card', c.id, run)
  const { choice, day, given, maybe } = bound(c, set)
  const parts = saber.parts.filter((p) => p.kind === 'card')
  const { used, free } = cardSpace(saber, c)
  const mb = (v: number) => `${formatNumber(MAKER, v, 1)} MB`
  return (
    <section aria-label={`Card ${c.name}`}>
      <div className="flex items-end gap-3">
        <TextCell
          title="card"
          span="flex-1"
          label="Name of the card"
          className="text-[1.1rem] font-semibold"
          value={c.name}
          onCommit={(v) => set((x) => void (x.name = v || x.name))}
        />
        <RemoveButton what={c.name} onClick={() => remove(`card:${c.id}`)} />
      </div>
      <div className="mt-1 grid grid-cols-4 items-end gap-3">
        <SelectCell
          title="it is"
          label="Which card it is"
          options={CARD_IS}
          words={(v) => IS_WORDS[v]}
          {...choice('is')}
        />
        <SelectCell
          title="as a part"
          label="The card as a part"
          options={['', ...parts.map((p) => p.id)]}
          words={(id) => byId(parts, id)?.name ?? 'none of the saber’s'}
          {...maybe('part')}
        />
        <FactField
          label="cluster, bytes"
          of={CardSchema.properties.cluster}
          source="configured"
          {...given('cluster')}
        />
        <DateCell title="copied on" label="Day it was copied" {...day('copiedOn')} />
      </div>
      <Copying card={c} />
      <div className="mt-2 grid grid-cols-2 gap-x-7">
        <FigureView name="used, in whole clusters" figure={used} as={mb} />
        <FigureView name="free" figure={free} as={mb} />
      </div>
      <CardReads saber={saber} card={c} />
      <Edits card={c} set={set} />
      <Notes of={c} what={c.name} onEdit={set} className="mt-2" />
    </section>
  )
}

/** To copy it is put on the list with a day, before anything on it is changed. */
function Copying({ card: c }: { card: CardOf }) {
  const edit = useEdit()
  const toDos = useBench((b) => b.record!.toDos)
  const due = toDos.find((t) => !t.done && t.about === `card:${c.id}`)
  if (c.copiedOn) return null
  if (due)
    return <p className="text-quiet mt-1">To copy it is on the list{due.due ? `, by ${dayText(due.due)}` : ''}.</p>
  return (
    <button
      type="button"
      className="btn mt-2"
      onClick={() =>
        edit('to copy the card', (d) => {
          d.toDos.push({
            ...{ id: freshId(), text: `copy ${c.name} before anything on it is changed`, about: `card:${c.id}` },
            ...{ who: 'shop', due: todayIso(), blocks: 'shipping', done: false },
          })
        })
      }
    >
      put “copy it first” on the list, for today
    </button>
  )
}

/** What was changed on it after the build. */
function Edits({ card: c, set }: { card: CardOf; set: (run: (x: CardOf) => void) => void }) {
  return (
    <section aria-label="Changed after the build" className="mt-3">
      <h3 className="font-semibold">Changed after the build</h3>
      <ul>
        {c.edits.map((e) => {
          const own = (run: (x: CardOf['edits'][number]) => void) =>
            set((x) => {
              const one = x.edits.find((y) => y.id === e.id)
              if (one) run(one)
            })
          const { day, text } = bound(e, own)
          return (
            <li key={e.id} className="grid grid-cols-[120px_minmax(0,1fr)_120px_32px] items-end gap-3">
              <DateCell label={`Day of “${e.what}”`} {...day('on')} />
              <TextCell
                label="What was changed"
                value={e.what}
                onCommit={(v) => own((x) => void (x.what = v || x.what))}
              />
              <TextCell label={`Who changed “${e.what}”`} placeholder="by" {...text('by')} />
              <RemoveButton
                what={e.what}
                onClick={() => set((x) => void (x.edits = x.edits.filter((y) => y.id !== e.id)))}
              />
            </li>
          )
        })}
      </ul>
      <AddLine
        label="what was changed on it"
        onAdd={(what) => set((x) => void x.edits.push({ id: freshId(), on: todayIso(), what }))}
      />
    </section>
  )
}
