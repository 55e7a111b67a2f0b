import { type Broken, type LayoutChange, reviewLayout } from '../../../fit'
import { check } from '../../check'

export interface Reviewed {
  changed: LayoutChange[]
  broke: Broken[]
  why: string
}

export const layoutBroke = check<{ broke: Reviewed; holds: Reviewed }>({
  id: 'layoutBroke',
  station: 'fit',
  scope: 'saber',
  source: 'layout as chosen, with its reason',
  reads: ['hilt', 'parts', 'decisions'],
  run: ({ saber }) => {
    const r = reviewLayout(saber)
    if (!r?.changed.length) return []
    const broke = r.broke.length > 0
    return [
      {
        code: broke ? 'broke' : 'holds',
        subject: r.decision.id,
        level: broke ? 'stop' : 'note',
        params: { changed: r.changed, broke: r.broke, why: r.decision.why },
        refs: r.changed.map((c) => c.ref).slice(0, 3),
        gate: broke,
      },
    ]
  },
})
