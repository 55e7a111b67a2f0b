import type { Act, Step } from '../record'

/** By what an act is known again: what is done to which thing. */
export const keyOfAct = (x: Pick<Act, 'do' | 'at'>): string => `${x.do} ${x.at}`

/** By what something said is known again: the act that it names, else itself. */
export const keyOfStep = (x: Step): string => (x.act ? keyOfAct(x.act) : `step:${x.id}`)
