import { type Commission, keyWords, nameOfThing, thingsOf } from '@nubrin/core/record'
import { fieldOf } from '@nubrin/core/record/ops'

/** A path of the record in words: the thing it lies in, and the field. */
export function pathText(order: Commission, path: string): string {
  const last = fieldOf(path)
  const thing = thingsOf(order)
    .filter((t) => path === t.path || path.startsWith(`${t.path}/`) || path.startsWith(`${t.pointer}/`))
    .at(-1)
  if (!thing) return last ? keyWords(last) : path
  const name = nameOfThing(thing.kind, thing.value)
  return path === thing.path || !last ? name : `${name}: ${keyWords(last)}`
}
