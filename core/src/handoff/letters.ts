import { type Commission, type DELAY_REASONS, type Id, type Ref, readerOf, refTo, told } from '../record'
import { dayText } from '../units'
import { say, whether } from '../words'

export const LETTER_KINDS = ['question', 'answer', 'delay', 'ready', 'shipped', 'year'] as const
export type LetterKind = (typeof LETTER_KINDS)[number]
/** What a letter is written from beside the record. */
export interface LetterAbout {
  kind: LetterKind
  /** The questions that it puts or answers. */
  questions?: readonly Id<'question'>[]
  /** Of a delay: why, and the new day. */
  reason?: (typeof DELAY_REASONS)[number]
  newly?: string
  /** Of what was shipped: where the client’s page is. */
  link?: string
}
export interface Letter {
  subject: string
  text: string
  /** What of the record it rests on. */
  rests: Ref[]
}

/** What keeps a letter from being written; undefined where it can be. */
export type Unwritten = 'noClient' | 'noQuestion' | 'noAnswer' | 'noDay'
export function unwritten(c: Commission, a: LetterAbout): Unwritten | undefined {
  if (!c.client.name.trim()) return 'noClient'
  const asked = askedIn(c, a)
  if ((a.kind === 'question' || a.kind === 'answer') && !asked.length) return 'noQuestion'
  if (a.kind === 'answer' && asked.some((q) => !q.answer)) return 'noAnswer'
  if (a.kind === 'delay' && !a.newly) return 'noDay'
  return undefined
}
const askedIn = (c: Commission, a: LetterAbout) => c.questions.filter((q) => a.questions?.includes(q.id))

/** The words of each kind of letter, without greeting and name. */
function bodyOf(c: Commission, a: LetterAbout): string {
  const reader = readerOf(c)
  const { title } = c
  const asked = askedIn(told(c), a)
  const day = (iso: string | undefined) => (iso ? dayText(reader, iso) : '')
  const parcel = c.parcels.find((p) => p.sentOn) ?? c.parcels[0]
  switch (a.kind) {
    case 'question':
      return say(reader, 'letter.question', {
        ...{ n: asked.length, title, questions: asked.map((q) => q.text).join('¶') },
        waits: asked.some((q) => q.blocks) ? 'yes' : 'no',
      })
    case 'answer':
      return asked.map((q) => say(reader, 'letter.answer', { question: q.text, answer: q.answer ?? '' })).join('¶¶')
    case 'delay':
      return say(reader, 'letter.delay', {
        ...{
          title,
          had: whether(c.deadline),
          before: day(c.deadline),
          newly: day(a.newly),
          reason: a.reason ?? 'other',
        },
      })
    case 'ready':
      return say(reader, 'letter.ready', { title, sends: whether(parcel?.sentOn), on: day(parcel?.sentOn) })
    case 'shipped':
      return say(reader, 'letter.shipped', {
        ...{ title, on: day(parcel?.sentOn ?? c.shipped), known: whether(parcel?.sentOn ?? c.shipped) },
        ...{ tracked: whether(parcel?.tracking), tracking: parcel?.tracking ?? '' },
        ...{ linked: whether(a.link), link: a.link ?? '' },
      })
    case 'year':
      return say(reader, 'letter.year', { title })
  }
}

/** A letter to the client of a commission, in his language; what it lacks is said by `unwritten`. */
export function letterOf(c: Commission, a: LetterAbout, shop: string): Letter {
  const reader = readerOf(c)
  const rests: Ref[] = askedIn(c, a).map((q) => refTo('question', q.id))
  return {
    subject: say(reader, 'letter.subject', { kind: a.kind, title: c.title }),
    text: say(reader, 'letter.frame', { client: c.client.name, body: bodyOf(c, a), shop }).replaceAll('¶', '\n'),
    rests,
  }
}
