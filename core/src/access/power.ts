import { refTo } from '../record'
import { say } from '../words'
import type { Drafting } from './draft'

/** Switches on or cuts the power by the part that does it; what the record does not name is asked for. */
export function power(d: Drafting, to: 'on' | 'off') {
  const { saber, assembly } = d
  const by = saber.cutPower
  if (assembly.cutter)
    return void d.acts([{ do: to === 'on' ? 'restore' : 'cut', at: refTo('part', assembly.cutter.part) }])
  if (by === 'killKey') return d.ask('howKey', '')
  if (by === 'killSwitch') {
    d.ask('whichSwitch', '')
    // That there is one is recorded; only which part it is, is not.
    return d.step(say(d.reader, 'step.slide', { switch: '', named: 'no', to }), { direction: 'slide' })
  }
  // A switch or a key is fitted, but the record says that the power is cut another way, or not at all.
  const key = saber.parts.find((p) => p.kind === 'killKey')
  const fitted = key ?? saber.parts.find((p) => p.kind === 'killSwitch')
  if (fitted) d.ask(key ? 'howKey' : 'whichSwitch', fitted.name, refTo('part', fitted.id))
}
