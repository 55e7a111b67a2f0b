import { proceduresOf } from '../access'
import { known } from '../facts'
import { layOut } from '../geometry'
import { type Commission, partsOfRef, type Ref, type Saber } from '../record'
import { formatNumber, MAKER } from '../units'
import { BY_HAND } from '../words'
import { filmPieces } from './at-hand'

/** One thing to have ready before the lamp goes on; `missing` says what stands against it. */
export interface Ready {
  key: 'blade' | 'room' | 'cell' | 'power' | 'tools' | 'card' | 'preset' | 'link' | 'open'
  what: string
  missing?: string
  ref?: Ref
}

/** An arm with a hilt in its hand, mm: how far the hilt stands from who swings it. */
const ARM = 700
const metres = (mm: number) => `${formatNumber(MAKER, mm / 1000, 1)} m`

/**
 * What has to be ready before a saber is filmed, from its record: the blades that are seen, room to swing them, a charged cell, the
 * tools at hand, the first preset, and what is still open. What a saber does not have is not asked for.
 */
export function readinessOf(c: Commission, s: Saber): Ready[] {
  const out: Ready[] = []
  const pieces = filmPieces(s, proceduresOf(MAKER, s))
  const loose = s.blades.filter((b) => b.kind !== 'plug' && b.kind !== 'inHilt')
  for (const k of s.hilt.sockets) {
    const here = loose.filter((b) => b.socket === k.id)
    // The one that is shipped is shown where it is there; else the bench's.
    const blade = here.find((b) => b.use === 'ship') ?? here.find((b) => b.use === 'demo')
    const where = s.hilt.sockets.length > 1 ? `, ${k.name}` : ''
    const length = known(blade?.length)
    if (blade)
      out.push({
        ...{ key: 'blade', ref: `blade:${blade.id}` },
        what: `${blade.name}${where}${length === undefined ? '' : `, ${formatNumber(MAKER, length, 0)} mm`}${blade.use === 'demo' ? ', the bench’s own' : ''}`,
      })
    else if (here.length)
      out.push({ key: 'blade', what: `a blade${where}`, missing: 'only one to be bought is recorded' })
  }
  const longest = Math.max(0, ...loose.map((b) => known(b.length) ?? 0))
  if (longest) {
    const reach = ARM + layOut(s.hilt).length + longest
    out.push({ key: 'room', what: `${metres(reach)} clear to every side and above` })
  }
  const cells = s.parts.filter((p) => p.kind === 'cell')
  if (cells.length)
    out.push({
      key: 'cell',
      what: cells.length > 1 ? 'all cells charged' : 'the cell charged',
      ref: `part:${cells[0]!.id}`,
    })
  const cutter = s.parts.find((p) => p.kind === 'killSwitch' || p.kind === 'killKey')
  if (cutter && s.cutPower !== 'none')
    out.push({
      ...{ key: 'power', ref: `part:${cutter.id}` },
      what: pieces.some((p) => p.task === 'powerOn')
        ? 'the power cut: the film begins with switching it on'
        : 'the power on',
    })
  const tools = [
    ...new Set(pieces.flatMap((p) => p.acts.flatMap((x) => (x.tool && x.tool !== BY_HAND ? [x.tool] : [])))),
  ]
  if (tools.length) out.push({ key: 'tools', what: tools.join(', ') })
  const card = s.parts.find((p) => p.kind === 'card')
  if (card) out.push({ key: 'card', what: 'the card in, and a copy of it kept', ref: `part:${card.id}` })
  const [first] = s.presets
  if (s.presets.length > 1)
    out.push({ key: 'preset', what: `at the first preset, ${first!.name}`, ref: `preset:${first!.id}` })
  const { link } = s.settings
  if (link)
    out.push({
      key: 'link',
      what: `a phone${link.program ? ` with ${link.program}` : ''}${link.name ? ` that finds ${link.name}` : ''}`,
    })
  const open = c.toDos.filter((t) => !t.done && t.blocks === 'filming' && isOf(s, t.about))
  for (const t of open)
    out.push({
      key: 'open',
      what: t.text,
      missing: 'still to be done before it is filmed',
      ...(t.about ? { ref: t.about } : {}),
    })
  for (const f of s.hilt.fasteners.filter((x) => x.looseNow))
    out.push({ key: 'open', what: `${f.name} tight`, missing: 'it was left loose', ref: `fastener:${f.id}` })
  return out
}

/** Whether something is about this saber, or about none. */
function isOf(s: Saber, about: Ref | undefined): boolean {
  const to = partsOfRef(about ?? '')
  if (!to) return true
  return to.kind === 'saber'
    ? to.id === s.id
    : [
        ...s.hilt.sections,
        ...s.hilt.fasteners,
        ...s.hilt.sockets,
        ...s.hilt.openings,
        ...s.parts,
        ...s.blades,
        ...s.presets,
        ...s.items,
      ].some((x) => x.id === to.id)
}
