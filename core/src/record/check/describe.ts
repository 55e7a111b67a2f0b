import type { TSchema } from '@sinclair/typebox'
import { Commission } from '../schema/commission'
import { type Kind, THINGS } from '../schema/ref'

const tick = (s: unknown) => `\`${String(s)}\``
const limits = (s: TSchema, pairs: readonly (readonly [string, string])[]) =>
  pairs.flatMap(([key, word]) => (s[key] === undefined ? [] : [`${word} ${String(s[key])}`])).join(', ')

/** What may stand in a field, in words. */
function typeOf(s: TSchema, name: string, later: (name: string, s: TSchema) => void): string {
  const fact: unknown = s['x-fact']
  if (typeof fact === 'string')
    return fact === 'text'
      ? 'fact in words'
      : fact === 'colour'
        ? 'fact, a colour `#rrggbb`'
        : fact === 'choice'
          ? `fact, one of ${choices(s.properties.value)}`
          : `fact in ${fact}`
  if (s['x-kind']) return `its own id`
  const names = s['x-names'] as Kind[] | undefined
  if (names) {
    const what = names.length === Object.keys(THINGS).length ? 'any thing' : names.map((k) => THINGS[k][0]).join(' or ')
    return String(s.pattern).includes(':') ? `reference ${tick('kind:id')} to ${what}` : `id of a ${what}`
  }
  if (s.const !== undefined) return tick(JSON.stringify(s.const))
  if (s.anyOf) return choices(s)
  if (s.type === 'array') {
    const most = limits(s, [
      ['minItems', 'at least'],
      ['maxItems', 'at most'],
    ])
    return `list of ${typeOf(s.items, name, later)}${most ? `, ${most}` : ''}`
  }
  if (s.type === 'object' && s.properties) {
    later(name, s)
    return `[${name}](#${name.toLowerCase()})`
  }
  if (s.type === 'object') return 'object'
  const range = limits(s, [
    ['minimum', 'from'],
    ['maximum', 'to'],
    ['minLength', 'at least'],
    ['maxLength', 'at most'],
  ])
  const kind =
    s.format === 'date' ? 'date' : s.format === 'date-time' ? 'moment' : s.type === 'string' ? 'text' : s.type
  return `${kind}${range ? `, ${range}${s.type === 'string' ? ' characters' : ''}` : s.pattern ? ` ${tick(s.pattern)}` : ''}`
}
const choices = (s: TSchema): string =>
  ((s.anyOf ?? [s]) as TSchema[]).map((x) => (x.const === undefined ? String(x.type) : tick(x.const))).join(', ')

/** A heading for the thing of a field: `sabers` → Saber, by the kind of its identity where it has one. */
function headingOf(key: string, s: TSchema): string {
  const kind = s.properties?.id?.['x-kind'] as Kind | undefined
  const word = kind ?? key
  return word.charAt(0).toUpperCase() + word.slice(1)
}

/** The whole format as Markdown tables, made from the schema: one table for each thing, every field with what may stand in it. */
export function describeFormat(): string {
  const out: string[] = []
  const done = new Set<string>()
  const queue: [string, TSchema][] = [['Commission', Commission]]
  for (let next = queue.shift(); next; next = queue.shift()) {
    const [name, schema] = next
    if (done.has(name)) continue
    done.add(name)
    const required = new Set((schema.required ?? []) as string[])
    const later = (n: string, s: TSchema) => queue.push([n, s])
    const rows = Object.entries(schema.properties as Record<string, TSchema>).map(([key, s]) => {
      const inner = s.type === 'array' ? (s.items as TSchema) : s
      const words = typeOf(s, inner.properties && !inner['x-fact'] ? headingOf(key, inner) : key, later)
      return `| ${tick(key)} | ${words.replaceAll('|', '\\|')} | ${required.has(key) ? 'yes' : ''} |`
    })
    out.push(`### ${name}`, '', '| field | holds | required |', '| --- | --- | --- |', ...rows, '')
  }
  return out.join('\n')
}
