import { known } from '../facts'
import { byId, type Fastener, type FittedPart, kindRule, partsOfRef, type Saber, type Step } from '../record'
import { say, whether } from '../words'

/** Where a part is, as a hand finds it: by the end it lies nearest to, among those of its kind; nothing where there is one. */
function whereOf(s: Saber, p: FittedPart): 'pommel' | 'emitter' | 'middle' | 'none' {
  const all = s.parts
    .filter((x) => x.kind === p.kind && !s.inputs.some((i) => i.part === x.id))
    .flatMap((x) => {
      const at = known(x.at)
      return at === undefined ? [] : [{ id: x.id, at }]
    })
    .sort((a, b) => a.at - b.at)
  const i = all.findIndex((x) => x.id === p.id)
  if (all.length < 2 || i < 0) return 'none'
  return i === 0 ? 'pommel' : i === all.length - 1 ? 'emitter' : 'middle'
}

/**
 * What a part is called when one speaks of it: as its button is called, else by its kind and where it lies. The name on the shelf,
 * with its sizes, belongs on paper.
 */
export function spokenPart(s: Saber, p: FittedPart): string {
  const input = s.inputs.find((i) => i.part === p.id)
  return say('spoken.part', {
    named: whether(input),
    name: input?.name ?? kindRule(p.kind).label,
    where: input ? 'none' : whereOf(s, p),
  })
}

/** The screw that a step turns, when that is all it does. */
function screwOf(s: Saber, step: Step): Fastener | undefined {
  const to = partsOfRef(step.act?.at ?? '')
  const turns = step.act && ['loosen', 'remove', 'tighten'].includes(step.act.do)
  return turns && !step.ownWords && to?.kind === 'fastener' ? byId(s.hilt.fasteners, to.id) : undefined
}

/**
 * Steps as one speaks them: screws that are turned one after the other in one breath, with their tool, and each caution once, where
 * it bites first. Steps in the maker's own words stand as he wrote them.
 */
export function spokenSteps(s: Saber, steps: readonly Step[]): string {
  const cautioned = new Set<string>()
  const out: string[] = []
  const sentence = (text: string) => (/[.!?]$/.test(text) ? text : `${text}.`)
  for (let i = 0; i < steps.length; ) {
    const step = steps[i]!
    const first = screwOf(s, step)
    let n = 1
    while (first && i + n < steps.length) {
      const next = screwOf(s, steps[i + n]!)
      if (!next || steps[i + n]!.act!.do !== step.act!.do || next.purpose !== first.purpose || next.key !== first.key)
        break
      n++
    }
    const group = steps.slice(i, i + n)
    out.push(
      sentence(
        n > 1
          ? say('step.screws', {
              act: step.act!.do,
              n,
              purpose: first!.purpose,
              tool: step.tool ?? '',
              told: whether(step.tool),
            })
          : step.text,
      ),
    )
    for (const x of group)
      if (x.caution && !cautioned.has(x.caution)) {
        cautioned.add(x.caution)
        out.push(sentence(x.caution))
      }
    i += n
  }
  return out.join(' ')
}
