import { dayText, MAKER } from '../units'
import type { Forecast, HeldUp, Outlook } from './forecast'
import { workName } from './names'
import type { Plan, Unplanned } from './plan'

/** A chance in words that nobody takes for more than it is: in tenths, and never certain. */
export function chanceText(chance: number): string {
  const tenths = Math.round(chance * 10)
  return tenths <= 0 ? 'hardly any chance' : tenths >= 10 ? 'almost certain' : `${tenths} in 10`
}

/** What holds it up, where it does so for at least this share of the time lost. */
const WORTH = 0.2
/** Of what is as good as certain nobody asks why. */
const SURE = 0.9
function heldText(plan: Plan, held: HeldUp): string {
  if (held.by === 'person') return `waits for ${held.person}’s time`
  if (held.by === 'day') return 'waits for its scheduled day'
  const { of, ordered } = plan.waits[held.wait]!
  if (of.kind === 'question') return `waits for an answer: ${of.what}`
  if (of.kind === 'client') return `waits for the client: ${of.what}`
  return `waits for ${of.what}${ordered ? '' : ', not ordered yet'}`
}

/** How a commission will go, in the words of the shop: each apart, absent where there is nothing to say. */
export interface Said {
  likely?: string
  promised?: string
  chance?: string
  held?: string
  /** The promise is more likely broken than kept. */
  risky: boolean
}
export function outlookSaid(plan: Plan, o: Outlook): Said {
  const promise = plan.shop.open.find((x) => x.id === o.id)?.promise
  return {
    ...(o.likely ? { likely: `likely ${dayText(MAKER, o.likely, 'weekday')}` } : {}),
    ...(promise ? { promised: `promised ${dayText(MAKER, promise, 'weekday')}` } : {}),
    ...(o.chance === undefined ? {} : { chance: chanceText(o.chance) }),
    ...(o.held && o.held.share >= WORTH && (o.chance ?? 0) < SURE ? { held: heldText(plan, o.held) } : {}),
    risky: o.chance !== undefined && o.chance < 0.5,
  }
}
/** Why something cannot be planned, and what to do about it. */
export function unplannedText(plan: Plan, u: Unplanned): string {
  const open = plan.shop.open.find((o) => o.id === u.commission)!
  const named = (key: string) => {
    const w = open.work.find((x) => x.key === key)
    return w?.text ? `“${w.text}”` : w ? workName(w.kind) : key
  }
  if (u.why === 'loop')
    return `${open.title}: ${u.keys.map(named).join(' waits for ')}. Remove one of these waits on its to-do desk.`
  const task = `${open.title}: ${named(u.key)}`
  if (u.person)
    return `${task} is for ${u.person}, who does not work in this shop. Name somebody else on its to-do desk.`
  return `${task}: nobody in the shop can ${u.kind === 'toDo' ? 'do it' : workName(u.kind)}. Add it to what somebody can do.`
}

/** The day on which everything open is done. */
export const wholeText = (f: Forecast): string =>
  f.all ? `everything done by about ${dayText(MAKER, f.all, 'weekday')}` : ''
