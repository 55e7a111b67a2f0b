import { asCopy, type Commission } from '@nubrin/core/record'
import { demoCommissions } from '@nubrin/demo'
import { FIRST } from './cases/first'
import { SECOND } from './cases/second'
import { THIRD } from './cases/third'
import { TODAY } from './samples'

/** An order of twelve sabers, made of three. */
function twelve(): Commission {
  const c = demoCommissions(TODAY).find((x) => x.id === 'ember-fair')!
  let n = 0
  const sabers = Array.from({ length: 4 }, () => asCopy(c, () => `t${n++}x`).sabers).flat()
  return { ...c, id: 'twelve', sabers, requests: [], arrivals: [], toDos: [], packing: [], media: [], questions: [] }
}

/** What kind of order one is, for a draw of them: of the demo shop, or a case; that of twelve sabers is one of these. */
export const kindOfOrder = ([name]: readonly [string, ...unknown[]]): string => (/^c\d\d$/.test(name) ? 'case' : 'demo')

/** Every order of the demo shop, every kind of job, and twelve sabers at once; each made fresh. */
export const ORDERS: readonly (readonly [string, () => Commission])[] = [
  ...demoCommissions(TODAY).map((c) => [c.title, () => structuredClone(c)] as const),
  ...[...FIRST, ...SECOND, ...THIRD].map((j) => [j.id, j.make] as const),
  ['twelve sabers', twelve],
]
