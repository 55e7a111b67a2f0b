/** Why a path of an archive or a folder is not followed. */
export type PathFault = 'outside' | 'odd' | 'long'

/** Longest path that is taken: what a card's file system can hold. */
const LONGEST = 240

/**
 * Whether a path may be taken over: relative, inside its folder, without letters that no file system takes. Undefined where
 * nothing is wrong. Backslashes part folders as slashes do.
 */
export function pathFault(path: string): PathFault | undefined {
  const steps = path.replaceAll('\\', '/').split('/')
  if (path.length > LONGEST) return 'long'
  if (/^([a-z]:|\/|\\)/i.test(path) || steps.includes('..')) return 'outside'
  // biome-ignore lint/suspicious/noControlCharactersInRegex: these are what is looked for
  if (/[\u0000-\u001f<>:"|?*\u202a-\u202e\u2066-\u2069]/.test(path)) return 'odd'
  return undefined
}

/** What systems and programs leave beside sounds: hidden files and folders, and their bookkeeping. */
export const isLitter = (path: string): boolean =>
  path
    .replaceAll('\\', '/')
    .split('/')
    .some((s) => /^\.[^.]/.test(s) || s.startsWith('__') || /^(thumbs\.db|desktop\.ini)$/i.test(s))

/** The names that a memory card cannot keep apart from one that came before: equal but for capital letters. */
export function clashingNames(names: readonly string[]): Map<string, string> {
  const first = new Map<string, string>()
  const out = new Map<string, string>()
  for (const name of names) {
    const key = name.normalize('NFC').toLowerCase()
    const had = first.get(key)
    if (had === undefined) first.set(key, name)
    else if (had !== name) out.set(name, had)
  }
  return out
}
