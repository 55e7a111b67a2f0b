import { known } from '../facts'
import type { ControlRow, Input, Saber } from '../record'
import { type ControlMap, modeById } from './modes'
import type { MapSheet } from './templates'

/** What a saber has from a map that it took over. */
export type Taken = Pick<Saber, 'modes' | 'timing' | 'inputs' | 'controls' | 'mapFrom'>

/**
 * A row in words that do not change with ids: its mode, gesture and doing. What reads otherwise than in the standard is an
 * exception.
 */
export function readsAs(m: Pick<ControlMap, 'modes' | 'inputs'>, r: ControlRow): string {
  const input = (id: string | undefined) => {
    const n = m.inputs.findIndex((i) => i.id === id)
    return n < 0
      ? ''
      : `${m.inputs[n]!.kind}${m.inputs.filter((i, k) => k < n && i.kind === m.inputs[n]!.kind).length + 1}`
  }
  const mode = (id: string | undefined) => (id === undefined ? '' : (modeById(m, id)?.name ?? ''))
  return [
    ...[mode(r.mode), r.pose, r.gesture, r.times ?? 1, input(r.input), input(r.other), r.ordered ? 'ordered' : ''],
    ...[known(r.hold) ?? '', known(r.most) ?? '', r.beeps ?? '', r.release ?? '', r.does, mode(r.to), r.says ?? ''],
  ]
    .join(' ')
    .replace(/ +/g, ' ')
    .trim()
    .slice(0, 240)
}

/** Whether a row says something else than the standard it was taken from; a row that was added here does. */
export const isException = (m: Pick<ControlMap, 'modes' | 'inputs'>, r: ControlRow): boolean =>
  r.standard !== readsAs(m, r)

/**
 * A map taken over by a saber: everything gets ids of its own, inputs are those that the saber has of the same kind, in their
 * order, and are made where it has too few. What it had before in modes and rows gives way.
 */
export function takeMap(s: Pick<Saber, 'inputs'>, sheet: MapSheet, newId: () => string): Taken {
  const ids = new Map<string, string>()
  const left = [...s.inputs]
  const added: Input[] = []
  for (const i of sheet.inputs) {
    const at = left.findIndex((x) => x.kind === i.kind)
    const own = at < 0 ? undefined : left.splice(at, 1)[0]
    const made = own ?? { id: newId(), name: i.name, kind: i.kind }
    if (!own) added.push(made)
    ids.set(`input ${i.id}`, made.id)
  }
  for (const m of sheet.modes) ids.set(`mode ${m.id}`, newId())
  const mode = (id: string) => ids.get(`mode ${id}`)!
  const input = (id: string) => ids.get(`input ${id}`)!
  const modes = sheet.modes.map((m) => ({
    ...m,
    id: mode(m.id),
    ...(m.on === undefined ? {} : { on: mode(m.on) }),
    ...(m.leads === undefined ? {} : { leads: mode(m.leads) }),
  }))
  const inputs = [...s.inputs, ...added]
  const controls = sheet.controls.map((r): ControlRow => {
    const { presets: _p, standard: _s, ...rest } = r
    const row: ControlRow = {
      ...{ ...rest, id: newId(), mode: mode(r.mode), input: input(r.input) },
      ...(r.to === undefined ? {} : { to: mode(r.to) }),
      ...(r.other === undefined ? {} : { other: input(r.other) }),
    }
    return { ...row, standard: readsAs({ modes, inputs }, row) }
  })
  return { modes, timing: sheet.timing, inputs, controls, mapFrom: sheet.name }
}
