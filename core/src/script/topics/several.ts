import type { Commission, Saber } from '../../record'
import { alikePresets } from './looks'
import { introduced } from './parts'

/** The sabers of an order as they are told: the one of which least is to be told first, of equal ones as they stand. */
export function tellingOrder(c: Pick<Commission, 'sabers'>): Saber[] {
  const size = (s: Saber) =>
    s.controls.filter((r) => r.status !== 'unsure').length +
    s.presets.length -
    alikePresets(s).reduce((n, ids) => n + ids.length - 1, 0) +
    s.parts.filter(introduced).length +
    [s.items, s.repairs, s.losses, s.decisions, s.notFor, s.provenance, s.blades].reduce(
      (n, list) => n + list.length,
      0,
    ) +
    s.parts.filter((p) => p.note || p.removable).length
  return c.sabers
    .map((s, i) => ({ s, i }))
    .sort((a, b) => size(a.s) - size(b.s) || a.i - b.i)
    .map((x) => x.s)
}

/** What is the whole order's: told once, with the last of its sabers. */
const OF_THE_ORDER = /^(request|arrival|share|fault|credit|toDo):/

/** Whether something is told with this saber: what is its own, and with the last one what is the whole order's. */
export function toldWith(c: Commission, s: Saber, key: string): boolean {
  if (c.sabers.length < 2 || !OF_THE_ORDER.test(key)) return true
  const [kind, id] = key.split(':')
  const saber =
    kind === 'request'
      ? c.requests.find((r) => r.id === id)?.saber
      : kind === 'toDo'
        ? c.toDos.find((t) => t.id === id)?.about?.replace(/^saber:/, '')
        : c.arrivals.find((a) => a.id === id || a.shares.some((x) => x.id === id) || a.faults.some((f) => f.id === id))
            ?.saber
  const of = c.sabers.find((x) => x.id === saber)
  return of ? of.id === s.id : tellingOrder(c).at(-1)?.id === s.id
}
