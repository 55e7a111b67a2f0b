import { type Api, type GoodOf, ROLES, type Role } from '@nubrin/core/api'
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { ROLE_WORDS } from '../base/names'
import { call } from '../data'
import { dayText, SelectCell } from '../kit'
import { useSession } from '../store/session'
import { Block, Sure, TellLink, useDeed, Why } from './parts'

/** People, what they may do, and who is invited. */
export function People() {
  const client = useQueryClient()
  const list = useQuery({ queryKey: ['people'], queryFn: () => call('people', {}) })
  const { run, why } = useDeed()
  const [link, setLink] = useState<{ title: string; link: string }>()
  const [going, setGoing] = useState<{ id: string; name: string }>()
  /** Does something and asks who is here then. */
  const deed = async (what: () => Promise<unknown>) => {
    const ok = await run(what)
    void client.invalidateQueries({ queryKey: ['people'] })
    return ok
  }
  const reset = (p: Person) =>
    deed(async () => {
      const r = await call('resetPassword', { params: { id: p.id } })
      setLink({ title: `A new password for ${p.name}`, link: r.link })
    })
  const invite = (name: string, role: Role) =>
    deed(async () => {
      const r = await call('invite', { body: { name, role } })
      setLink({ title: `An invitation for ${name}`, link: r.link })
    })
  return (
    <Block title="People">
      <ul>
        {list.data?.people
          .filter((p) => !p.leftAt)
          .map((p) => (
            <Here
              key={p.id}
              person={p}
              onRole={(role) => void deed(() => call('setRole', { params: { id: p.id }, body: { role } }))}
              onReset={() => void reset(p)}
              onLeave={() => setGoing(p)}
            />
          ))}
        {list.data?.invited.map((i) => (
          <li key={i.id} className="border-rule text-quiet flex items-center gap-3 border-b py-1.5">
            <span className="flex-1">
              {i.name || 'The first owner'}: {i.resets ? 'may choose a new password' : `invited as ${i.role}`} until{' '}
              {dayText(i.expires.slice(0, 10))}
            </span>
            <button
              type="button"
              className="btn"
              onClick={() => void deed(() => call('uninvite', { params: { id: i.id } }))}
            >
              withdraw
            </button>
          </li>
        ))}
      </ul>
      <Why why={why} />
      <Invite onInvite={invite} />
      {link ? <TellLink {...link} close={() => setLink(undefined)} /> : null}
      {going ? (
        <Sure
          title={`${going.name}, remove`}
          words="Their sessions end and they cannot sign in any more. What they did stays in the records under their name."
          close={() => setGoing(undefined)}
          yes={() => {
            void deed(() => call('letGo', { params: { id: going.id } }))
            setGoing(undefined)
          }}
        />
      ) : null}
    </Block>
  )
}
type Person = GoodOf<Api['people']>['people'][number]

/** Somebody who works here. Nobody lets himself go. */
function Here({
  person: p,
  onRole,
  onReset,
  onLeave,
}: {
  person: Person
  onRole: (role: Role) => void
  onReset: () => void
  onLeave: () => void
}) {
  const me = useSession((s) => s.person)
  return (
    <li className="border-rule grid grid-cols-[1fr_210px_auto] items-center gap-3 border-b py-1.5">
      <div className="min-w-0">
        <span className="font-semibold">{p.name}</span> <span className="text-quiet">{p.signIn}</span>
        {p.factor ? <span className="text-quiet"> · second factor on</span> : null}
      </div>
      <SelectCell
        label={`Role of ${p.name}`}
        value={p.role}
        options={ROLES}
        words={(r) => ROLE_WORDS[r]}
        onCommit={onRole}
      />
      <div className="flex gap-2">
        <button type="button" className="btn" onClick={onReset}>
          new password
        </button>
        <button type="button" className="btn" disabled={p.id === me?.id} onClick={onLeave}>
          remove
        </button>
      </div>
    </li>
  )
}

function Invite({ onInvite }: { onInvite: (name: string, role: Role) => Promise<boolean> }) {
  const [name, setName] = useState('')
  const [role, setRole] = useState<Role>('maker')
  return (
    <form
      className="mt-3 grid grid-cols-[1fr_210px_auto] items-end gap-3"
      onSubmit={(e) => {
        e.preventDefault()
        if (name.trim()) void onInvite(name.trim(), role).then((ok) => ok && setName(''))
      }}
    >
      <label>
        <span className="label">Invite</span>
        <input
          className="cell"
          placeholder="their name"
          maxLength={120}
          value={name}
          onChange={(e) => setName(e.target.value)}
        />
      </label>
      <SelectCell label="Role" value={role} options={ROLES} words={(r) => ROLE_WORDS[r]} onCommit={setRole} />
      <button type="submit" className="btn btn-main" disabled={!name.trim()}>
        create a link
      </button>
    </form>
  )
}
