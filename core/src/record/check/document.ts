import { type Commission, FORMAT_VERSION } from '../schema/commission'
import { FROZEN } from '../versions/frozen'
import { liftOnce } from '../versions/lift'
import { DEEPEST_JSON, nestedDeeper } from './depth'
import { type Checked, explain, makeAjv, validateCommission } from './validate'

/** The open format as text: the record itself, indented, keys in the schema's order as written. */
export const writeCommission = (c: Commission): string => `${JSON.stringify(c, null, 2)}\n`

/**
 * Reads a commission from JSON text: parse, hold against the schema of its own version, lift, check. Every fault comes back
 * as problems with path and rule, in the words of the version the file was written in. A byte-order mark is skipped.
 */
export function readCommission(text: string): Checked {
  if (nestedDeeper(text, DEEPEST_JSON))
    return {
      ok: false,
      problems: [{ path: '', rule: 'maxDepth', message: `The document is nested deeper than ${DEEPEST_JSON} levels.` }],
    }
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
  return readDocument(raw)
}

const frozen = new Map<number, ReturnType<ReturnType<typeof makeAjv>['compile']>>()
function frozenCheck(version: number) {
  const schema = FROZEN[version]
  if (!schema) return undefined
  const check = frozen.get(version) ?? makeAjv().compile(schema)
  frozen.set(version, check)
  return check
}

/** The same for a value that is already parsed. */
export function readDocument(raw: unknown): Checked {
  let doc = raw
  if (typeof doc === 'object' && doc !== null && !Array.isArray(doc)) {
    let d = doc as Record<string, unknown>
    while (typeof d.version === 'number' && d.version < FORMAT_VERSION) {
      const check = frozenCheck(d.version)
      if (check && !check(d)) return { ok: false, problems: explain(check.errors ?? []) }
      const next = liftOnce(d)
      if (next === d) break
      d = next
    }
    doc = d
  }
  return validateCommission(doc)
}
