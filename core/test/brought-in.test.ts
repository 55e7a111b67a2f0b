import { describe, expect, test } from '@jest/globals'
import { readPartsCsv, readReadings } from '@nubrin/core/import'

const csv = (head: string, ...rows: string[]) => readPartsCsv([head, ...rows].join('\n'))
const said = (head: string, ...rows: string[]) =>
  csv(head, ...rows).problems.map(
    (p) => `${p.row} ${p.column} ${p.rule}: ${p.message}${p.got === undefined ? '' : ` (${p.got})`}`,
  )
const one = (head: string, row: string) => csv(head, row).parts[0]!

describe('a list of parts, column by column', () => {
  test('the source of a row: any case, what is unknown or missing comes from the sheet, another is refused', () => {
    const from = (s: string) => one('kind,name,length (mm),source', `cell,A1,65,${s}`).specs.length!.source
    expect(from('measured')).toBe('measured')
    expect(from('MEASURED')).toBe('measured')
    expect(from('recalled')).toBe('recalled')
    expect(from('unknown')).toBe('datasheet')
    expect(from('')).toBe('datasheet')
    expect(said('kind,name,source', 'cell,A1,hearsay')).toEqual([
      '2 source enum: must be one of measured, read, datasheet, configured, computed, client, recalled, believed, assumed, unknown (hearsay)',
    ])
    const noted = one('kind,name,length (mm),source note', 'cell,A1,65,maker’s sheet').specs.length!
    expect(noted).toMatchObject({ with: 'maker’s sheet', source: 'datasheet' })
    expect('with' in one('kind,name,length (mm)', 'cell,A1,65').specs.length!).toBe(false)
  })
  test('a tolerance belongs to its figure; without one it is an orphan', () => {
    expect(one('kind,name,length (mm),length ± (mm)', 'cell,A1,65,0.2').specs.length).toMatchObject({
      value: 65,
      tol: 0.2,
    })
    expect(said('kind,name,length ± (mm)', 'cell,A1,0.2')).toEqual([
      '2 length ± (mm) orphan: is a tolerance without a length',
    ])
    expect(said('kind,name,length (mm),length ± (mm)', 'cell,A1,many,0.2')).toEqual([
      '2 length (mm) notANumber: is not a number (many)',
      '2 length ± (mm) orphan: is a tolerance without a length',
    ])
  })
  test('a unit stands in the heading or with the number, and measures what the column is', () => {
    expect(one('kind,name,length (in)', 'cell,A1,2').specs.length!.value).toBeCloseTo(50.8)
    expect(one('kind,name,length (in)', 'cell,A1,65 mm').specs.length!.value).toBe(65)
    expect(one('kind,name,  length  ', 'cell,A1, 65 mm ').specs.length!.value).toBe(65)
    expect(one('kind,name,length (in)', 'cell,A1, 2 ').specs.length!.value).toBeCloseTo(50.8)
    expect(said('kind,name,length', 'cell,A1,65 g')[0]).toMatch(
      /^2 length unknownUnit: is in a unit that does not measure length; one of mm, .*\(65 g\)$/,
    )
    expect(said('kind,name,length (g)')[0]).toMatch(
      /^1 length \(g\) unit: is not a unit of length; one of mm, .*\(g\)$/,
    )
    expect(said('kind,name,length', 'cell,A1,-5')).toEqual(['2 length negative: cannot be negative (-5)'])
    expect(said('kind,name,length', 'cell,A1,1/0')).toEqual(['2 length zeroDenominator: divides by zero (1/0)'])
    expect(said('kind,name,length (mm)', 'cell,A1,99999')[0]).toMatch(
      /^2 length \(mm\) range: must be from [\d.]+ to \d+ mm \(99999\)$/,
    )
    expect(said('kind,name,length', `cell,A1,${'9'.repeat(200)}`)[0]).toMatch(
      /^2 length maxLength: is longer than \d+ characters \(9{40}\)$/,
    )
  })
  test.each([',', ';', '\t', '|'])('cells may stand apart by %j', (d) => {
    // The name holds the other three, so a wrong separator tears it.
    const name = `${[',', ';', '\t', '|'].filter((x) => x !== d).join('A')}Z`
    const quoted = d === ',' ? `"${name}"` : name
    const { parts, problems } = readPartsCsv(
      [`kind${d}name${d}length (mm)${d}diameter (mm)`, ['cell', quoted, '65', '18'].join(d)].join('\n'),
    )
    expect(problems).toEqual([])
    expect(parts.map((p) => [p.name.replace(/\s+/g, ' '), p.specs.length?.value, p.specs.diameter?.value])).toEqual([
      [name.replace(/\s+/g, ' '), 65, 18],
    ])
  })
  test('what has to stand there, and how often', () => {
    expect(said('name,length', 'A1,5')).toEqual(['1 kind required: is missing'])
    expect(said('kind,name,kind')).toEqual(['1 kind twice: stands there twice (kind)'])
    expect(said('kind,name,, ,length', 'cell,A1,,,65')).toEqual([])
    expect(said('kind,name', 'cell,')).toEqual(['2 name required: is empty'])
    expect(said('kind,name', 'cell,A1,more')).toEqual(['2  cells: has 3 cells under 2 headings'])
    expect(csv('kind,name', 'cell,A1', ' , ', '', 'cell,B2').parts.map((p) => p.name)).toEqual(['A1', 'B2'])
    expect(said('kind,name', `cell,${'n'.repeat(241)}`)[0]).toMatch(
      /^2 name maxLength: is longer than 240 characters \(n{40}\)$/,
    )
    const wide = (n: number) => said(['kind', 'name', ...Array.from({ length: n - 2 }, () => '')].join(','))
    expect(wide(200)).toEqual([])
    expect(wide(201)).toEqual(['1  maxColumns: are 201; a catalogue has at most 200'])
  })
  test('ids are made from names where there are none, and are one of a kind', () => {
    const id = (name: string) => one('kind,name', `cell,${name}`)?.id
    expect(id('  Cell 18650, 15 A! ')).toBe(undefined)
    expect(csv('kind;name', 'cell;--Zelle Größe 3--').parts[0]!.id).toBe('zelle-gro-e-3')
    expect(csv('kind;name', `cell;${'ab '.repeat(40)}`).parts[0]!.id).toBe('ab-'.repeat(16).slice(0, 47))
    expect(said('kind,name,id', 'cell,A1,A B')).toEqual(['2 id pattern: must be 2 to 48 of a–z, 0–9 and hyphens (A B)'])
    expect(said('kind,name', 'cell,Ω')).toEqual(['2 id pattern: must be 2 to 48 of a–z, 0–9 and hyphens ()'])
    expect(said('kind,name', 'cell,A1', 'cell,A1')).toEqual(['3 id uniqueId: is the id of row 2 too (a1)'])
  })
  test('yes and no, whole numbers, money, materials', () => {
    const shut = (v: string) => one('kind,name,protected', `cell,A1,${v}`).protected
    expect([shut('yes'), shut('YES'), shut('no'), shut('')]).toEqual([true, true, false, undefined])
    expect(said('kind,name,protected', 'cell,A1,perhaps')).toEqual(['2 protected yesNo: must be yes or no (perhaps)'])
    expect(said('kind,name,stock', 'cell,A1,2.5')).toEqual(['2 stock integer: must be a whole number from 0 (2.5)'])
    expect(one('kind,name,stock', 'cell,A1,0').stock).toBe(0)
    expect(csv('kind;name;cost', 'cell;A1;2,5').parts[0]!.cost).toBe(2.5)
    expect(said('kind,name,cost', 'cell,A1,-1')).toEqual(['2 cost number: must be a number from 0 (-1)'])
    expect(said('kind,name,cost', 'cell,A1,1000001')).toEqual(['2 cost number: must be a number from 0 (1000001)'])
    expect(said('kind,name,material', 'cell,A1,cheese')[0]).toMatch(
      /^2 material enum: must be one of .*aluminium.* \(cheese\)$/,
    )
  })
  test('a row at fault is kept with what is wrong with it, cell by cell', () => {
    const r = csv('kind,name,length (mm)', 'cell,,65', 'cell,A1')
    expect(r.parts.map((p) => p.name)).toEqual(['A1'])
    expect(r.rejected).toContain('cell,,65,name: is empty')
    expect(csv('kind,name,length (mm)', 'cell').rejected).toMatch(/cell,,,name: is empty/)
  })
})

describe('readings that are pasted', () => {
  const tests = [
    { id: 't1', key: 'volts', what: 'Cell voltage at rest', unit: 'V', min: 3 },
    { id: 't2', key: 'lit', what: 'Lights up', unit: undefined },
    { id: 't3', key: 'turns', what: 'Turns to open', unit: 'turns', max: 9 },
    { id: 't4', key: 'cell-goes', what: 'Cell goes in', unit: undefined },
  ] as never[]
  const read = (text: string) => {
    const r = readReadings(text, tests)
    return [
      ...r.taken.map((t) => `${t.test} ${t.value ?? t.pass}${t.with === undefined ? '' : ` with ${t.with}`}`),
      ...r.problems.map((p) => `${p.row} ${p.rule}: ${p.message} (${p.got})`),
    ]
  }
  test('apart by semicolon, tab or comma, named by words or key or as much as is theirs alone', () => {
    expect(read('volts; 4.1; meter 3\nLIT;yes')).toEqual(['t1 4.1 with meter 3', 't2 true'])
    expect(read('volts\t4.1\tmeter')).toEqual(['t1 4.1 with meter'])
    expect(read('lights up, fail')).toEqual(['t2 false'])
    expect(read('turns;4,5')).toEqual(['t3 4.5'])
    expect(read('\n  \nlit;ok\n')).toEqual(['t2 true'])
    expect(read('Cell v;3700 mV')).toEqual(['t1 3.7'])
    expect(read('turns to;3')).toEqual(['t3 3'])
  })
  test('what cannot be understood is named by its line; the rest is taken', () => {
    expect(read('cell;4')).toEqual(['1 test: is the beginning of 2 tests (cell)'])
    expect(read('weight;4\nlit;yes')).toEqual(['t2 true', '1 test: is no test of this saber (weight)'])
    expect(read('lit;perhaps')).toEqual(['1 verdict: is neither pass nor fail (perhaps)'])
    expect(read('volts;4 g')).toEqual(['1 number: is no value in V (4 g)'])
    expect(read('turns;many')).toEqual(['1 number: is no value in turns (many)'])
    expect(read('turns;')).toEqual(['1 number: is no value in turns ()'])
    expect(read('lit')).toEqual(['1 verdict: is neither pass nor fail ()'])
    expect(read(`${'w'.repeat(90)};4`)).toEqual([`1 test: is no test of this saber (${'w'.repeat(60)})`])
    expect(read(Array(502).fill('').join('\n'))[0]).toBe('0 maxItems: has 502 lines; 500 are read at once (undefined)')
    expect(read(`lit;yes;${'m'.repeat(300)}`)).toEqual([`t2 true with ${'m'.repeat(240)}`])
  })
})
