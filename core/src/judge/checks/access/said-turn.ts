import { machineOf } from '../../../machine'
import { byId, partsOfRef, refTo } from '../../../record'
import { turnsSaid } from '../../../script'
import { check } from '../../check'

/** Which way a text turns, where it says one only. */
const turnOf = (text: string) => {
  const [one, ...more] = turnsSaid(text)
  return more.length ? undefined : one
}
/** Towards which end a text slides something. */
const ENDS = /\b(?:towards|to|zum|zur|in Richtung) (?:the )?(pommel|emitter|blade|knauf|klinge)\b/i
const endOf = (text: string) => ENDS.exec(text)?.[1]?.toLowerCase()

/** Words of steps that turn against the thread, and a switch that is slid the same way for on and for off. */
export const saidTurn = check<{
  against: { text: string; what: string; way: 'clockwise' | 'anticlockwise' }
  sameWay: { text: string; end: string; name: string }
}>({
  id: 'saidTurn',
  station: 'access',
  scope: 'saber',
  source: 'read out of the words: which way a thread turns, and where a switch slides',
  reads: ['access', 'joints', 'hilt', 'parts', 'blades', 'cutPower', 'keyDoes'],
  run: ({ saber: s, machine }) => {
    const { assembly } = machine ?? machineOf(s)
    const steps = s.access.flatMap((p) => p.steps)
    const against = steps.flatMap((x) => {
      const way = x.text && turnOf(x.text)
      if (!way || !x.act || (x.act.do !== 'takeOff' && x.act.do !== 'putOn')) return []
      const j = assembly.joints[x.act.at as keyof typeof assembly.joints]
      if (!j?.ways.some((w) => w.how === 'unscrew')) return []
      const right = (x.act.do === 'putOn') === (j.hand === 'left') ? 'anticlockwise' : 'clockwise'
      if (way === right) return []
      return [
        {
          ...{ code: 'against' as const, subject: x.id, level: 'note' as const },
          ...{ params: { text: x.text!, what: j.name, way: right as typeof way }, refs: [x.act.at] },
        },
      ]
    })
    const slid = (verb: 'cut' | 'restore') => steps.find((x) => x.act?.do === verb && x.text && endOf(x.text))
    const [off, on] = [slid('cut'), slid('restore')]
    const same = off && on && endOf(off.text!) === endOf(on.text!) ? endOf(on.text!) : undefined
    const part = same ? byId(s.parts, partsOfRef(on!.act!.at)?.id) : undefined
    return [
      ...against,
      ...(same
        ? [
            {
              ...{ code: 'sameWay' as const, subject: on!.id, level: 'note' as const },
              params: { text: on!.text!, end: same, name: part?.name ?? '' },
              refs: part ? [refTo('part', part.id)] : [],
            },
          ]
        : []),
    ]
  },
})
