import Ajv, { type ErrorObject } from 'ajv'
import addFormats from 'ajv-formats'
import { Commission, FORMAT, FORMAT_VERSION } from './schema'

/** What is wrong, where, and by which rule. The interface owns the sentence; `message` is a plain default. */
export interface Problem {
  /** JSON pointer into the document, e.g. `/sabers/0/hilt/sections/2/length/value`. */
  path: string
  rule: string
  message: string
  got?: string
}

const ajv = addFormats(new Ajv({ allErrors: true, strict: true, verbose: true }), ['date', 'date-time'])
const check = ajv.compile<Commission>(Commission)

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
  if (!check(input)) return { ok: false, problems: explain(check.errors ?? []) }
  const problems = integrity(input)
  return problems.length ? { ok: false, problems: problems.slice(0, 40) } : { ok: true, record: input }
}

const isObject = (v: unknown): v is Record<string, unknown> => typeof v === 'object' && v !== null && !Array.isArray(v)
const refuse = (path: string, rule: string, message: string, got?: string): Checked => ({
  ok: false,
  problems: [{ path, rule, message, ...(got === undefined ? {} : { got }) }],
})
const show = (v: unknown): string => (JSON.stringify(v) ?? 'undefined').slice(0, 80)

/** Turns the validator's errors into problems; a failed choice is told once, with what it would accept. */
function explain(errors: ErrorObject[]): Problem[] {
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
    const rule = accepted ? 'enum' : e.keyword
    if (seen.has(path + rule)) continue
    seen.add(path + rule)
    const message = accepted
      ? `must be one of ${[...accepted].join(', ')}`
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

/** Duplicate ids, and references within a saber that lead nowhere. */
function integrity(record: Commission): Problem[] {
  const problems: Problem[] = []
  const seen = new Map<string, string>()
  const visit = (v: unknown, path: string) => {
    if (Array.isArray(v)) {
      for (const [i, item] of v.entries()) visit(item, `${path}/${i}`)
      return
    }
    if (!isObject(v)) return
    if (typeof v.id === 'string' && path && !path.endsWith('/client')) {
      const first = seen.get(v.id)
      if (first === undefined) seen.set(v.id, path)
      else
        problems.push({
          path: `${path}/id`,
          rule: 'uniqueId',
          message: `the id is already used at ${first}`,
          got: v.id,
        })
    }
    for (const [k, x] of Object.entries(v)) if (typeof x === 'object') visit(x, `${path}/${k}`)
  }
  visit(record, '')
  record.sabers.forEach((s, n) => {
    const base = `/sabers/${n}`
    const must = (path: string, id: string | undefined, among: { id: string }[], what: string) => {
      if (id !== undefined && !among.some((a) => a.id === id))
        problems.push({
          path: base + path,
          rule: 'reference',
          message: `names a ${what} that is not in this saber`,
          got: id,
        })
    }
    s.hilt.sockets.forEach((k, i) => {
      must(`/hilt/sockets/${i}/section`, k.section, s.hilt.sections, 'section')
      for (const [j, f] of k.retention.entries())
        must(`/hilt/sockets/${i}/retention/${j}`, f, s.hilt.fasteners, 'fastener')
    })
    for (const [i, b] of s.blades.entries()) must(`/blades/${i}/socket`, b.socket, s.hilt.sockets, 'socket')
    for (const [i, p] of s.parts.entries()) must(`/parts/${i}/beside`, p.beside, s.parts, 'part')
    s.zones.forEach((z, i) => {
      must(`/zones/${i}/follows`, z.follows, s.zones, 'zone')
      must(`/zones/${i}/blade`, z.blade, s.blades, 'blade')
    })
    s.controls.forEach((r, i) => {
      must(`/controls/${i}/input`, r.input, s.inputs, 'input')
      must(`/controls/${i}/other`, r.other, s.inputs, 'input')
    })
  })
  return problems
}
