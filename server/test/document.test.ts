import { describe, expect, test } from '@jest/globals'
import { API, openApi, type Route, refusalsOf } from '@nubrin/core/api'

interface Schema {
  type?: string
  properties?: Record<string, Schema>
  additionalProperties?: unknown
  patternProperties?: unknown
  items?: Schema
  anyOf?: Schema[]
  allOf?: Schema[]
  description?: string
}
interface Operation {
  summary: string
  parameters: { name: string; in: string; required: boolean }[]
  requestBody?: { content: Record<string, { schema: Schema }> }
  responses: Record<string, { description: string; content?: Record<string, { schema: Schema }> }>
  security?: unknown[]
}
const paths = (openApi() as { paths: Record<string, Record<string, Operation>> }).paths
const ROUTES = Object.entries(API) as [string, Route][]
const said = (r: Route) => paths[r.path]![r.method]!

/** Every object of a schema that names its fields. */
function* objects(s: Schema | undefined, at = ''): Generator<[string, Schema]> {
  if (!s || typeof s !== 'object') return
  if (s.properties) yield [at, s]
  for (const [k, x] of Object.entries(s.properties ?? {})) yield* objects(x, `${at}/${k}`)
  yield* objects(s.items, `${at}/*`)
  for (const x of [...(s.anyOf ?? []), ...(s.allOf ?? [])]) yield* objects(x, at)
}

describe('the document of the API', () => {
  test('has every route once, and nothing else', () => {
    const there = Object.entries(paths).flatMap(([p, ops]) => Object.keys(ops).map((m) => `${m} ${p}`))
    expect(there.toSorted()).toEqual(ROUTES.map(([, r]) => `${r.method} ${r.path}`).toSorted())
    expect(new Set(there).size).toBe(there.length)
  })
  test.each(ROUTES)('%s: says what it is, takes and answers, in words', (_name, r) => {
    const op = said(r)
    expect(op.summary).toMatch(/\p{L}{3}/u)
    for (const [code, answer] of Object.entries(op.responses)) {
      expect(`${code} ${/^\d{3}$/.test(code)}`).toBe(`${code} true`)
      expect(`${code}: ${answer.description}`).toMatch(/: \p{L}[\p{L} ]/u)
    }
    const inPath = [...r.path.matchAll(/\{(\w+)\}/g)].map((m) => m[1])
    expect(op.parameters.filter((p) => p.in === 'path').map((p) => p.name)).toEqual(inPath)
    expect(op.parameters.filter((p) => p.in === 'path').every((p) => p.required)).toBe(true)
    const good = op.responses[r.good.status]!
    const types = Object.keys(good.content ?? {})
    expect(types).toEqual('json' in r.good ? ['application/json'] : 'file' in r.good ? [r.good.file] : [])
    if ('file' in r.good) expect(r.good.file).toMatch(/^[a-z]+\/[a-z0-9.+-]+$/)
    // What is asked of whoever is not known is asked before all else.
    expect(Boolean(op.responses[401])).toBe(!r.open || Object.hasOwn(r.bad ?? {}, 401))
    expect(Boolean(op.requestBody)).toBe(Boolean(r.body ?? r.takesFile))
    if (r.body ?? r.takesFile ?? r.query) expect(op.responses[422]).toBeDefined()
    for (const code of Object.keys(refusalsOf(r)))
      expect(Object.keys(op.responses[code]!.content ?? {})).toEqual(['application/problem+json'])
    expect(Boolean(op.security)).toBe(Boolean(r.open))
  })
  /** What is open by its nature: this document itself, and the parts of a program that are well. */
  const OPEN = new Set(['openapi', 'health'])
  test.each(
    ROUTES.filter(
      ([name, r]) => !OPEN.has(name) && (r.body ?? r.query ?? ('json' in r.good ? r.good.json : undefined)),
    ),
  )('%s: takes and gives only what it names, and at least something', (_name, r) => {
    const op = said(r)
    const schemas = [op.requestBody?.content, op.responses[r.good.status]!.content].map(
      (c) => c?.['application/json']?.schema,
    )
    for (const s of schemas)
      for (const [at, o] of objects(s)) {
        // A change holds whatever a record holds.
        if (/\/ops\/\*/.test(at)) continue
        expect(`${at} ${Object.keys(o.properties!).length > 0}`).toBe(`${at} true`)
        expect(`${at} ${o.additionalProperties}`).toBe(`${at} false`)
      }
  })
})
