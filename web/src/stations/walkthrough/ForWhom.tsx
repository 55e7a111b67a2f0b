import { type Commission, LENGTHS, READERS, type Saber } from '@nubrin/core/record'
import { readersOf, SHORT } from '@nubrin/core/script'
import { LANGUAGE_NAME } from '@nubrin/core/units'
import { Link } from 'react-router'
import { AddLine, CheckBox, CountCell, RemoveButton, SelectCell, TextCell } from '../../kit'
import { useEditSaber } from '../../store/commission'

const READER_WORDS: Record<(typeof READERS)[number], string> = {
  beginner: 'a beginner',
  returning: 'has had one of ours',
  neverHeld: 'has never held it',
  reprograms: 'will reprogram it',
  duels: 'duels with it',
  collects: 'keeps it on display',
}
const LENGTH_WORDS = { full: 'all of it', short: `${SHORT / 60} minutes` } as const
/** A telling of which nobody has said anything. */
const plainTelling = (): NonNullable<Saber['telling']> => ({ length: 'full', readers: [], differs: [] })

/** Who listens, in what language, and how long it may take: what is told changes with each. */
export function ForWhom({ order, saber }: { order: Commission; saber: Saber }) {
  const editSaber = useEditSaber()
  const telling = saber.telling ?? plainTelling()
  const all = readersOf(order, saber)
  const set = (label: string, run: (t: NonNullable<Saber['telling']>) => void) =>
    editSaber(label, (s) => {
      s.telling ??= plainTelling()
      run(s.telling)
    })
  return (
    <section aria-label="Who listens">
      <h2 className="h2">Told to {saber.recipient?.name || order.client.name || 'the client'}</h2>
      <p className="text-quiet">
        in {LANGUAGE_NAME[order.client.language ?? 'en']},{' '}
        <Link className="underline decoration-dotted" to={`/commission/${order.id}/brief`}>
          as Brief has it
        </Link>
      </p>
      <div className="mt-1 grid grid-cols-2 gap-2">
        <SelectCell
          title="tell"
          label="How much is told"
          value={telling.length}
          options={LENGTHS}
          words={(l) => LENGTH_WORDS[l]}
          onCommit={(v) => set('how much is told', (t) => void (t.length = v))}
        />
        <CountCell
          title="in seconds at most"
          label="Seconds at most"
          value={telling.target ?? (telling.length === 'short' ? SHORT : 0)}
          min={0}
          max={7200}
          onCommit={(v) => set('how long it may take', (t) => void (v >= 30 ? (t.target = v) : delete t.target))}
        />
      </div>
      <ul className="mt-1">
        {READERS.map((r) => {
          const said = telling.readers.includes(r)
          return (
            <li key={r}>
              <CheckBox
                checked={all.has(r)}
                onChange={(on) =>
                  set('who listens', (t) => {
                    t.readers = on ? [...t.readers, r] : t.readers.filter((x) => x !== r)
                  })
                }
              >
                {READER_WORDS[r]}
                {all.has(r) && !said ? <span className="text-quiet"> (the order says so)</span> : null}
              </CheckBox>
            </li>
          )
        })}
      </ul>
      {all.has('returning') ? (
        <div className="mt-1">
          <p className="label">different from the last one</p>
          {telling.differs.map((d, i) => (
            <div key={i} className="flex items-center">
              <TextCell
                label={`Different, ${i + 1}`}
                value={d}
                onCommit={(v) => set('what differs', (t) => void (t.differs[i] = v))}
              />
              <RemoveButton
                what={`what differs, ${i + 1}`}
                onClick={() => set('what differs', (t) => void t.differs.splice(i, 1))}
              />
            </div>
          ))}
          <AddLine label="Something different" onAdd={(v) => set('what differs', (t) => void t.differs.push(v))} />
        </div>
      ) : null}
    </section>
  )
}
