import type { WavFacts, WavFault } from '@nubrin/core/voice'

/** Longest that a sound is read, ms; none of forty megabytes takes a tenth of it. */
const LONGEST = 20_000

/** Measures a sound beside the page, which goes on meanwhile. Fails with a fault, never with an exception. */
export function readSound(file: File): Promise<WavFacts | WavFault> {
  const worker = new Worker(new URL('./sound.worker.ts', import.meta.url), { type: 'module' })
  const unreadable = (message: string): WavFault => ({ ok: false, code: 'unreadable', message })
  return new Promise<WavFacts | WavFault>((done) => {
    const timer = setTimeout(() => done(unreadable('The sound takes too long to read.')), LONGEST)
    worker.onmessage = (e: MessageEvent<WavFacts | WavFault>) => {
      clearTimeout(timer)
      done(e.data)
    }
    worker.onerror = () => done(unreadable('The sound cannot be read.'))
    file.arrayBuffer().then(
      (bytes) => worker.postMessage(bytes, [bytes]),
      () => done(unreadable('The file cannot be opened.')),
    )
  }).finally(() => worker.terminate())
}
