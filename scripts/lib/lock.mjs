// One start at a time on a data folder.
import { closeSync, openSync, readFileSync, rmSync, writeSync } from 'node:fs'
import { join } from 'node:path'

/** When a process began, in ticks since the machine did; undefined when there is none. With it a number used anew is told apart. */
export function beganAt(pid) {
  try {
    const stat = readFileSync(`/proc/${pid}/stat`, 'utf8')
    return stat.slice(stat.lastIndexOf(')') + 2).split(' ')[19]
  } catch {
    return undefined
  }
}

/**
 * Takes a data folder for this process; throws, in words, when another living one has it. A lock whose owner is gone is
 * taken over. Returns what gives it back.
 */
export function lockFolder(folder) {
  const path = join(folder, 'nubrin.lock')
  for (let tries = 0; ; tries++) {
    try {
      const file = openSync(path, 'wx', 0o600)
      writeSync(file, JSON.stringify({ pid: process.pid, began: beganAt(process.pid) }))
      closeSync(file)
      return () => rmSync(path, { force: true })
    } catch (e) {
      if (e.code !== 'EEXIST') throw new Error(`The data folder cannot be written: ${e.message}`)
    }
    let owner = {}
    try {
      owner = JSON.parse(readFileSync(path, 'utf8'))
    } catch {
      // Half written: its owner died while taking it, or is taking it just now.
    }
    const living = owner.pid && beganAt(owner.pid) === owner.began
    if (living || tries > 20)
      throw new Error(
        `Another Nubrin is running on this data folder${owner.pid ? ` (process ${owner.pid})` : ''}: ${folder}\n` +
          `Nothing was changed. Stop that one first, or set NUBRIN_DATA to another folder.`,
      )
    if (owner.pid) rmSync(path, { force: true })
    else Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, 50)
    if (tries === 19 && !owner.pid) rmSync(path, { force: true })
  }
}
