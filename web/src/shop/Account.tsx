import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { qr } from '../base/qr'
import { call } from '../data'
import { Modal, Refused } from '../kit'
import { useSession } from '../store/session'
import { Block, useDeed, Why } from './parts'

interface Passwords {
  current: string
  next: string
}

/** One’s own password and second factor. */
export function Account() {
  const person = useSession((s) => s.person)!
  return (
    <Block title={`${person.name}: sign-in`}>
      <NewPassword />
      <SecondFactor on={!!person.factor} />
    </Block>
  )
}

function NewPassword() {
  const { register, handleSubmit, formState, reset } = useForm<Passwords>()
  const { run, why } = useDeed()
  const change = (body: Passwords) =>
    run(() => call('changePassword', { body }), 'Changed. Your other sessions have ended.').then((ok) => ok && reset())
  return (
    <form noValidate className="grid grid-cols-[1fr_1fr_auto] items-end gap-3" onSubmit={handleSubmit(change)}>
      <label>
        <span className="label">Current password</span>
        <input
          type="password"
          autoComplete="current-password"
          className="cell"
          {...register('current', { required: true })}
        />
      </label>
      <label>
        <span className="label">New password, ten characters or more</span>
        <input
          type="password"
          autoComplete="new-password"
          className="cell"
          {...register('next', { required: true, minLength: { value: 10, message: 'Ten characters or more.' } })}
        />
      </label>
      <button type="submit" className="btn">
        change password
      </button>
      <Refused why={formState.errors.next?.message} className="col-span-3" />
      <Why why={why} />
    </form>
  )
}

/** Turned on by a code that shows that the authenticator has it; replaced or turned off with the password and a code of the one that is on. */
function SecondFactor({ on }: { on: boolean }) {
  const ask = useSession((s) => s.ask)
  const { run, why } = useDeed()
  const [factor, setFactor] = useState<{ secret: string; picture: string }>()
  const [dropping, setDropping] = useState(false)
  const begin = () =>
    run(async () => {
      const { secret, uri } = await call('beginFactor', {})
      setFactor({ secret, picture: await qr(uri) })
    })
  /** What is so now is asked for again once it was done. */
  const then = async (ok: boolean) => {
    await ask()
    return ok
  }
  return (
    <>
      <p className="mt-3 flex items-center gap-3">
        <span className="flex-1">
          {on
            ? 'Signing in also asks for a code from your authenticator.'
            : 'Second factor: an authenticator app on your phone gives a code each time you sign in.'}
        </span>
        <button type="button" className="btn" onClick={() => void begin()}>
          {on ? 'replace it' : 'turn it on'}
        </button>
        {on ? (
          <button type="button" className="btn" onClick={() => setDropping(true)}>
            turn it off
          </button>
        ) : null}
      </p>
      <Why why={why} />
      {factor ? (
        <Confirm
          title="Second factor"
          fields={[
            ...(on ? [['old', 'Code from the current authenticator'] as const] : []),
            ['code', on ? 'Code from the new one' : 'The code it shows now'],
            ['password', 'Your password'],
          ]}
          close={() => setFactor(undefined)}
          go={({ old, code = '', password = '' }) =>
            run(() => call('setFactor', { body: { code, password, ...(old ? { old } : {}) } }), 'On.').then(then)
          }
          why={why}
        >
          <div
            className="mx-auto w-52"
            role="img"
            aria-label="QR code for an authenticator"
            dangerouslySetInnerHTML={{ __html: factor.picture }}
          />
          <p className="text-quiet mt-2 break-all">or type {factor.secret}</p>
        </Confirm>
      ) : null}
      {dropping ? (
        <Confirm
          title="Turn the second factor off"
          fields={[
            ['password', 'Your password'],
            ['code', 'Code from your authenticator'],
          ]}
          close={() => setDropping(false)}
          go={({ password = '', code = '' }) =>
            run(() => call('dropFactor', { body: { password, code } }), 'Off.').then(then)
          }
          why={why}
        />
      ) : null}
    </>
  )
}

interface Confirming {
  title: string
  /** What is asked: its name and its words. */
  fields: readonly (readonly [name: string, words: string])[]
  why: string
  close: () => void
  go: (said: Record<string, string>) => Promise<boolean>
  children?: React.ReactNode
}

function Confirm({ title, fields, why, close, go, children }: Confirming) {
  const [said, setSaid] = useState<Record<string, string>>({})
  return (
    <Modal title={title} close={close}>
      <form
        className="mt-2"
        onSubmit={(e) => {
          e.preventDefault()
          void go(said).then((ok) => ok && close())
        }}
      >
        {children}
        {fields.map(([name, words]) => (
          <label key={name} className="mt-2 block">
            <span className="label">{words}</span>
            <input
              className="cell"
              type={name === 'password' ? 'password' : 'text'}
              inputMode={name === 'password' ? 'text' : 'numeric'}
              autoComplete={name === 'password' ? 'current-password' : 'one-time-code'}
              value={said[name] ?? ''}
              onChange={(e) => setSaid((was) => ({ ...was, [name]: e.target.value }))}
            />
          </label>
        ))}
        <Why why={why} />
        <button type="submit" className="btn btn-main mt-3" disabled={fields.some(([name]) => !said[name])}>
          Confirm
        </button>
      </form>
    </Modal>
  )
}
