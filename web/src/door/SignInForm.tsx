import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { ApiError } from '../data'
import { Refused } from '../kit'
import { useSession } from '../store/session'

interface Keys {
  name: string
  password: string
  code: string
}

/** Name, password and, where one is set, the code of an authenticator. */
export default function SignInForm({ done }: { done?: () => void }) {
  const signIn = useSession((s) => s.signIn)
  const { register, handleSubmit, formState } = useForm<Keys>()
  const [refused, setRefused] = useState('')
  const [asksCode, setAsksCode] = useState(false)
  const go = ({ name, password, code }: Keys) =>
    signIn(name, password, code || undefined).then(done, (e: Error) => {
      const wanted = e instanceof ApiError && e.body.title === 'codeWanted'
      if (wanted) setAsksCode(true)
      setRefused(wanted ? '' : e.message)
    })
  return (
    <form noValidate onSubmit={handleSubmit(go)}>
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
      {asksCode ? (
        <>
          <label className="label mt-3 block" htmlFor="code">
            Code from your authenticator
          </label>
          <input
            id="code"
            inputMode="numeric"
            autoComplete="one-time-code"
            className="cell mb-1"
            {...register('code', { pattern: { value: /^\d{6}$/, message: 'Six digits.' } })}
          />
          <Refused why={formState.errors.code?.message} />
        </>
      ) : null}
      <Refused why={refused} className="mt-2" />
      <button type="submit" className="btn btn-main mt-5" disabled={formState.isSubmitting}>
        Sign in
      </button>
    </form>
  )
}
