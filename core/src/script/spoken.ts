import type { ToldAct } from '../access'
import {
  byId,
  type Fastener,
  type FittedPart,
  keyOf,
  partsOfRef,
  purposeOf,
  refTo,
  type Saber,
  toldNoun,
} from '../record'
import type { Reader } from '../units'
import { large, type Noun, say, whether } from '../words'
import { cautionsOf } from './cautions'

/**
 * What a part is called when one speaks of it: as its button is called, else by its kind and where it lies. The name on the shelf,
 * with its sizes, belongs on paper.
 */
export function spokenPart(reader: Reader, s: Saber, p: FittedPart): Noun | string {
  const input = s.inputs.find((i) => i.part === p.id)
  const named = s.spoken.some((x) => x.of === refTo('part', p.id))
  if (input && !named) return toldNoun(reader, s, refTo('input', input.id)) ?? input.name
  return toldNoun(reader, s, refTo('part', p.id)) ?? p.name
}

/** The screw that an act turns, when that is all it does. */
function screwOf(s: Saber, x: ToldAct): Fastener | undefined {
  const [act, more] = x.does
  const to = partsOfRef(act?.at ?? '')
  const turns = act && !more && ['loosen', 'remove', 'tighten'].includes(act.do)
  return turns && !x.ownWords && to?.kind === 'fastener' ? byId(s.hilt.fasteners, to.id) : undefined
}

/** Cautions of single steps that the spoken ones say already, where these are told. */
function saidOnce(reader: Reader, s: Saber): Set<string> {
  const told = new Set(cautionsOf(reader, s).map((k) => k.key))
  const inside = [
    say(reader, 'step.softSurface'),
    say(reader, 'step.noWireInThread'),
    say(reader, 'step.chassis.caution', { brittle: 'no' }),
  ]
  return new Set([
    ...(told.has('inside') ? inside : []),
    ...(told.has('inside') && told.has('cell') ? [say(reader, 'step.cellIn.caution')] : []),
  ])
}

/**
 * Acts as one speaks them: screws that are turned one after the other in one breath, with their tool, each caution once, where it
 * bites first, and how one knows that it worked.
 */
export function inOneBreath(reader: Reader, s: Saber, acts: readonly ToldAct[]): string {
  const cautioned = saidOnce(reader, s)
  const out: string[] = []
  const sentence = (text: string) => large(/[.!?]["”“]?$/.test(text) ? text : `${text}.`)
  for (let i = 0; i < acts.length; ) {
    const { does, text, tool } = acts[i]!
    const first = screwOf(s, acts[i]!)
    let n = 1
    while (first && i + n < acts.length) {
      const next = acts[i + n]!
      const screw = screwOf(s, next)
      if (
        !screw ||
        next.does[0]!.do !== does[0]!.do ||
        next.kept !== acts[i]!.kept ||
        purposeOf(s, screw) !== purposeOf(s, first) ||
        keyOf(screw) !== keyOf(first)
      )
        break
      n++
    }
    const group = acts.slice(i, i + n)
    out.push(
      sentence(
        n > 1
          ? say(reader, 'step.screws', {
              ...{
                act: acts[i]!.kept ? 'keep' : does[0]!.do,
                n,
                purpose: purposeOf(s, first!) ?? 'other',
                tool: tool ?? '',
                told: whether(tool),
              },
            })
          : text,
      ),
    )
    for (const { caution } of group)
      if (caution && !cautioned.has(caution)) {
        cautioned.add(caution)
        out.push(sentence(caution))
      }
    for (const { cue } of group) if (cue) out.push(sentence(cue))
    i += n
  }
  return out.join(' ')
}
