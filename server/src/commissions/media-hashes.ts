import type { Commission } from '@nubrin/core/record'

/** Every stored file a record refers to. */
export const mediaHashes = (c: Commission): string[] => [
  ...new Set([
    ...c.media.map((m) => m.hash),
    ...c.sabers.flatMap((s) => s.fonts.flatMap((f) => f.sounds.flatMap((q) => (q.media ? [q.media] : [])))),
  ]),
]
