import { DEEPEST_JSON, explain, makeAjv, nestedDeeper } from '../import'
import { type Commission, type Problem, ReplyFile } from '../record'

const ajv = makeAjv()

/** Reads a reply that came as a file: every fault by place and rule, among them that it answers another commission. */
export function readReply(
  text: string,
  c: Pick<Commission, 'id'>,
): { ok: true; reply: ReplyFile } | { ok: false; problems: Problem[] } {
  const fault = (path: string, rule: string, message: string) => ({
    ok: false as const,
    problems: [{ path, rule, message }],
  })
  if (text.length > 60_000) return fault('', 'maxBytes', 'A reply has at most 60 kB; this is something else.')
  if (nestedDeeper(text, DEEPEST_JSON)) return fault('', 'maxDepth', `is nested deeper than ${DEEPEST_JSON} levels`)
  let raw: unknown
  try {
    raw = JSON.parse(text.replace(/^\uFEFF/, ''))
  } catch (e) {
    return fault('', 'json', `This is not JSON: ${(e as Error).message}`)
  }
  const check = ajv.compile(ReplyFile)
  if (!check(raw)) return { ok: false, problems: explain(check.errors ?? []) }
  const reply = raw as ReplyFile
  if (reply.of !== c.id) return fault('/of', 'reference', `answers the record of another commission, ${reply.of}`)
  return { ok: true, reply }
}
