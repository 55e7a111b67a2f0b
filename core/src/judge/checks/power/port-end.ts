import { known } from '../../../facts'
import { check } from '../../check'

export const portEnd = check<{
  /** What nobody has said of its other end. */
  blank: { port: string; missing: ('otherEnd/lead' | 'otherEnd/supply')[] }
  /** It is rated to switch the blade's current, and nobody has said whether that passes it. */
  passes: { port: string }
}>({
  id: 'portEnd',
  station: 'power',
  scope: 'saber',
  source: 'shop practice',
  reads: ['parts'],
  run: ({ saber }) => {
    const ports = saber.parts.filter((p) => p.kind === 'chargePort')
    const raised = (p: (typeof ports)[number]) => ({ level: 'caution' as const, refs: [`part:${p.id}` as const] })
    return ports.flatMap((p) => {
      const missing = (['lead', 'supply'] as const).filter((k) => !p.otherEnd?.[k]).map((k) => `otherEnd/${k}` as const)
      const unsaid = p.switched === undefined && known(p.specs.contCurrent) !== undefined
      return [
        ...(missing.length
          ? [
              {
                ...raised(p),
                code: 'blank' as const,
                subject: p.id as string,
                gate: false,
                params: { port: p.name, missing },
              },
            ]
          : []),
        ...(unsaid
          ? [{ ...raised(p), code: 'passes' as const, subject: `${p.id}-passes`, gate: true, params: { port: p.name } }]
          : []),
      ]
    })
  },
})
