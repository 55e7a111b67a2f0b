import { known } from '../../../facts'
import { refTo } from '../../../record'
import { layOut, spanOf, widest } from '../../../room'
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
      const [d, wall] = [known(p.specs.diameter), known(p.specs.wall)]
      const over = span && widest(shape, span.x0, span.x1)
      if (!over || d === undefined || wall === undefined || d - 2 * wall >= over.d) return []
      return [
        {
          ...{ code: 'tight' as const, subject: p.id, level: 'stop' as const, gate: true },
          params: { sleeve: p.name, section: over.section.name, inner: d - 2 * wall, outer: over.d },
          refs: [refTo('part', p.id), refTo('section', over.section.id)],
        },
      ]
    })
  },
})
