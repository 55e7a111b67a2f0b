import type { Change } from './balance'

/** A change that would move the balance, for the shop. */
export function changeWords(c: Change): string {
  switch (c.code) {
    case 'cellBack':
      return `${c.name} ${c.mm} mm further back`
    case 'buttonsForward':
      return `the buttons ${c.mm} mm further forward`
    case 'heavier':
      return `${c.end === 'emitter' ? 'an' : 'a'} ${c.end} ${c.grams} g heavier`
  }
}
