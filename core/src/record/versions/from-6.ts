import { type Loose, listOf } from './loose'

/** Version 6 knew one language, and one telling. Nothing of it is read otherwise. */
export const liftLanguages = (d: Loose): Loose => ({
  ...d,
  version: 7,
  sabers: listOf(d.sabers).map((s) => ({ ...s, spoken: [] })),
})
