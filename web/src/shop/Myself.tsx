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

/** One's own password and second factor. */
export function Myself() {
  const person = useSession((s) => s.person)!
  const ask = useSession((s) => s.ask)
  const { register, handleSubmit, formState, reset } = useForm<Passwords>()
  const { run, why } = useDeed()
  const [factor, setFactor] = useState<{ secret: string; picture: string }>()
  const [dropping, setDropping] = useState(false)
  return (
    <Block title={`${person.name}: signing in`}>
      <form
        noValidate
        className="grid grid-cols-[1fr_1fr_auto] items-end gap-3"
        onSubmit={handleSubmit((body) =>
          run(() => call('changePassword', { body }), 'Changed. Your other sessions have ended.').then(
            (ok) => ok && reset(),
          ),
        )}
      >
        <label>
          <span className="label">Password now</span>
          <input
            type="password"
            autoComplete="current-password"
            className="cell"
            {...register('current', { required: true })}
          />
        </label>
        <label>
          <span className="label">New one, ten characters or more</span>
          <input
            type="password"
            autoComplete="new-password"
            className="cell"
            {...register('next', { required: true, minLength: { value: 10, message: 'Ten characters or more.' } })}
          />
        </label>
        <button type="submit" className="btn">
          change it
        </button>
        <Refused why={formState.errors.next?.message} className="col-span-3" />
      </form>
      <p className="mt-3 flex items-center gap-3">
        <span className="flex-1">
          {person.factor
            ? 'Signing in also asks for the code of your authenticator.'
            : 'A second factor: an authenticator on your phone gives a code at each signing in.'}
        </span>
        {person.factor ? (
          <button type="button" className="btn" onClick={() => setDropping(true)}>
            turn it off
          </button>
        ) : (
          <button
            type="button"
            className="btn"
            onClick={() =>
              void run(async () => {
                const { secret, uri } = await call('beginFactor', {})
                setFactor({ secret, picture: await qr(uri) })
              })
            }
          >
            turn it on
          </button>
        )}
      </p>
      <Why why={why} />
      {factor ? (
        <Confirm
          title="Second factor"
          label="The code it shows now"
          close={() => setFactor(undefined)}
          go={(code) =>
            run(() => call('setFactor', { body: { code } }), 'On.').then(async (ok) => {
              await ask()
              return ok
            })
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
          label="Your password"
          secret
          close={() => setDropping(false)}
          go={(password) =>
            run(() => call('dropFactor', { body: { password } }), 'Off.').then(async (ok) => {
              await ask()
              return ok
            })
          }
          why={why}
        />
      ) : null}
    </Block>
  )
}

interface Confirming {
  title: string
  label: string
  secret?: boolean
  why: string
  close: () => void
  go: (value: string) => Promise<boolean>
  children?: React.ReactNode
}

function Confirm({ title, label, secret, why, close, go, children }: Confirming) {
  const [value, setValue] = useState('')
  return (
    <Modal title={title} close={close}>
      <form
        className="mt-2"
        onSubmit={(e) => {
          e.preventDefault()
          void go(value).then((ok) => ok && close())
        }}
      >
        {children}
        <label className="mt-2 block">
          <span className="label">{label}</span>
          <input
            className="cell"
            type={secret ? 'password' : 'text'}
            inputMode={secret ? 'text' : 'numeric'}
            value={value}
            onChange={(e) => setValue(e.target.value)}
          />
        </label>
        <Why why={why} />
        <button type="submit" className="btn btn-main mt-3" disabled={!value}>
          Confirm
        </button>
      </form>
    </Modal>
  )
}
