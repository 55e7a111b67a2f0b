import type { Api, GoodOf } from '@nubrin/core/api'
import { create } from 'zustand'
import { call, setCsrf } from '../data/client'

type Person = NonNullable<GoodOf<Api['session']>['user']>

interface Session {
  /** undefined until asked; null when nobody is signed in. */
  person: Person | null | undefined
  ask: () => Promise<void>
  signIn: (signIn: string, password: string) => Promise<void>
  signOut: () => Promise<void>
}

export const useSession = create<Session>()((set) => ({
  person: undefined,
  async ask() {
    const r = await call('session', {})
    setCsrf(r.csrf ?? '')
    set({ person: r.user })
  },
  async signIn(signIn, password) {
    const r = await call('signIn', { body: { signIn, password } })
    setCsrf(r.csrf)
    set({ person: r.user })
  },
  async signOut() {
    await call('signOut', {})
    setCsrf('')
    set({ person: null })
  },
}))
