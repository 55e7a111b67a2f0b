import Ajv, { type ErrorObject, type ValidateFunction } from 'ajv'
import { Commission, FORMAT, FORMAT_VERSION } from '../schema/commission'
import { THINGS } from '../schema/ref'
import { danglingOf, thingsOf } from '../walk/references'
import { isObject } from '../walk/schema-plan'
import { differing } from './differing'
import type { Problem } from './problem'

/** A day of the calendar between 1900 and 2199: others are slips, and some programs and databases cannot hold them. */
const isDay = (v: string): boolean => {
  const [, y, m, d] = /^(\d{4})-(\d{2})-(\d{2})$/.exec(v) ?? []
  const [year, month, day] = [Number(y), Number(m), Number(d)]
  const last = [
    31,
    year % 4 === 0 && (year % 100 !== 0 || year % 400 === 0) ? 29 : 28,
    31,
    30,
    31,
    30,
    31,
    31,
    30,
    31,
    30,
    31,
  ]
  return year >= 1900 && year <= 2199 && day >= 1 && day <= (last[month - 1] ?? 0)
}
/** A moment with its offset from UTC; a leap second is none, since clocks that compute cannot say it. */
const isMoment = (v: string): boolean =>
  /^\d{4}-\d{2}-\d{2}[Tt ]([01]\d|2[0-3]):[0-5]\d:[0-5]\d(\.\d{1,9})?([Zz]|[+-]([01]\d|2[0-3]):[0-5]\d)$/.test(v) &&
  isDay(v.slice(0, 10))

/**
 * The same schema with each kind of thing and of fact said once and referred to: hundreds of equal pieces would otherwise be
 * compiled one by one, for seconds.
 */
function withEachOnce(schema: object): object {
  const names = new Map<string, string>()
  const pieces: Record<string, unknown> = {}
  // An older schema may name pieces of its own.
  const taken = Object.keys((schema as { $defs?: object }).$defs ?? {}).length
  const walk = (v: unknown): unknown => {
    if (Array.isArray(v)) return v.map(walk)
    if (!isObject(v)) return v
    const own = Object.fromEntries(Object.entries(v).map(([k, x]) => [k, walk(x)]))
    // A list of properties may have one that is called type; it is no word there.
    if (v === schema || !('x-fact' in v || v.type === 'object')) return own
    const text = JSON.stringify(own)
    const name = names.get(text) ?? `piece${taken + names.size}`
    names.set(text, name)
    pieces[name] = own
    return { $ref: `#/$defs/${name}` }
  }
  const whole = walk(schema) as Record<string, unknown>
  return names.size ? { ...whole, $defs: { ...(whole.$defs as object | undefined), ...pieces } } : schema
}

/** A validator that knows this format's own keywords and what a day and a moment are; it compiles a schema once. */
export const makeAjv = () => {
  const ajv = new Ajv({
    ...{ allErrors: true, strict: true, verbose: true, formats: { date: isDay, 'date-time': isMoment } },
    // What is referred to is compiled once and called, not written out at every place.
    inlineRefs: false,
    code: { optimize: false },
  })
  ajv.addVocabulary(['x-fact', 'x-kind', 'x-names', 'x-note', 'x-words'])
  const compiled = new WeakMap<object, ValidateFunction>()
  return {
    compile<T>(schema: object): ValidateFunction<T> {
      const check = compiled.get(schema) ?? ajv.compile(withEachOnce(schema))
      compiled.set(schema, check)
      return check as ValidateFunction<T>
    },
    errorsText: (errors: ErrorObject[] | null | undefined) => ajv.errorsText(errors),
  }
}
const ajv = makeAjv()
/** Compiled when the first record is held against it: that takes most of a second, and many a thread or page never asks. */
const whole = () => ajv.compile<Commission>(Commission)

export type Checked = { ok: true; record: Commission } | { ok: false; problems: Problem[] }

/**
 * Holds an unknown value against the commission schema and then against the rules a schema cannot say: ids unique within
 * the record, and references that lead somewhere. Returns at most 40 problems, the deepest paths first, never throws.
 */
export function validateCommission(input: unknown): Checked {
  if (!isObject(input)) return refuse('', 'type', 'The document must be a JSON object.', show(input))
  if (input.format !== FORMAT) return refuse('/format', 'format', `The format must be "${FORMAT}".`, show(input.format))
  if (typeof input.version === 'number' && input.version > FORMAT_VERSION)
    return refuse(
      '/version',
      'version',
      `Version ${input.version} is newer than this program knows (${FORMAT_VERSION}). Update first; nothing was changed.`,
      show(input.version),
    )
  const check = whole()
  if (!check(input)) return { ok: false, problems: explain(check.errors ?? []) }
  const problems = [...unwritable(input), ...integrity(input)]
  return problems.length ? { ok: false, problems: problems.slice(0, 40) } : { ok: true, record: input }
}

/**
 * The same judgement of a record that came out of a valid one by a change: only what differs is held against its part of the
 * schema, and identities and references are gone through only where some of them may have changed. What is not the very same
 * value counts as changed, so `after` should share with `before` what it has in common; if it shares nothing, all is looked at.
 */
export function validateChange(before: Commission, after: unknown): Checked {
  if (!isObject(after) || after.format !== before.format || after.version !== before.version)
    return validateCommission(after)
  const { parts, identities } = differing(Commission, before, after)
  const wrong = parts.flatMap(({ path, schema, value }) => {
    const valid = ajv.compile(schema)
    return valid(value) ? [] : explain(valid.errors ?? []).map((p) => ({ ...p, path: path + p.path }))
  })
  if (wrong.length) return { ok: false, problems: wrong.slice(0, 40) }
  const record = after as unknown as Commission
  const problems = [
    ...parts.flatMap(({ path, value }) => unwritable(value, path)),
    ...(identities ? integrity(record) : []),
  ]
  return problems.length ? { ok: false, problems: problems.slice(0, 40) } : { ok: true, record }
}

const refuse = (path: string, rule: string, message: string, got?: string): Checked => ({
  ok: false,
  problems: [{ path, rule, message, ...(got === undefined ? {} : { got }) }],
})
const show = (v: unknown): string => (JSON.stringify(v) ?? 'undefined').slice(0, 80)

/** Turns the validator's errors into problems; a failed choice is told once, with what it would accept. */
export function explain(errors: ErrorObject[]): Problem[] {
  const choices = new Map<string, Set<string>>()
  for (const e of errors)
    if (e.keyword === 'const')
      (choices.get(e.instancePath) ?? choices.set(e.instancePath, new Set()).get(e.instancePath)!).add(
        String(e.params.allowedValue),
      )
  const seen = new Set<string>()
  const out: Problem[] = []
  for (const e of errors) {
    if (e.keyword === 'const' && (choices.get(e.instancePath)?.size ?? 0) > 1) continue
    const accepted = e.keyword === 'anyOf' ? choices.get(e.instancePath) : undefined
    const path =
      e.keyword === 'required'
        ? `${e.instancePath}/${e.params.missingProperty}`
        : e.keyword === 'additionalProperties'
          ? `${e.instancePath}/${e.params.additionalProperty}`
          : e.instancePath
    const unit = e.keyword === 'const' && path.endsWith('/unit')
    const rule = accepted ? 'enum' : unit ? 'unit' : e.keyword
    if (seen.has(path + rule)) continue
    seen.add(path + rule)
    const message = accepted
      ? `must be one of ${[...accepted].join(', ')}`
      : e.keyword === 'const'
        ? `must be ${String(e.params.allowedValue)}`
        : e.keyword === 'required'
          ? 'is missing'
          : e.keyword === 'additionalProperties'
            ? 'is not a field of this format'
            : (e.message ?? e.keyword)
    out.push({
      path,
      rule,
      message,
      ...(e.keyword === 'required'
        ? {}
        : { got: show(e.keyword === 'additionalProperties' ? e.params.additionalProperty : e.data) }),
    })
  }
  return out.sort((a, b) => b.path.length - a.path.length).slice(0, 40)
}

/** Texts with half a surrogate pair or a control character: no page, paper or database takes them. */
function unwritable(v: unknown, path = ''): Problem[] {
  if (typeof v === 'string')
    // biome-ignore lint/suspicious/noControlCharactersInRegex: those are looked for
    return v.isWellFormed() && !/[\u0000-\u0008\u000b\u000c\u000e-\u001f]/.test(v)
      ? []
      : [{ path, rule: 'text', message: 'holds a character that cannot be written', got: show(v) }]
  if (typeof v !== 'object' || v === null) return []
  return Object.entries(v).flatMap(([k, x]) => unwritable(x, `${path}/${k}`))
}

/** Duplicate ids, and references that lead nowhere or out of their saber. */
function integrity(record: Commission): Problem[] {
  const seen = new Map<string, string>()
  const twice = thingsOf(record).flatMap((t) => {
    const first = seen.get(t.id)
    if (first === undefined) {
      seen.set(t.id, t.pointer)
      return []
    }
    return [{ path: `${t.pointer}/id`, rule: 'uniqueId', message: `the id is already used at ${first}`, got: t.id }]
  })
  const lost = danglingOf(record).map((r) => ({
    path: r.pointer,
    rule: 'reference',
    message: `names a ${r.kinds.length === 1 ? THINGS[r.kinds[0]!][0] : 'thing'} that is not in this ${r.saber ? 'saber' : 'record'}`,
    got: r.to,
  }))
  return [...twice, ...lost]
}
