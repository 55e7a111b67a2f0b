import { formatNumber } from '../units'

/** Figures as the checks write them. */
export const mm = (v: number) => `${formatNumber(v)} mm`
export const amps = (v: number) => `${formatNumber(v)} A`
export const unitText = (u: string) => (u === '×' ? '' : ` ${u}`)
/** The first few of some words, and a mark when there are more. */
export const firstFew = (all: readonly string[], most: number) =>
  all.slice(0, most).join('; ') + (all.length > most ? '…' : '')
