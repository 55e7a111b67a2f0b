import { rehearse, type Trouble, troubleText } from '../../../script'
import { check } from '../../check'

type At = { beat: number; trouble: Trouble }
const STOPS: readonly Trouble['code'][] = ['holdDiffers', 'endsLit', 'gone']
const worded = (title: string, remedy: string) => (p: At) => ({
  title: `Beat ${p.beat}: ${title}`,
  detail: troubleText(p.trouble),
  remedy,
})
const MOVE = 'Move the beat, or add the one that leads to it.'

export const rehearsal = check<{ hold: At; endsLit: At; impossible: At }>({
  id: 'rehearsal',
  station: 'walkthrough',
  scope: 'saber',
  rule: 'Every line of the script can be carried out on this saber, in this order.',
  source: 'simulated board',
  reads: ['controls', 'access', 'beats'],
  run: ({ saber }) =>
    rehearse(saber).troubles.map((t) => ({
      code: t.code === 'holdDiffers' ? 'hold' : t.code === 'endsLit' ? 'endsLit' : 'impossible',
      subject: `${t.code}-${t.beat.id}`,
      level: STOPS.includes(t.code) ? 'stop' : 'caution',
      params: { beat: saber.beats.indexOf(t.beat) + 1, trouble: t },
      refs: t.beat.show ? [t.beat.show] : [],
      gate: true,
    })),
  words: {
    hold: worded('the hold is told wrong', 'Correct the words, or the board.'),
    endsLit: worded('it ends lit', MOVE),
    impossible: worded('cannot be done here', MOVE),
  },
})
