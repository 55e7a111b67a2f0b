import { analyse, isOf, modeName } from '../../../controls'
import { byId, type ModeIs } from '../../../record'
import { check } from '../../check'

export const noOff = check<{ trap: { state: string; is: ModeIs; only: string[] } }>({
  id: 'noOff',
  station: 'controls',
  scope: 'saber',
  source: 'simulated board',
  reads: ['controls', 'modes', 'timing', 'settings', 'fonts', 'presets', 'inputs'],
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
})
