import { describe, expect, test } from '@jest/globals'
import { fact } from '@nubrin/core/facts'
import { judgeCommission, WORDS } from '@nubrin/core/judge'
import { fitFrom, GENERIC_CATALOGUE } from '@nubrin/core/parts'
import type { Commission, Saber } from '@nubrin/core/record'
import { FIELDS } from '../src/judge/put-right'
import { demo, TODAY } from './samples'
import { SPEAKS } from './speaks'

type Mutation = (s: Saber, c: Commission) => unknown
const mm = (v: number, tol?: number) => fact(v, 'mm', 'measured', tol === undefined ? {} : { tol })
const says = (check: string, change: Mutation) => {
  const c = structuredClone(demo('reed-warden'))
  change(c.sabers[0]!, c)
  return judgeCommission(c, TODAY).filter((f) => f.check === check)
}
describe('each way a check speaks, with its figures', () => {
  test.each(SPEAKS)('%s: %s', (check, _what, change, level, title, detail) => {
    const found = says(check, change)
    const f = found.find((x) => title.test(x.title)) ?? found[0]!
    expect(`${f?.level}: ${f?.title}`).toMatch(new RegExp(`^${level}: .*${title.source.replace(/^\^/, '')}`))
    expect(f.detail).toMatch(detail)
    expect(f.remedy.length).toBeGreaterThan(10)
  })
  test('what to take off, and what shim to add, by hand', () => {
    const remedy = (bore: number) => says('socketFit', (s) => void (s.hilt.sockets[0]!.bore = mm(bore)))[0]!.remedy
    expect(remedy(25.2)).toMatch(/^Take 0\.16 mm off the socket per side/)
    expect(remedy(25.7)).toBe('Shim 0.09 mm per side.')
    expect(remedy(27)).toMatch(/a shim would be 0\.74 mm per side/)
  })
  test('a part that is there but not needed for cutting power is named', () => {
    const [f] = says('cutOff', (s) => {
      s.cutPower = 'none'
      s.parts.push(fitFrom(GENERIC_CATALOGUE.find((r) => r.kind === 'killKey')!, 'key-x'))
    })
    expect(f).toMatchObject({ title: 'A way to cut power is fitted but not named' })
  })
})

test.each(Object.entries(FIELDS))(
  '%s: where it is put right is of a check and of codes that there are',
  (check, field) => {
    const { says } = WORDS[check]!
    if (typeof field === 'object') expect(Object.keys(field).filter((code) => !(code in says))).toEqual([])
  },
)
