import { layOut, sleeveInner, spanOf, widest } from '../../../geometry'
import { refTo } from '../../../record'
import { check } from '../../check'

export const sleeveFit = check<{ tight: { sleeve: string; section: string; inner: number; outer: number } }>({
  id: 'sleeveFit',
  station: 'fit',
  scope: 'saber',
  source: 'a sleeve is wider within than what it covers',
  reads: ['hilt', 'parts'],
  run: ({ saber }) => {
    const shape = layOut(saber.hilt)
    return saber.parts.flatMap((p) => {
      const span = p.kind === 'sleeve' ? spanOf(p) : undefined
      const inner = sleeveInner(p)
      const over = span && widest(shape, span.x0, span.x1)
      if (!over || inner === undefined || inner >= over.d) return []
      return [
        {
          ...{ code: 'tight' as const, subject: p.id, level: 'stop' as const, gate: true },
          params: { sleeve: p.name, section: over.section.name, inner, outer: over.d },
          refs: [refTo('part', p.id), refTo('section', over.section.id)],
        },
      ]
    })
  },
})
