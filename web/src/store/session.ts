import type { Api, GoodOf } from '@nubrin/core/api'
import { create } from 'zustand'
import { type ApiError, call, setCsrf } from '../data/client'
import { forgetRead, keepRead, readKept } from '../data/keep'

export type Person = NonNullable<GoodOf<Api['session']>['user']>

interface Session {
  /** undefined until asked; null when nobody is signed in. */
  person: Person | null | undefined
  /** The server does not answer; who was here last may go on with what is kept. */
  away: boolean
  ask: () => Promise<void>
  signIn: (signIn: string, password: string, code?: string) => Promise<void>
  /** Somebody came in by an invitation. */
  welcome: (r: { user: Person; csrf: string }) => void
  signOut: () => Promise<void>
}

export const useSession = create<Session>()((set) => {
  const welcome = ({ user, csrf }: { user: Person; csrf: string }) => {
    setCsrf(csrf)
    set({ person: user, away: false })
    void keepRead('person', user)
  }
  return {
    person: undefined,
    away: false,
    async ask() {
      try {
        const r = await call('session', {})
        setCsrf(r.csrf ?? '')
        set({ person: r.user, away: false })
        if (r.user) void keepRead('person', r.user)
      } catch (e) {
        const last = (e as ApiError).status === 0 ? await readKept<Person>('person') : undefined
        if (!last) throw e
        set({ person: last, away: true })
      }
    },
    async signIn(signIn, password, code) {
      welcome(await call('signIn', { body: { signIn, password, ...(code ? { code } : {}) } }))
    },
    welcome,
    async signOut() {
      await call('signOut', {})
      setCsrf('')
      await forgetRead()
      set({ person: null })
    },
  }
})
