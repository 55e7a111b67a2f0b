import QRCode from 'qrcode'
import type { Element, Sheet } from './sheet'
import { INK } from './style'

/** An address as a square to be photographed, in lines; its words stand for it where it cannot be seen. */
export function qr(to: Sheet, parent: Element, address: string, x: number, y: number, size: number) {
  const { modules } = QRCode.create(address, { errorCorrectionLevel: 'M' })
  const k = size / modules.size
  to.figureAt(parent, address, x, y, size, size, () => {
    for (let row = 0; row < modules.size; row++)
      for (let col = 0; col < modules.size; ) {
        // One rectangle for neighbours of a row, so that no hair of paper shows between them.
        let n = 0
        while (col + n < modules.size && modules.get(row, col + n)) n++
        if (n) to.doc.rect(x + col * k, y + row * k, n * k, k + 0.05)
        col += n || 1
      }
    to.doc.fill(INK)
  })
}
