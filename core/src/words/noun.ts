/** Grammatical gender, where a language has it. */
export const GENDERS = ['m', 'f', 'n'] as const
export type Gender = (typeof GENDERS)[number]

/** Which of several of a kind: by the end it lies nearest to, or counted from the pommel. */
export type Which = 'rear' | 'front' | 'middle' | 'first' | 'second' | 'third' | 'fourth' | 'none'

/** What things are called by what they are, where nobody has given them a name. */
export type NounKind =
  | `part.${
      | 'cell'
      | 'speaker'
      | 'board'
      | 'auxBoard'
      | 'switch'
      | 'killSwitch'
      | 'killKey'
      | 'chargePort'
      | 'connector'
      | 'contactBoard'
      | 'strip'
      | 'accentLed'
      | 'inHiltLed'
      | 'heatsink'
      | 'display'
      | 'chamber'
      | 'chassis'
      | 'spacer'
      | 'spring'
      | 'wire'
      | 'resistor'
      | 'card'
      | 'tube'
      | 'plug'
      | 'cover'
      | 'charger'
      | 'sleeve'
      | 'tool'
      | 'screw'
      | 'other'}`
  | `section.${'pommel' | 'grip' | 'neck' | 'shroud' | 'emitter' | 'extension' | 'quillon'}`
  | `screw.${'bladeRetention' | 'joint' | 'chassis' | 'cover' | 'sleeve' | 'switch' | 'decoration' | 'other'}`
  | `input.${'button' | 'motion' | 'slide' | 'key' | 'magnet' | 'port'}`
  | 'socket'
  | 'blade'
  | 'plug'

/**
 * A thing that is spoken of: by a name somebody gave it, else by what it is. Each language makes of it what stands after an
 * article and in its cases.
 */
export type Noun = { name: string; gender?: Gender; several?: boolean } | { kind: NounKind; which: Which }

/** A noun as a sentence takes it: bare, with its article as the subject, the object and after "with", and as a pronoun. */
export interface Cases {
  bare: string
  nom: string
  acc: string
  dat: string
  /** After German „zu“, which melts with its article: zum, zur. */
  zu: string
  /** What stands for it when it is spoken of again, as the subject and as the object. */
  it: string
  them: string
}
export const CASES = ['nom', 'acc', 'dat', 'zu', 'it', 'them'] as const

/** A language: its sentences, and how it makes a noun. */
export interface LanguagePack<Codes extends string> {
  messages: Readonly<Record<Codes, string>>
  cases: (noun: Noun) => Cases
  /** What gender and number a name most likely has; nothing where the language asks for none, or the name does not tell. */
  guess: (name: string) => { gender?: Gender; several?: true }
}

/** A sentence begins large. */
export const large = (text: string): string => text.replace(/^\p{Ll}/u, (c) => c.toUpperCase())
