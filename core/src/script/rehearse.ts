import { after, type Mode } from '../controls'
import { known } from '../facts'
import { type Beat, byId, type Saber } from '../record'

export type Trouble =
  | { code: 'gone'; beat: Beat }
  | { code: 'wrongState'; beat: Beat; needs: Mode; is: Mode }
  | { code: 'noPower'; beat: Beat }
  | { code: 'notConfigured'; beat: Beat }
  | { code: 'holdDiffers'; beat: Beat; said: number; is: number }
  | { code: 'bladeMissing'; beat: Beat }
  | { code: 'litWhile'; beat: Beat; task: string }
  | { code: 'endsLit'; beat: Beat }

/** What the simulated board knows while the script is run. */
interface BoardState {
  powered: boolean
  mode: Mode
  bladeIn: boolean
}

export interface Rehearsal {
  troubles: Trouble[]
  /** The board's state after each beat. */
  states: { beat: string; powered: boolean; mode: Mode }[]
  seconds: number
}

/**
 * Runs the script against the record on a simulated board: each performed control must exist, be configured, and be
 * possible in the state the earlier beats left; each spoken hold time must be the one set; the blade is not pulled, nor
 * the hilt opened, while it is lit; and the film does not end with it lit. Moves that beats do not perform are bridged
 * only by a single gesture the viewer has already been shown.
 */
export function rehearse(s: Saber): Rehearsal {
  const cutOff = s.access.some((p) => p.task === 'powerOn')
  const b: BoardState = {
    powered: !cutOff,
    mode: s.controls.some((r) => r.state === 'asleep') && !cutOff ? 'asleep' : 'off',
    bladeIn: false,
  }
  const troubles: Trouble[] = []
  const states: Rehearsal['states'] = []
  const shown = new Set<string>()
  const tellsBladeIn = s.beats.some((x) => taskOf(s, x)?.task === 'bladeIn')
  for (const beat of s.beats) {
    checkHold(s, beat, troubles)
    const [kind, id] = (beat.perform ?? ':').split(':') as [string, string]
    if (kind === 'row') {
      const row = byId(s.controls, id)
      if (!row) troubles.push({ code: 'gone', beat })
      else {
        if (row.status === 'unsure') troubles.push({ code: 'notConfigured', beat })
        if (!b.powered) troubles.push({ code: 'noPower', beat })
        if (row.state !== b.mode) {
          const bridge = s.controls.find((r) => shown.has(r.id) && r.state === b.mode && after(r) === row.state)
          if (!bridge) troubles.push({ code: 'wrongState', beat, needs: row.state, is: b.mode })
        }
        if (row.does === 'ignite' && tellsBladeIn && !b.bladeIn) troubles.push({ code: 'bladeMissing', beat })
        b.mode = after(row)
        shown.add(row.id)
      }
    } else if (kind === 'task') {
      const proc = taskOf(s, beat)
      if (!proc) troubles.push({ code: 'gone', beat })
      else {
        if (
          ['bladeOut', 'open', 'cellOut', 'cellIn', 'card', 'charge'].includes(proc.task) &&
          (b.mode === 'lit' || b.mode === 'combat')
        ) {
          const bridge = s.controls.find((r) => shown.has(r.id) && r.state === b.mode && after(r) === 'off')
          if (!bridge) troubles.push({ code: 'litWhile', beat, task: proc.task })
          b.mode = 'off'
        }
        if (proc.task === 'powerOn') b.powered = true
        if (proc.task === 'powerOff') {
          b.powered = false
          b.mode = 'off'
        }
        if (proc.task === 'bladeIn') b.bladeIn = true
        if (proc.task === 'bladeOut') b.bladeIn = false
      }
    }
    states.push({ beat: beat.id, powered: b.powered, mode: b.mode })
  }
  const last = s.beats.at(-1)
  if (last && b.powered && (b.mode === 'lit' || b.mode === 'combat')) troubles.push({ code: 'endsLit', beat: last })
  return { troubles, states, seconds: s.beats.reduce((a, x) => a + x.seconds, 0) }
}

const taskOf = (s: Saber, beat: Beat) =>
  beat.perform?.startsWith('task:') ? byId(s.access, beat.perform.slice(5)) : undefined

const SPOKEN: Record<string, number> = {
  half: 0.5,
  one: 1,
  a: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
}

/** Hold times said in a text, in seconds: "two seconds", "half a second", "1.5 s", "3-second". */
export function spokenSeconds(text: string): number[] {
  const out: number[] = []
  for (const m of text.matchAll(
    /\b(?:(half|a|one|two|three|four|five|six|seven|eight|nine|ten)(?:\s+(and a half))?(?:\s+a)?[\s-]+(?:seconds?|secs?)|(\d+(?:[.,]\d+)?)[\s-]*(?:seconds?|secs?|s))\b/gi,
  )) {
    const base = m[3] === undefined ? SPOKEN[m[1]!.toLowerCase()]! : Number(m[3].replace(',', '.'))
    out.push(base + (m[2] ? 0.5 : 0))
  }
  return out
}

function checkHold(s: Saber, beat: Beat, troubles: Trouble[]) {
  const row = beat.perform?.startsWith('row:') ? byId(s.controls, beat.perform.slice(4)) : undefined
  const hold = known(row?.hold)
  if (hold === undefined) return
  // "It takes one second to go dark" tells no hold: only what stands with holding, pressing or keeping does.
  const holds = (text: string) =>
    text
      .split(/[;!?:]|[.,](?=\s|$)/)
      .filter(
        (part) =>
          !/\b(takes?|lasts?|within|fades?|goes|until it|later|wait)\b/i.test(part) ||
          /\b(hold|press|keep)/i.test(part),
      )
      .join('. ')
  for (const said of [...spokenSeconds(holds(beat.say)), ...spokenSeconds(holds(beat.doText ?? ''))]) {
    if (Math.abs(said - hold) > 0.26) {
      troubles.push({ code: 'holdDiffers', beat, said, is: hold })
      return
    }
  }
}

/** Spoken words a second, for a first guess at a beat's length. */
const WORDS_PER_SECOND = 2.4

/** Seconds a beat takes to say, plus two to show; never under four. */
export const guessSeconds = (say: string): number =>
  Math.max(4, Math.round(say.split(/\s+/).filter(Boolean).length / WORDS_PER_SECOND) + 2)
