import { known } from '../../../facts'
import { difference } from '../../../light'
import { LIGHT_EVENTS, type LightEvent } from '../../../record'
import { check } from '../../check'

/** Below this two colours beside each other are one to most eyes, ΔE00. */
const SEEN_APART = 2

export const askedColour = check<{
  differs: { preset: string; event: LightEvent | ''; asked: string; set: string; apart: number }
  unset: { preset: string; event: LightEvent | ''; asked: string }
}>({
  id: 'askedColour',
  station: 'voice',
  scope: 'saber',
  source: 'CIEDE2000',
  reads: ['presets'],
  run: ({ saber }, each) =>
    each(saber.presets, (p) =>
      each([undefined, ...LIGHT_EVENTS], (e) => {
        const look = e ? p.effects?.[e] : p
        const [asked, set] = [known(look?.asked), known(look?.colour)]
        if (asked === undefined) return []
        const at = {
          ...{ subject: `${p.id}-${e ?? 'shines'}`, level: 'caution' as const, gate: true },
          refs: [`preset:${p.id}` as const],
        }
        const params = { preset: p.name, event: e ?? ('' as const), asked }
        if (set === undefined) return [{ ...at, code: 'unset' as const, params }]
        const apart = difference(asked, set)
        return apart < SEEN_APART ? [] : [{ ...at, code: 'differs' as const, params: { ...params, set, apart } }]
      }),
    ),
})
