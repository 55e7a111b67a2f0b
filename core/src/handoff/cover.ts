import { formatFact, known } from '../facts'
import { balance } from '../fit'
import { runtime } from '../power'
import { type Commission, clientBlade, type Saber } from '../record'
import type { Reader } from '../units'
import { large, say } from '../words'
import { orderGiver } from './addressee'
import type { FactRow } from './block'
import { asText, hiltLength, orNotRecorded } from './values'

/** What the cover says beside names and the drawing: of each saber what one looks for first, and the wish it all began with. */
export interface Cover {
  sabers: { saber: string; name: string; facts: FactRow[] }[]
  quote?: { text: string; answer: string; giver?: string }
}

export function coverOf(reader: Reader, c: Commission): Cover {
  const wish = c.requests
    .filter((r) => (r.shape ?? 'asked') === 'asked' && r.status === 'met')
    .sort((a, b) => (a.rank ?? 99) - (b.rank ?? 99))[0]
  return {
    sabers: c.sabers.map((s) => ({ saber: s.id, name: s.name, facts: factsOf(reader, s) })),
    ...(wish
      ? {
          quote: {
            text: wish.text.replace(/^[“„"]|[”“"]$/g, ''),
            answer: wish.answer ? large(wish.answer) : '',
            ...(orderGiver(c) ? { giver: orderGiver(c) } : {}),
          },
        }
      : {}),
  }
}

function factsOf(reader: Reader, s: Saber): FactRow[] {
  const name = (row: 'length' | 'mass' | 'balance' | 'cell' | 'runtime' | 'blade') => say(reader, 'cover.fact', { row })
  const b = balance(s)
  const blade = clientBlade(s)
  const cells = s.parts.filter((p) => p.kind === 'cell').map((p) => p.name)
  const size = blade && known(blade.outside) !== undefined && known(blade.length) !== undefined
  return [
    { name: name('length'), ...hiltLength(reader, s) },
    { name: name('mass'), ...asText(reader, b.mass) },
    { name: name('balance'), ...asText(reader, b.centre) },
    { name: name('cell'), value: orNotRecorded(reader, [...new Set(cells)].join(', ')) },
    { name: name('runtime'), ...asText(reader, runtime(s).minutes) },
    {
      name: name('blade'),
      value: size
        ? `${formatFact(reader, blade.outside)} × ${formatFact(reader, blade.length, 0)}`
        : say(reader, 'notRecorded'),
    },
  ]
}
