import { type Assembly, machineOf, type State, toolOf, wordsOf } from '../machine'
import { type Act, type Fastener, type Ref, refTo, type Saber, type Step } from '../record'
import type { Reader } from '../units'

/** Why a step is left out of a draft: what the record does not say, or what forbids it. */
export type AskCode =
  | 'whichJoint'
  | 'howJoint'
  | 'closedForLife'
  | 'neverScrew'
  | 'screwPlace'
  | 'whichPole'
  | 'howKey'
  | 'whichSwitch'
  | 'whatHolds'
  | 'hardWired'
  | 'howCharged'
  | 'noCell'
  | 'noWayOut'
export interface Ask {
  code: AskCode
  /** The thing it is about. */
  ref?: Ref
  name: string
}

/** The steps of a task that are certain, and what has to be known for the others. */
export interface Draft {
  steps: Step[]
  asks: Ask[]
}

/** Gathers the steps and the questions of one draft. */
export class Drafting {
  readonly steps: Step[] = []
  readonly asks: Ask[] = []
  readonly assembly: Assembly
  /** As it leaves the shop, with every screw tight: what is loose on the bench is no matter of the client's. */
  readonly rest: State
  constructor(
    readonly reader: Reader,
    readonly saber: Saber,
    private readonly newId: () => string,
  ) {
    const { assembly, rest } = machineOf(saber)
    this.assembly = assembly
    this.rest = { ...rest, screws: {} }
  }

  /** Acts as steps, each in the words of this saber or in those that are given. One that has no words yet is left out. */
  acts(list: readonly Act[], worded: (act: Act) => string | undefined = () => undefined): void {
    for (const act of list) {
      const words = wordsOf(this.reader, this.saber, this.assembly, act)
      if (!words) continue
      const { text, ...more } = words
      this.step(worded(act) ?? text, { ...more, act })
    }
  }

  step(text: string, more: Partial<Step> = {}) {
    this.steps.push({ id: this.newId(), text, direction: 'none', ...more })
  }
  ask(code: AskCode, name: string, ref?: Ref) {
    if (!this.asks.some((a) => a.code === code && a.ref === ref && a.name === name))
      this.asks.push({ code, name, ...(ref ? { ref } : {}) })
  }
  /** A step at a screw, with its key. */
  screw(text: string, f: Fastener, direction: 'clockwise' | 'anticlockwise', more: Partial<Step> = {}) {
    const tool = toolOf(this.reader, f)
    this.step(text, { place: refTo('fastener', f.id), ...(tool ? { tool } : {}), direction, ...more })
  }
}
