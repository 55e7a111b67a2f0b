import { formatNumber } from '../units'

/** Figures as the checks write them. */
export const mm = (v: number) => `${formatNumber(v)} mm`
export const amps = (v: number) => `${formatNumber(v)} A`
export const unitText = (u: string) => (u === '×' ? '' : ` ${u}`)
/** Some names or sentences in one line, every one of them. */
export const listed = (all: readonly string[]) => all.join('; ')
