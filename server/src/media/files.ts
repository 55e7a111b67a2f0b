import { existsSync } from 'node:fs'
import { mkdir, readFile, rename, rm, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { fileHash, newId } from '../base/ids'
import { NotFound } from '../http/problem'

/** Files by the hash of their content: the same photo is stored once. */
export interface Files {
  /** Keeps some bytes and gives their hash, which whoever has it need not have made again. */
  put(bytes: Uint8Array, hash?: string): Promise<string>
  /** The bytes under a hash; throws NotFound when there are none. */
  get(hash: string): Promise<Buffer>
  /** Forgets some bytes for good; nothing happens when there are none. */
  drop(hash: string): Promise<void>
}

const isHash = (hash: string) => /^[0-9a-f]{64}$/.test(hash)
const none = () => new NotFound('There is no such file.')

/** Files in a folder; a name can never point outside it. */
export class FolderFiles implements Files {
  constructor(private readonly folder: string) {}

  async put(bytes: Uint8Array, known?: string): Promise<string> {
    const hash = known ?? (await fileHash(bytes))
    const path = this.path(hash)
    if (!existsSync(path)) {
      await mkdir(join(this.folder, hash.slice(0, 2)), { recursive: true })
      // Written beside and renamed, so that a crash never leaves half a file under a good name.
      const draft = `${path}.${newId()}`
      try {
        await writeFile(draft, bytes, { flush: true })
        await rename(draft, path)
      } catch (e) {
        // Half a file on a full disk would only take the room that is wanted.
        await rm(draft, { force: true })
        throw e
      }
    }
    return hash
  }

  async get(hash: string): Promise<Buffer> {
    if (!isHash(hash) || !existsSync(this.path(hash))) throw none()
    return readFile(this.path(hash))
  }

  async drop(hash: string): Promise<void> {
    if (isHash(hash)) await rm(this.path(hash), { force: true })
  }

  private path(hash: string) {
    return join(this.folder, hash.slice(0, 2), hash)
  }
}

/** Files in memory, for tests. */
export class MemoryFiles implements Files {
  private readonly kept = new Map<string, Buffer>()

  async put(bytes: Uint8Array, known?: string): Promise<string> {
    const hash = known ?? (await fileHash(bytes))
    this.kept.set(hash, Buffer.from(bytes))
    return hash
  }

  async get(hash: string): Promise<Buffer> {
    const bytes = this.kept.get(hash)
    if (!bytes) throw none()
    return Buffer.from(bytes)
  }

  async drop(hash: string): Promise<void> {
    this.kept.delete(hash)
  }
}
