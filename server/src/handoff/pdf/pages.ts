import { drawUnrolled } from '@nubrin/core/drawing'
import { type Card, type CardPrim, controlsCard } from '@nubrin/core/handoff'
import { type Fastener, keyOf, type Saber } from '@nubrin/core/record'
import type { Reader } from '@nubrin/core/units'
import { keyText, say, whether } from '@nubrin/core/words'
import type { Element, Sheet } from './sheet'
import { bold, chapter, INK, QUIET, quiet } from './style'

/** The lines of a card's page at a place, in its own points times `k`; its words are elements of their own. */
export function cardAt(to: Sheet, parent: Element, page: readonly CardPrim[], x: number, y: number, k: number) {
  to.decoration(() => {
    to.doc.save().translate(x, y).scale(k)
    for (const p of page) {
      if (p.t !== 'path') continue
      to.doc
        .save()
        .lineCap('round')
        .lineJoin('round')
        .path(p.d)
        .lineWidth(p.width ?? 1)
      if (p.fill && p.stroke) to.doc.fillAndStroke(p.fill, p.stroke)
      else if (p.fill) to.doc.fill(p.fill)
      else if (p.stroke) to.doc.stroke(p.stroke)
      to.doc.restore()
    }
    to.doc.restore()
  })
  for (const p of page)
    if (p.t === 'text')
      to.at(parent, p.as === 'P' ? 'P' : 'H3', p.text, x + p.x * k, y + p.y * k, {
        ...{ size: p.size * k, weight: p.weight, colour: p.colour, lead: 1 },
      })
}

/** A dashed frame along which one cuts. */
function frame(to: Sheet, x: number, y: number, width: number, height: number) {
  to.decoration(() =>
    to.doc.save().rect(x, y, width, height).lineWidth(0.6).dash(4, { space: 3 }).stroke(QUIET).restore(),
  )
}

/** How much smaller than A5 a card is printed, so that two things to cut out stand on a page. */
const CARD = 0.8

/** Pages to cut out: what the hands do, as a card for the pocket, and where each screw sits. */
export function cutOuts(reader: Reader, to: Sheet, root: Element, saber: Saber, several: boolean) {
  const card: Card | undefined = saber.controls.length ? controlsCard(reader, saber, 'A5') : undefined
  const screws = saber.hilt.fasteners.length > 0
  const pages = card?.pages ?? []
  for (const [i, page] of pages.entries()) {
    begin(reader, to, root, saber, several, 'card')
    const [w, h] = [card!.width * CARD, card!.height * CARD]
    const part = to.element('Sect', root)
    frame(to, to.left, to.y, w, h)
    cardAt(to, part, page, to.left, to.y, CARD)
    if (i === 0 && screws) {
      to.y += h + 16
      screwMap(reader, to, root, saber, to.foot - to.y)
    }
  }
  if (!pages.length && screws) {
    begin(reader, to, root, saber, several, 'screws')
    screwMap(reader, to, root, saber, 260)
  }
}

function begin(reader: Reader, to: Sheet, root: Element, saber: Saber, several: boolean, what: 'card' | 'screws') {
  to.newPage()
  const part = to.element('Sect', root)
  to.doc.outline.addItem(`${several ? `${saber.name}: ` : ''}${say(reader, 'cut.title', { what })}`)
  const title = say(reader, 'cut.title', { what })
  to.para(part, 'H2', title, chapter)
  to.para(part, 'P', say(reader, 'cut.here', { saber: saber.name }), quiet, { below: 8 })
}

/** A screw as one who stands before it with a key wants it. */
export const screwWords = (reader: Reader, f: Fastener): string =>
  say(reader, 'cut.screw', { name: f.name, key: keyText(reader, keyOf(f)), may: f.clientMay, keyed: whether(keyOf(f)) })

/** The hilt unrolled with its screws, as wide as the page; what is not the client's has a cross. */
function screwMap(reader: Reader, to: Sheet, root: Element, saber: Saber, room: number) {
  const part = to.element('Sect', root)
  const height = Math.min(room, 250)
  const scene = drawUnrolled(reader, saber, {
    ...{ width: 720, height: ((height - 24) * 720) / (to.width - 16) },
    words: (f) => screwWords(reader, f),
  })
  frame(to, to.left, to.y, to.width, height)
  to.block(part, 'H3', say(reader, 'cut.title', { what: 'screws' }), to.left + 8, to.y + 7, to.width - 16, {
    ...bold,
    colour: INK,
  })
  const k = (to.width - 16) / scene.width
  const alt = say(reader, 'pdf.drawing', { saber: saber.name, which: 'unrolled' })
  to.figureAt(part, alt, to.left + 8, to.y + 21, scene.width * k, scene.height * k, () =>
    to.scene(scene, to.left + 8, to.y + 21, k),
  )
  to.y += height
}
