import type { ParseFailure } from './parse'

/** Why what was typed cannot be read, in words that follow it or the name of its field. */
export function parseFaultText({ code, accepts }: ParseFailure, what = 'this'): string {
  switch (code) {
    case 'either':
      return `can be ${accepts.join(' or ')}: write it without the comma`
    case 'unknownUnit':
      return `is in a unit that does not measure ${what}; one of ${accepts.join(', ')}`
    case 'negative':
      return 'cannot be negative'
    case 'zeroDenominator':
      return 'divides by zero'
    case 'tooMany':
      return 'has more than one tolerance'
    default:
      return 'is not a number'
  }
}

/** Why a number is not taken: that it can be either, which is asked whatever the field's own rule is; else that rule. */
export const eitherOr = (read: { ok: true } | ParseFailure, rule: string): string =>
  !read.ok && read.code === 'either' ? parseFaultText(read) : rule
