import { type Loose, listOf } from './loose'

/** Version 5 had no joints beside the hilt's own, and steps without acts; a step that nobody has read as an act stays words. */
export const liftActs = (d: Loose): Loose => ({
  ...d,
  version: 6,
  sabers: listOf(d.sabers).map((s) => ({ ...s, joints: [] })),
})
