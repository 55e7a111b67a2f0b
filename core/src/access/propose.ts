import type { Saber, Task } from '../record'
import type { Reader } from '../units'
import { bladeIn, bladeOut } from './blade'
import { card, cellIn, cellOut, charge } from './cell'
import { type Draft, Drafting } from './draft'
import { close, open } from './opening'
import { power } from './power'

const DRAFTS: Record<Task, (d: Drafting) => void> = {
  powerOn: (d) => power(d, 'on'),
  powerOff: (d) => power(d, 'off'),
  bladeIn,
  bladeOut,
  open,
  close,
  cellIn,
  cellOut,
  charge,
  card,
}

/**
 * A first draft of the steps of a task from the joints, screws and parts of this saber. A step that is not certain from what
 * is recorded, or that a screw never to be touched forbids, is left out, and what would settle it is asked for. Ids are made
 * from `newId`.
 */
export function proposeSteps(reader: Reader, saber: Saber, task: Task, newId: () => string): Draft {
  const d = new Drafting(reader, saber, newId)
  DRAFTS[task](d)
  return { steps: d.steps, asks: d.asks }
}
