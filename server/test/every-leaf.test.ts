import { execFileSync } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, test } from '@jest/globals'
import { buildHandoff } from '@nubrin/core/handoff'
import { MAKER } from '@nubrin/core/units'
import { full } from '../../core/test/full'
import { handoffPdf } from '../src/handoff/pdf'

test('what the client’s document says of a record with every field filled stands on paper, on both sizes of it', async () => {
  const { record, leaves } = full()
  const document = buildHandoff(record, 'Shop', '2026-11-24')
  const page = JSON.stringify(document)
  // Words of one piece: a line of paper does not break them.
  const told = leaves.filter((l) => /^q[a-z]{3}q$|^20\d\d-\d\d-\d\d$/.test(l.says) && page.includes(l.says))
  expect(told.length).toBeGreaterThan(120)
  const inward = leaves.filter((l) => l.at.endsWith('/shopNote'))
  for (const paper of ['A4', 'Letter'] as const) {
    const folder = mkdtempSync(join(tmpdir(), 'nubrin-leaf-'))
    try {
      const file = join(folder, 'x.pdf')
      writeFileSync(file, await handoffPdf(MAKER, { document, sabers: record.sabers, paper, extent: 'full' }))
      const text = execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8', maxBuffer: 32e6 })
      expect(told.filter((l) => !text.includes(l.says)).map((l) => l.at)).toEqual([])
      expect(inward.filter((l) => text.includes(l.says)).map((l) => l.at)).toEqual([])
    } finally {
      rmSync(folder, { recursive: true, force: true })
    }
  }
})
