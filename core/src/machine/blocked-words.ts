import type { Blocked } from './joint'

const WORDS: Record<Blocked['code'], (name: string) => string> = {
  narrow: (n) => `The bore of the ${n} is too narrow for it.`,
  wider: (n) => `${n} is wider than the sleeve is within.`,
  behind: (n) => `${n} stands before it, and nobody takes that out.`,
  closed: (n) => `${n} is closed for life.`,
  fixed: (n) => `${n} is not one that is taken out.`,
  howUnknown: (n) => `How does ${n} come off? Its joint does not say.`,
  placeUnknown: (n) => `Where is ${n}? It has no place on the drawing.`,
  never: (n) => `${n} is in the way and never to be touched.`,
  screwUnknown: (n) => `Which joint does ${n} hold? Nobody knows.`,
  unheld: (n) => `What holds it at ${n}? No screw is named.`,
  live: (n) => `${n} is never touched under power, and nothing a client can reach cuts it.`,
  cutterUnknown: () => 'What cuts the power, and how? The record names no part that does, or not what its key does.',
  circle: (n) => `${n} waits for what waits for it.`,
}
/** What stands in the way of a plan, in the maker's words. */
export const blockedText = (b: Blocked): string => WORDS[b.code](b.name)
