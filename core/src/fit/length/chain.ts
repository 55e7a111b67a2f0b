import { type Calculated, Gather, known } from '../../facts'
import { bodyOf, cavityOf, layOut, mainSocket, onAxis, socketSpan, spanOf, tightest } from '../../geometry'
import { type FittedPart, kindRule, type Ref, refTo, type Saber } from '../../record'

export interface PartFit {
  part: FittedPart
  /** Room left across, mm on the diameter; negative is the millimetre that forbids it. Undefined when not calculable. */
  spareMm?: number
  /** Where the tightest place is, the bore there, and what reaches in from the wall if that decides. */
  at?: { x: number; d: number; section: string; under?: string }
  /** Length sticking out of the hilt at either end, mm. */
  outsideMm: number
  /** A cell–board pair is judged together. */
  besideOf?: string
  needs: string[]
}

/**
 * Holds every placed part against the room it lies in: the bore less clearance and chassis wall, less what reaches in
 * from the wall (`needRadius`). A board beside a cell is judged by the corner rule. Parts without a place or size, and
 * parts in a section nobody measured, say what they need.
 */
export function fitParts(saber: Saber): PartFit[] {
  const shape = layOut(saber.hilt)
  const cavity = cavityOf(saber)
  const bare = cavityOf(saber, new Set(saber.parts.filter((p) => p.kind === 'chassis').map((p) => p.id)))
  return saber.parts
    .filter((p) => kindRule(p.kind).inside && kindRule(p.kind).glyph !== 'knob' && kindRule(p.kind).glyph !== 'dot')
    .map((part) => {
      const needs: string[] = []
      const span = spanOf(part)
      const body = bodyOf(part, saber)
      if (!span)
        needs.push(known(part.specs.length) === undefined ? `the length of ${part.name}` : `where ${part.name} sits`)
      if (!body) needs.push(`the size of ${part.name}`)
      if (known(saber.hilt.clearance) === undefined) needs.push('the clearance')
      if (!shape.complete) needs.push('every section length')
      for (const s of shape.sections)
        if (span && s.x0 < span.x1 && s.x1 > span.x0 && known(s.section.bore) === undefined && !s.section.boreProfile)
          needs.push(`the bore of ${s.section.name}`)
      if (needs.length || !span || !body) return { part, needs, outsideMm: 0 }
      const outsideMm = Math.max(0, -span.x0) + Math.max(0, span.x1 - shape.length)
      const found = tightest(
        part.kind === 'spacer' ? bare : cavity,
        shape,
        body,
        span.x0,
        span.x1,
        refTo('part', part.id),
      )
      if (!found) return { part, needs, outsideMm }
      return {
        part,
        needs,
        outsideMm,
        at: {
          x: found.x,
          d: found.bore,
          section: found.section,
          ...(found.under ? { under: found.under.name } : {}),
        },
        ...(body.kind === 'pair' ? { besideOf: part.beside! } : {}),
        spareMm: found.spareMm,
      }
    })
}

export interface Slack {
  nominal: Calculated
  /** From the pommel's rear to the back of the main socket. */
  cavity: Calculated
  /** Every tolerance in the sum, mm. */
  tols: number[]
  /** Σ|tol| of everything in the chain, mm. */
  worst: number
  /** √Σtol², mm. */
  rss: number
  /** What is in the chain, in order. */
  chain: { name: string; lengthMm: number; tolMm: number; ref: Ref }[]
}

/**
 * Axial slack: the length from the pommel's inner face to the back of the main socket, less all that lies on the axis.
 * Where two sections stand in each other, that length counts once.
 * What lies beside another takes the length by which it is longer, or sticks out. Positive slack is air (a spacer's worth); negative does not close.
 */
export function axialSlack(saber: Saber): Slack {
  const g = new Gather()
  const shape = layOut(saber.hilt)
  const chain: Slack['chain'] = []
  let cavity = shape.length
  if (!saber.hilt.sections.length) g.missing('the hilt sections')
  for (const s of saber.hilt.sections.filter((q) => q.role !== 'quillon'))
    g.take(`length of ${s.name}`, s.length, refTo('section', s.id))
  const line = shape.sections.map((s) => s.section)
  const joints = line.slice(0, -1).filter((s) => s.joint.engagement)
  for (const s of joints) g.take(`engagement of the joint of ${s.name}`, s.joint.engagement, refTo('section', s.id))
  const { endWall } = saber.hilt
  if (endWall) cavity -= g.take('end wall of the pommel', endWall)
  const main = mainSocket(saber, shape)
  if (main) {
    const depth = g.take(`depth of ${main.name}`, main.depth, refTo('socket', main.id))
    cavity -= depth + shape.length - (socketSpan(saber, main.id, shape)?.x1 ?? shape.length)
  }
  const room = new Gather()
  room.inputs.push(...g.inputs)
  room.needs.push(...g.needs)
  const inLine = saber.parts.filter(
    (p) =>
      onAxis(p) &&
      !p.beside &&
      // A port or a kill switch without a place hangs somewhere in the wall.
      !(['chargePort', 'killSwitch'].includes(p.kind) && !spanOf(p)),
  )
  for (const p of inLine) {
    const own = g.take(`length of ${p.name}`, p.specs.length, refTo('part', p.id))
    let group = { name: p.name, lengthMm: own, tolMm: p.specs.length?.tol ?? 0, ref: refTo('part', p.id) as Ref }
    const riders = saber.parts.filter((q) => q.beside === p.id && onAxis(q))
    for (const q of riders) {
      const lengthMm = g.take(`length of ${q.name}`, q.specs.length, refTo('part', q.id))
      if (lengthMm > group.lengthMm) group = { ...group, lengthMm, tolMm: q.specs.length?.tol ?? 0 }
    }
    // Placed, they take all from the first face to the last.
    const spans = [p, ...riders].map(spanOf)
    if (riders.length && spans.every((s) => s !== undefined)) {
      const reach = Math.max(...spans.map((s) => s!.x1)) - Math.min(...spans.map((s) => s!.x0))
      group = { ...group, lengthMm: Math.max(group.lengthMm, reach) }
    }
    chain.push(group)
  }
  const length = `Σ sections${joints.length ? ' − Σ engagements' : ''}${endWall ? ' − end wall' : ''} − socket depth`
  const tols = [
    ...chain.map((c) => c.tolMm),
    ...line.map((s) => s.length.tol ?? 0),
    ...joints.map((s) => s.joint.engagement?.tol ?? 0),
    endWall?.tol ?? 0,
    main?.depth.tol ?? 0,
  ]
  return {
    nominal: g.figure(
      'mm',
      `${length} − Σ parts in line`,
      'axial sum',
      () => cavity - chain.reduce((a, c) => a + c.lengthMm, 0),
    ),
    cavity: room.figure('mm', length, 'axial sum', () => cavity),
    tols,
    worst: tols.reduce((a, t) => a + Math.abs(t), 0),
    rss: Math.hypot(...tols),
    chain,
  }
}

/**
 * Pairs of parts whose lengths overlap where they are placed, with the overlap in mm. What lies beside another may share the
 * length of what carries it, and of nothing else: two boards on one cell stand one after the other. What a chamber holds is
 * left to it.
 */
export function overlaps(saber: Saber): { a: FittedPart; b: FittedPart; mm: number }[] {
  const inChamber = (p: FittedPart) => saber.parts.some((q) => q.id === p.beside && q.kind === 'chamber')
  const carries = (a: FittedPart, b: FittedPart) => a.beside === b.id || b.beside === a.id
  const placed = saber.parts
    .filter((p) => onAxis(p) && !inChamber(p))
    .map((part) => ({ part, span: spanOf(part) }))
    .filter((q): q is { part: FittedPart; span: { x0: number; x1: number } } => !!q.span)
    .sort((a, b) => a.span.x0 - b.span.x0)
  const out: { a: FittedPart; b: FittedPart; mm: number }[] = []
  for (let i = 0; i < placed.length; i++)
    for (let j = i + 1; j < placed.length; j++) {
      const mm = Math.min(placed[i]!.span.x1, placed[j]!.span.x1) - placed[j]!.span.x0
      if (mm > 0.05 && !carries(placed[i]!.part, placed[j]!.part))
        out.push({ a: placed[i]!.part, b: placed[j]!.part, mm })
    }
  return out
}

/** Parts that stand in the closed rear end of the pommel, with how far, mm. */
export function inEndWall(saber: Saber): { part: FittedPart; mm: number }[] {
  const wall = known(saber.hilt.endWall) ?? 0
  return saber.parts.flatMap((part) => {
    const span = onAxis(part) ? spanOf(part) : undefined
    const mm = span ? Math.min(wall, span.x1) - Math.max(span.x0, 0) : 0
    return mm > 0.05 ? [{ part, mm }] : []
  })
}

/** Parts that stand in the seat of the main blade, with how far, mm. The blade's own plug and tube belong there. */
export function inSeat(saber: Saber): { part: FittedPart; socket: string; mm: number }[] {
  const main = mainSocket(saber)
  const seat = main && socketSpan(saber, main.id)
  if (!main || !seat) return []
  return saber.parts.flatMap((part) => {
    const span = onAxis(part) ? spanOf(part) : undefined
    const mm = span ? Math.min(span.x1, seat.x1) - Math.max(span.x0, seat.x0) : 0
    return mm > 0.05 ? [{ part, socket: main.name, mm }] : []
  })
}

/** Open vent area against the speaker's cone, 0…1. Vents and grilles within 45 mm of the speaker's face count, in the rear face too. */
export function ventShare(saber: Saber): Calculated {
  const g = new Gather()
  const speaker = saber.parts.find((p) => p.kind === 'speaker')
  if (!speaker) g.missing('a speaker')
  const cone = g.take('cone area', speaker?.specs.coneArea, speaker && refTo('part', speaker.id))
  const span = speaker && spanOf(speaker)
  if (speaker && !span) g.missing(`where ${speaker.name} sits`, refTo('part', speaker.id))
  let area = 0
  for (const o of saber.hilt.openings.filter((q) => q.kind === 'vent' || q.kind === 'grille')) {
    const [at, l, w] = [
      o.face === 'rear' ? 0 : g.take(`place of ${o.name}`, o.at, refTo('opening', o.id)),
      g.take(`length of ${o.name}`, o.length, refTo('opening', o.id)),
      g.take(`width of ${o.name}`, o.width, refTo('opening', o.id)),
    ]
    if (span && Math.min(Math.abs(at - span.x0), Math.abs(at - span.x1)) <= 45) area += l * w
  }
  return g.figure(
    '%',
    'open vent area ÷ cone area',
    'house rule: below about a third the sound is muffled',
    () => (100 * area) / cone,
  )
}
