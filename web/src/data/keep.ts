import { type DBSchema, openDB } from 'idb'

/** What this browser keeps: work not acknowledged, by tab, and the last of what was read, for when the server is away. */
interface BrowserStore extends DBSchema {
  unsaved: {
    key: string
    value: { commission: string; tab: string; at: number; what: unknown }
    indexes: { commission: string }
  }
  read: { key: string; value: { at: number; what: unknown } }
}
const open = () =>
  openDB<BrowserStore>('nubrin', 1, {
    upgrade(db) {
      db.createObjectStore('unsaved').createIndex('commission', 'commission')
      db.createObjectStore('read')
    },
  })
let db: ReturnType<typeof open> | undefined
const kept = () => {
  db ??= open()
  return db
}
/** Commissions whose last reading is kept. */
const MOST_READ = 30
/** Where tabs cannot tell whether another lives, one that was silent for so long is taken for gone, ms. */
const SILENT = 10 * 60_000

const lockOf = (tab: string) => `nubrin-tab-${tab}`
/**
 * The name of this tab: the same after a reload, another one in a duplicated tab. A lock held as long as the tab lives tells
 * the others that it does.
 */
async function nameTab(): Promise<string> {
  const fresh = () => crypto.randomUUID().slice(0, 12)
  const hold = (tab: string) =>
    new Promise<boolean>((done) => {
      if (!navigator.locks) return done(true)
      void navigator.locks.request(lockOf(tab), { ifAvailable: true }, (lock) => {
        done(lock !== null)
        return lock ? new Promise(() => {}) : undefined
      })
    })
  let tab = sessionStorage.getItem('nubrin-tab') ?? fresh()
  if (!(await hold(tab))) {
    tab = fresh()
    await hold(tab)
  }
  sessionStorage.setItem('nubrin-tab', tab)
  return tab
}
let named: Promise<string> | undefined
const thisTab = () => {
  named ??= nameTab()
  return named
}

/** Keeps this tab's work on a commission, or forgets it when there is none. */
export async function keepUnsaved(commission: string, what: unknown): Promise<void> {
  const tab = await thisTab()
  const key = `${commission} ${tab}`
  if (what === undefined) await (await kept()).delete('unsaved', key)
  else await (await kept()).put('unsaved', { commission, tab, at: Date.now(), what: structuredClone(what) }, key)
}

/** What this tab and tabs that are gone kept of a commission. It stays kept until `forget` is called, once it is taken over. */
export async function keptUnsaved(commission: string): Promise<{ what: unknown; forget: () => Promise<void> }[]> {
  const tab = await thisTab()
  const living = new Set((await navigator.locks?.query())?.held?.map((l) => l.name))
  const all = await (await kept()).getAllFromIndex('unsaved', 'commission', commission)
  const gone = (k: { tab: string; at: number }) =>
    navigator.locks ? !living.has(lockOf(k.tab)) : Date.now() - k.at > SILENT
  return all
    .filter((k) => k.tab === tab || gone(k))
    .toSorted((a, b) => a.at - b.at)
    .map((k) => ({
      what: k.what,
      forget: async () => {
        if (k.tab !== tab) await (await kept()).delete('unsaved', `${commission} ${k.tab}`)
      },
    }))
}

/** Keeps the last reading of something, for when the server does not answer. Fails silently: it is only a convenience. */
export async function keepRead(key: string, what: unknown): Promise<void> {
  try {
    const store = await kept()
    await store.put('read', { at: Date.now(), what: structuredClone(what) }, key)
    const keys = await store.getAllKeys('read')
    if (keys.length <= MOST_READ) return
    const all = await Promise.all(keys.map(async (k) => ({ k, at: (await store.get('read', k))?.at ?? 0 })))
    for (const { k } of all.toSorted((a, b) => b.at - a.at).slice(MOST_READ)) await store.delete('read', k)
  } catch {
    // A full or forbidden store keeps nothing.
  }
}
export async function readKept<T>(key: string): Promise<T | undefined> {
  try {
    return (await (await kept()).get('read', key))?.what as T | undefined
  } catch {
    return undefined
  }
}
/** Forgets all that was read, as when somebody signs out of a shared machine. Work not acknowledged stays. */
export const forgetRead = async (): Promise<void> => {
  try {
    await (await kept()).clear('read')
  } catch {
    // Nothing was kept.
  }
}
