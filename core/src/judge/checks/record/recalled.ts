import { keyWords, type Ref } from '../../../record'
import { formatNumber } from '../../../units'
import { ALL_FACTS, check } from '../../check'
import { unitText } from '../../text'

export const recalled = check<{
  fromMemory: { owner: string; values: { field: string; value: number; unit: string }[] }
}>({
  id: 'recalled',
  station: 'hilt',
  scope: 'saber',
  rule: 'A value from memory prints as "about" until it is measured.',
  source: 'house rule: facts know where they come from',
  reads: ALL_FACTS,
  run: ({ facts }) => {
    const byOwner = new Map<
      string,
      { ref?: Ref; owner: string; values: { field: string; value: number; unit: string }[] }
    >()
    for (const p of facts) {
      if (p.fact.source !== 'recalled' || p.fact.value === null || p.fact.rivals?.length) continue
      const key = p.ref ?? p.owner
      const entry = byOwner.get(key) ?? { owner: p.owner, values: [], ...(p.ref ? { ref: p.ref } : {}) }
      entry.values.push({ field: p.field, value: p.fact.value, unit: p.fact.unit })
      byOwner.set(key, entry)
    }
    return [...byOwner].map(([subject, e]) => ({
      code: 'fromMemory',
      subject,
      level: 'caution',
      params: { owner: e.owner, values: e.values },
      ...(e.ref ? { refs: [e.ref] } : {}),
    }))
  },
  words: {
    fromMemory: (p) => ({
      title: `${p.owner}: from memory`,
      detail: `${p.values.map((v) => `${keyWords(v.field)} about ${formatNumber(v.value)}${unitText(v.unit)}`).join(', ')}. It prints as "about".`,
      remedy: 'Measure it, or read it off a datasheet.',
    }),
  },
})
