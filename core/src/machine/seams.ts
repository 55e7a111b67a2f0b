import { known } from '../facts'
import { layOut } from '../geometry'
import { comesApart, type Fastener, type How, purposeOf, refTo, type Saber, type Section } from '../record'
import type { Blocked, Joint } from './joint'

/** A joint-holding screw further from every seam than this is no screw of a joint that could be told, mm. */
const FROM_SEAM = 40

/** A joint between two sections, with what comes off and the screws that hold it. */
export interface Seam {
  joint: Section['joint']
  /** Where it is along the hilt, mm from the pommel; unknown where a length before it is. */
  x: number | undefined
  /** The section that comes off when it is opened, the one towards the nearer end, and what it comes off. */
  section: Section
  of: Section
  screws: Fastener[]
}

/** The seams of a hilt from the pommel, each with the screws nearest to it, and the screws whose place nobody knows. */
export function seamsOf(s: Saber): { seams: Seam[]; lost: Fastener[] } {
  const { sections, length } = layOut(s.hilt)
  let sure = true
  const seams: Seam[] = sections.slice(0, -1).map((p, i) => {
    sure &&= known(p.section.length) !== undefined
    const [rear, front] = [p.section, sections[i + 1]!.section]
    const [section, of] = p.x1 <= length / 2 ? [rear, front] : [front, rear]
    return { joint: rear.joint, x: sure ? p.x1 : undefined, section, of, screws: [] }
  })
  const lost: Fastener[] = []
  for (const f of s.hilt.fasteners) {
    if (purposeOf(s, f) !== 'joint' || f.head === 'dummy') continue
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

/** How a joint comes apart in a hand; undefined where its kind does not say. */
const OPENS: Partial<Record<Section['joint']['kind'], How>> = {
  thread: 'unscrew',
  setScrew: 'pull',
  magnet: 'pull',
  buttonAndScrews: 'pressPull',
}

/** How a joint of sections comes off in a hand; undefined where its kind does not say, or it is closed for life. */
export const opensBy = (j: Section['joint']): How | undefined => (j.lockedForLife ? undefined : OPENS[j.kind])

/** Every seam as a joint. What is glued, locked for life or held by a screw never to be touched has no way. */
export function sectionJoints(s: Saber): Joint[] {
  const { seams, lost } = seamsOf(s)
  return seams.map((seam) => {
    const { joint, section } = seam
    const how = opensBy(joint)
    const at = refTo('section', section.id)
    const never = seam.screws.filter((f) => f.clientMay === 'never')
    const blocked: Blocked[] = [
      ...(comesApart(joint) ? [] : [{ code: 'closed' as const, at, name: section.name }]),
      ...(comesApart(joint) && !how ? [{ code: 'howUnknown' as const, at, name: section.name }] : []),
      ...lost.map((f) => ({ code: 'screwUnknown' as const, at: refTo('fastener', f.id), name: f.name })),
      ...never.map((f) => ({ code: 'never' as const, at: refTo('fastener', f.id), name: f.name })),
      ...(joint.kind === 'setScrew' && !seam.screws.length
        ? [{ code: 'unheld' as const, at, name: section.name }]
        : []),
    ]
    const rear = s.hilt.sections.indexOf(section) < s.hilt.sections.indexOf(seam.of)
    return {
      body: at,
      name: section.name,
      of: refTo('section', seam.of.id),
      ways:
        how && !blocked.length ? [{ how, after: [], towards: rear ? 'pommel' : 'emitter', risk: 0, from: 'seam' }] : [],
      held: seam.screws.map((f) => ({ screw: f.id, by: f.clientMay === 'remove' ? 'remove' : 'loosen' })),
      who: blocked.some((b) => b.code === 'closed' || b.code === 'never') ? 'nobody' : 'client',
      loads: [],
      blocked,
      ...(joint.hand === 'left' ? { hand: 'left' as const } : {}),
      ...(joint.stop === false ? { noStop: true as const } : {}),
    }
  })
}
