import { analyse, isOf, modeName } from '../../../controls'
import { byId, type ModeIs } from '../../../record'
import { check } from '../../check'
import { listed } from '../../text'

export const noOff = check<{ trap: { state: string; is: ModeIs; only: string[] } }>({
  id: 'noOff',
  station: 'controls',
  scope: 'saber',
  rule: 'Every mode leads back to off, in every preset; what sleeps can be woken.',
  source: 'simulated board',
  reads: ['controls', 'modes', 'timing', 'settings', 'presets', 'inputs'],
  run: ({ saber }) =>
    analyse(saber)
      .matters.flatMap((m) => (m.code === 'trap' ? [m] : []))
      .map(({ mode, presets }) => ({
        code: 'trap',
        subject: mode,
        level: 'stop',
        params: {
          state: modeName(saber, mode),
          is: isOf(saber, mode),
          only: presets.length < saber.presets.length ? presets.map((p) => byId(saber.presets, p)?.name ?? p) : [],
        },
        names: presets,
        gate: true,
      })),
  words: {
    trap: (p) => ({
      title:
        (p.is === 'lit'
          ? 'Nothing turns it off'
          : p.is === 'asleep'
            ? 'Nothing wakes it'
            : `No way out of ${p.state}`) + (p.only.length ? ` in ${listed(p.only)}` : ''),
      detail: `No sequence of controls leads from ${p.state} back to off.`,
      remedy: 'Record the control that does it.',
    }),
  },
})
