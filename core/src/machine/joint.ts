import type { How, Id, Ref, Towards } from '../record'

/** What can come off: a section, a part, a blade or plug; a socket stands for the blade that nobody has recorded. */
export type Body = Ref<'section' | 'part' | 'blade' | 'socket'>

/** Who may open a joint. What nobody may open is on no plan. */
type Who = 'client' | 'maker' | 'nobody'

/** A screw that holds a joint, and how far it has to go before the joint lets go. */
export interface Hold {
  screw: Id<'fastener'>
  by: 'loosen' | 'remove'
}

/** One way in which a body leaves its place. */
export interface Way {
  how: How
  /** Bodies that must be off before. */
  after: Body[]
  /** Where it goes, along the hilt or out of its side. */
  towards: Towards
  /** What could go wrong on this way; the fewer, the better. */
  risk: number
  /** Why it is there: what it was drafted from, as a code. */
  from: 'seam' | 'path' | 'lifted' | 'socket' | 'magnets' | 'maker'
}

/** What stands in every way of a body, so that no way is left. */
export interface Blocked {
  code:
    | 'narrow'
    | 'wider'
    | 'behind'
    | 'closed'
    | 'fixed'
    | 'howUnknown'
    | 'placeUnknown'
    | 'never'
    | 'screwUnknown'
    | 'unheld'
    | 'circle'
    | 'live'
    | 'cutterUnknown'
  /** What blocks. */
  at: Ref
  name: string
}

/** A joint: what comes off, from what, how, and what holds it. */
export interface Joint {
  body: Body
  name: string
  /** What it sits in; nothing for what lies on the bench. */
  of?: Body
  ways: Way[]
  held: Hold[]
  who: Who
  /** Bodies that must be in place, with every screw of theirs tight, before this one is put in: it loads them. */
  loads: Body[]
  /** Where there is no way, why. */
  blocked: Blocked[]
  /** Hand of a thread, and how many turns it takes. */
  hand?: 'left'
  turns?: number
  /** Nothing stops its thread: it can be closed past its place. */
  noStop?: true
  /** It hangs on wires. */
  tethered?: true
  /** What happens by itself when it comes off; absent while nobody has said. */
  byItself?: 'nothing' | 'wakes' | 'cutsPower' | 'showsDisplay'
  /** What is hurt when it is done wrong, what is felt when it is right, and how it is turned to go in. */
  hurts?: string
  feels?: string
  landmark?: string
  angle?: number
  /** Only one of those in the same place can be in. */
  place?: Ref
  /** A contact: while it is off, the board is dead. */
  contact?: true
  /** It carries the current while it is in; of several cells each does. */
  cell?: true
  /** Of a cell: the end to which plus looks, and the pole that is said to go first. */
  plus?: 'emitter' | 'pommel'
  leads?: 'plus' | 'minus'
  /** It may not be touched while the board is under power. */
  dark?: true
}
