import { type Piece, proceduresOf } from '../access'
import { after, gestureText, isOf, modeById, modeName, modeThatIs, reach, shines } from '../controls'
import { known } from '../facts'
import { looseAt, type Machine, machineOf, onlyTurned, refusalText, run, type State } from '../machine'
import {
  type Beat,
  byId,
  type ControlRow,
  type ModeIs,
  nameOf,
  partsOfRef,
  type Ref,
  refTo,
  type Saber,
  type Task,
} from '../record'
import type { Reader } from '../units'
import { atHand, filmPieces } from './at-hand'
import { liveBeats } from './live'
import { type Mismatch, saidOfRow, saidOfTask } from './wording-check'

export type RehearsalFault =
  | { code: 'gone'; beat: Beat }
  | { code: 'wrongState'; beat: Beat; needs: string; is: string }
  | { code: 'noPower'; beat: Beat }
  | { code: 'dead'; beat: Beat; out: string }
  | { code: 'open'; beat: Beat; off: string }
  | { code: 'looseBlade'; beat: Beat; screw: string }
  | { code: 'otherPreset'; beat: Beat; preset: string }
  | { code: 'refused'; beat: Beat; step: string; why: string }
  | { code: 'notConfigured'; beat: Beat }
  | { code: 'holdDiffers'; beat: Beat; said: number; is: number }
  | { code: 'bladeMissing'; beat: Beat }
  | { code: 'noBladeHere'; beat: Beat; socket: string }
  | { code: 'willNotEnter'; beat: Beat; blade: string; socket: string }
  | { code: 'unreached'; beat: Beat; input: string }
  | { code: 'hidden'; beat: Beat; what: string; behind: string }
  | { code: 'litWhile'; beat: Beat; task: string }
  | { code: 'endsLit'; beat: Beat }
  | { code: 'afterFarewell'; beat: Beat }
  | { code: 'toldLate'; beat: Beat; part: string; used: number }
  | { code: 'endsOpen'; beat: Beat; off: string }
  | { code: 'endsLoose'; beat: Beat; screw: string }
  | { code: 'endsPreset'; beat: Beat; preset: string; n: number; back?: { gesture: string; times: number } }
  | ({ code: 'saidDiffers'; beat: Beat } & Mismatch)

/** The saber in hand while the script is run. */
interface Now {
  machine: State
  /** Which mode of the board it is in. */
  mode: string
  /** Which preset is before one, by its place in the list; nobody knows once it was chosen in a menu. */
  preset: number | undefined
}

/** The mode in which a film begins: asleep where something wakes it, off once its power is told. */
export function startMode(s: Saber): string {
  const asleep = s.modes.find((x) => x.is === 'asleep' && s.controls.some((r) => r.mode === x.id))
  const off = modeThatIs(s, 'off')
  return (asleep && !machineOf(s).assembly.cutter ? asleep : (off ?? s.modes[0]))?.id ?? ''
}

/** A mode as one is in it: by what it is where a board has one of the sort, else by its name. */
const IN: Record<ModeIs, string> = {
  ...{ lit: 'lit', off: 'off', asleep: 'asleep', menu: 'in the menu', muted: 'muted', combat: 'in combat mode' },
}
const modeInWords = (s: Saber, id: string): string => {
  const is = isOf(s, id)
  return s.modes.filter((x) => x.is === is).length > 1 ? `in ${modeName(s, id)}` : IN[is]
}

export interface Rehearsal {
  troubles: RehearsalFault[]
  /** The saber after each beat. */
  states: { beat: string; powered: boolean; mode: string; preset: number | undefined; machine: State }[]
  seconds: number
}

/** Tasks that are done in the dark. */
const DARK: readonly Task[] = ['bladeOut', 'open', 'cellOut', 'card', 'port', 'show', 'cellIn', 'charge']

/**
 * Runs the script on the machine: each performed control must exist, be configured, and be possible in the state the earlier
 * beats left, with current, closed, and in a preset that has it; each act of a piece is carried out as it is told; each
 * spoken hold time must be the one set; nothing is pulled or opened while it is alight; and the film ends dark, closed and tight.
 * Moves that beats do not perform are bridged only by gestures the viewer has already been shown.
 */
export function rehearse(reader: Reader, saber: Saber, { assembly, rest }: Machine = machineOf(saber)): Rehearsal {
  const beats = liveBeats(reader, saber)
  const s = beats === saber.beats ? saber : { ...saber, beats: [...beats] }
  const pieces = new Map(filmPieces(s, proceduresOf(reader, s)).map((p) => [p.task, p]))
  const now: Now = {
    // What is loose on the bench is tightened before it ships; the film begins with it tight.
    machine: { ...rest, screws: {}, cut: pieces.has('powerOn') },
    mode: startMode(s),
    preset: 0,
  }
  const troubles: RehearsalFault[] = []
  const states: Rehearsal['states'] = []
  const shown = new Set<string>()
  const tellsBladeIn = s.beats.some((x) => !x.leftTo && x.task === 'bladeIn')
  const bladeIsIn = () =>
    Object.values(assembly.joints).some(
      (j) => j.place && !assembly.plugs.includes(j.body) && !now.machine.off.includes(j.body),
    )
  const named = (ref: Ref) => nameOf(s, ref) ?? ref
  const bridge = (to: string) =>
    reach(
      s,
      s.controls.filter((r) => shown.has(r.id)),
      now.mode,
    ).has(to)
  const off = modeThatIs(s, 'off')?.id ?? ''

  const performRow = (beat: Beat, row: ControlRow) => {
    if (row.status === 'unsure') troubles.push({ code: 'notConfigured', beat })
    const out = now.machine.off.find((b) => assembly.joints[b]?.cell || assembly.joints[b]?.contact)
    if (now.machine.cut) troubles.push({ code: 'noPower', beat })
    else if (out) troubles.push({ code: 'dead', beat, out: named(out) })
    if (row.mode !== now.mode && !bridge(row.mode))
      troubles.push({ code: 'wrongState', beat, needs: modeInWords(s, row.mode), is: modeInWords(s, now.mode) })
    const here = now.preset === undefined ? undefined : s.presets[now.preset]
    if (row.presets?.length && here && !row.presets.includes(here.id))
      troubles.push({ code: 'otherPreset', beat, preset: here.name })
    if (row.does === 'ignite') {
      if (tellsBladeIn && !bladeIsIn()) troubles.push({ code: 'bladeMissing', beat })
      const off = now.machine.off.find((b) => b.startsWith('section:') && !onlyTurned(assembly.joints[b]!))
      if (off) troubles.push({ code: 'open', beat, off: named(off) })
      const loose = Object.values(assembly.joints)
        .filter((j) => j.place && !now.machine.off.includes(j.body))
        .flatMap((j) => looseAt(now.machine, j) ?? [])[0]
      if (loose) troubles.push({ code: 'looseBlade', beat, screw: named(refTo('fastener', loose.screw)) })
    }
    now.preset = presetAfter(s, now.preset, row)
    now.mode = after(s, row)
    shown.add(row.id)
  }

  const performPiece = (beat: Beat, { task, acts }: Piece) => {
    if (DARK.includes(task) && shines(s, now.mode)) {
      if (!bridge(off)) troubles.push({ code: 'litWhile', beat, task })
      now.mode = off
    }
    for (const x of acts)
      for (const act of x.does) {
        const o = run(assembly, now.machine, act)
        if (o.ok) now.machine = o.state
        else troubles.push({ code: 'refused', beat, step: x.text, why: refusalText(s, o.why) })
      }
    if (now.machine.cut) now.mode = off
  }

  const hand = atHand(s)
  const bladeTask = (beat: Beat) =>
    !beat.perform && (beat.task === 'bladeIn' || beat.task === 'bladeOut') && hand.cannot.length > 0
  /** Blades that a beat would show going in, and that are not there or do not go in. A composed beat says so itself. */
  const noBlades = (beat: Beat): RehearsalFault[] =>
    beat.by === 'composed' && pieces.has(beat.task!)
      ? []
      : hand.cannot.map(({ socket, blade }) =>
          blade
            ? { code: 'willNotEnter', beat, blade: blade.name, socket: socket.name }
            : { code: 'noBladeHere', beat, socket: socket.name },
        )
  const used = new Set(s.controls.flatMap((r) => [r.input, r.other]))
  /** What a beat points at and nobody can see working: an input without a use, a display behind what is closed. */
  const notSeen = (beat: Beat): RehearsalFault[] => {
    const to = partsOfRef(beat.show ?? '')
    const input = to?.kind === 'input' ? byId(s.inputs, to.id) : undefined
    if (input && s.controls.length && !used.has(input.id)) return [{ code: 'unreached', beat, input: input.name }]
    const part = to?.kind === 'part' ? byId(s.parts, to.id) : undefined
    if (beat.by === 'composed' || beat.task === 'show' || part?.kind !== 'display') return []
    const j = Object.values(assembly.joints).find((x) => x.byItself === 'showsDisplay')
    return j && !now.machine.off.includes(j.body) ? [{ code: 'hidden', beat, what: part.name, behind: j.name }] : []
  }

  const stateAfter = (beat: Beat) => ({
    ...{ beat: beat.id, powered: !now.machine.cut, mode: now.mode },
    ...{ preset: now.preset, machine: now.machine },
  })
  for (const beat of s.beats) {
    if (beat.leftTo) {
      states.push(stateAfter(beat))
      continue
    }
    checkHold(s, beat, troubles)
    const piece = beat.task && pieces.get(beat.task)
    if (beat.perform ?? beat.task) {
      const row = byId(s.controls, partsOfRef(beat.perform ?? '')?.id)
      if (row) {
        for (let n = 0; n < (beat.times ?? 1); n++) performRow(beat, row)
        troubles.push(...saidOfRow(s, beat, row).map((o): RehearsalFault => ({ code: 'saidDiffers', beat, ...o })))
      } else if (piece || bladeTask(beat)) {
        if (bladeTask(beat)) troubles.push(...noBlades(beat))
        if (!piece) {
          states.push(stateAfter(beat))
          continue
        }
        performPiece(beat, piece)
        troubles.push(...saidOfTask(s, beat, piece).map((o): RehearsalFault => ({ code: 'saidDiffers', beat, ...o })))
      } else troubles.push({ code: 'gone', beat })
    }
    troubles.push(...notSeen(beat))
    states.push(stateAfter(beat))
  }
  troubles.push(...outOfPlace(s, pieces))
  const last = s.beats.findLast((b) => !b.leftTo)
  if (last) {
    if (!now.machine.cut && shines(s, now.mode)) troubles.push({ code: 'endsLit', beat: last })
    const off = now.machine.off.find((b) => !assembly.spare.includes(b) && !assembly.joints[b]?.place)
    if (off) troubles.push({ code: 'endsOpen', beat: last, off: named(off) })
    if (now.preset !== undefined && now.preset > 0) {
      const back = backToFirst(s, now.preset)
      troubles.push({
        ...{ code: 'endsPreset', beat: last, preset: s.presets[now.preset]?.name ?? '', n: now.preset + 1 },
        ...(back ? { back: { gesture: gestureText(reader, s, back.row), times: back.times } } : {}),
      })
    }
    const loose = Object.keys(now.machine.screws)[0]
    if (loose) troubles.push({ code: 'endsLoose', beat: last, screw: named(refTo('fastener', loose)) })
  }
  return { troubles, states, seconds: s.beats.reduce((a, x) => a + (x.leftTo ? 0 : x.seconds), 0) }
}

/** What follows the farewell, and what is worked by hand and told only after it was used. */
function outOfPlace(s: Saber, pieces: ReadonlyMap<Task, Piece>): RehearsalFault[] {
  const spoken = s.beats.filter((b) => !b.leftTo)
  // What introduces a part, by its place; without any nothing can be late.
  const last = spoken.findLastIndex((b) => b.covers.some((k) => k.startsWith('part:') || k.startsWith('fastener:')))
  const alone = s.hilt.fasteners.flatMap((f) => (f.clientMay === 'never' ? [`fastener:${f.id}`] : []))
  const bye = spoken.findIndex((b) => b.covers.includes('farewell'))
  const uses = (b: Beat): string[] => {
    const row = b.perform?.startsWith('row:') ? byId(s.controls, b.perform.slice(4)) : undefined
    const inputs = row ? [row.input, row.other].map((id) => byId(s.inputs, id)?.part) : []
    const acts = (b.task && pieces.get(b.task)?.acts) ?? []
    const steps = acts.flatMap((x) => [...x.does.map((d) => d.at as string), x.place])
    return [
      ...inputs.flatMap((p) => (p ? [`part:${p}`] : [])),
      ...steps.flatMap((x) => (x?.startsWith('part:') ? [x] : [])),
      // Whoever turns a screw has to know by then which of them to leave alone.
      ...(steps.some((x) => x?.startsWith('fastener:')) ? alone : []),
    ]
  }
  const used = new Map<string, number>()
  const late: RehearsalFault[] = []
  spoken.forEach((beat, i) => {
    for (const key of beat.covers) {
      const at = used.get(key)
      const [kind, id] = key.split(':')
      const part = kind === 'part' ? byId(s.parts, id) : kind === 'fastener' ? byId(s.hilt.fasteners, id) : undefined
      if (at !== undefined && part) late.push({ code: 'toldLate', beat, part: part.name, used: at + 1 })
    }
    if (i < last) for (const key of uses(beat)) if (!used.has(key)) used.set(key, i)
  })
  const told = new Set<Beat>()
  return [
    ...(bye >= 0 ? spoken.slice(bye + 1).map((beat): RehearsalFault => ({ code: 'afterFarewell', beat })) : []),
    ...late.filter((t) => !told.has(t.beat) && told.add(t.beat)),
  ]
}

/** Which preset is before one after a control; undefined once a menu has chosen one. */
export function presetAfter(s: Saber, preset: number | undefined, row: ControlRow): number | undefined {
  const all = s.presets.length
  if (!all) return preset
  const chooses = modeById(s, row.mode)?.chooses
  if (row.does === 'keep' && (chooses === 'preset' || chooses === 'profile')) return undefined
  if (preset === undefined) return undefined
  if (row.does === 'nextPreset') return (preset + 1) % all
  return row.does === 'previousPreset' ? (preset + all - 1) % all : preset
}

/** The control that leads back to the first preset in the fewest times; nothing where none does. */
export function backToFirst(
  s: Saber,
  preset: number,
  rows: readonly ControlRow[] = s.controls,
): { row: ControlRow; times: number } | undefined {
  const all = s.presets.length
  const ways = rows.flatMap((row) => {
    if (row.presets?.length || row.status === 'unsure') return []
    if (row.does === 'nextPreset') return [{ row, times: all - preset }]
    return row.does === 'previousPreset' ? [{ row, times: preset }] : []
  })
  return ways.sort((a, b) => a.times - b.times)[0]
}

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
  ...{ halbe: 0.5, eine: 1, einer: 1, einen: 1, anderthalb: 1.5, zwei: 2, drei: 3, vier: 4, fünf: 5, sechs: 6 },
  ...{ sieben: 7, acht: 8, neun: 9, zehn: 10 },
}

/** Hold times said in a text, in seconds: "two seconds", "half a second", "1.5 s", "3-second", „zwei Sekunden“. */
export function spokenSeconds(text: string): number[] {
  const out: number[] = []
  for (const m of text.matchAll(
    /(?<!\p{L})(?:(half|a|one|two|three|four|five|six|seven|eight|nine|ten|halbe|einer?n?|anderthalb|zwei|drei|vier|fünf|sechs|sieben|acht|neun|zehn)(?:\s+(and a half))?(?:\s+a)?[\s-]+(?:seconds?|secs?|sekunden?)|(\d+(?:[.,]\d+)?)[\s-]*(?:seconds?|secs?|sekunden?|s))(?!\p{L})/giu,
  )) {
    const base = m[3] === undefined ? SPOKEN[m[1]!.toLowerCase()]! : Number(m[3].replace(',', '.'))
    out.push(base + (m[2] ? 0.5 : 0))
  }
  return out
}

function checkHold(s: Saber, beat: Beat, troubles: RehearsalFault[]) {
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
