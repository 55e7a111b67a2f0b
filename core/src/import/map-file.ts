import { MAP_FORMAT, MapFile, type MapSheet } from '../controls'
import { type ControlRow, type Input, isObject, type Mode, type Problem } from '../record'
import { DEEPEST_JSON, nestedDeeper } from '../record/check/depth'
import { explain, makeAjv } from '../record/check/validate'

/** A file longer than this is not read. */
const MOST_MAP_BYTES = 4e6

const ajv = makeAjv()

export type MapRead = { ok: true; map: MapSheet } | { ok: false; problems: Problem[] }

const refuse = (path: string, rule: string, message: string, got?: string): MapRead => ({
  ok: false,
  problems: [{ path, rule, message, ...(got === undefined ? {} : { got }) }],
})

/**
 * Reads a file of controls. What is wrong is named by its place and rule, at most 40 matters: a gesture nobody knows, a row in
 * a mode that the file does not have, an input of nothing, an id twice. Nothing is taken from a file with a fault.
 */
export function readMap(text: string): MapRead {
  if (text.length > MOST_MAP_BYTES)
    return refuse('', 'maxLength', `is longer than ${MOST_MAP_BYTES / 1e6} million characters`)
  if (nestedDeeper(text, DEEPEST_JSON)) return refuse('', 'depth', 'is nested too deep')
  let doc: unknown
  try {
    doc = JSON.parse(text)
  } catch (e) {
    return refuse('', 'json', `is no JSON: ${(e as Error).message}`)
  }
  if (!isObject(doc)) return refuse('', 'type', 'must be a JSON object')
  if (doc.format !== MAP_FORMAT) return refuse('/format', 'format', `must be "${MAP_FORMAT}"`, String(doc.format))
  const check = ajv.compile(MapFile)
  if (!check(doc)) return { ok: false, problems: explain(check.errors ?? []) }
  const { name, modes, timing, inputs, controls } = doc as MapFile
  const problems = [
    ...doubles('/modes', modes),
    ...doubles('/inputs', inputs),
    ...doubles('/controls', controls),
    ...names(modes, inputs, controls),
  ]
  return problems.length
    ? { ok: false, problems: problems.slice(0, 40) }
    : { ok: true, map: { name, modes, timing, inputs, controls } }
}

function doubles(path: string, list: readonly { id: string }[]): Problem[] {
  const seen = new Map<string, number>()
  return list.flatMap(({ id }, i) => {
    const first = seen.get(id)
    if (first === undefined) {
      seen.set(id, i)
      return []
    }
    return [
      { path: `${path}/${i}/id`, rule: 'uniqueId', message: `the id is already used at ${path}/${first}`, got: id },
    ]
  })
}

function names(modes: readonly Mode[], inputs: readonly Input[], rows: readonly ControlRow[]): Problem[] {
  const [hasMode, hasInput] = [new Set(modes.map((m) => m.id)), new Set(inputs.map((i) => i.id))]
  const lost = (path: string, id: string | undefined, has: ReadonlySet<string>, what: string): Problem[] =>
    id === undefined || has.has(id)
      ? []
      : [{ path, rule: 'reference', message: `names ${what} that is not in this file`, got: id }]
  return [
    ...modes.flatMap((m, i) => [
      ...lost(`/modes/${i}/on`, m.on, hasMode, 'a mode'),
      ...lost(`/modes/${i}/leads`, m.leads, hasMode, 'a mode'),
    ]),
    ...rows.flatMap((r, i) => [
      ...lost(`/controls/${i}/mode`, r.mode, hasMode, 'a mode'),
      ...lost(`/controls/${i}/to`, r.to, hasMode, 'a mode'),
      ...lost(`/controls/${i}/input`, r.input, hasInput, 'an input'),
      ...lost(`/controls/${i}/other`, r.other, hasInput, 'an input'),
    ]),
  ]
}
