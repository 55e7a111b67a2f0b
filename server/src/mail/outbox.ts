import { mkdir, readdir, rm, writeFile } from 'node:fs/promises'
import { join } from 'node:path'

export interface Letter {
  to: string
  from: string
  subject: string
  text: string
}

const word = (text: string) => `=?utf-8?B?${Buffer.from(text).toString('base64')}?=`
/** What stands in a line of its own: no line ends in it. */
const line = (text: string) => text.replace(/[\r\n]+/g, ' ').slice(0, 240)

/** A letter as mail programs read it, plain text in UTF-8. */
const asMail = ({ to, from, subject, text }: Letter, at: Date): string =>
  [
    ...[`To: ${word(line(to))}`, `From: ${word(line(from))}`, `Subject: ${word(line(subject))}`],
    ...[`Date: ${at.toUTCString()}`, 'MIME-Version: 1.0', 'Content-Type: text/plain; charset=utf-8'],
    ...['Content-Transfer-Encoding: base64', ''],
    ...(Buffer.from(text.replace(/\r?\n/g, '\r\n'))
      .toString('base64')
      .match(/.{1,76}/g) ?? ['']),
    '',
  ].join('\r\n')

/** Stands in for a mail server: letters lie in a folder until somebody sends them. The same one is put there once. */
export class Outbox {
  constructor(private readonly folder: string) {}

  /** Whether it was put there now, and was not there before. */
  async put(name: string, letter: Letter): Promise<boolean> {
    await mkdir(this.folder, { recursive: true })
    try {
      await writeFile(join(this.folder, `${name}.eml`), asMail(letter, new Date()), { flag: 'wx' })
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
