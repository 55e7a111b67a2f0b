import { machineOf } from '../../../machine'
import { byId, partsOfRef, refTo, type Saber, type Step } from '../../../record'
import { check } from '../../check'

/** Which way a text turns, where it says one only. */
function turnOf(text: string): 'clockwise' | 'anticlockwise' | undefined {
  const said = new Set<'clockwise' | 'anticlockwise'>()
  for (const m of text.toLowerCase().matchAll(/\b(anti-?|counter-?)?clockwise\b/g))
    said.add(m[1] ? 'anticlockwise' : 'clockwise')
  for (const m of text.toLowerCase().matchAll(/\b(gegen den |im )uhrzeigersinn\b/g))
    said.add(m[1] === 'im ' ? 'clockwise' : 'anticlockwise')
  return said.size === 1 ? [...said][0] : undefined
}
/** Towards which end a text slides something. */
const ENDS = /\b(?:towards|to|zum|zur|in Richtung) (?:the )?(pommel|emitter|blade|knauf|klinge)\b/i
const endOf = (text: string) => ENDS.exec(text)?.[1]?.toLowerCase()

const saidOf = (x: Step, s: Saber) => ({ x, thing: x.act ? partsOfRef(x.act.at) : undefined, s })

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
    const steps = s.access.flatMap((p) => p.steps).map((x) => saidOf(x, s))
    const against = steps.flatMap(({ x, thing }) => {
      const way = x.text && turnOf(x.text)
      if (!way || !x.act || (x.act.do !== 'takeOff' && x.act.do !== 'putOn')) return []
      const j = assembly.joints[x.act.at as keyof typeof assembly.joints]
      if (!j || !thing || !j.ways.some((w) => w.how === 'unscrew')) return []
      const right = (x.act.do === 'putOn') === (j.hand === 'left') ? 'anticlockwise' : 'clockwise'
      if (way === right) return []
      return [
        {
          ...{ code: 'against' as const, subject: x.id, level: 'note' as const },
          ...{ params: { text: x.text!, what: j.name, way: right as typeof way }, refs: [x.act.at] },
        },
      ]
    })
    const slid = (verb: 'cut' | 'restore') => steps.find(({ x }) => x.act?.do === verb && x.text && endOf(x.text))?.x
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
