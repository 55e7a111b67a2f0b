export type ZipAsk = { kind: 'open'; file: Blob } | { kind: 'read'; index: number }
export type ZipSaid =
  | { kind: 'list'; entries: { path: string; bytes: number }[] }
  | { kind: 'entry'; blob: Blob }
  | { kind: 'entry'; why: string }
  | { kind: 'refused'; why: string }

export interface OpenZip {
  entries: { path: string; bytes: number }[]
  /** One entry; fails with why it cannot be had. One at a time. */
  read(index: number): Promise<Blob>
  close(): void
}

/** Opens an archive beside the page: only its list is read, and of each entry only what is asked for. Fails with why not. */
export async function openZip(file: Blob): Promise<OpenZip> {
  const worker = new Worker(new URL('./zip.worker.ts', import.meta.url), { type: 'module' })
  let turn: Promise<unknown> = Promise.resolve()
  const ask = (what: ZipAsk): Promise<ZipSaid> => {
    const mine = turn.then(
      () =>
        new Promise<ZipSaid>((done, fail) => {
          worker.onmessage = (e: MessageEvent<ZipSaid>) => done(e.data)
          worker.onerror = () => fail(new Error('The archive cannot be read.'))
          worker.postMessage(what)
        }),
    )
    turn = mine.catch(() => {})
    return mine
  }
  const listed = await ask({ kind: 'open', file }).catch((e: Error): ZipSaid => ({ kind: 'refused', why: e.message }))
  if (listed.kind !== 'list') {
    worker.terminate()
    throw new Error('why' in listed ? listed.why : 'The archive cannot be read.')
  }
  return {
    entries: listed.entries,
    async read(index) {
      const said = await ask({ kind: 'read', index })
      if (said.kind === 'entry' && 'blob' in said) return said.blob
      throw new Error('why' in said ? said.why : 'cannot be unpacked')
    },
    close: () => worker.terminate(),
  }
}
