import type { Commission } from '../schema/commission'
import { liftNames, liftWaivers } from './from-2'
import { liftWhole } from './from-4'
import { liftActs } from './from-5'
import { liftLanguages } from './from-6'
import { liftHanded } from './from-7'
import { liftReasons } from './from-8'
import { liftScrews } from './from-9'
import { liftProcedures } from './from-10'
import { liftTradeNames } from './from-12'
import { liftFonts } from './from-13'
import { liftLights } from './from-14'
import type { Loose } from './loose'
import { setAside } from './set-aside'

/**
 * Steps from a version to the next. Version 0 was the draft before publication: one saber at the top level, `deadline`
 * called `due`. Version 1 knew no string blades, thread stops or wire uses; what it has is read as it stands. Version 2
 * judged by words in names and let references and units be wrong. Version 3 knew no closed pommel and no consent; what it
 * has is read as it stands. Version 4 knew words without their source, and notes without their reader. Version 5
 * knew steps by their words alone. Version 6 knew one language. Version 7 ended when the box was closed. Version 8
 * kept the program's own reasons in English words. Version 9 knew a key by how it is moved, and said twice what holds a blade. Version 10 kept
 * the steps of ten tasks, and what a beat shows by their ids. Version 11 knew nothing that is only turned, no sleeves, boards that
 * are lifted, greetings or promises, which are read as they stand. Version 12 knew no translations, and called some things by names of its own.
 * Version 13 kept sounds with each preset. Version 14 knew of an event its colour alone. Version 15 knew no work but what was written
 * down as left to do, and is read as it stands.
 */
const STEPS: readonly ((d: Loose) => Loose)[] = [
  ({ saber, due, ...rest }) => ({
    ...rest,
    version: 1,
    ...(due === undefined ? {} : { deadline: due }),
    ...(saber === undefined ? {} : { sabers: [saber] }),
  }),
  (d) => ({ ...d, version: 2 }),
  (d) => setAside(liftNames(liftWaivers({ ...d, version: 3 })) as unknown as Commission) as unknown as Loose,
  (d) => ({ ...d, version: 4 }),
  liftWhole,
  liftActs,
  liftLanguages,
  liftHanded,
  liftReasons,
  liftScrews,
  liftProcedures,
  (d) => ({ ...d, version: 12 }),
  liftTradeNames,
  liftFonts,
  liftLights,
  (d) => ({ ...d, version: 16 }),
]

/** Brings an older document one version on. A document whose version has no step is returned as it is. */
export const liftOnce = (d: Loose): Loose => (typeof d.version === 'number' ? (STEPS[d.version]?.(d) ?? d) : d)

/** Brings an older document to the current version, step by step. A document without a known version is returned as it is. */
export function lift(input: unknown): unknown {
  if (typeof input !== 'object' || input === null || Array.isArray(input)) return input
  let doc = input as Loose
  for (let next = liftOnce(doc); next !== doc; next = liftOnce(doc)) doc = next
  return doc
}
