import type { Ask, AskCode } from './draft'

const WORDS: Record<AskCode, (name: string) => string> = {
  whichJoint: (n) => `Several joints come apart (${n}): which one does the client open?`,
  howJoint: (n) => `How does ${n} come off? Its joint does not say.`,
  closedForLife: (n) =>
    n ? `${n} is closed for life, and no other joint opens.` : 'Nothing on the drawing comes apart.',
  neverScrew: (n) => `${n} is in the way and never to be touched.`,
  screwPlace: (n) => `Where is ${n}? It holds a joint, and nobody knows which.`,
  whichPole: (n) => `Which way does the plus pole of ${n} look?`,
  howKey: (n) => (n ? `How does ${n} work: pulled out, or turned?` : 'Which part is the key?'),
  whichSwitch: (n) => (n ? `Does ${n} cut the power? The record says something else.` : 'Which part is the switch?'),
  whatHolds: (n) => `What holds it at ${n}? No screw is named.`,
  hardWired: (n) => `${n} is not one that is taken out.`,
  howCharged: (n) => `How is ${n} charged? No port is recorded, and no charger for a cell that comes out.`,
  noWayOut: (n) => `By which way does ${n} come out? The drawing leaves it none.`,
  noCell: () => 'Which cell is in it?',
}
/** What a draft needs to know, in the maker's words. */
export const askText = (a: Ask): string => WORDS[a.code](a.name)
