import { known, UNSURE } from '../facts'
import { byId, type ControlRow, isForeign, nounOf, refTo, type Saber } from '../record'
import { formatNumber, type Reader } from '../units'
import { say, whether } from '../words'

/** Seconds as a client counts them: "two seconds", "half a second", "1.25 seconds"; as they are recorded. */
export function secondsInWords(reader: Reader, s: number, after = false): string {
  const text = formatNumber(reader, s, 3)
  if (Math.abs(s - 0.5) < 0.01) return say(reader, 'seconds', { form: 'half', n: 0, text, after: whether(after) })
  const whole = Number.isInteger(s) && s > 0 && s <= 10
  return say(reader, 'seconds', { form: whole ? 'whole' : 'other', n: s, text, after: whether(after) })
}

/** What a control does, in the maker's own words when he gave any. */
export const doingOf = (reader: Reader, row: ControlRow): string =>
  row.says ?? say(reader, 'action', { action: row.does })

/** What a hand notices on the way: a beep at each step, a voice at the end. */
export const cuesOf = (reader: Reader, r: ControlRow): string[] =>
  (r.cues ?? []).map((c) =>
    say(reader, 'control.cue', { at: c.at, as: c.as, says: c.says ?? '', said: whether(c.says) }),
  )

/** The gesture of a row as an instruction: "hold the rear button for two seconds with the blade up". */
export function gestureText(reader: Reader, saber: Saber, row: ControlRow): string {
  const input = (id: string | undefined) => {
    const i = byId(saber.inputs, id)
    const noun = i && nounOf(reader, saber, refTo('input', i.id))
    if (!noun) return say(reader, 'input.unknown')
    // A gesture names its input in the middle of a sentence.
    return say(reader, 'input', { name: 'name' in noun && !isForeign(reader) ? noun.name.toLowerCase() : noun })
  }
  const hold = known(row.hold)
  const most = known(row.most)
  return say(reader, 'gesture', {
    gesture: row.gesture,
    pose: row.pose,
    ordered: whether(row.ordered),
    held: whether(hold !== undefined),
    input: input(row.input),
    other: input(row.other),
    times: say(reader, 'times', { n: row.times ?? 1 }),
    holdFor: say(reader, 'gesture.holdFor', {
      known:
        row.beeps !== undefined ? 'beeps' : hold !== undefined ? 'yes' : row.release === 'whileHeld' ? 'held' : 'no',
      about: row.hold && UNSURE.has(row.hold.source) ? 'yes' : 'no',
      seconds: hold === undefined ? '' : secondsInWords(reader, hold),
      beeps: row.beeps ?? 0,
      most: most === undefined ? '' : secondsInWords(reader, most, true),
      bounded: whether(most !== undefined),
      lasts: whether(hold !== undefined && row.release === 'whileHeld'),
    }),
  })
}
