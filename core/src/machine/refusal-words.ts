import { nameOf, type Ref, type Saber } from '../record'
import type { Refusal } from './run'

const WORDS: Record<Refusal['code'], (what: string) => string> = {
  noSuch: (w) => `there is no ${w || 'such thing'} that comes off`,
  notThere: (w) => `${w} is off already`,
  there: (w) => `${w} is in its place already`,
  notClient: (w) => `${w} is not to be touched`,
  tight: (w) => `${w} still holds it`,
  wrongWay: (w) => `${w} does not come off like this`,
  behind: (w) => `${w} is before it`,
  lit: () => 'it is alight',
  live: () => 'it is under power',
  occupied: (w) => `${w} is in its place`,
  open: (w) => `${w} is off, and it would load that joint`,
  loose: (w) => `${w} is not tight`,
  missing: (w) => `${w} is off`,
  noCutter: () => 'nothing that cuts the power is recorded',
  wrongPole: (w) => `the other pole of ${w} goes in first`,
  already: (w) => `${w} is so already`,
}
/** Why an act cannot be done, as half a sentence. */
export const refusalText = (s: Saber, why: Refusal): string =>
  WORDS[why.code](why.at ? (nameOf(s, why.at as Ref) ?? why.at) : '')
