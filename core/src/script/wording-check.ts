import type { Piece } from '../access'
import { type Action, type Beat, byId, type ControlRow, partsOfRef, type Saber } from '../record'
import { bladeComesOut } from './at-hand'

/** Words of a beat that speak of another hand than the one that is done: what was said, and what it is. */
export interface Mismatch {
  about: 'count' | 'beeps' | 'pose' | 'input' | 'doing' | 'direction' | 'screw'
  said: string
  is: string
}

const NUMBERS: Readonly<Record<string, number>> = {
  ...{ once: 1, single: 1, first: 1, one: 1, twice: 2, double: 2, second: 2, two: 2, thrice: 3, triple: 3, third: 3 },
  ...{ three: 3, four: 4, fourth: 4, five: 5, fifth: 5, six: 6, sixth: 6, seven: 7, eight: 8, nine: 9, both: 2 },
  ...{ einmal: 1, einfach: 1, zweimal: 2, doppelt: 2, dreimal: 3, dreifach: 3, viermal: 4, fünfmal: 5, sechsmal: 6 },
  ...{ ersten: 1, zweiten: 2, dritten: 3, vierten: 4, fünften: 5, sechsten: 6 },
  ...{ ein: 1, eine: 1, einen: 1, zwei: 2, beide: 2, drei: 3, vier: 4, fünf: 5, sechs: 6, sieben: 7, acht: 8, neun: 9 },
}
/** A number in a text, in figures or as a word; undefined for what is none. */
export const numberSaid = (word: string): number | undefined =>
  /^\d+$/.test(word) ? Number(word) : NUMBERS[word.toLowerCase()]
export const NUMBER_WORDS =
  '\\d+|one|two|three|four|five|six|seven|eight|nine|both|eine?n?|zwei|beide|drei|vier|fünf|sechs|sieben|acht|neun'
const COUNTED: Readonly<Record<number, string>> = { 1: 'once', 2: 'twice' }
const times = (n: number): string => COUNTED[n] ?? `${n} times`

/** How often something is pressed or turned, as a text has it: "twice", "3 times", "a double tap". */
function spokenCounts(text: string): number[] {
  const out: number[] = []
  for (const clause of text.toLowerCase().split(/[.;!?]/)) {
    if (!/(?<!\p{L})(press|tap|click|push|twist|hit|touch|drück|tipp|klick|dreh)/u.test(clause)) continue
    for (const m of clause.matchAll(
      /(?<!\p{L})(once|twice|thrice|single|double|triple|einmal|zweimal|doppelt|dreimal|viermal|fünfmal|sechsmal)(?!\p{L})|\b(\d|two|three|four|five|six|seven|eight|nine) times\b|\b(\d)[- ]?mal\b/gu,
    )) {
      // "Once more" and "once it is lit" count nothing.
      if (m[1] === 'once' && /^\s+(more|it|you|the|again)\b/.test(clause.slice(m.index + 4))) continue
      out.push(NUMBERS[m[1] ?? m[2] ?? m[3]!] ?? Number(m[2] ?? m[3]))
    }
  }
  return out
}

/** After how many beeps, as a text has it: "the second beep", "after 3 beeps". */
function spokenBeeps(text: string): number[] {
  const out: number[] = []
  for (const m of text
    .toLowerCase()
    .matchAll(
      /(?<!\p{L})(?:(\d+)(?:st|nd|rd|th|\.)?|(one|first|two|second|three|third|four|fourth|five|fifth|six|sixth|ersten|zweiten|dritten|vierten|fünften|sechsten|zwei|drei|vier)) (?:beeps?|ton|töne|tönen|piep\p{L}*)(?!\p{L})/gu,
    ))
    out.push(m[1] === undefined ? NUMBERS[m[2]!]! : Number(m[1]))
  return out
}

const POSES =
  /\b(?:blade|point\w*|hold\w*|held|hilt|klinge|griff|halte\w*)\b[^.;,]{0,20}?\b(up|down|level|nach oben|nach unten|waagrecht)\b(?!\s*(?:to|for|by))/g
const POSE_OF: Readonly<Record<string, string>> = { 'nach oben': 'up', 'nach unten': 'down', waagrecht: 'level' }

/** What cannot both be meant: the words for a doing, and for its opposite. */
const OPPOSITES: readonly (readonly [Action, RegExp, Action, RegExp])[] = [
  [
    'ignite',
    /\bignit\w*|\b(?:turns?|switch\w*|comes?) (?:it |the blade )?on\b|\blights? (?:it|up|the blade)\b|\bzünde\w*|\bfährt aus\b|\bschaltet? (?:es |die klinge )?ein\b/,
    'retract',
    /\bretract\w*|\b(?:turns?|switch\w*|goes) (?:it |the blade )?off\b|\bputs? (?:it|the blade) away\b|\b(?:goes|it is) dark\b|\bfährt ein\b|\bgeht aus\b|\bschaltet? (?:es |die klinge )?aus\b|\bwird dunkel\b/,
  ],
  ['mute', /(?<!un)\bmut(?:e|es|ed|ing)\b|\bsilences?\b/, 'unmute', /\bunmut\w*|\bsound (?:is |comes )?back\b/],
  [
    'wake',
    /\bwakes?\b|\bwaking\b|\bwacht auf\b|\bweckt?\b/,
    'sleep',
    /\bto sleep\b|\bsleeps\b|\bfalls? asleep\b|\bschläft ein\b/,
  ],
  [
    'volumeUp',
    /\blouder\b|\bvolume up\b|\blauter\b/,
    'volumeDown',
    /\bsofter\b|\bquieter\b|\bvolume down\b|\bleiser\b/,
  ],
  [
    'nextPreset',
    /\bnext (?:preset|font|sound)\b|\bnächste\w* preset\b/,
    'previousPreset',
    /\bprevious (?:preset|font|sound)\b|\bpreset before\b|\bpreset davor\b|\bvorige\w* preset\b/,
  ],
  [
    'menuOpen',
    /\bopens? the (?:\w+ )?menu\b|\binto the (?:\w+ )?menu\b/,
    'menuClose',
    /\b(?:closes?|leaves?) the (?:\w+ )?menu\b|\bout of the (?:\w+ )?menu\b/,
  ],
]

/** The words of a beat about a control, held against it. Nothing said is nothing wrong; of several counts one has to be right. */
export function saidOfRow(s: Saber, beat: Beat, row: ControlRow): Mismatch[] {
  const had = READ.get(beat)
  const reads = [row, s.inputs, s.spoken, s.blades, s.hilt]
  if (had?.reads.every((v, i) => v === reads[i])) return had.said
  const said = readAgainst(s, beat, row)
  READ.set(beat, { reads, said })
  return said
}
/** Each beat is read once for the control that it shows, and for what else of the saber the reading hangs on. */
const READ = new WeakMap<Beat, { reads: readonly unknown[]; said: Mismatch[] }>()

function readAgainst(s: Saber, beat: Beat, row: ControlRow): Mismatch[] {
  const text = `${beat.say}. ${beat.doText ?? ''}`.toLowerCase()
  const out: Mismatch[] = []
  const wants = row.times ?? 1
  const right = new Set([wants, ...(beat.times ? [beat.times, wants * beat.times] : [])])
  const counts = spokenCounts(text)
  if (row.gesture !== 'hold' && counts.length && !counts.some((n) => right.has(n)))
    out.push({ about: 'count', said: times(counts[0]!), is: times(wants) })
  const beeps = spokenBeeps(text)
  if (row.beeps !== undefined && beeps.length && !beeps.includes(row.beeps))
    out.push({ about: 'beeps', said: `${beeps[0]} beeps`, is: `${row.beeps} beeps` })
  const poses = [...text.matchAll(POSES)].map((m) => POSE_OF[m[1]!] ?? m[1]!)
  if (row.pose !== 'any' && poses.length && !poses.includes(row.pose))
    out.push({ about: 'pose', said: `the blade ${poses[0]}`, is: `the blade ${row.pose}` })
  // By the name in the record, and by every name that is spoken.
  const called = (i: { id: string; name: string }) => [
    i.name,
    ...s.spoken.filter((x) => x.of === `input:${i.id}`).map((x) => x.name),
  ]
  const named = s.inputs.filter(
    (i) => i.kind !== 'motion' && called(i).some((n) => n.length > 2 && text.includes(n.toLowerCase())),
  )
  // A name within another one is not named by it.
  const whole = named.filter((i) => !named.some((o) => o !== i && o.name.toLowerCase().includes(i.name.toLowerCase())))
  const mine = [row.input, row.other]
  const other = whole.find((i) => !mine.includes(i.id))
  const own = byId(s.inputs, row.input)
  if (other && own && !whole.some((i) => mine.includes(i.id)))
    out.push({ about: 'input', said: other.name, is: own.name })
  for (const [a, asA, b, asB] of OPPOSITES) {
    const [is, opposite] = row.does === a ? [asA, asB] : row.does === b ? [asB, asA] : []
    if (is && opposite?.test(text) && !is.test(text))
      out.push({ about: 'doing', said: text.match(opposite)![0], is: row.does === a ? ACTS[a]! : ACTS[b]! })
  }
  // Where no blade comes out of it, nobody tells of one that does.
  const blade = row.does === 'ignite' || row.does === 'retract' ? BLADE_MOVES.exec(text) : null
  if (blade && !bladeComesOut(s)) out.push({ about: 'doing', said: blade[0], is: 'lights what is in the hilt' })
  return out
}
const BLADE_MOVES =
  /\bblade (?:comes|goes|shoots|slides|runs|grows) (?:out|in|up)\b|\bblade (?:extends|retracts)\b|\bklinge fährt (?:aus|ein)\b/
const ACTS: Partial<Record<Action, string>> = {
  ...{ ignite: 'lights it', retract: 'puts it out', mute: 'mutes it', unmute: 'unmutes it', wake: 'wakes it' },
  ...{ sleep: 'sends it to sleep', volumeUp: 'makes it louder', volumeDown: 'makes it softer' },
  ...{ nextPreset: 'goes to the next preset', previousPreset: 'goes to the preset before' },
  ...{ menuOpen: 'opens the menu', menuClose: 'closes the menu' },
}

/** Every way that a text turns something, in English or German. */
export function turnsSaid(text: string): Set<'clockwise' | 'anticlockwise'> {
  const said = new Set<'clockwise' | 'anticlockwise'>()
  for (const m of text.toLowerCase().matchAll(/\b(anti-?|counter-?)?clockwise\b/g))
    said.add(m[1] ? 'anticlockwise' : 'clockwise')
  for (const m of text.toLowerCase().matchAll(/\b(gegen den |im )uhrzeigersinn\b/g))
    said.add(m[1] === 'im ' ? 'clockwise' : 'anticlockwise')
  return said
}

/** The words of a beat about a task, held against its steps: which way is turned, and which screw. */
export function saidOfTask(s: Saber, beat: Beat, { acts }: Piece): Mismatch[] {
  const text = `${beat.say}. ${beat.doText ?? ''}`.toLowerCase()
  const out: Mismatch[] = []
  const turned = new Set(acts.map((x) => x.direction).filter((d) => d === 'clockwise' || d === 'anticlockwise'))
  const wrong = [...turnsSaid(text)].find((d) => turned.size > 0 && !turned.has(d))
  if (wrong) out.push({ about: 'direction', said: wrong, is: [...turned].join(' or ') })
  const places = acts.flatMap((x) => {
    const to = partsOfRef(x.does[0]?.at ?? x.place ?? '')
    const f = to?.kind === 'fastener' ? byId(s.hilt.fasteners, to.id) : undefined
    return f ? [f] : []
  })
  const stepText = acts.map((x) => x.text.toLowerCase()).join('. ')
  const names = (n: string) => n.length > 3 && text.includes(n.toLowerCase())
  const strange = s.hilt.fasteners.find(
    (f) => names(f.name) && !places.includes(f) && !stepText.includes(f.name.toLowerCase()),
  )
  if (strange && places.length && !places.some((f) => names(f.name)))
    out.push({ about: 'screw', said: strange.name, is: places[0]!.name })
  return out
}
