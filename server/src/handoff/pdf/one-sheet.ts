import { cropped, drawSection, drawUnrolled } from '@nubrin/core/drawing'
import { type Block, controlsCard, type HandoffDocument } from '@nubrin/core/handoff'
import { colourOf, type Saber } from '@nubrin/core/record'
import { dayText, type Reader } from '@nubrin/core/units'
import { say } from '@nubrin/core/words'
import { cardAt, screwWords } from './pages'
import { qr } from './qr'
import type { Element, Sheet, Style } from './sheet'
import { BRASS, bold, chapter, quiet, small, text } from './style'

type Step = { text: string; tool?: string; caution?: string }
/** An act as it is read on one sheet: what is done, with what, and what to mind. */
function stepText({ text, tool, caution }: Step): string {
  const words = tool ? `${text} (${tool})` : text
  return caution ? `${words}${/[.!?]$/.test(words) ? '' : '.'} ${caution}` : words
}

/** A, B, C …; from the 27th on a number. */
const letter = (i: number) => (i < 26 ? String.fromCharCode(65 + i) : `${i + 1}`)

/** Sizes tried until everything that must not be missing has found room, pt. */
const SIZES = [8.8, 8.2, 7.6, 7, 6.4, 5.8]

/**
 * A saber on one sheet: what it looks like, what to mind, what the hands do, how it is opened, which screws may be turned.
 * Cautions are all there, whatever their number: they are set smaller before anything is left out, and go on to a second
 * side before one is dropped.
 */
export function oneSheet(
  reader: Reader,
  doc: HandoffDocument,
  saber: Saber,
  to: Sheet,
  root: Element,
  link: string | undefined,
) {
  to.newPage()
  to.doc.outline.addItem(saber.name)
  const part = to.element('Sect', root)
  to.para(part, 'H1', saber.name, { ...chapter, size: 24, lead: 1.1 })
  const line = [say(reader, 'cover.for', { client: doc.client }), doc.shop, dayText(reader, doc.date)].join(' · ')
  to.para(part, 'P', line, quiet, { below: 6 })
  const scene = drawSection(reader, saber, {
    ...{ width: 900, height: 190, bladeShare: 0.2 },
    ...(saber.presets[0] ? { blade: colourOf(saber.presets[0]) } : {}),
  })
  to.figure(part, scene, say(reader, 'pdf.drawing', { saber: saber.name, which: 'section' }), 4)
  const top = to.y
  const gap = 18
  const half = (to.width - gap) / 2
  const right = to.left + half + gap
  const blocks = (id: string): Block[] =>
    doc.chapters.filter((c) => c.saber === saber.id && c.id.split('-')[0] === id).flatMap((c) => c.blocks)
  let y = top
  if (saber.controls.length) {
    y += to.block(part, 'H2', say(reader, 'sheet.part', { part: 'first' }), to.left, y, half, bold) + 2
    const card = controlsCard(reader, saber, 'A5')
    const k = Math.min(half / card.width, (to.foot - y - 160) / card.height)
    // On one sheet there is no other side.
    const overleaf = say(reader, 'card.foot', { more: 'yes' })
    const page = (card.pages[0] ?? []).map((p) =>
      p.t === 'text' && p.text === overleaf ? { ...p, text: say(reader, 'card.foot', { more: 'no' }) } : p,
    )
    cardAt(to, part, page, to.left, y, k)
    y += card.height * k + 4
  }
  const { fasteners } = saber.hilt
  const legend = fasteners.map((f, i) => `${letter(i)}  ${screwWords(reader, f)}`).join('\n')
  const told = { ...text, size: 7.8, lead: 1.25 }
  const listed = to.heightOf(legend, half, told)
  if (fasteners.length && to.foot - y - listed > 100) {
    y += to.block(part, 'H2', say(reader, 'sheet.part', { part: 'screws' }), to.left, y, half, bold)
    const room = to.foot - y - listed - 4
    const words = (f: (typeof fasteners)[number]) => letter(fasteners.indexOf(f))
    const map = cropped(drawUnrolled(reader, saber, { width: 520, height: (room * 520) / half, words }), 4)
    const k = Math.min(half / map.width, room / map.height)
    const alt = say(reader, 'pdf.drawing', { saber: saber.name, which: 'unrolled' })
    to.figureAt(part, alt, to.left, y, map.width * k, map.height * k, () => to.scene(map, to.left, y, k))
    to.block(part, 'P', legend, to.left, y + map.height * k + 4, half, told)
  }
  const cautions = blocks('cautions').flatMap((b) => (b.kind === 'caution' ? [b] : []))
  const steps = blocks('opening').flatMap((b): Step[] => {
    if (b.kind === 'apart') return [...b.out, ...b.back]
    return b.kind === 'steps' && b.task !== 'card' && !b.lead && b.goal !== 'reset' ? b.steps : []
  })
  const qrRoom = link ? 78 : 0
  const high = (size: number) => {
    const [b, t] = styles(size)
    const words = cautions.reduce(
      (n, c) => n + to.heightOf(c.title, half - 8, b) + to.heightOf(c.text, half - 8, t) + 3,
      0,
    )
    const hands = steps.reduce((n, s) => n + to.heightOf(stepText(s), half - 16, t) + 1.5, 0)
    return words + hands + 2 * 20
  }
  const room = to.foot - top - qrRoom
  const size = SIZES.find((s) => high(s) <= room) ?? SIZES.at(-1)!
  const [b, t] = styles(size)
  y = top
  const put = (words: string, x: number, width: number, style: Style, tag: string) => {
    if (y + to.heightOf(words, width, style) > to.foot - (to.pages === first ? qrRoom : 0)) {
      to.newPage()
      y = to.y
    }
    y += to.block(part, tag, words, x, y, width, style)
  }
  const first = to.pages
  put(say(reader, 'sheet.part', { part: 'mind' }), right, half, bold, 'H2')
  y += 2
  for (const c of cautions) {
    const [from, page] = [y, to.pages]
    put(c.title, right + 8, half - 8, b, 'P')
    put(c.text, right + 8, half - 8, t, 'P')
    if (to.pages === page) to.decoration(() => to.doc.rect(right, from, 1.8, y - from).fill(BRASS))
    y += 3
  }
  if (steps.length) {
    y += 4
    put(say(reader, 'sheet.part', { part: 'open' }), right, half, bold, 'H2')
    y += 2
    for (const [i, s] of steps.entries()) {
      put(`${i + 1}  ${stepText(s)}`, right, half, t, 'P')
      y += 1.5
    }
  }
  const rest = [say(reader, 'sheet.rest'), doc.shop, doc.from?.contact].filter(Boolean).join('\n')
  if (link && to.pages === first) {
    qr(to, part, link, right, to.foot - 68, 64)
    to.block(part, 'P', rest, right + 72, to.foot - 66, half - 72, small)
  } else {
    y += 6
    put(rest, right, half, small, 'P')
  }
}

const styles = (size: number): [Style, Style] => [
  { ...bold, size, lead: 1.2 },
  { ...text, size, lead: 1.22 },
]
