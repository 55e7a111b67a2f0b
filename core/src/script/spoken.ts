import { known } from '../facts'
import { type FittedPart, kindRule, type Saber } from '../record'
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
