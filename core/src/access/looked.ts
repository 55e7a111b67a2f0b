import type { Goal } from '../machine'
import type { Procedure, Saber } from '../record'
import { MAKER } from '../units'
import { isAbout, type Possible, proceduresOf, type Told, type ToldAct } from './procedures'

/** What is done to which thing, and the way that it goes, by which it is known to have changed. */
const markOfAct = (x: Pick<ToldAct, 'key' | 'does'>): string =>
  [x.key, ...x.does.map((d) => [d.how, d.towards, d.leads].filter(Boolean).join(' '))].join(' ').trim().slice(0, 160)

/** The acts of a procedure by what they are known again; that the blade is dark is asked everywhere. */
export const marksOf = (p: Pick<Possible, 'acts'>): string[] => p.acts.filter((x) => x.key !== 'dark').map(markOfAct)

/** Whether a procedure has been looked through as it is now; else which acts came and which went since. */
export function lookedAt(p: Told): { is: 'drafted' | 'looked' | 'changed'; came: string[]; gone: string[] } {
  const was = p.said?.looked?.acts
  const now = p.ok ? marksOf(p) : []
  if (!was) return { is: 'drafted', came: [], gone: [] }
  const came = now.filter((k) => !was.includes(k))
  const gone = was.filter((k) => !now.includes(k))
  return { is: came.length || gone.length || String(was) !== String(now) ? 'changed' : 'looked', came, gone }
}

/**
 * What the record says of its procedures once somebody has looked through them as they are now: all of a client's, or those that
 * are asked for. What was said of them stays; one of which nothing was said begins with an id of its own.
 */
export function lookThrough(
  s: Saber,
  by: { who: string; on: string },
  newId: () => string,
  asked: (g: Goal) => boolean = (g) => g.hands === 'client',
): Procedure[] {
  const out = [...s.access]
  for (const p of proceduresOf(MAKER, s)) {
    if (!p.ok || !asked(p.goal)) continue
    const looked = { ...by, acts: marksOf(p) }
    const i = out.findLastIndex((x) => isAbout(x, p.goal))
    if (i >= 0) out[i] = { ...out[i]!, looked }
    else out.push({ id: newId(), goal: p.goal.kind, ...(p.goal.at ? { at: p.goal.at } : {}), steps: [], looked })
  }
  return out
}
