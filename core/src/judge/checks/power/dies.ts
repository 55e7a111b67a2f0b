import { type DieFault, dieFaults, isModule } from '../../../power'
import { check } from '../../check'

type Of<C extends DieFault['code']> = Extract<DieFault, { code: C }> & { led: string }
type Params = { [C in DieFault['code']]: Of<C> }

const STOPS: ReadonlySet<DieFault['code']> = new Set(['unlike', 'unlimited', 'over', 'dark', 'hot'])

export const dies = check<Params>({
  id: 'dies',
  station: 'power',
  scope: 'saber',
  source: 'LED datasheets; Ohm’s law at the full pack',
  reads: ['parts'],
  run: ({ saber }, each) =>
    each(saber.parts.filter(isModule), (p) =>
      dieFaults(saber, p).map((fault) => ({
        code: fault.code,
        subject: `${p.id}-${fault.code}${'id' in fault ? `-${fault.id}` : ''}`.slice(0, 120),
        level: STOPS.has(fault.code) ? ('stop' as const) : ('caution' as const),
        params: { ...fault, led: p.name } as never,
        refs: [`part:${p.id}` as const],
        gate: true,
      })),
    ),
})
