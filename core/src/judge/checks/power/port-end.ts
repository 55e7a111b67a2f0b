import { known } from '../../../facts'
import { check } from '../../check'

export const portEnd = check<{
  blank: { port: string }
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
    const raised = <C extends 'blank' | 'passes'>(code: C, p: (typeof ports)[number], gate: boolean) => ({
      ...{ code, subject: code === 'blank' ? (p.id as string) : `${p.id}-passes`, level: 'caution' as const, gate },
      ...{ params: { port: p.name }, refs: [`part:${p.id}` as const] },
    })
    return [
      ...ports.filter((p) => !(p.otherEnd?.lead && p.otherEnd.supply)).map((p) => raised('blank', p, false)),
      ...ports
        .filter((p) => p.switched === undefined && known(p.specs.contCurrent) !== undefined)
        .map((p) => raised('passes', p, true)),
    ]
  },
})
