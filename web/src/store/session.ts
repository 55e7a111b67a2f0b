import { create } from 'zustand'
import { api, type Person, setCsrf } from '../api'

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
    const r = await api<{ user: Person | null; csrf?: string }>('GET', '/session')
    setCsrf(r.csrf ?? '')
    set({ person: r.user })
  },
  async signIn(signIn, password) {
    const r = await api<{ user: Person; csrf: string }>('POST', '/session', { signIn, password })
    setCsrf(r.csrf)
    set({ person: r.user })
  },
  async signOut() {
    await api('DELETE', '/session')
    setCsrf('')
    set({ person: null })
  },
}))
