import { type Commission, JOBS, PURPOSES, keyWords as words } from '@nubrin/core/record'
import { Link } from 'react-router'
import { useClients } from '../../data'
import { ComboCell, DateCell, Labelled, SelectCell, setText, TextCell } from '../../kit'
import { useEdit, useOrder } from '../../store/commission'

/** Who it is for, what kind of job, and by when. */
export function Client() {
  const order = useOrder()
  const edit = useEdit()
  const { data: clients = [] } = useClients()
  const earlier = clients.find((c) => c.name === order.client.name)?.commissions.filter((c) => c.id !== order.id) ?? []
  const day = (key: 'ordered' | 'deadline', iso: string | undefined) =>
    edit(`set ${key}`, (d: Commission) => setText(d, key, iso ?? ''))
  return (
    <section aria-label="Client and job" className="grid grid-cols-2 content-start gap-x-4 gap-y-2">
      <Labelled label="client" className="col-span-2">
        <ComboCell
          label="Client"
          value={order.client.name}
          suggestions={clients.map((c) => c.name)}
          className="text-[1.1rem] font-semibold"
          onCommit={(v) => edit('client', (d) => void (d.client.name = v.trim()))}
        />
        {earlier.length ? (
          <p className="text-[0.87rem]">
            <span className="text-brass font-semibold">Returning.</span> Earlier:{' '}
            {earlier.map((c) => (
              <Link key={c.id} to={`/commission/${c.id}/brief`} className="mr-2 underline decoration-dotted">
                {c.title}
              </Link>
            ))}
          </p>
        ) : null}
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
