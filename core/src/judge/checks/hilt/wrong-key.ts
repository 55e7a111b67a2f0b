import { keyMm, standardKey } from '../../../fit'
import { check } from '../../check'

export interface Key {
  screw: string
  thread: string
  head: string
  should: string
}

export const wrongKey = check<{ other: Key & { key: string }; missing: Key }>({
  id: 'wrongKey',
  station: 'hilt',
  scope: 'saber',
  source: 'ISO 4026, ISO 4762, ASME B18.3',
  reads: ['hilt'],
  run: ({ saber }, each) =>
    each(saber.hilt.fasteners, (f) => {
      const should = standardKey(f.thread, f.head)
      if (!should || f.key === should || f.taken?.includes('key')) return []
      const [is, by] = [keyMm(f.key), keyMm(should)]
      if (is !== undefined && by !== undefined && Math.abs(is - by) < 0.02) return []
      const params = { screw: f.name, thread: f.thread, head: f.head, should }
      const base = { subject: f.id, refs: [`fastener:${f.id}` as const] }
      return f.key
        ? [{ ...base, code: 'other' as const, level: 'caution' as const, params: { ...params, key: f.key } }]
        : [{ ...base, code: 'missing' as const, level: 'note' as const, params }]
    }),
})
