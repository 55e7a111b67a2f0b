import { type Card, type CardPaper, controlsCard } from '@nubrin/core/handoff'
import type { Saber } from '@nubrin/core/record'
import type { Reader } from '@nubrin/core/units'
import { cardAt } from './pages'
import { Sheet } from './sheet'

/** The card of a saber's controls as PDF, A5 or A4: the same lines and words as on the screen, tagged, with its own fonts. */
export async function cardPdf(reader: Reader, saber: Saber, paper: CardPaper, shop: string): Promise<Uint8Array> {
  const card: Card = controlsCard(reader, saber, paper)
  const to = new Sheet(paper, { title: card.title, author: shop, subject: card.title, lang: reader.language })
  const root = to.element('Document')
  for (const page of card.pages) {
    to.newPage()
    cardAt(to, root, page, 0, 0, 1)
  }
  return to.end(() => ['', ''], { size: 6, weight: 400, colour: '#fff', lead: 1 })
}
