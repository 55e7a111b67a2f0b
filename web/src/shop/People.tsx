import { ROLES, type Role } from '@nubrin/core/api'
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { ROLE_WORDS } from '../base/names'
import { call } from '../data'
import { dayText, SelectCell } from '../kit'
import { useSession } from '../store/session'
import { Block, Sure, TellLink, useDeed, Why } from './parts'

/** Who works here, what they may do, and who is invited. */
export function People() {
  const me = useSession((s) => s.person)
  const client = useQueryClient()
  const list = useQuery({ queryKey: ['people'], queryFn: () => call('people', {}) })
  const { run, why } = useDeed()
  const again = () => client.invalidateQueries({ queryKey: ['people'] })
  const [link, setLink] = useState<{ title: string; link: string }>()
  const [going, setGoing] = useState<{ id: string; name: string }>()
  const here = list.data?.people.filter((p) => !p.leftAt) ?? []
  return (
    <Block title="Who works here">
      <ul>
        {here.map((p) => (
          <li key={p.id} className="border-rule grid grid-cols-[1fr_210px_auto] items-center gap-3 border-b py-1.5">
            <div className="min-w-0">
              <span className="font-semibold">{p.name}</span> <span className="text-quiet">{p.signIn}</span>
              {p.factor ? <span className="text-quiet"> · with a code</span> : null}
            </div>
            <SelectCell
              label={`What ${p.name} may do`}
              value={p.role}
              options={ROLES}
              words={(r) => ROLE_WORDS[r]}
              onCommit={(role) => void run(() => call('setRole', { params: { id: p.id }, body: { role } })).then(again)}
            />
            <div className="flex gap-2">
              <button
                type="button"
                className="btn"
                onClick={() =>
                  void run(async () => {
                    const r = await call('resetPassword', { params: { id: p.id } })
                    setLink({ title: `A new password for ${p.name}`, link: r.link })
                  }).then(again)
                }
              >
                new password
              </button>
              <button type="button" className="btn" disabled={p.id === me?.id} onClick={() => setGoing(p)}>
                leaves
              </button>
            </div>
          </li>
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
              onClick={() => void run(() => call('uninvite', { params: { id: i.id } })).then(again)}
            >
              withdraw
            </button>
          </li>
        ))}
      </ul>
      <Why why={why} />
      <Invite
        onInvite={(name, role) =>
          run(async () => {
            const r = await call('invite', { body: { name, role } })
            setLink({ title: `An invitation for ${name}`, link: r.link })
          }).then((ok) => {
            void again()
            return ok
          })
        }
      />
      {link ? <TellLink {...link} close={() => setLink(undefined)} /> : null}
      {going ? (
        <Sure
          title={`${going.name} leaves`}
          words="Their sessions end and they cannot sign in any more. What they did stays in the records under their name."
          close={() => setGoing(undefined)}
          yes={() => {
            void run(() => call('letGo', { params: { id: going.id } })).then(again)
            setGoing(undefined)
          }}
        />
      ) : null}
    </Block>
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
      <SelectCell
        label="What they may do"
        value={role}
        options={ROLES}
        words={(r) => ROLE_WORDS[r]}
        onCommit={setRole}
      />
      <button type="submit" className="btn btn-main" disabled={!name.trim()}>
        make a link
      </button>
    </form>
  )
}
