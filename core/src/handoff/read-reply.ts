import { DEEPEST_JSON, explain, makeAjv, nestedDeeper } from '../import'
import { type Commission, type Problem, type ReplyBody, ReplyFile } from '../record'

const ajv = makeAjv()

/** The chapters of each record that was issued, by its number. */
export type Issued = ReadonlyMap<number, readonly string[]>

/** What is wrong where a reply, at its place, says that a chapter was read which the record does not have. */
export const noChapter = (says: ReplyBody, chapters: readonly string[], at = ''): Problem[] =>
  'read' in says && !chapters.includes(says.read)
    ? [{ path: `${at}/read`, rule: 'reference', message: 'names a chapter that the record does not have' }]
    : []

/**
 * Reads a reply that came as a file: every fault by place and rule, among them that it answers another commission, a record that
 * was never issued, or a chapter that is not in it.
 */
export function readReply(
  text: string,
  c: Pick<Commission, 'id'>,
  issued: Issued,
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
  const chapters = issued.get(reply.number)
  if (!chapters) return fault('/number', 'reference', `answers record no. ${reply.number}, which was never issued`)
  const wrong = reply.says.flatMap((x, i) => noChapter(x, chapters, `/says/${i}`))
  return wrong.length ? { ok: false, problems: wrong } : { ok: true, reply }
}
