import type { Commission } from '../record/schema'
import { FORMAT_VERSION } from '../record/schema'
import { type Checked, validateCommission } from '../record/validate'

/** The open format as text: the record itself, indented, keys in the schema's order as written. */
export const writeCommission = (c: Commission): string => `${JSON.stringify(c, null, 2)}\n`

type Loose = Record<string, unknown>

/**
 * Steps from an older version to the next. Version 0 was the draft before publication: one saber at the top level,
 * `deadline` called `due`. Version 1 knew no string blades, thread stops or wire uses; what it has is read as it stands.
 */
const STEPS: Record<number, (d: Loose) => Loose> = {
  0: (d) => {
    const { saber, due, ...rest } = d
    return {
      ...rest,
      version: 1,
      ...(due === undefined ? {} : { deadline: due }),
      ...(saber === undefined ? {} : { sabers: [saber] }),
    }
  },
  1: (d) => ({ ...d, version: 2 }),
}

/** Brings an older document to the current version, step by step. A document without a known version is returned as it is. */
export function migrate(input: unknown): unknown {
  if (typeof input !== 'object' || input === null) return input
  let doc = input as Loose
  while (typeof doc.version === 'number' && doc.version < FORMAT_VERSION && STEPS[doc.version])
    doc = STEPS[doc.version]!(doc)
  return doc
}

/** Reads a commission from JSON text: parse, migrate, check. Every fault comes back as problems with path and rule. A byte-order mark is skipped. */
export function readCommission(text: string): Checked {
  let raw: unknown
  try {
    raw = JSON.parse(text.replace(/^\uFEFF/, ''))
  } catch (e) {
    return {
      ok: false,
      problems: [
        { path: '', rule: 'json', message: `This is not JSON: ${(e as Error).message}`, got: text.slice(0, 60) },
      ],
    }
  }
  return validateCommission(migrate(raw))
}
