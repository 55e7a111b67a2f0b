import type { Api, GoodOf } from '@nubrin/core/api'
import { useQuery } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { useForm } from 'react-hook-form'
import { useNavigate, useParams } from 'react-router'
import { ROLE_WORDS } from '../base/names'
import { call, refusalText } from '../data'
import { Porch } from '../door/SignIn'
import { Refused } from '../kit'
import { useSession } from '../store/session'

interface Form {
  shop: string
  name: string
  signIn: string
  password: string
  again: string
}

/** Accepting an invitation: the first owner’s, a new colleague’s, or one for choosing a new password. */
export default function Join() {
  const { token } = useParams()
  const invitation = useQuery({
    queryKey: ['invitation', token],
    retry: false,
    queryFn: () => call('invitation', { params: { token: token! } }),
  })
  useEffect(() => {
    document.title = 'Join · Nubrin'
  }, [])
  return (
    <Porch>
      {invitation.data ? (
        <Accept token={token!} invitation={invitation.data} />
      ) : (
        <>
          <Refused why={invitation.error?.message} />
          {invitation.isLoading ? <p className="text-quiet">One moment…</p> : null}
        </>
      )}
    </Porch>
  )
}

type Invitation = GoodOf<Api['invitation']>

/** What an invitation welcomes to, and what it says first. */
const WELCOME: Record<Invitation['asks'], (i: Invitation) => { heading: string; words: string }> = {
  shop: () => ({ heading: 'Set up your shop', words: 'You will be its owner; you can invite others later.' }),
  person: (i) => ({
    heading: `Welcome to ${i.shop}`,
    words: `${i.name}, you join as ${ROLE_WORDS[i.role].toLowerCase()}.`,
  }),
  password: (i) => ({
    heading: 'Choose a new password',
    words: `${i.name}, your old password no longer works and every session has ended.`,
  }),
}

function Accept({ token, invitation: i }: { token: string; invitation: Invitation }) {
  const navigate = useNavigate()
  const welcome = useSession((s) => s.welcome)
  const { register, handleSubmit, formState, watch } = useForm<Form>()
  const [refused, setRefused] = useState('')
  const { heading, words } = WELCOME[i.asks](i)
  const go = ({ shop, name, signIn, password }: Form) => {
    const who = { ...(i.asks === 'password' ? {} : { signIn }), ...(i.asks === 'shop' ? { shop, name } : {}) }
    return call('accept', { params: { token }, body: { password, ...who } }).then(
      (r) => {
        welcome(r)
        navigate('/')
      },
      (e) => setRefused(refusalText(e)),
    )
  }
  const field = (id: keyof Form, label: string, more: Parameters<typeof register<keyof Form>>[1], type = 'text') => (
    <div className="mb-3">
      <label className="label" htmlFor={id}>
        {label}
      </label>
      <input id={id} type={type} className="cell" {...register(id, more)} />
      <Refused why={formState.errors[id]?.message} />
    </div>
  )
  return (
    <>
      <h1 className="text-2xl">{heading}</h1>
      <p className="text-quiet mb-4">{words}</p>
      <form noValidate onSubmit={handleSubmit(go)}>
        {i.asks === 'shop' ? field('shop', 'Name of the shop', { required: 'A shop needs a name.' }) : null}
        {i.asks === 'shop' ? field('name', 'Your name', { required: 'Enter your name.' }) : null}
        {i.asks === 'password'
          ? null
          : field('signIn', 'Sign-in name', {
              required: 'Choose a name to sign in with.',
              pattern: { value: /^[\p{L}\p{N}._@-]{2,60}$/u, message: 'Letters, digits, . _ - @; no spaces.' },
            })}
        {field(
          'password',
          'Password (ten characters or more; a sentence is good)',
          { required: 'Choose a password.', minLength: { value: 10, message: 'Ten characters or more.' } },
          'password',
        )}
        {field(
          'again',
          'Repeat the password',
          { validate: (v) => v === watch('password') || 'The passwords do not match.' },
          'password',
        )}
        <Refused why={refused} />
        <button type="submit" className="btn btn-main mt-2" disabled={formState.isSubmitting}>
          Come in
        </button>
      </form>
    </>
  )
}
