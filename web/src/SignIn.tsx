import { useEffect, useState } from 'react'
import { useForm } from 'react-hook-form'
import { Outlet } from 'react-router'
import { Refused } from './kit'
import { useSession } from './store/session'

/** Shows what is behind it to whoever is signed in, and the door to everyone else. */
export function SignedIn() {
  const person = useSession((s) => s.person)
  const ask = useSession((s) => s.ask)
  const [failed, setFailed] = useState('')
  useEffect(() => {
    ask().catch((e: Error) => setFailed(e.message))
  }, [ask])
  if (failed) return <p className="p-6">{failed} Start it with npm start, then reload.</p>
  if (person === undefined) return <p className="text-quiet p-6">One moment…</p>
  return person ? <Outlet /> : <Door />
}

function Door() {
  const signIn = useSession((s) => s.signIn)
  const { register, handleSubmit, formState } = useForm<{ name: string; password: string }>()
  const [refused, setRefused] = useState('')
  return (
    <main className="paper-grid grid min-h-screen place-items-center">
      <form
        className="bg-card border-ink w-[360px] border p-8"
        noValidate
        onSubmit={handleSubmit(({ name, password }) =>
          signIn(name, password).catch((e: Error) => setRefused(e.message)),
        )}
      >
        <svg viewBox="0 0 300 40" className="mb-5 w-full" aria-hidden="true">
          <path
            d="M2 12h40v16H2zM42 9h50v22H42zM92 13h14v14H92zM106 8h34v24h-34z"
            fill="#efe6d4"
            stroke="#1e2a2b"
            strokeWidth="1.4"
          />
          <path d="M140 14h146a6 6 0 0 1 0 12H140z" fill="#10d8b0" stroke="#1e2a2b" strokeWidth="0.6" />
          <path d="M0 20h300" stroke="#a9782a" strokeDasharray="12 3 3 3" />
        </svg>
        <h1 className="text-2xl">Nubrin</h1>
        <p className="text-quiet mb-5">The shop’s memory and its second pair of eyes.</p>
        <label className="label" htmlFor="name">
          Sign-in name
        </label>
        <input
          id="name"
          autoComplete="username"
          className="cell mb-1"
          {...register('name', { required: 'Enter your sign-in name.' })}
        />
        <Refused why={formState.errors.name?.message} />
        <label className="label mt-3 block" htmlFor="password">
          Password
        </label>
        <input
          id="password"
          type="password"
          autoComplete="current-password"
          className="cell mb-1"
          {...register('password', { required: 'Enter your password.' })}
        />
        <Refused why={formState.errors.password?.message} />
        <Refused why={refused} className="mt-2" />
        <button type="submit" className="btn btn-main mt-5" disabled={formState.isSubmitting}>
          Open the shop
        </button>
      </form>
    </main>
  )
}
