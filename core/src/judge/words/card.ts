import { formatNumber, MAKER } from '../../units'
import type { WordsOf } from '../check'
import type * as rules from '../checks/card'

const files = (n: number) => (n === 1 ? '1 file' : `${n} files`)

/** What the checks of the memory card say, in the order of their names. */
export const cardWords: WordsOf<typeof rules> = {
  cardConfiguration: {
    rule: 'The card is set to what the record says.',
    says: {
      differs: (p) => ({
        title: `${p.card}: ${p.n === 1 ? '1 setting differs' : `${p.n} settings differ`} from the record`,
        detail: `${p.first}: ${p.was} in the record, ${p.is} on the card.`,
        remedy: 'Settle under Card which of them is so: put the record right, or write the card again.',
      }),
    },
  },
  cardContents: {
    rule: 'The card holds what its presets play, has room for it, can be read, and is as it was written.',
    says: {
      full: (p) => ({
        title: `${p.card} is over full by ${formatNumber(MAKER, p.over, 1)} MB`,
        detail: `Its files take ${formatNumber(MAKER, p.used, 1)} MB in whole clusters.`,
        remedy: 'Take a larger card, or leave out fonts that no preset plays.',
      }),
      unreadable: (p) => ({
        title: `${p.card}: ${files(p.files.length)} could not be read`,
        detail: `${p.files.slice(0, 3).join(', ')}${p.files.length > 3 ? ' and others' : ''}.`,
        remedy: 'Read it in another reader; if it stays so, write a new card.',
      }),
      without: (p) => ({
        title: `${p.card}: ${p.preset} has no font there`,
        detail: `None of the sounds of ${p.font} is on it.`,
        remedy: 'Write the card again.',
      }),
      unused: (p) => ({
        title: `${p.card}: nothing uses ${files(p.files)}`,
        detail: `The first is ${p.first}.`,
        remedy: 'See under Card why, and clear out what is not wanted.',
      }),
      changed: (p) => ({
        title: `${p.card} is not as it was written`,
        detail: `${files(p.changed)} changed, ${files(p.added)} added, ${files(p.gone)} gone.`,
        remedy: 'Say under Card what was edited, or write it again.',
      }),
    },
  },
  cardCopied: {
    rule: 'A card is copied before anything on it is changed.',
    says: {
      never: (p) => ({
        title: `${p.card} was never copied`,
        detail: 'What is lost on it is lost for good.',
        remedy: 'Copy it before you change anything, and enter the day.',
      }),
    },
  },
}
