import type { SoundEvent } from '../record'

/** A rule by which files find their event: the words that stand for it in a name, in any language. */
export interface NameRule {
  event: SoundEvent
  words: string[]
}

/** What a shop begins with: the plain words of the trade in English, German, French and Spanish. It changes them as it likes. */
export const USUAL_RULES: readonly NameRule[] = [
  {
    event: 'preIgnition',
    words: ['pre ignition', 'before ignition', 'flourish', 'vorspiel', 'vor dem einschalten', 'prelude'],
  },
  {
    event: 'ignite',
    words: [
      'ignition',
      'ignite',
      'ign',
      'power up',
      'powering up',
      'power on',
      'switch on',
      'extend',
      'turn on',
      'zündung',
      'zünden',
      'einschalten',
      'anschalten',
      'allumage',
      'allumer',
      'encendido',
      'encender',
    ],
  },
  {
    event: 'retract',
    words: [
      'retract',
      'retraction',
      'power down',
      'powering down',
      'power off',
      'switch off',
      'turn off',
      'ausschalten',
      'abschalten',
      'einfahren',
      'extinction',
      'éteindre',
      'apagado',
      'apagar',
    ],
  },
  {
    event: 'hum',
    words: ['hum', 'idle', 'drone', 'steady', 'brummen', 'summen', 'dauerton', 'bourdonnement', 'zumbido'],
  },
  {
    event: 'swing',
    words: ['swing', 'swings', 'whoosh', 'swish', 'schwung', 'schwingen', 'hieb', 'balayage', 'balanceo'],
  },
  {
    event: 'clash',
    words: ['clash', 'hit', 'impact', 'strike', 'blow', 'aufprall', 'schlag', 'treffer', 'choc', 'impacto', 'golpe'],
  },
  {
    event: 'lock',
    words: ['lock', 'locked', 'locking', 'bind', 'blockade', 'bindung', 'verriegelt', 'blocage', 'bloqueo'],
  },
  { event: 'drag', words: ['drag', 'dragging', 'scrape', 'tip', 'schleifen', 'kratzen', 'traînée', 'arrastre'] },
  { event: 'melt', words: ['melt', 'melting', 'burn through', 'schmelzen', 'fondre', 'fundir'] },
  {
    event: 'deflect',
    words: ['deflect', 'deflecting', 'parry', 'block', 'blaster', 'abwehr', 'ablenken', 'parade', 'parada', 'desvío'],
  },
  { event: 'surge', words: ['surge', 'lightning', 'blitz', 'energiestoß', 'éclair', 'relámpago'] },
  {
    event: 'quote',
    words: ['quote', 'spoken', 'speech', 'saying', 'spruch', 'zitat', 'réplique', 'citation', 'frase', 'cita'],
  },
  {
    event: 'track',
    words: ['track', 'music', 'song', 'theme', 'tune', 'musik', 'lied', 'musique', 'chanson', 'música', 'canción'],
  },
  {
    event: 'lowBattery',
    words: ['low battery', 'battery low', 'battery is low', 'battery', 'akku', 'batterie', 'batería'],
  },
  {
    event: 'boot',
    words: [
      'boot',
      'startup',
      'start up',
      'wake up',
      'wake',
      'greeting',
      'begrüßung',
      'aufwachen',
      'démarrage',
      'arranque',
    ],
  },
  { event: 'menuLine', words: ['menu', 'announce', 'announcement', 'ansage', 'menü', 'annonce', 'menú', 'anuncio'] },
  { event: 'chime', words: ['chime', 'bell', 'ding', 'glocke', 'glöckchen', 'klingelton', 'carillon', 'campanilla'] },
  { event: 'beep', words: ['beep', 'pip', 'piep', 'piepton', 'bip', 'pitido'] },
]

/** Small letters without accents; ß as ss. */
const plain = (text: string): string =>
  text
    .toLowerCase()
    .replaceAll('ß', 'ss')
    .normalize('NFKD')
    .replace(/\p{M}+/gu, '')
/** The German way to write without umlauts, of a word that has one. */
const spelt = (word: string): string =>
  word.toLowerCase().replaceAll('ä', 'ae').replaceAll('ö', 'oe').replaceAll('ü', 'ue').replaceAll('ß', 'ss')
/** The words of a name: parted at spaces, marks, numbers, and where a small letter meets a capital one. */
const wordsOf = (name: string): string[] =>
  plain(name.replace(/(\p{Ll})(\p{Lu})/gu, '$1 $2'))
    .split(/[^\p{L}]+/u)
    .filter(Boolean)

/** Shortest word that is also found inside another: a shorter one would be in many. */
const WITHIN = 5

/** A rule's word made ready: its own words, and as it is found inside another. */
interface Phrase {
  event: SoundEvent
  words: readonly string[]
  run: string
}
const phrasesOf = (rules: readonly NameRule[]): Phrase[] =>
  rules.flatMap(({ event, words }) =>
    [...new Set(words.flatMap((w) => [w, spelt(w)]))].flatMap((phrase) => {
      const own = wordsOf(phrase)
      return own.length ? [{ event, words: own, run: own.join('') }] : []
    }),
  )

/** How well a phrase stands in a name: how many letters of it; more where it stands alone. 0 where it does not. */
function standsIn(words: readonly string[], { words: wanted, run }: Phrase): number {
  for (let i = 0; i + wanted.length <= words.length; i++)
    if (wanted.every((w, k) => words[i + k] === w || words[i + k] === `${w}s`)) return 2 * run.length + 1
  return run.length >= WITHIN && words.some((w) => w.includes(run)) ? run.length : 0
}

/** Which phrases can stand in a name that has a word; looked for once for each word. */
function phrasesAt(phrases: readonly Phrase[]): (word: string) => readonly Phrase[] {
  const known = new Map<string, readonly Phrase[]>()
  return (word) => {
    const there =
      known.get(word) ?? phrases.filter(({ words: [first], run }) => word.startsWith(first!) || word.includes(run))
    known.set(word, there)
    return there
  }
}

/** The event that a name speaks of, by the phrase that says most of it; undefined where none does, or two say as much. */
function eventIn(name: string, phrasesOfWord: (word: string) => readonly Phrase[]): SoundEvent | undefined {
  const words = wordsOf(name)
  let best: { event: SoundEvent; score: number } | undefined
  let tied = false
  for (const p of words.flatMap(phrasesOfWord)) {
    const score = standsIn(words, p)
    if (!score || (best && score < best.score)) continue
    tied = best !== undefined && score === best.score && (tied || p.event !== best.event)
    best = { event: p.event, score }
  }
  return tied ? undefined : best?.event
}

export interface Placed {
  path: string
  /** The folder that makes up its font; '' where it lies in none. */
  font: string
  /** What it is called without folders. */
  name: string
  event: SoundEvent | undefined
}

/**
 * Where files belong by their paths: a file's own name says its event, else the nearest of its folders that does. A folder whose own
 * files say several events is a font, whatever its name says; the font of a file is the nearest folder that is one, or that says
 * no event.
 */
export function placeByName(paths: readonly string[], rules: readonly NameRule[]): Placed[] {
  const phrases = phrasesAt(phrasesOf(rules))
  const files = paths.map((path) => {
    const steps = path.split('/').filter(Boolean)
    const name = steps.pop() ?? ''
    return { path, name, folders: steps, event: eventIn(name.replace(/\.[^.]+$/, ''), phrases) }
  })
  const inside = new Map<string, Set<SoundEvent>>()
  for (const { folders, event } of files)
    if (event) inside.set(folders.join('/'), (inside.get(folders.join('/')) ?? new Set<SoundEvent>()).add(event))
  const said = new Map<string, SoundEvent | undefined>()
  const folderSays = (folders: readonly string[]) => {
    const key = folders.join('/')
    if (!said.has(key)) said.set(key, (inside.get(key)?.size ?? 0) > 1 ? undefined : eventIn(folders.at(-1)!, phrases))
    return said.get(key)
  }
  return files.map(({ path, name, folders, event }) => {
    let depth = folders.length
    let near: SoundEvent | undefined
    for (; depth > 0; depth--) {
      const says = folderSays(folders.slice(0, depth))
      if (!says) break
      near ??= says
    }
    return { path, name, font: folders[depth - 1] ?? folders[0] ?? '', event: event ?? near }
  })
}
