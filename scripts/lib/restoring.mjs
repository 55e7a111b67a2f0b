// A restore is a state on disk until it is whole: what is put back is made beside what is there, and takes its place at the end.
import {
  existsSync,
  fsyncSync,
  mkdirSync,
  openSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  writeSync,
} from 'node:fs'
import { join } from 'node:path'

/** What a restore puts back, by folders of the data folder. */
const PUT_BACK = ['mariadb', 'files', 'outbox']
const noteOf = (data) => join(data, 'restoring.json')
/** Where what is put back is made. */
export const makingOf = (data) => join(data, 'restoring')

/** Writes down how far it is, so that it is known after a power cut too. */
function note(data, state) {
  const draft = `${noteOf(data)}.new`
  const file = openSync(draft, 'w', 0o600)
  writeSync(file, JSON.stringify(state))
  fsyncSync(file)
  renameSync(draft, noteOf(data))
}
/** Whether a restore is under way, or was cut off. */
export const isRestoring = (data) => existsSync(noteOf(data))
const noted = (data) => (isRestoring(data) ? JSON.parse(readFileSync(noteOf(data), 'utf8')) : undefined)

/** Gives up what was made, and ends what a killed restore has left at work on it: a database that is filled, or being made. */
function giveUp(data) {
  const making = `${makingOf(data)}/`
  const onIt = () =>
    readdirSync('/proc').filter((pid) => {
      try {
        return /^\d+$/.test(pid) && readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes(making)
      } catch {
        return false
      }
    })
  for (let i = 0; i < 100 && onIt().length; i++) {
    for (const pid of onIt())
      try {
        process.kill(Number(pid), 'SIGKILL')
      } catch {
        // It has just ended by itself.
      }
    Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, 50)
  }
  rmSync(makingOf(data), { recursive: true, force: true, maxRetries: 5 })
}

/** Begins: `aside` is where what is there now will go. Nothing of it has been touched yet. */
export function beginRestore(data, aside) {
  giveUp(data)
  note(data, { whole: false, aside })
  mkdirSync(makingOf(data))
}
/** What was made is whole: from here on it is put in place, and by the next start if this one is cut off. */
export function putInPlace(data) {
  const { aside } = noted(data)
  note(data, { whole: true, aside })
  finish(data, aside)
}

function finish(data, aside) {
  mkdirSync(aside, { recursive: true })
  for (const name of PUT_BACK) {
    const made = join(makingOf(data), name)
    if (!existsSync(made)) continue
    // Already aside where it was cut off between the two.
    if (existsSync(join(data, name)) && !existsSync(join(aside, name))) renameSync(join(data, name), join(aside, name))
    renameSync(made, join(data, name))
  }
  rmSync(makingOf(data), { recursive: true, force: true })
  rmSync(noteOf(data))
}

/**
 * What a restore that was cut off has left: one that was not whole is given up, and the shop is as it was before; one that was
 * is put in place. Gives the words for it; undefined where none was cut off.
 */
export function afterRestore(data) {
  const state = noted(data)
  if (!state) return undefined
  if (state.whole) {
    finish(data, state.aside)
    return `A restore was cut off at its end; it is whole now. What was there before is in ${state.aside}.`
  }
  giveUp(data)
  rmSync(noteOf(data))
  return 'A restore was cut off before it was whole; the shop is as it was before it. Restore again to put the backup back.'
}
