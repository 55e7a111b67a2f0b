import type { ParcelLabel } from '@nubrin/core/handoff'
import { Sheet, type Style } from './sheet'
import { bold, INK, quiet, text } from './style'

const large: Style = { ...text, size: 17, weight: 700, lead: 1.2 }
const plain: Style = { ...text, size: 8.6 }
const small: Style = { ...quiet, size: 7.4, lead: 1.25 }

/** A label of 4 × 6 inches: whom it goes to, large; what is not known is left to be written by hand. */
export async function labelPdf(label: ParcelLabel, title: string): Promise<Uint8Array> {
  const to = new Sheet('label', { title: `${title}: label`, author: label.from[0] ?? '', subject: title, lang: 'en' })
  const root = to.element('Document')
  to.newPage()
  to.y = 20
  const part = to.element('Sect', root)
  to.para(part, 'P', ['from', ...label.from].join('\n'), small, { below: 10 })
  to.rule(INK, 1.2)
  to.y += 8
  to.para(part, 'P', 'to', small)
  for (const [i, line] of label.to.entries())
    to.para(part, i ? 'P' : 'H1', line, i ? { ...large, size: 14, weight: 600 } : large)
  to.y += 10
  to.rule(INK, 1.2)
  to.y += 6
  const open = '____________'
  for (const [name, value] of [
    ['carrier', label.carrier],
    ['parcel', label.which],
    ['weight', label.mass],
    ['tracking', label.tracking],
  ] as const)
    to.row(
      part,
      [
        { x: to.left, lines: to.lines(name, { ...quiet, size: 8.6 }, 60), style: { ...quiet, size: 8.6 }, tag: 'P' },
        { x: to.left + 60, lines: to.lines(value || open, bold, to.width - 60), style: bold, tag: 'P' },
      ],
      { below: 1 },
    )
  if (label.lithium.length) {
    to.y += 6
    const [top, page] = [to.y, to.pages]
    to.y += 5
    for (const line of label.lithium) to.para(part, 'P', line, plain, { indent: 8 })
    if (to.pages === page)
      to.decoration(() =>
        to.doc
          .rect(to.left, top, to.width, to.y - top + 5)
          .lineWidth(1.6)
          .stroke(INK),
      )
    to.y += 10
  }
  to.para(part, 'P', label.contents.join(' · '), small, { above: 4 })
  root.end()
  return to.end(() => ['', ''], small)
}
