import { type Body, wordsOf } from '../machine'
import { refTo, type Saber, toldNoun } from '../record'
import { say } from '../words'
import type { Drafting } from './draft'
import { toTheCells } from './opening'

const cellsOf = (s: Saber) => s.parts.filter((p) => p.kind === 'cell')

/** The cells that a client takes out; a hard-wired one stays where it is, and that is said. */
function loose(d: Drafting) {
  const cells = cellsOf(d.saber)
  if (!cells.length) d.ask('noCell', '')
  for (const c of cells) if (!c.removable) d.ask('hardWired', c.name, refTo('part', c.id))
  return cells.filter((c) => c.removable)
}

/** A cell whose place nobody knows comes out in words alone; one that the hilt keeps is asked for. */
const lostPlace = (d: Drafting, at: Body) => d.assembly.joints[at]?.blocked.every((b) => b.code === 'placeUnknown')

/** Each cell in, the pole that the record names first; without it the step is left out and asked for. */
export function cellIn(d: Drafting): void {
  const way = toTheCells(d)
  for (const c of loose(d)) {
    const at = refTo('part', c.id)
    const out = way?.cells.find((x) => x.at === at)
    const words = wordsOf(d.reader, d.saber, d.assembly, { do: 'putOn', at })
    if (!words) d.ask('whichPole', c.name, at)
    else if (out) d.acts([{ ...out, do: 'putOn' }])
    else if (lostPlace(d, at)) d.step(words.text, words)
    else d.ask('noWayOut', c.name, at)
  }
}

/** Each cell out, by the way that the bores leave it. */
export function cellOut(d: Drafting): void {
  const way = toTheCells(d)
  for (const c of loose(d)) {
    const at = refTo('part', c.id)
    const out = way?.cells.find((x) => x.at === at)
    const words = wordsOf(d.reader, d.saber, d.assembly, { do: 'takeOff', at, how: 'lift' })
    if (out) d.acts([out])
    else if (words && lostPlace(d, at)) d.step(words.text, words)
    else d.ask('noWayOut', c.name, at)
  }
}

/** By its port, or outside with the charger that is recorded; nothing else is certain. */
export function charge(d: Drafting) {
  const { parts } = d.saber
  const port = parts.find((p) => p.kind === 'chargePort')
  if (port) return void d.acts([{ do: 'plugIn', at: refTo('part', port.id) }])
  const charger = parts.find((p) => p.kind === 'charger')
  const cells = cellsOf(d.saber)
  const cell = cells[0]
  if (!cell) return d.ask('noCell', '')
  if (!charger || cells.some((c) => !c.removable)) return d.ask('howCharged', cell.name, refTo('part', cell.id))
  d.step(
    say(d.reader, 'step.chargeWith', {
      charger: toldNoun(d.reader, d.saber, refTo('part', charger.id)) ?? charger.name,
    }),
    {
      place: refTo('part', charger.id),
      caution: say(d.reader, 'step.chargeCell.caution'),
    },
  )
}

export function card(d: Drafting): void {
  const board = d.saber.parts.find((p) => p.kind === 'board')
  d.step(say(d.reader, 'step.card'), {
    ...(board ? { place: refTo('part', board.id) } : {}),
    caution: say(d.reader, 'step.card.caution'),
  })
}
