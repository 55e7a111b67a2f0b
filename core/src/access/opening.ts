import { known } from '../facts'
import { comesApart, type Fastener, refTo, type Saber, type Section } from '../record'
import { layOut } from '../room'
import { say } from '../words'
import type { Drafting } from './draft'

/** A joint-holding screw further from every seam than this is no screw of a joint that could be told, mm. */
const FROM_SEAM = 40

/** A joint between two sections, with what comes off and the screws that hold it. */
export interface Seam {
  joint: Section['joint']
  /** Where it is along the hilt, mm from the pommel; unknown where a length before it is. */
  x: number | undefined
  /** The section that comes off when it is opened: the one towards the nearer end. */
  section: Section
  screws: Fastener[]
}

/** The seams of a hilt from the pommel, each with the screws nearest to it, and the screws whose place nobody knows. */
export function seamsOf(s: Saber): { seams: Seam[]; lost: Fastener[] } {
  const { sections, length } = layOut(s.hilt)
  let sure = true
  const seams: Seam[] = sections.slice(0, -1).map((p, i) => {
    sure &&= known(p.section.length) !== undefined
    return {
      joint: p.section.joint,
      x: sure ? p.x1 : undefined,
      section: p.x1 <= length / 2 ? p.section : sections[i + 1]!.section,
      screws: [],
    }
  })
  const lost: Fastener[] = []
  for (const f of s.hilt.fasteners) {
    if (f.purpose !== 'joint' || f.head === 'dummy') continue
    const at = known(f.at)
    const near = seams
      .flatMap((seam) => (seam.x === undefined || at === undefined ? [] : [{ seam, off: Math.abs(seam.x - at) }]))
      .sort((a, b) => a.off - b.off)
    const [first, second] = near
    if (!first || first.off > FROM_SEAM || (second && second.off - first.off < 1)) lost.push(f)
    else first.seam.screws.push(f)
  }
  return { seams, lost }
}

/** How a joint comes apart in a client's hands; undefined where its kind does not say. */
const OPENS = { thread: 'unscrew', setScrew: 'pull', magnet: 'pull', buttonAndScrews: 'press' } as const
const opensBy = (j: Section['joint']) =>
  j.lockedForLife ? undefined : (OPENS as Partial<Record<typeof j.kind, 'unscrew' | 'pull' | 'press'>>)[j.kind]

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

/** Opens the hilt: screws of its joint, then the section as its joint lets it come off. */
export function open(d: Drafting): void {
  const seam = openable(d)
  if (!seam) return
  for (const f of seam.screws)
    d.screw(
      say('step.loosenJoint', { how: f.clientMay === 'remove' ? 'remove' : 'loosen', screw: f.name }),
      f,
      'anticlockwise',
    )
  const { name: section, id } = seam.section
  const how = { place: refTo('section', id), caution: say('step.softSurface') }
  const by = opensBy(seam.joint)
  if (by === 'unscrew')
    d.step(say('step.unscrew', { section }), {
      ...how,
      direction: seam.joint.hand === 'left' ? 'clockwise' : 'anticlockwise',
    })
  else d.step(say(by === 'press' ? 'step.pressOff' : 'step.pullOff', { section }), { ...how, direction: 'pull' })
}

/** The same back, the other way round. */
export function close(d: Drafting): void {
  const seam = openable(d)
  if (!seam) return
  const caution = say('step.noWireInThread')
  const { name: section, id } = seam.section
  const threaded = opensBy(seam.joint) === 'unscrew'
  d.step(say(threaded ? 'step.screwOn' : 'step.pushOn', { section }), {
    place: refTo('section', id),
    direction: threaded ? (seam.joint.hand === 'left' ? 'anticlockwise' : 'clockwise') : 'push',
    caution,
  })
  for (const f of seam.screws.toReversed()) d.screw(say('step.tighten', { screw: f.name }), f, 'clockwise', { caution })
}
