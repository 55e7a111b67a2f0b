import type { Ref } from '../../../record'
import { check } from '../../check'

interface Hint {
  name: string
}

/** Words in names that ask for a field, and nothing more: what is judged is the field. */
const SHARP = /claw|fin\b|fins\b|spike|prong/i
const RESIN = /resin/i
const CONVERTS = /convert/i

export const nameHints = check<{ sharp: Hint; resin: Hint; converter: Hint }>({
  id: 'nameHints',
  station: 'hilt',
  scope: 'saber',
  rule: 'A name may raise a question; what is judged is the field.',
  source: 'house rule: facts know where they come from',
  reads: ['hilt', 'parts'],
  run: ({ saber }) => {
    const ask = (code: 'sharp' | 'resin' | 'converter', ref: Ref, name: string) => ({
      code,
      subject: ref,
      level: 'note' as const,
      params: { name },
      refs: [ref],
    })
    return [
      ...saber.hilt.sections
        .filter((s) => s.sharp === undefined && SHARP.test(s.name))
        .map((s) => ask('sharp', `section:${s.id}`, s.name)),
      ...saber.parts
        .filter((p) => p.kind === 'chassis' && p.material === undefined && RESIN.test(p.name))
        .map((p) => ask('resin', `part:${p.id}`, p.name)),
      ...saber.parts
        .filter((p) => p.kind === 'auxBoard' && p.converter === undefined && CONVERTS.test(p.name))
        .map((p) => ask('converter', `part:${p.id}`, p.name)),
    ]
  },
  words: {
    sharp: (p) => ({
      title: `Is the ${p.name} sharp?`,
      detail: 'Its name says so, its record does not; the client is warned only by the record.',
      remedy: 'Say yes or no under Hilt.',
    }),
    resin: (p) => ({
      title: `Is ${p.name} made of resin?`,
      detail: 'Its name says so, its record does not; resin is brittle.',
      remedy: 'Choose its material under Fit.',
    }),
    converter: (p) => ({
      title: `Does ${p.name} convert the voltage?`,
      detail: 'Its name says so, its record does not; only the record counts for the pixels.',
      remedy: 'Say yes or no under Fit.',
    }),
  },
})
