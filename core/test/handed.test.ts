import { readFileSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { expect, test } from '@jest/globals'
import { type Block, buildHandoff, drawnSaber } from '@nubrin/core/handoff'
import type { Commission } from '@nubrin/core/record'
import { FIRST } from './cases/first'
import { SECOND } from './cases/second'
import { THIRD } from './cases/third'
import { full } from './full'
import { demo, TODAY } from './samples'

const FILE = join(dirname(fileURLToPath(import.meta.url)), 'handed.txt')

const block = (b: Block): string[] => {
  switch (b.kind) {
    case 'para':
      return [b.text]
    case 'facts':
      return b.rows.map((r) => `${r.name}: ${r.value}${r.about ? ' (about)' : ''}`)
    case 'table':
      return [b.head, ...b.rows].map((r, i) => `| ${r.join(' | ')}${b.swatch && i ? ` | ${b.swatch[i - 1]}` : ''}`)
    case 'steps':
      return [
        `> ${b.title}`,
        ...b.steps.map(
          (x, i) => `  ${i + 1}. ${[x.text, x.tool, x.caution, x.place].filter((t) => t !== undefined).join(' / ')}`,
        ),
      ]
    case 'caution':
      return [`! ${b.title}: ${b.text}`]
    case 'drawing':
      return [`drawing of ${b.saber}: ${b.which}`]
    case 'apart':
      return [...b.out, ...b.back].map(
        (x, i) => `  ${i + 1}. ${[x.text, x.tool].filter((t) => t !== undefined).join(' / ')}`,
      )
    case 'film':
      return [b.title, b.address ?? '', b.file ?? '', ...b.chapters.map((x) => `${x.at} ${x.title}`)]
    case 'script':
      return b.beats.map((x) => `${x.n}. ${x.say}${x.show ? ` [${x.show}]` : ''}${x.ref ? ` <${x.ref}>` : ''}`)
  }
}
/** A document as it is read, from its cover to its end. */
const read = (c: Commission): string => {
  const { chapters, ...cover } = buildHandoff(c, 'Brass and Light', TODAY, {
    ...{ address: ['1 Ferry Lane'], contact: 'by letter', signature: 'Maren', closing: 'Keep it dry.' },
  } as never)
  return [
    `===== ${c.title}`,
    JSON.stringify(cover),
    ...chapters.flatMap((ch) => [
      `== ${ch.title} (${ch.id}${ch.saber ? `, ${ch.saber}` : ''})`,
      ...ch.blocks.flatMap(block),
    ]),
  ].join('\n')
}
/** The full record, and what it says with one thing taken away or turned. */
const turned = (run: (c: Commission) => void): Commission => {
  const c = structuredClone(full().record)
  run(c)
  return c
}

/**
 * What clients are handed, as it was last read and found right; NUBRIN_DOCS=1 writes it anew, to be read again before it is kept.
 */
test('what is handed over says what was last read and found right', () => {
  const jobs = [...FIRST, ...SECOND, ...THIRD].map((j) => j.make())
  const parts: Record<string, (c: Commission) => void> = {
    'nothing assumed': (c) => void (c.sabers[0]!.use.brightness.source = 'assumed'),
    'no highest volume': (c) => void delete c.sabers[0]!.use.highestVolume,
    'tests in words': (c) => {
      for (const t of c.sabers[0]!.tests) {
        delete t.min
        delete t.max
        for (const r of t.readings) delete r.value
      }
    },
    'no repairs proved, none paid': (c) => {
      for (const f of c.sabers[0]!.repairs) {
        delete f.cycles
        delete f.charge
      }
    },
    'nothing read yet': (c) => {
      for (const t of c.sabers[0]!.tests) t.readings = []
    },
    'no lot, no type': (c) => {
      for (const p of c.sabers[0]!.parts) {
        delete p.lot
        delete p.type
      }
    },
    'bare hilt': (c) => {
      const s = c.sabers[0]!
      Object.assign(s, {
        parts: [],
        blades: [],
        presets: [],
        controls: [],
        access: [],
        tests: [],
        repairs: [],
        items: [],
        beats: [],
      })
    },
  }
  const differing = (c: Commission, from: Commission) => {
    const had = new Set(read(from).split('\n'))
    return read(c)
      .split('\n')
      .filter((l) => !had.has(l))
  }
  const text = [
    ...[demo('reed-warden'), demo('ember-fair'), full().record, ...jobs].map(read),
    ...Object.entries(parts).flatMap(([what, run]) => [
      `===== the full record, ${what}`,
      ...differing(turned(run), full().record),
    ]),
    '===== what travels to be drawn',
    JSON.stringify(drawnSaber(full().record.sabers[0]!), null, 1),
  ].join('\n')
  if (process.env.NUBRIN_DOCS) writeFileSync(FILE, `${text}\n`)
  expect(`${text}\n`).toBe(readFileSync(FILE, 'utf8'))
})
