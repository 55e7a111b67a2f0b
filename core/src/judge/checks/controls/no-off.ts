import { traps } from '../../../controls'
import { byId } from '../../../record'
import { check } from '../../check'
import { listed } from '../../text'

export const noOff = check<{ trap: { state: string; only: string[] } }>({
  id: 'noOff',
  station: 'controls',
  scope: 'saber',
  rule: 'Every state leads back to off, in every preset; what sleeps can be woken.',
  source: 'simulated board',
  reads: ['controls', 'presets'],
  run: ({ saber }) =>
    traps(
      saber.controls,
      saber.presets.map((p) => p.id),
    ).map(({ state, presets }) => ({
      code: 'trap',
      subject: state,
      level: 'stop',
      params: {
        state,
        only: presets.length < saber.presets.length ? presets.map((p) => byId(saber.presets, p)?.name ?? p) : [],
      },
      names: presets,
      gate: true,
    })),
  words: {
    trap: (p) => ({
      title:
        (p.state === 'lit'
          ? 'Nothing turns it off'
          : p.state === 'asleep'
            ? 'Nothing wakes it'
            : `No way out of ${p.state}`) + (p.only.length ? ` in ${listed(p.only)}` : ''),
      detail: `No sequence of controls leads from ${p.state} back to off.`,
      remedy: 'Record the control that does it.',
    }),
  },
})
