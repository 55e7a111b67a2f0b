import type { Outline, WavFacts, WavFault } from '@nubrin/core/voice'

export type SoundAsk =
  | { kind: 'measure'; bytes: ArrayBuffer }
  /** To be drawn and heard: its outline in so many stretches, and its samples on one channel. */
  | { kind: 'draw'; bytes: ArrayBuffer; stretches: number }
export interface Drawn {
  outline: Outline
  rate: number
  samples: Float32Array<ArrayBuffer>
}

/** Longest that a sound is read, ms; none of forty megabytes takes a tenth of it. */
const LONGEST = 20_000
const unreadable = (message: string): WavFault => ({ ok: false, code: 'unreadable', message })

/** Threads that read sounds, kept for the next ones. */
const idle: Worker[] = []

/** Asks a thread beside the page, which goes on meanwhile; fails where it takes too long, ends, or the file cannot be opened. */
async function ask<T>(of: SoundAsk): Promise<T> {
  const worker = idle.pop() ?? new Worker(new URL('./sound.worker.ts', import.meta.url), { type: 'module' })
  try {
    const answer = await new Promise<T>((done, fail) => {
      const timer = setTimeout(() => fail(new Error('The sound takes too long to read.')), LONGEST)
      const end = (run: () => void) => {
        clearTimeout(timer)
        run()
      }
      worker.onmessage = (e: MessageEvent<T>) => end(() => done(e.data))
      worker.onerror = () => end(() => fail(new Error('The sound cannot be read.')))
      worker.postMessage(of, [of.bytes])
    })
    idle.push(worker)
    return answer
  } catch (e) {
    worker.terminate()
    throw e
  }
}

/** Measures a sound. Comes back with a fault, never with an exception. */
export const readSound = async (file: Blob): Promise<WavFacts | WavFault> => {
  try {
    const bytes = await file.arrayBuffer().catch(() => Promise.reject(new Error('The file cannot be opened.')))
    return await ask<WavFacts | WavFault>({ kind: 'measure', bytes })
  } catch (e) {
    return unreadable((e as Error).message)
  }
}

/** A sound to be drawn and heard; undefined where it cannot be. */
export const drawSound = (bytes: ArrayBuffer, stretches: number): Promise<Drawn | undefined> =>
  ask<Drawn | undefined>({ kind: 'draw', bytes, stretches }).catch(() => undefined)
