import { mkdir, readdir, rm, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import addressparser from 'nodemailer/lib/addressparser'
import MailComposer from 'nodemailer/lib/mail-composer'

interface Person {
  name: string
  address: string
}
interface Letter {
  to: Person
  from: Person
  subject: string
  text: string
}

const ADDRESS = /^[^\s@]{1,64}@[^\s@]+\.[^\s@.]{2,}$/
/** The first address for mail in what somebody wrote down; undefined where there is none. */
export const addressIn = (contact: string): string | undefined =>
  addressparser(contact.replace(/\s+/g, ' '), { flatten: true })
    .map((a) => a.address)
    .find((a) => ADDRESS.test(a))

/** A letter as mail programs read it. */
const asMail = (name: string, { to, from, subject, text }: Letter): Promise<Buffer> =>
  new MailComposer({
    ...{ to, from, subject, text, date: new Date() },
    messageId: `<${name}@${from.address.split('@').at(-1)}>`,
    // Nothing is read from a file or fetched for a letter.
    ...{ disableFileAccess: true, disableUrlAccess: true },
  })
    .compile()
    .build()

/** Stands in for a mail server: letters lie in a folder until somebody sends them. The same one is put there once. */
export class Outbox {
  constructor(private readonly folder: string) {}

  /** Whether it was put there now, and was not there before. */
  async put(name: string, letter: Letter): Promise<boolean> {
    await mkdir(this.folder, { recursive: true })
    try {
      await writeFile(join(this.folder, `${name}.eml`), await asMail(name, letter), { flag: 'wx' })
      return true
    } catch (e) {
      if ((e as NodeJS.ErrnoException).code === 'EEXIST') return false
      throw e
    }
  }

  /** Takes away every letter about a commission; their names end in its id. */
  async drop(commission: string): Promise<void> {
    const names = await readdir(this.folder).catch(() => [])
    for (const n of names) if (n.endsWith(`-${commission}.eml`)) await rm(join(this.folder, n), { force: true })
  }
}
