import { keyWords, type PartKind, type Saber } from '../../../record'
import { check } from '../../check'

/** The part that a way of cutting power needs. */
const NEEDS: Partial<Record<Saber['cutPower'], PartKind>> = {
  killSwitch: 'killSwitch',
  killKeyPull: 'killKey',
  killKeyTurn: 'killKey',
}

export const cutOff = check<{ missing: { needs: string; way: string }; unused: { way: string } }>({
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
    unused: (p) => ({
      title: 'A way to cut power is fitted but not named',
      detail: `The record says: ${p.way === 'none' ? 'nothing cuts the power' : keyWords(p.way)}.`,
      remedy: 'Choose it under Power.',
    }),
  },
})
