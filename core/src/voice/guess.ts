import type { SoundEvent } from '../record'
import type { Measured } from './measure'

/** What of a sound is looked at to guess what it is for. */
export type Shape = Pick<Measured, 'seconds' | 'begins' | 'arrives' | 'tailSilence'> & { seam: { clicks: boolean } }

/** Longer than this is music, s; so long at least goes on what is played in a loop. */
const [MUSIC, LOOP] = [25, 1]
/** Share of a sound after which nine tenths of a steady one have come: as much on either side is still steady. */
const STEADY = { at: 0.9, within: 0.035 }
/** A blow is short, and all but over in the first part of it. */
const BLOW = { seconds: 1.2, by: 0.5 }

/**
 * What a file is for, guessed from how long it is and how its energy comes: what is steady and loops is a hum, what is over at once a
 * clash, what is loud to its end an ignition, what dies away a retraction. A guess for a hand to confirm, made from experience, never
 * a placing; undefined where nothing speaks for one.
 */
export function guessEvent(x: Shape): SoundEvent | undefined {
  const heard = x.seconds - x.tailSilence
  if (!(x.seconds > 0) || heard <= 0) return undefined
  if (x.seconds > MUSIC) return 'track'
  const come = x.arrives / heard
  if (Math.abs(come - STEADY.at) <= STEADY.within && !x.seam.clicks && x.seconds >= LOOP) return 'hum'
  if (heard <= BLOW.seconds && come <= BLOW.by) return 'clash'
  if (come > STEADY.at) return 'ignite'
  return come < STEADY.at - 2 * STEADY.within ? 'retract' : undefined
}
