import { known } from '../../../facts'
import { keyWays } from '../../../machine'
import type { PartKind, Saber } from '../../../record'
import { check } from '../../check'

/** The part that a way of cutting power needs. */
const NEEDS: Partial<Record<Saber['cutPower'], PartKind>> = {
  killSwitch: 'killSwitch',
  killKey: 'killKey',
}

export const cutOff = check<{
  missing: { needs: string; way: string }
  unused: { way: string }
  noSleep: { board: string }
  keyUnsaid: { key: string }
  keyNever: { key: string; runs: 'yes' | 'no' }
}>({
  id: 'cutOff',
  station: 'power',
  scope: 'saber',
  source: 'schools of practice',
  reads: ['parts', 'cutPower', 'keyDoes'],
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
    const key = saber.cutPower === 'killKey' ? saber.parts.find((p) => p.kind === 'killKey') : undefined
    if (key && !keyWays(saber))
      return [
        {
          subject: 'key',
          refs: [`part:${key.id}` as const],
          gate: true,
          ...(saber.keyDoes?.out && saber.keyDoes.in
            ? {
                code: 'keyNever' as const,
                level: 'stop' as const,
                params: { key: key.name, runs: saber.keyDoes.out === 'closed' ? ('yes' as const) : ('no' as const) },
              }
            : { code: 'keyUnsaid' as const, level: 'caution' as const, params: { key: key.name } }),
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
