import { type Claim, SOURCE_WORDS } from '../../../facts'
import { keyWords } from '../../../record'
import { ALL_FACTS, check } from '../../check'
import { saidText, unitOfPlace } from '../../text'

export const contradiction = check<{
  twoValues: { owner: string; field: string; unit: string; claims: Claim<unknown>[] }
}>({
  id: 'contradiction',
  station: 'hilt',
  scope: 'saber',
  rule: 'Two values for one thing are a contradiction to settle.',
  source: 'house rule: facts know where they come from',
  reads: ALL_FACTS,
  run: ({ facts }) =>
    facts
      .filter((p) => p.fact.rivals?.length)
      .map((p) => ({
        code: 'twoValues',
        subject: p.path,
        level: 'stop',
        params: { owner: p.owner, field: p.field, unit: unitOfPlace(p), claims: [p.fact, ...p.fact.rivals!] },
        ...(p.ref ? { refs: [p.ref] } : {}),
        gate: true,
      })),
  words: {
    twoValues: (p) => ({
      title: `${p.owner}: two values for the ${keyWords(p.field)}`,
      detail: p.claims
        .map((c) => `${saidText(c.value, p.unit)} (${SOURCE_WORDS[c.source]}${c.with ? `, ${c.with}` : ''})`)
        .join(' against '),
      remedy: 'Make sure and settle it; the loser stays in the trail.',
    }),
  },
})
