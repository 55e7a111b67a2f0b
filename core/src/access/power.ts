import { refTo } from '../record'
import { say, whether } from '../words'
import type { Drafting } from './draft'

/** Switches on or cuts the power by the part that does it; what the record does not name is asked for. */
export function power(d: Drafting, to: 'on' | 'off') {
  const { saber } = d
  const by = saber.cutPower
  const key = saber.parts.find((p) => p.kind === 'killKey')
  const slide = saber.parts.find((p) => p.kind === 'killSwitch')
  if (by === 'killKeyPull' || by === 'killKeyTurn') {
    if (!key) return d.ask('howKey', '')
    const place = refTo('part', key.id)
    if (by === 'killKeyTurn')
      // Which way it turns is not recorded.
      return d.step(say(to === 'on' ? 'step.keyTurn' : 'step.keyTurnBack', { key: key.name }), { place })
    return d.step(say(to === 'on' ? 'step.keyOut' : 'step.keyBack', { key: key.name }), {
      place,
      direction: to === 'on' ? 'pull' : 'push',
    })
  }
  if (by === 'killSwitch') {
    if (!slide) d.ask('whichSwitch', '')
    return d.step(say('step.slide', { switch: slide?.name ?? '', named: whether(slide), to }), {
      ...(slide ? { place: refTo('part', slide.id) } : {}),
      direction: 'slide',
    })
  }
  // A switch or a key is fitted, but the record says that the power is cut another way, or not at all.
  const fitted = key ?? slide
  if (fitted) d.ask(key ? 'howKey' : 'whichSwitch', fitted.name, refTo('part', fitted.id))
}
