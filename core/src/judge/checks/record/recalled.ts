import type { Source } from '../../../facts'
import type { Ref } from '../../../record'
import { ALL_FACTS, check } from '../../check'
import { unitOfPlace } from '../../text'

interface Value {
  field: string
  value: number | string
  unit: string
}
export interface Unsure {
  owner: string
  values: Value[]
}
/** Statements nobody stands behind any more, by what they are called. */
const CODES = { recalled: 'fromMemory', believed: 'believed', assumed: 'assumed' } as const
type Doubtful = keyof typeof CODES
const doubtful = (s: Source): s is Doubtful => s in CODES

export const recalled = check<{ fromMemory: Unsure; believed: Unsure; assumed: Unsure }>({
  id: 'recalled',
  station: 'hilt',
  scope: 'saber',
  source: 'house rule: facts know where they come from',
  reads: ALL_FACTS,
  run: ({ facts }) => {
    const byOwner = new Map<string, Unsure & { source: Doubtful; subject: string; ref?: Ref }>()
    for (const p of facts) {
      const { source, value, rivals } = p.fact
      if (!doubtful(source) || value === null || rivals?.length) continue
      const subject = p.ref ?? p.owner
      const key = `${source} ${subject}`
      const entry = byOwner.get(key) ?? {
        ...{ source, subject, owner: p.owner, values: [] },
        ...(p.ref ? { ref: p.ref } : {}),
      }
      entry.values.push({ field: p.field, value, unit: unitOfPlace(p) })
      byOwner.set(key, entry)
    }
    return [...byOwner.values()].map((e) => ({
      code: CODES[e.source],
      subject: e.source === 'recalled' ? e.subject : `${e.subject}-${e.source}`,
      level: 'caution',
      params: { owner: e.owner, values: e.values },
      ...(e.ref ? { refs: [e.ref] } : {}),
    }))
  },
})
