// One part of a check: a process with its text, its end and its time.
import { spawn } from 'node:child_process'

/**
 * Runs a command in a folder; `hear` is given what it says as it comes. Resolves with how it ended, all that it said, and seconds.
 * With a limit, ms, it is stopped with all that it started when it takes longer.
 */
export const runPart = (command, args, { cwd, env = {}, hear = () => {}, limit }) =>
  new Promise((done) => {
    const from = Date.now()
    const child = spawn(command, args, {
      ...{ cwd, stdio: ['ignore', 'pipe', 'pipe'], env: { ...process.env, ...env } },
      detached: limit !== undefined,
    })
    const stop = limit && setTimeout(() => process.kill(-child.pid, 'SIGKILL'), limit)
    let text = ''
    const end = (status) => {
      clearTimeout(stop)
      done({ status, text, seconds: (Date.now() - from) / 1000 })
    }
    for (const stream of [child.stdout, child.stderr])
      stream.setEncoding('utf8').on('data', (b) => {
        text += b
        hear(b)
      })
    child.once('error', (e) => {
      text += String(e)
      end(1)
    })
    child.once('close', end)
  })
