import type { CardFile } from '@nubrin/core/record'

export type CardAsk = { zip: Blob } | { files: { path: string; file: Blob }[] }
export type CardSaid =
  | { kind: 'so far'; files: number }
  | { kind: 'read'; files: CardFile[]; unreadable: string[]; configuration?: string }
  | { kind: 'refused'; why: string }
export type CardRead = Omit<Extract<CardSaid, { kind: 'read' }>, 'kind'>

/** Reads a card, as a folder or an archive of it, beside the page: each file with its length and SHA-256. Fails with why not. */
export function readCard(ask: CardAsk, onFiles: (n: number) => void): { read: Promise<CardRead>; cancel: () => void } {
  const worker = new Worker(new URL('./card.worker.ts', import.meta.url), { type: 'module' })
  const read = new Promise<CardRead>((done, fail) => {
    worker.onmessage = ({ data }: MessageEvent<CardSaid>) => {
      if (data.kind === 'so far') return onFiles(data.files)
      if (data.kind === 'refused') return fail(new Error(data.why))
      const { kind: _k, ...said } = data
      done(said)
    }
    worker.onerror = () => fail(new Error('The card cannot be read.'))
    worker.postMessage(ask)
  }).finally(() => worker.terminate())
  return { read, cancel: () => worker.terminate() }
}
