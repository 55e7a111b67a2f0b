import { type Calculated, Gather, type NumberFact } from '../facts'
import { refTo, type Saber } from '../record'

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
