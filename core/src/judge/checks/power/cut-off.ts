import { known } from '../../../facts'
import { keyWords, type PartKind, type Saber } from '../../../record'
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
  rule: 'How the power is cut agrees with what is fitted.',
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
  words: {
    missing: (p) => ({
      title: `No ${keyWords(p.needs)} is fitted`,
      detail: `The record cuts power by ${keyWords(p.way)}.`,
      remedy: 'Add the part, or choose another way.',
    }),
    noSleep: (p) => ({
      title: 'Power is said to be cut by deep sleep',
      detail: `What ${p.board} draws in deep sleep is not recorded: it is not known to have one.`,
      remedy: 'Enter its deep-sleep current, or choose another way.',
    }),
    unused: (p) => ({
      title: 'A way to cut power is fitted but not named',
      detail: `The record says: ${p.way === 'none' ? 'nothing cuts the power' : keyWords(p.way)}.`,
      remedy: 'Choose it under Power.',
    }),
  },
})
