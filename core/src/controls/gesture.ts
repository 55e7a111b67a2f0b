import { known } from '../facts'
import { byId, type ControlRow, isForeign, nounOf, own, refTo, type Saber } from '../record'
import { formatNumber } from '../units'
import { say, whether } from '../words'

/** Seconds as a client counts them: "two seconds", "half a second", "1.2 seconds". */
export function secondsInWords(s: number): string {
  const text = formatNumber(s, 1)
  if (Math.abs(s - 0.5) < 0.01) return say('seconds', { form: 'half', n: 0, text })
  const whole = Number.isInteger(s) && s > 0 && s <= 10
  return say('seconds', { form: whole ? 'whole' : 'other', n: s, text })
}

/** What a control does, in the maker's own words when he gave any. */
export const doingOf = (row: ControlRow): string =>
  (row.says === undefined ? undefined : own(row.says)) ?? say('action', { action: row.does })

/** What a hand notices on the way: a beep at each step, a voice at the end. */
export const cuesOf = (r: ControlRow): string[] =>
  (r.cues ?? []).map((c) =>
    say('control.cue', { at: c.at, as: c.as, says: c.says ? own(c.says) : '', said: whether(c.says) }),
  )

/** The gesture of a row as an instruction: "hold the rear button for two seconds with the blade up". */
export function gestureText(saber: Saber, row: ControlRow): string {
  const input = (id: string | undefined) => {
    const i = byId(saber.inputs, id)
    const noun = i && nounOf(saber, refTo('input', i.id))
    if (!noun) return say('input.unknown')
    // A gesture names its input in the middle of a sentence.
    return say('input', { name: 'name' in noun && !isForeign() ? noun.name.toLowerCase() : noun })
  }
  const hold = known(row.hold)
  const most = known(row.most)
  return say('gesture', {
    gesture: row.gesture,
    pose: row.pose,
    ordered: whether(row.ordered),
    held: whether(hold !== undefined),
    input: input(row.input),
    other: input(row.other),
    times: say('times', { n: row.times ?? 1 }),
    holdFor: say('gesture.holdFor', {
      known:
        row.beeps !== undefined ? 'beeps' : hold !== undefined ? 'yes' : row.release === 'whileHeld' ? 'held' : 'no',
      about: row.hold?.source === 'recalled' ? 'yes' : 'no',
      seconds: hold === undefined ? '' : secondsInWords(hold),
      beeps: row.beeps ?? 0,
      most: most === undefined ? '' : secondsInWords(most),
      bounded: whether(most !== undefined),
      lasts: whether(hold !== undefined && row.release === 'whileHeld'),
    }),
  })
}
