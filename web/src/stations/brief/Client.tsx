import { JOBS, PURPOSES, keyWords as words } from '@nubrin/core/record'
import { LANGUAGE_NAME, LANGUAGES, MEASURES } from '@nubrin/core/units'
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { Link } from 'react-router'
import { call, useClientsNamed } from '../../data'
import { bound, ComboCell, DateCell, Labelled, SelectCell, TextCell } from '../../kit'
import { useBench, useEdit, useOrder } from '../../store/commission'

const MEASURE_WORDS = { both: 'both', mm: 'millimetres', inch: 'inches' } as const

/** Who it is for, what kind of job, and by when. */
export function Client() {
  const order = useOrder()
  const edit = useEdit()
  const set = bound(order, (run, key) => edit(`set ${words(key)}`, run))
  return (
    <section aria-label="Client and job" className="grid grid-cols-2 content-start gap-x-4 gap-y-2">
      <Name />
      <SelectCell
        title="job"
        label="Job"
        options={JOBS}
        words={(j) => (j === 'model' ? 'model sheet' : words(j))}
        {...set.choice('job')}
      />
      <SelectCell title="for" label="Purpose" options={PURPOSES} {...set.choice('purpose')} />
      <Person />
      <DateCell title="ordered" label="Ordered" {...set.day('ordered')} />
      <DateCell title="promised for" label="Deadline" {...set.day('deadline')} />
      <TextCell
        title="the wish, in their words"
        span="col-span-2"
        lines={3}
        label="Brief"
        placeholder="Old, well kept…"
        {...set.choice('brief')}
      />
    </section>
  )
}

/** Ownership, and whether that is somebody who was here before. */
function Name() {
  const order = useOrder()
  const edit = useEdit()
  const revision = useBench((b) => b.revision)
  const asked = useQueryClient()
  const { data: named = [] } = useClientsNamed(order.client.name)
  const { data: client } = useQuery({
    queryKey: ['clientOf', order.id, revision],
    queryFn: () => call('clientOf', { params: { id: order.id } }),
    placeholderData: (before) => before,
  })
  const same = async (id: string) => {
    await call('sameClient', { params: { id: order.id }, body: { client: id } })
    await asked.invalidateQueries({ queryKey: ['clientOf', order.id] })
  }
  return (
    <Labelled label="client" className="col-span-2">
      <ComboCell
        label="Client"
        field="client/name"
        value={order.client.name}
        suggestions={[...new Set(named.map((c) => c.name))]}
        className="text-[1.1rem] font-semibold"
        onCommit={(v) => edit('client', (d) => void (d.client.name = v.trim()))}
      />
      {client?.id ? (
        <Link to={`/clients/${client.id}`} className="text-brass text-[0.87rem]">
          sabers, habits and questions of this client
        </Link>
      ) : null}
      {client?.earlier.length ? (
        <p className="text-[0.87rem]">
          <span className="text-brass font-semibold">Returning.</span> Earlier:{' '}
          {client.earlier.map((c) => (
            <Link key={c.id} to={`/commission/${c.id}/brief`} className="mr-2 underline decoration-dotted">
              {c.title}
            </Link>
          ))}
        </p>
      ) : null}
      {client?.alike.map((c) => (
        <p key={c.id} className="text-[0.87rem]">
          The same {c.name} as for {c.titles.join(', ') || 'an earlier job'}?{' '}
          <button type="button" className="text-brass underline" onClick={() => void same(c.id)}>
            yes, the same person
          </button>
        </p>
      ))}
    </Labelled>
  )
}

/** Where they are, how they are reached, and how they are spoken to. */
function Person() {
  const order = useOrder()
  const edit = useEdit()
  const { put, text } = bound(order.client, (run, key) => edit(`client: ${words(key)}`, (d) => run(d.client)))
  const languages = { options: LANGUAGES, words: (l: (typeof LANGUAGES)[number]) => LANGUAGE_NAME[l] }
  return (
    <>
      <TextCell title="country" label="Country" {...text('country')} />
      <TextCell title="contact" label="Contact" {...text('contact')} />
      <SelectCell
        title="language"
        label="Language"
        value={order.client.language ?? 'en'}
        onCommit={(v) => put('language', v)}
        {...languages}
      />
      <SelectCell
        title="units"
        label="Measures"
        value={order.client.measures ?? 'both'}
        options={['both', ...MEASURES] as const}
        words={(m) => MEASURE_WORDS[m]}
        onCommit={(v) => put('measures', v === 'both' ? undefined : v)}
      />
      <SelectCell
        title="this record is written in"
        label="Written in"
        value={order.writtenIn ?? 'en'}
        onCommit={(v) => edit('language of the record', (d) => void (d.writtenIn = v))}
        {...languages}
      />
      <TextCell title="notes on them, shop only" span="col-span-2" label="About the client" {...text('note')} />
    </>
  )
}
