import type { Sound, SoundEvent } from '@nubrin/core/record'
import {
  clashingNames,
  guessEvent,
  isLitter,
  MOST_SOUND_BYTES,
  measuresOf,
  type NameRule,
  type PathFault,
  type Placed,
  pathFault,
  placeByName,
} from '@nubrin/core/voice'
import PQueue from 'p-queue'
import { create } from 'zustand'
import { call, freshId, refusalText } from '../data'
import { openZip } from '../workers/openZip'
import { readSound } from '../workers/readSound'

/** A file on its way in: what it is called with its folders, how large it is, and its content when it is asked for. */
interface Source {
  path: string
  bytes: number
  open: () => Promise<Blob>
}
/** A sound that was measured and stored. */
export interface Arrived {
  sound: Omit<Sound, 'event'>
  path: string
  /** The folder that makes up its font. */
  font: string
  event: SoundEvent | undefined
  /** What it may be for, where its name does not say. */
  guess: SoundEvent | undefined
}
interface Refused {
  path: string
  why: string
}

interface Intake {
  /** What it is for: the id of a font, or nothing where each folder becomes a font. Undefined where nothing is coming in. */
  into: { saber: string; font?: string } | undefined
  state: 'idle' | 'looking' | 'reading' | 'done'
  files: number
  read: number
  bytes: number
  readBytes: number
  began: number
  arrived: readonly Arrived[]
  refused: readonly Refused[]
  /** Files that are no sounds. */
  passedOver: number
  begin: (
    files: readonly File[],
    into: { saber: string; font?: string },
    commission: string,
    rules: readonly NameRule[],
  ) => Promise<void>
  /** Gives up what has not come in yet; what has stays. */
  cancel: () => void
  /** Takes some out of the list, as they are placed now. */
  place: (ids: ReadonlySet<string>) => void
  dismiss: () => void
}

/** More is not read at once. */
const MOST_AT_ONCE = 2 * 1024 * 1024 * 1024
/** So many are measured beside each other; as many are on their way to the server. */
const AT_A_TIME = 2
const FAULTS: Record<PathFault, string> = {
  outside: 'its path leads out of its folder',
  odd: 'its name has letters that a card cannot hold',
  long: 'its path is longer than 240 letters',
}
const SOUND = /\.(wav|wave|mp3|ogg|oga|opus|flac|aiff?|m4a|aac|wma)$/i
const pathOf = (f: File): string =>
  ((f as File & { path?: string }).path || f.webkitRelativePath || f.name).replace(/^\.?\//, '')
const isZip = async (f: File) => (await f.slice(0, 2).text()) === 'PK'

const EMPTY = {
  ...{ into: undefined, state: 'idle' as const, files: 0, read: 0, bytes: 0, readBytes: 0, began: 0 },
  ...{ arrived: [], refused: [], passedOver: 0 },
}

/** Which of the runs is the one that counts: one that was given up writes nothing more. */
let run = 0
let queue: PQueue | undefined

/** Sounds that are coming in: read and measured beside the page, stored, and placed by their names as far as these say. */
export const useIntake = create<Intake>((set, get) => ({
  ...EMPTY,
  async begin(files, into, commission, rules) {
    const mine = ++run
    const here = () => mine === run
    const refuse = (path: string, why: string) => here() && set((s) => ({ refused: [...s.refused, { path, why }] }))
    set({ ...EMPTY, into, state: 'looking', began: Date.now() })
    const found = await gather(files, refuse)
    if (!here()) return found.close()
    const clashing = clashingNames(found.sources.map((s) => s.path))
    let total = 0
    const wanted = found.sources.filter((s) => {
      const twin = clashing.get(s.path)
      const fault = pathFault(s.path)
      total += s.bytes
      if (fault) refuse(s.path, FAULTS[fault])
      else if (twin) refuse(s.path, `a card cannot tell it from ${twin}`)
      else if (s.bytes > MOST_SOUND_BYTES) refuse(s.path, 'it is larger than 40 MB')
      else if (total > MOST_AT_ONCE) refuse(s.path, 'more than 2 GB at once')
      else return true
      return false
    })
    const bytes = wanted.reduce((sum, s) => sum + s.bytes, 0)
    set({ state: 'reading', files: wanted.length, bytes, passedOver: found.passedOver, began: Date.now() })
    const places = new Map(
      placeByName(
        wanted.map((s) => s.path),
        rules,
      ).map((p) => [p.path, p]),
    )
    const work = new PQueue({ concurrency: AT_A_TIME })
    queue = work
    for (const source of wanted)
      void work.add(async () => {
        if (!here()) return
        const arrived = await take(source, commission, places.get(source.path)!).catch((e: Error) => e.message)
        if (!here()) return
        const one = (s: Intake) => ({ read: s.read + 1, readBytes: s.readBytes + source.bytes })
        if (typeof arrived === 'string')
          set((s) => ({ ...one(s), refused: [...s.refused, { path: source.path, why: arrived }] }))
        else set((s) => ({ ...one(s), arrived: [...s.arrived, arrived] }))
      })
    await work.onIdle()
    found.close()
    if (here()) set({ state: 'done' })
  },
  cancel() {
    run++
    queue?.clear()
    set((s) => ({ state: s.arrived.length || s.refused.length ? 'done' : 'idle' }))
  },
  place: (ids) => set((s) => ({ arrived: s.arrived.filter((a) => !ids.has(a.sound.id)) })),
  dismiss() {
    run++
    queue?.clear()
    set(get().state === 'idle' ? {} : EMPTY)
  },
}))

/** All files that were given, those of archives too. */
async function gather(files: readonly File[], refuse: (path: string, why: string) => void) {
  const sources: Source[] = []
  const closing: (() => void)[] = []
  let passedOver = 0
  const add = (path: string, bytes: number, open: () => Promise<Blob>) => {
    if (isLitter(path) || !SOUND.test(path)) passedOver++
    else sources.push({ path, bytes, open })
  }
  for (const f of files) {
    const path = pathOf(f)
    if (!(await isZip(f).catch(() => false))) {
      add(path, f.size, async () => f)
      continue
    }
    try {
      const zip = await openZip(f)
      closing.push(zip.close)
      // What lies at the top of an archive is of the font that the archive is called after.
      const name = path.replace(/\.zip$/i, '')
      for (const [i, e] of zip.entries.entries())
        add(e.path.includes('/') ? e.path : `${name}/${e.path}`, e.bytes, () => zip.read(i))
    } catch (e) {
      refuse(path, (e as Error).message)
    }
  }
  const close = () => {
    for (const end of closing) end()
  }
  return { sources, passedOver, close }
}

/** Measures one, stores it, and says where it belongs; fails with why not. */
async function take(source: Source, commission: string, { font, name, event }: Placed): Promise<Arrived> {
  const blob = await source.open()
  const wav = await readSound(blob)
  if (!wav.ok) throw new Error(wav.message)
  const file = new File([blob], name, { type: 'audio/wav' })
  const kept = await call('upload', { query: { commission }, file }).catch((e) =>
    Promise.reject(new Error(refusalText(e))),
  )
  return {
    ...{ path: source.path, font, event, guess: event ? undefined : guessEvent(wav) },
    sound: { id: freshId(), name: name.slice(0, 240), media: kept.hash, ...measuresOf(wav) },
  }
}
