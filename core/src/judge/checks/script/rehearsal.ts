import { readerOf, toldSaber } from '../../../record'
import { type RehearsalFault, rehearse } from '../../../script'
import { check } from '../../check'

export type At = { beat: number; trouble: RehearsalFault }
const STOPS: readonly RehearsalFault['code'][] = [
  ...([
    'holdDiffers',
    'endsLit',
    'gone',
    'dead',
    'open',
    'looseBlade',
    'refused',
    'endsOpen',
    'endsLoose',
    'willNotEnter',
  ] as const),
]

/** How a film may not end. */
const ENDS: readonly RehearsalFault['code'][] = ['endsLit', 'endsOpen', 'endsLoose', 'endsPreset']

export const rehearsal = check<{ hold: At; said: At; ends: At; impossible: At }>({
  id: 'rehearsal',
  station: 'walkthrough',
  scope: 'saber',
  source: 'the saber as a machine',
  reads: [
    'order.client',
    'order.writtenIn',
    'order.translations',
    'controls',
    'modes',
    'access',
    'beats',
    'hilt',
    'parts',
    'blades',
    'joints',
    'cutPower',
    'presets',
    'inputs',
    'zones',
    'spoken',
  ],
  run: ({ commission, saber, machine }) =>
    rehearse(readerOf(commission), toldSaber(commission, saber), machine).troubles.map((t) => ({
      code:
        t.code === 'holdDiffers'
          ? 'hold'
          : t.code === 'saidDiffers'
            ? 'said'
            : ENDS.includes(t.code)
              ? 'ends'
              : 'impossible',
      subject: `${t.code}-${t.code === 'saidDiffers' ? `${t.about}-` : ''}${t.beat.id}`,
      // What is only read out of words by their pattern may be right all the same.
      level: t.code === 'saidDiffers' ? 'note' : STOPS.includes(t.code) ? 'stop' : 'caution',
      params: { beat: saber.beats.indexOf(t.beat) + 1, trouble: t },
      refs: t.beat.show ? [t.beat.show] : [],
      gate: t.code !== 'saidDiffers',
    })),
})
