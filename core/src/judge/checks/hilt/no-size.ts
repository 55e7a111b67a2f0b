import { isNumberPlace, keyWords } from '../../../record'
import { ALL_FACTS, check } from '../../check'
import { mm } from '../../text'

export const noSize = check<{ nothing: { owner: string; field: string; value: number } }>({
  id: 'noSize',
  station: 'hilt',
  scope: 'saber',
  rule: 'A size is more than nothing.',
  source: 'geometry',
  reads: ALL_FACTS,
  run: ({ facts }) =>
    facts
      .filter(isNumberPlace)
      .filter((p) => p.fact.unit === 'mm' && !['at', 'clearance'].includes(p.field))
      .filter((p) => p.fact.value !== null && p.fact.value <= 0)
      .map((p) => ({
        code: 'nothing',
        subject: p.path,
        level: 'stop',
        params: { owner: p.owner, field: p.field, value: p.fact.value! },
        ...(p.ref ? { refs: [p.ref] } : {}),
        gate: true,
      })),
  words: {
    nothing: (p) => ({
      title: `${p.owner}: ${keyWords(p.field)} ${mm(p.value)}`,
      detail: 'A size of nothing or less cannot be cut.',
      remedy: 'Measure it, or empty the field until you have.',
    }),
  },
})
