import type { Fastener, Ref, Saber, Step } from '../record'
import { refTo } from '../record'
import { say } from '../words'

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
  constructor(
    readonly saber: Saber,
    private readonly newId: () => string,
  ) {}

  step(text: string, more: Partial<Step> = {}) {
    this.steps.push({ id: this.newId(), text, direction: 'none', ...more })
  }
  ask(code: AskCode, name: string, ref?: Ref) {
    if (!this.asks.some((a) => a.code === code && a.ref === ref && a.name === name))
      this.asks.push({ code, name, ...(ref ? { ref } : {}) })
  }
  /** A step at a screw, with its key. */
  screw(text: string, f: Fastener, direction: 'clockwise' | 'anticlockwise', more: Partial<Step> = {}) {
    const tool = f.key && f.key !== 'by hand' ? say('tool', { key: f.key }) : f.key
    this.step(text, { place: refTo('fastener', f.id), ...(tool ? { tool } : {}), direction, ...more })
  }
}
