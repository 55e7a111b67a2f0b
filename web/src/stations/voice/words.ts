import { type FONT_KINDS, keyWords, type SoundEvent } from '@nubrin/core/record'
import { formatNumber, MAKER } from '@nubrin/core/units'

export const KIND_WORDS: Record<(typeof FONT_KINDS)[number], string> = {
  font: 'font',
  voicePack: 'voice pack',
  musicBank: 'music bank',
}
/** What an event is called on a maker's screen. */
export const eventWords = (e: SoundEvent): string => keyWords(e)
/** Decibels with their sign. */
export const signed = (db: number): string => {
  const tenths = Math.round(db * 10)
  return `${tenths > 0 ? '+' : tenths < 0 ? '−' : ''}${formatNumber(MAKER, Math.abs(tenths) / 10, 1)} dB`
}
export const secondsOf = (s: number): string => `${formatNumber(MAKER, s, 2)} s`
