import { known } from '../../../facts'
import type { PartKind, Saber } from '../../../record'
import { check } from '../../check'

/** The part that a way of cutting power needs. */
const NEEDS: Partial<Record<Saber['cutPower'], PartKind>> = {
  killSwitch: 'killSwitch',
  killKeyPull: 'killKey',
  killKeyTurn: 'killKey',
}

export const cutOff = check<{
  missing: { needs: string; way: string }
  unused: { way: string }
  noSleep: { board: string }
}>({
  id: 'cutOff',
  station: 'power',
  scope: 'saber',
  source: 'schools of practice',
  reads: ['parts', 'cutPower'],
  run: ({ saber }) => {
    const has = (k: PartKind) => saber.parts.some((p) => p.kind === k)
    const needs = NEEDS[saber.cutPower]
    if (needs && !has(needs))
      return [
        {
          code: 'missing',
          subject: 'missing',
          level: 'caution',
          params: { needs, way: saber.cutPower },
          gate: true,
        },
      ]
    // A board without a figure for deep sleep is not known to have one.
    const boards = saber.parts.filter((p) => p.kind === 'board')
    if (saber.cutPower === 'deepSleep' && !boards.some((b) => known(b.specs.deepSleepCurrent) !== undefined))
      return [
        {
          code: 'noSleep',
          subject: 'noSleep',
          level: 'caution',
          params: { board: boards[0]?.name ?? 'no board' },
          refs: boards.map((b) => `part:${b.id}` as const),
          gate: true,
        },
      ]
    return !needs && (has('killSwitch') || has('killKey'))
      ? [{ code: 'unused', subject: 'unused', level: 'caution', params: { way: saber.cutPower } }]
      : []
  },
})
