import { type Card, type CardPaper, controlsCard } from '@nubrin/core/handoff'
import type { Saber } from '@nubrin/core/record'
import type { Language } from '@nubrin/core/units'
import { Sheet } from './sheet'

/** The card of a saber's controls as PDF, A5 or A4: the same lines and words as on the screen, tagged, with its own fonts. */
export async function cardPdf(saber: Saber, paper: CardPaper, shop: string, lang: Language): Promise<Uint8Array> {
  const card: Card = controlsCard(saber, paper)
  const to = new Sheet(paper, { title: card.title, author: shop, subject: card.title, lang })
  const root = to.element('Document')
  for (const page of card.pages) {
    to.newPage()
    to.decoration(() => {
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
    })
    for (const p of page) if (p.t === 'text') to.at(root, p.as, p.text, p.x, p.y, { ...p, lead: 1 })
  }
  return to.end(() => ['', ''], { size: 6, weight: 400, colour: '#fff', lead: 1 })
}
