// What the project needs on a Debian machine, installed only where it is missing.
import { execFileSync, spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'

const PACKAGES = {
  mariadbd: ['mariadb-server-core', '/usr/sbin/mariadbd'],
  mariadb: ['mariadb-client-core', '/usr/bin/mariadb'],
  chromium: ['chromium', '/usr/bin/chromium'],
  pdftotext: ['poppler-utils', '/usr/bin/pdftotext'],
  // Letters of East Asia, as the paper needs them.
  letters: ['fonts-wqy-microhei', '/usr/share/fonts/truetype/wqy/wqy-microhei.ttc'],
  // Another meter of loudness, for tests and the bench.
  ffmpeg: ['ffmpeg', '/usr/bin/ffmpeg'],
  sounds: ['alsa-utils', '/usr/share/sounds/alsa/Front_Center.wav'],
}

/** Installs the Debian packages behind the named needs, with sudo when not root. Says what to do when it may not. */
export function ensureDebian(needs) {
  const missing = needs.filter((n) => !existsSync(PACKAGES[n][1])).map((n) => PACKAGES[n][0])
  if (!missing.length) return
  const sudo = process.getuid?.() === 0 ? [] : ['sudo', '-n']
  const run = (args) =>
    spawnSync(sudo[0] ?? args[0], [...sudo.slice(1), ...(sudo.length ? args : args.slice(1))], {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    })
  console.log(`Installing ${missing.join(', ')} …`)
  run(['apt-get', 'update', '-qq'])
  const r = run(['apt-get', 'install', '-y', '-qq', '--no-install-recommends', ...missing])
  if (r.status !== 0)
    throw new Error(
      `These Debian packages are needed and could not be installed: ${missing.join(' ')}. Install them as root: apt-get install ${missing.join(' ')}`,
    )
}

/** npm packages by the lock file; skipped when the lock is the one installed last. */
export function ensureNpm(root) {
  const stamp = join(root, 'node_modules', '.nubrin-lock')
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex')
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return
  console.log('Installing npm packages …')
  const npm = (command, stderr) =>
    execFileSync('npm', [command, '--no-audit', '--no-fund', '--loglevel=error'], {
      cwd: root,
      stdio: ['ignore', 'ignore', stderr],
    })
  try {
    npm('ci', 'ignore')
  } catch {
    // Some registries do not serve the optional binaries of foreign platforms; `ci` then calls the lock file incomplete,
    // while `install` follows the same lock and leaves them out.
    npm('install', 'inherit')
  }
  mkdirSync(join(root, 'node_modules'), { recursive: true })
  writeFileSync(stamp, lock)
}
