import { readFileSync } from 'node:fs'
import { type MessageFormatElement, parse, TYPE } from '@formatjs/icu-messageformat-parser'
import { describe, expect, test } from '@jest/globals'
import { PACKS } from '@nubrin/core/languages'
import { LANGUAGES, MAKER } from '@nubrin/core/units'
import { en, say, whether } from '@nubrin/core/words'

/** Parameters that a message asks for, by walking its parsed form. */
function asked(list: MessageFormatElement[], into = new Set<string>()): Set<string> {
  for (const e of list) {
    if (e.type === TYPE.literal || e.type === TYPE.pound) continue
    into.add(e.value)
    if (e.type === TYPE.select || e.type === TYPE.plural) for (const o of Object.values(e.options)) asked(o.value, into)
    if (e.type === TYPE.tag) asked(e.children, into)
  }
  return into
}
/** What each code promises, read from the declaration itself. */
const declared = new Map(
  [
    ...readFileSync('core/src/words/sayings.ts', 'utf8').matchAll(
      /^ {2}'?([\w.]+)'?: (\{[^}]*\}|Record<never, never>)/gm,
    ),
  ].map((m) => [m[1]!, [...m[2]!.matchAll(/(\w+)\??:/g)].map((p) => p[1]!)] as const),
)

const CATALOGUES = { en, ...PACKS }
/** A thing may stand in any of its cases. */
const plain = (param: string) => param.replace(/_(nom|acc|dat|zu|it|them)$/, '')

describe.each(LANGUAGES)('the catalogue %s', (language) => {
  const messages = Object.entries(CATALOGUES[language].messages)
  test('says every code and no other', () => {
    expect(messages.map(([code]) => code).sort()).toEqual([...declared.keys()].sort())
  })
  test.each(messages)('%s asks only for what its code brings', (code, message) => {
    expect([...asked(parse(message))].filter((p) => !declared.get(code)!.includes(plain(p)))).toEqual([])
  })
  test.each(messages)('%s leaves no choice without an answer', (_code, message) => {
    const open = (list: MessageFormatElement[]): boolean =>
      list.some((e) =>
        e.type === TYPE.select || e.type === TYPE.plural
          ? !('other' in e.options) || Object.values(e.options).some((o) => open(o.value))
          : false,
      )
    expect(open(parse(message))).toBe(false)
  })
})

describe('saying', () => {
  test('a value that looks like a message is only a value', () => {
    expect(say(MAKER, 'cover.for', { client: '{client} <b>' })).toBe('for {client} <b>')
  })
  test('whether counts, as a sentence counts: nothing, an empty text and 0 are no', () => {
    expect([undefined, '', 0, null, false].map(whether)).toEqual(['no', 'no', 'no', 'no', 'no'])
    expect(['x', 1, true].map(whether)).toEqual(['yes', 'yes', 'yes'])
  })
})
