import { gestureText, modeName } from '../../../controls'
import { known } from '../../../facts'
import { MAKER } from '../../../units'
import { check } from '../../check'

export const holdUnknown = check<{ unknown: { does: string; state: string; gesture: string } }>({
  id: 'holdUnknown',
  station: 'controls',
  scope: 'saber',
  source: 'house rule: facts know where they come from',
  reads: ['controls', 'modes', 'inputs'],
  run: ({ saber }) =>
    saber.controls
      .filter((r) => r.gesture === 'hold' && r.beeps === undefined && known(r.hold) === undefined)
      .map((r) => ({
        code: 'unknown',
        subject: r.id,
        level: 'caution',
        params: { does: r.says ?? r.does, state: modeName(saber, r.mode), gesture: gestureText(MAKER, saber, r) },
        refs: [`row:${r.id}`],
      })),
})
