import { type Calculated, fact, Gather, type NumberFact } from '../facts'
import { type Font, refTo, type Saber, type Sound } from '../record'
import { formatNumber, MAKER } from '../units'
import { gainOf } from '../voice'

/** Electrical power at a volume of 0…100: (Vrms·v)²/Z, since volume is amplitude. W. */
export function speakerWatts(saber: Saber, volume: NumberFact | undefined): Calculated {
  const g = new Gather()
  const speaker = saber.parts.find((p) => p.kind === 'speaker')
  const board = saber.parts.find((p) => p.kind === 'board')
  if (!speaker) g.missing('a speaker')
  if (!board) g.missing('a sound board')
  const v = g.take('volume', volume)
  const z = g.take('impedance', speaker?.specs.impedance, speaker && refTo('part', speaker.id))
  const rms = g.take("board's highest output", board?.specs.maxOutputVoltsRms, board && refTo('part', board.id))
  return g.figure(
    'W',
    '(Vrms × volume)² ÷ Z',
    'volume is amplitude, so power goes with its square',
    () => (rms * v * 0.01) ** 2 / z,
  )
}

/** The highest volume setting at which the speaker stays within its rating, 0…100. */
export function safeVolume(saber: Saber): Calculated {
  const g = new Gather()
  const speaker = saber.parts.find((p) => p.kind === 'speaker')
  const board = saber.parts.find((p) => p.kind === 'board')
  if (!speaker) g.missing('a speaker')
  if (!board) g.missing('a sound board')
  const z = g.take('impedance', speaker?.specs.impedance, speaker && refTo('part', speaker.id))
  const p = g.take('rated power', speaker?.specs.ratedWatts, speaker && refTo('part', speaker.id))
  const rms = g.take("board's highest output", board?.specs.maxOutputVoltsRms, board && refTo('part', board.id))
  return g.figure('%', 'min(100, √(P·Z) ÷ Vrms × 100), rounded down', 'P = Vrms²/Z', () =>
    Math.min(100, Math.floor((Math.sqrt(p * z) / rms) * 100)),
  )
}

/** A sine at full scale has this mean square, dBFS: what a board's highest output is stated for. */
const SINE = -10 * Math.log10(2)

/** The loudest sound on its card by energy, with the gain of its font, dBFS; undefined where none was measured. */
export function loudestSound(saber: Saber): { sound: Sound; font: Font; level: number } | undefined {
  let most: { sound: Sound; font: Font; level: number } | undefined
  for (const font of saber.fonts)
    for (const sound of font.sounds) {
      const level = sound.rmsDb === undefined ? undefined : sound.rmsDb + gainOf(font)
      if (level !== undefined && level > (most?.level ?? Number.NEGATIVE_INFINITY)) most = { sound, font, level }
    }
  return most
}

/** How much of the board's highest output the loudest sound makes, 1 for a sine at full scale. */
function shareOf(saber: Saber, g: Gather): number {
  const loudest = loudestSound(saber)
  if (!loudest) {
    g.missing('a measured sound')
    return Number.NaN
  }
  const { sound, font, level } = loudest
  g.note('loudest sound', `${sound.name} of ${font.name}, ${formatNumber(MAKER, level, 1)} dBFS`)
  return 10 ** ((level - SINE) / 20)
}

/** Electrical power at a volume of 0…100 while the loudest sound on its card plays. W. */
export function wattsPlaying(saber: Saber, volume: NumberFact | undefined): Calculated {
  const g = new Gather()
  const full = g.from('power of a sine at full scale', speakerWatts(saber, volume))
  const share = shareOf(saber, g)
  return g.figure(
    'W',
    'P of a sine × 10^((level + 3.01) ÷ 10)',
    'power goes with the mean square',
    () => full * share ** 2,
  )
}

/**
 * The highest volume setting at which the speaker stays within its rating with the sounds that are on its card, 0…100; other sounds
 * may be louder.
 */
export function safePlaying(saber: Saber): Calculated {
  const g = new Gather()
  const speaker = saber.parts.find((p) => p.kind === 'speaker')
  const rated = g.take('rated power', speaker?.specs.ratedWatts, speaker && refTo('part', speaker.id))
  const loudest = g.from('power at full volume', wattsPlaying(saber, fact(100, '%', 'computed')))
  return g.figure('%', 'min(100, √(rated ÷ P at 100) × 100), rounded down', 'P ∝ volume²', () =>
    Math.min(100, Math.floor(Math.sqrt(rated / loudest) * 100)),
  )
}
