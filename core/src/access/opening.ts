import { type Body, opensBy, planHome, planOff, runAll, type Seam, seamsOf } from '../machine'
import { type Act, comesApart, refTo } from '../record'
import type { Drafting } from './draft'

/**
 * The seam by which a client opens the hilt: the pommel's where it can be opened, else the only other that can. Nothing
 * where several could, or none; then it is asked for.
 */
function theSeam(d: Drafting, seams: readonly Seam[]): Seam | undefined {
  const closed = (q: Seam) => !comesApart(q.joint)
  const pommel = seams[0]
  const open = seams.filter((q) => opensBy(q.joint))
  const seam =
    pommel && opensBy(pommel.joint) ? pommel : open.length === 1 && (!pommel || closed(pommel)) ? open[0] : undefined
  if (seam) return seam
  if (pommel && !closed(pommel)) d.ask('howJoint', pommel.section.name, refTo('section', pommel.section.id))
  else if (open.length) d.ask('whichJoint', open.map((q) => q.section.name).join(', '))
  else d.ask('closedForLife', pommel?.section.name ?? '', pommel ? refTo('section', pommel.section.id) : undefined)
  return undefined
}

/** The seam with its screws, when every one of them is known and may be turned. */
function openable(d: Drafting): Seam | undefined {
  const { seams, lost } = seamsOf(d.saber)
  const seam = theSeam(d, seams)
  for (const f of lost) d.ask('screwPlace', f.name, refTo('fastener', f.id))
  if (!seam || lost.length) return undefined
  const never = seam.screws.filter((f) => f.clientMay === 'never')
  for (const f of never) d.ask('neverScrew', f.name, refTo('fastener', f.id))
  if (never.length) return undefined
  if (opensBy(seam.joint) === 'pull' && seam.joint.kind === 'setScrew' && !seam.screws.length) {
    d.ask('whatHolds', seam.section.name, refTo('section', seam.section.id))
    return undefined
  }
  return seam
}

/** The way to the cells that come out, as far as the cells themselves; undefined where there is none, or no such cell. */
export function toTheCells(d: Drafting): { before: Act[]; cells: Act[] } | undefined {
  const cells = d.saber.parts.flatMap((p): Body[] => (p.kind === 'cell' && p.removable ? [refTo('part', p.id)] : []))
  const plan = planOff(d.assembly, d.rest, cells)
  if (!cells.length || !plan.ok) return undefined
  const own = (x: Act) => cells.includes(x.at as Body)
  return { before: plan.acts.filter((x) => !own(x)), cells: plan.acts.filter(own) }
}

/** The seam that opens, as acts: its screws, then the section. */
function acts(seam: Seam): Act[] {
  const how = opensBy(seam.joint)
  return [
    ...seam.screws.map(
      (f): Act => ({ do: f.clientMay === 'remove' ? 'remove' : 'loosen', at: refTo('fastener', f.id) }),
    ),
    { do: 'takeOff', at: refTo('section', seam.section.id), ...(how ? { how } : {}) },
  ]
}

/** Opens the hilt: what is before the cells; where none comes out, the joint that opens. */
export function open(d: Drafting): void {
  const way = toTheCells(d)
  if (way?.before.length) return void d.acts(way.before)
  const seam = openable(d)
  if (seam) d.acts(acts(seam))
}

/** Closed again from there, by an order of its own. */
export function close(d: Drafting): void {
  const way = toTheCells(d)
  const seam = way ? undefined : openable(d)
  if (!way && !seam) return
  const { state } = runAll(d.assembly, d.rest, way ? way.before : acts(seam!))
  const home = planHome(d.assembly, state)
  if (home.ok) d.acts(home.acts)
}
