import type { Commission } from '../../../record'
import { unprinted } from '../../../words'
import { check } from '../../check'

/** What of an order is handed over; the rest stays in the shop. */
const HANDED = [
  ...(['title', 'client', 'brief', 'requests', 'arrivals', 'questions', 'credits', 'packing', 'parcels'] as const),
  ...(['visits', 'people', 'giver', 'warranty', 'media', 'sabers', 'handoff'] as const),
] satisfies (keyof Commission)[]
/** Fields whose words the client never gets. */
const INWARD = new Set(['shopNote', 'trail'])
/** So many letters and texts are named. */
const NAMED = 12
const SHOWN = 60

function* textsIn(value: unknown): Generator<string> {
  if (typeof value === 'string') yield value
  else if (typeof value === 'object' && value !== null)
    for (const [key, inner] of Object.entries(value)) if (!INWARD.has(key)) yield* textsIn(inner)
}

/** Letters that no font of the paper has: where they stand there is a frame, and the maker knows before it is printed. */
export const letters = check<{ unprinted: { letters: string; more: number; text: string; texts: number } }>({
  id: 'letters',
  station: 'handoff',
  scope: 'order',
  source: 'fonts of the paper',
  reads: HANDED.map((key) => `order.${key}` as const),
  run: ({ commission }) => {
    const missing = new Set<string>()
    const texts = new Set<string>()
    for (const key of HANDED)
      for (const text of textsIn(commission[key])) {
        const these = unprinted(text)
        for (const letter of these) missing.add(letter)
        if (these.length) texts.add(text)
      }
    if (!missing.size) return []
    const all = [...missing]
    const [text] = texts
    return [
      {
        ...{ code: 'unprinted' as const, subject: 'letters', level: 'caution' as const },
        params: {
          ...{ letters: all.slice(0, NAMED).join(' '), more: Math.max(0, all.length - NAMED) },
          ...{ text: text!.length > SHOWN ? `${text!.slice(0, SHOWN)}…` : text!, texts: texts.size },
        },
      },
    ]
  },
})
