import { type Commission, JOBS, PURPOSES, keyWords as words } from '@nubrin/core/record'
import { LANGUAGES, MEASURES } from '@nubrin/core/units'
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { Link } from 'react-router'
import { LANGUAGE_NAME } from '../../base/names'
import { call, useClientsNamed } from '../../data'
import { ComboCell, DateCell, Labelled, SelectCell, setText, TextCell } from '../../kit'
import { useBench, useEdit, useOrder } from '../../store/commission'

const MEASURE_WORDS = { both: 'both', mm: 'millimetres', inch: 'inches' } as const

/** Who it is for, what kind of job, and by when. */
export function Client() {
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
  const day = (key: 'ordered' | 'deadline', iso: string | undefined) =>
    edit(`set ${key}`, (d: Commission) => setText(d, key, iso ?? ''))
  return (
    <section aria-label="Client and job" className="grid grid-cols-2 content-start gap-x-4 gap-y-2">
      <Labelled label="client" className="col-span-2">
        <ComboCell
          label="Client"
          value={order.client.name}
          suggestions={[...new Set(named.map((c) => c.name))]}
          className="text-[1.1rem] font-semibold"
          onCommit={(v) => edit('client', (d) => void (d.client.name = v.trim()))}
        />
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
      <Labelled label="job">
        <SelectCell
          label="Job"
          value={order.job}
          options={JOBS}
          words={(j) => (j === 'model' ? 'model sheet' : words(j))}
          onCommit={(v) => edit('set job', (d) => void (d.job = v))}
        />
      </Labelled>
      <Labelled label="for">
        <SelectCell
          label="Purpose"
          value={order.purpose}
          options={PURPOSES}
          onCommit={(v) => edit('set purpose', (d) => void (d.purpose = v))}
        />
      </Labelled>
      <Labelled label="country">
        <TextCell
          label="Country"
          value={order.client.country ?? ''}
          onCommit={(v) => edit('country', (d) => setText(d.client, 'country', v))}
        />
      </Labelled>
      <Labelled label="how to reach them">
        <TextCell
          label="Contact"
          value={order.client.contact ?? ''}
          onCommit={(v) => edit('contact', (d) => setText(d.client, 'contact', v))}
        />
      </Labelled>
      <Labelled label="reads and hears">
        <SelectCell
          label="Language"
          value={order.client.language ?? 'en'}
          options={LANGUAGES}
          words={(l) => LANGUAGE_NAME[l]}
          onCommit={(v) => edit('language of the client', (d) => void (d.client.language = v))}
        />
      </Labelled>
      <Labelled label="thinks in">
        <SelectCell
          label="Measures"
          value={order.client.measures ?? 'both'}
          options={['both', ...MEASURES] as const}
          words={(m) => MEASURE_WORDS[m]}
          onCommit={(v) =>
            edit(
              'measures of the client',
              (d) => void (v === 'both' ? delete d.client.measures : (d.client.measures = v)),
            )
          }
        />
      </Labelled>
      <Labelled label="this record is written in">
        <SelectCell
          label="Written in"
          value={order.writtenIn ?? 'en'}
          options={LANGUAGES}
          words={(l) => LANGUAGE_NAME[l]}
          onCommit={(v) => edit('language of the record', (d) => void (d.writtenIn = v))}
        />
      </Labelled>
      <Labelled label="about them, for the shop only" className="col-span-2">
        <TextCell
          label="About the client"
          value={order.client.note ?? ''}
          onCommit={(v) => edit('about the client', (d) => setText(d.client, 'note', v))}
        />
      </Labelled>
      <Labelled label="ordered">
        <DateCell label="Ordered" value={order.ordered} onCommit={(v) => day('ordered', v)} />
      </Labelled>
      <Labelled label="promised for">
        <DateCell label="Deadline" value={order.deadline} onCommit={(v) => day('deadline', v)} />
      </Labelled>
      <Labelled label="the wish, in their words" className="col-span-2">
        <TextCell
          lines={3}
          label="Brief"
          value={order.brief}
          placeholder="Old, well kept…"
          onCommit={(v) => edit('set brief', (d) => void (d.brief = v))}
        />
      </Labelled>
    </section>
  )
}
