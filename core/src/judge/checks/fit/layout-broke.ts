import { type Broken, brokenText, changeText, type LayoutChange, reviewLayout } from '../../../fit'
import { check } from '../../check'

interface Reviewed {
  changed: LayoutChange[]
  broke: Broken[]
  why: string
}
const changes = (p: Reviewed) => {
  const shown = p.changed.slice(0, 3).map(changeText)
  return `${shown.join('; ')}${p.changed.length > 3 ? `; ${p.changed.length - 3} more` : ''}.`
}

export const layoutBroke = check<{ broke: Reviewed; holds: Reviewed }>({
  id: 'layoutBroke',
  station: 'fit',
  scope: 'saber',
  rule: 'A chosen layout is held against every later fact.',
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
  words: {
    broke: (p) => ({
      title: 'The chosen layout does not hold any more',
      detail: `${changes(p)} Now: ${p.broke.map(brokenText).join('; ')}.`,
      remedy: `Search again. It was chosen for: “${p.why}”.`,
    }),
    holds: (p) => ({
      title: 'The chosen layout holds after a change',
      detail: changes(p),
      remedy: 'Look it over, and choose it again to settle it.',
    }),
  },
})
