import { lazy, Suspense, useEffect, useState } from 'react'
import { Outlet } from 'react-router'
import { Modal } from '../kit'
import { useSession } from '../store/session'

// Whoever is signed in does not need the form.
const SignInForm = lazy(() => import('./SignInForm'))

/** Shows what is behind it to whoever is signed in, and the door to everyone else. */
export function SignedIn() {
  const person = useSession((s) => s.person)
  const away = useSession((s) => s.away)
  const ask = useSession((s) => s.ask)
  const [failed, setFailed] = useState('')
  useEffect(() => {
    ask().catch((e: Error) => setFailed(e.message))
  }, [ask])
  useEffect(() => {
    if (!away) return
    const again = setInterval(() => void ask().catch(() => {}), 5000)
    return () => clearInterval(again)
  }, [away, ask])
  if (failed) return <p className="p-6">{failed} Start it with npm start, then reload.</p>
  if (person === undefined) return <p className="text-quiet p-6">One moment…</p>
  return person ? <Outlet /> : <Door />
}

/** Signing in again in the middle of work: what was typed stays where it is. */
export function SignInSheet({ done }: { done: () => void }) {
  const [open, setOpen] = useState(true)
  if (!open) return null
  return (
    <Modal title="Your session has ended" close={() => setOpen(false)}>
      <p className="text-quiet mt-1 mb-3">Everything you entered is kept here and goes out once you are back.</p>
      <Suspense>
        <SignInForm
          done={() => {
            setOpen(false)
            done()
          }}
        />
      </Suspense>
    </Modal>
  )
}

/** The front of the shop, for whoever has no key in hand. */
export function Porch({ children }: { children: React.ReactNode }) {
  return (
    <main className="paper-grid grid min-h-screen place-items-center">
      <div className="bg-card border-ink w-[380px] border p-8">
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
        {children}
      </div>
    </main>
  )
}

function Door() {
  return (
    <Porch>
      <h1 className="text-2xl">Nubrin</h1>
      <p className="text-quiet mb-5">The shop’s memory and its second pair of eyes.</p>
      <Suspense>
        <SignInForm />
      </Suspense>
    </Porch>
  )
}
