import { type Commission, keyWords, nameOfThing, thingsOf } from '@nubrin/core/record'

/** A path of the record in words: the thing it lies in, and the field. */
export function pathText(order: Commission, path: string): string {
  const steps = path.split('/').slice(1)
  const last = steps.findLast((s) => !s.startsWith('@') && !/^\d+$/.test(s))
  const thing = thingsOf(order)
    .filter((t) => path === t.path || path.startsWith(`${t.path}/`) || path.startsWith(`${t.pointer}/`))
    .at(-1)
  if (!thing) return last ? keyWords(last) : path
  const name = nameOfThing(thing.kind, thing.value)
  return path === thing.path || !last ? name : `${name}: ${keyWords(last)}`
}
