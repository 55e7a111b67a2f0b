import { describe, expect, test } from '@jest/globals'
import { CAD_LAYERS, cadCsv, cadDxf, cadOf, cadSvg, keyCuts } from '@nubrin/core/drawing'
import { fact, known } from '@nubrin/core/facts'
import { readPartsCsv, readPartsJson, validatePart, writePartsCsv } from '@nubrin/core/import'
import { GENERIC_CATALOGUE, KINDS, type PartKind, SPECS, type SpecKey } from '@nubrin/core/parts'
import DxfParser from 'dxf-parser'
import fc from 'fast-check'
import Papa from 'papaparse'
import { demo, done } from './samples'

describe('a catalogue as CSV', () => {
  test('out and in again is the same catalogue', () => {
    const back = readPartsCsv(writePartsCsv(GENERIC_CATALOGUE))
    expect(back.problems).toEqual([])
    expect(back.parts).toEqual(GENERIC_CATALOGUE.map((p) => ({ ...p })))
  })
  test('any sound catalogue survives the way', () => {
    const spec = (k: SpecKey) =>
      fc.double({ min: SPECS[k].min, max: SPECS[k].max, noNaN: true }).map((v) => Number(v.toPrecision(6)))
    const row = fc
      .record({
        kind: fc.constantFrom(...(Object.keys(KINDS) as PartKind[])),
        name: fc.stringMatching(/^[A-Za-z"',; ×Ωäß]{1,30}$/).filter((n) => n.trim() === n && !/^[=+\-@]/.test(n)),
        length: spec('length'),
        mass: spec('mass'),
        stock: fc.option(fc.nat(500), { nil: undefined }),
        lot: fc.option(fc.stringMatching(/^[A-Z]-\d{1,4}$/), { nil: undefined }),
      })
      .map(({ kind, name, length, mass, stock, lot }, i?: number) => ({
        ...{ id: `part-${i ?? 0}`, kind, name },
        specs: { length: fact(length, 'mm', 'datasheet'), mass: fact(mass, 'g', 'datasheet') },
        ...(stock === undefined ? {} : { stock }),
        ...(lot === undefined ? {} : { lot }),
      }))
    fc.assert(
      fc.property(fc.array(row, { minLength: 1, maxLength: 12 }), (rows) => {
        const parts = rows.map((r, i) => ({ ...r, id: `part-${i}` }))
        const back = readPartsCsv(writePartsCsv(parts))
        expect(back.problems).toEqual([])
        expect(back.parts).toEqual(parts)
      }),
    )
  })
  test('semicolons, decimal commas, a byte-order mark, inches in the heading and in the cell', () => {
    const r = readPartsCsv('\uFEFFkind;name;length (in);diameter;mass (oz)\r\nspeaker;Wide;1/4;1 1/8 in;0,5\r\n')
    expect(r.problems).toEqual([])
    const [p] = r.parts
    expect(p).toMatchObject({ id: 'wide', kind: 'speaker', name: 'Wide' })
    expect(known(p!.specs.length)).toBeCloseTo(6.35)
    expect(known(p!.specs.diameter)).toBeCloseTo(28.575)
    expect(known(p!.specs.mass)).toBeCloseTo(14.1748, 3)
  })
  test.each([
    ['kind,name,length (mm)\ncell,A,long', 2, 'length (mm)', 'notANumber'],
    ['kind,name,length (mm)\ncell,A,-5', 2, 'length (mm)', 'negative'],
    ['kind,name,length (mm)\ncell,A,65 V', 2, 'length (mm)', 'unknownUnit'],
    ['kind,name,length (mm)\ncell,A,650000', 2, 'length (mm)', 'range'],
    ['kind,name,length (mm)\ncell,A,1/0', 2, 'length (mm)', 'zeroDenominator'],
    ['kind,name,length (A)\ncell,A,65', 1, 'length (A)', 'unit'],
    ['kind,name,lenght (mm)\ncell,A,65', 1, 'lenght (mm)', 'heading'],
    ['kind,name,name\ncell,A,B', 1, 'name', 'twice'],
    ['kind,length (mm)\ncell,65', 1, 'name', 'required'],
    ['kind,name\nbattery pack,A', 2, 'kind', 'enum'],
    ['kind,name,stock\ncell,A,2.5', 2, 'stock', 'integer'],
    ['kind,name,protected\ncell,A,perhaps', 2, 'protected', 'yesNo'],
    ['kind,name,length ± (mm)\ncell,A,0.2', 2, 'length ± (mm)', 'orphan'],
    ['id,kind,name\nA B,cell,A', 2, 'id', 'pattern'],
    ['kind,name\ncell,Twin\ncell,Twin', 3, 'id', 'uniqueId'],
    ['kind,name\ncell,A,B,C', 2, '', 'cells'],
  ])('%j is told by row, column and rule', (text, row, column, rule) => {
    const r = readPartsCsv(text)
    expect(r.problems).toContainEqual(expect.objectContaining({ row, column, rule }))
  })
  test.each([
    ['kind,name,cont current', ['cont current: is no heading']],
    ['kind,name,contCurrent', []],
    ['kind,name,CONTCURRENT (mA)', []],
    ['kind,name,continuous current', []],
    ['KIND, Name ,Resistance (kΩ)', []],
    ['kind,name,length (mm),length ± (mm),length tol. (mm)', ['length tol. (mm): stands there twice']],
    ['kind,name,length [ in ],length tol', []],
    ['kind,name,length (mm) or so', ['length (mm) or so: is no heading']],
    ['kind,name,length (  mm  )', []],
    ['kind,name,length (volts)', ['length (volts): is not a unit']],
    ['kind,name,length (mm', ['length (mm: is no heading']],
    ['kind,name,(mm)', ['(mm): is no heading']],
    ['kind,length', ['name: is missing']],
    ['name,length', ['kind: is missing']],
    [`kind,name,${'length'.padStart(121, 'x')}`, [`${'length'.padStart(121, 'x')}: is no heading`]],
    [`kind,name,length${' '.repeat(116)}(mm)`, [`length${' '.repeat(116)}(mm): is no heading`]],
    [`kind,name,length${' '.repeat(110)}(mm)`, []],
  ])('the heading %s', (head, faults) => {
    const r = readPartsCsv(head)
    const said = r.problems.map((p) => `${p.column}: ${p.message}`)
    expect(said.map((x, i) => x.slice(0, faults[i]?.length))).toEqual(faults)
    for (const p of r.problems) expect(p).toMatchObject({ row: 1, path: `/1/${p.column}` })
  })
  test('what is no heading is told as it stands, without the blanks round it', () => {
    const [fault] = readPartsCsv('kind,name,  bore hole  \nspeaker,A,3').problems
    expect(fault).toMatchObject({ rule: 'heading', got: 'bore hole' })
    const unit = readPartsCsv('kind,name,length [  furlong  ]').problems[0]
    expect(unit!.message).toContain('is not a unit')
    expect(unit!.got).toBe('furlong')
  })
  test('a heading at fault stops the reading, a row at fault does not; each names its path and what it said', () => {
    const stopped = readPartsCsv('kind,name,bore hole\ncell,A,3')
    expect(stopped).toMatchObject({ rows: 0, parts: [], problems: [{ rule: 'heading', got: 'bore hole' }] })
    const row = readPartsCsv('id,kind,name,length (mm)\na-1,cell,,65\nb-1,cell,B,65\nc-1,widget,C,6')
    expect(row.parts.map((q) => q.name)).toEqual(['B'])
    expect(row.rows).toBe(3)
    expect(row.problems.map((p) => [p.row, p.path, p.rule, 'got' in p ? p.got : 'nothing said'])).toEqual([
      [2, '/2/name', 'required', 'nothing said'],
      [4, '/4/kind', 'enum', 'widget'],
    ])
  })
  test.each([',', ';', '\t', '|'])('cells apart by %j', (d) => {
    const r = readPartsCsv(
      ['kind', 'name', 'length (mm)'].join(d).concat('\n', ['cell', 'A, B; C', '65'].map((c) => `"${c}"`).join(d)),
    )
    expect(r.problems).toEqual([])
    expect(r.parts).toMatchObject([{ name: 'A, B; C', specs: { length: { value: 65 } } }])
  })
  test('where two separators read equally well, the comma is taken', () => {
    const unknown = (text: string) =>
      readPartsCsv(text).problems.flatMap((p) => (p.rule === 'heading' ? [p.column] : []))
    expect(unknown('kind;,name\na;,b')).toEqual(['kind;'])
    expect(unknown('kind;x,name;y\na;b,c;d')).toEqual(['x,name', 'y'])
  })
  test('a slip of the pen in a kind is asked back', () => {
    expect(readPartsCsv('kind,name\nspeker,A').problems[0]!.message).toBe('is no kind; speaker?')
  })
  test('good rows are read beside bad ones; the bad come back to be mended, and then go in', () => {
    const r = readPartsCsv('kind,name,length (mm)\ncell,Good,65\ncell,Bad,sixty\n\nspeaker,Also good,5')
    expect(r).toMatchObject({ rows: 3, parts: [{ name: 'Good' }, { name: 'Also good' }] })
    expect(Papa.parse(r.rejected).data[1]).toEqual(['cell', 'Bad', 'sixty', 'length (mm): is not a number (sixty)'])
    const mended = r.rejected
      .replace('sixty', '60')
      .replace(',what is wrong', '')
      .replace(/,[^,\n]*\n$/, '\n')
    expect(readPartsCsv(mended)).toMatchObject({ problems: [], parts: [{ name: 'Bad' }] })
  })
  test('of a hundred thousand rows as many are read as a shelf holds, every tenth with its fault', () => {
    const rows = Array.from({ length: 100_000 }, (_, i) => `cell,Cell ${i},${i % 10 ? 65 : 'x'}`)
    const r = readPartsCsv(`kind,name,length (mm)\n${rows.join('\n')}`)
    expect(r.rows).toBe(100_000)
    expect(r.problems).toHaveLength(500)
    expect(r.parts).toHaveLength(4500)
    expect(r.problems[1]).toMatchObject({ row: 12, got: 'x' })
  })
  test('nothing at all is an empty shelf without a heading', () => {
    expect(readPartsCsv('').problems.map((p) => p.rule)).toEqual(['required', 'required'])
  })
})

describe('a catalogue as JSON', () => {
  test('out and in again, and each fault by its place', () => {
    expect(readPartsJson(JSON.stringify(GENERIC_CATALOGUE))).toMatchObject({
      problems: [],
      rows: GENERIC_CATALOGUE.length,
    })
    expect(readPartsJson('{').problems[0]).toMatchObject({ rule: 'json' })
    expect(readPartsJson('{}').problems[0]).toMatchObject({ rule: 'type' })
    const bad = [{ ...GENERIC_CATALOGUE[0], stock: -1 }, GENERIC_CATALOGUE[1], GENERIC_CATALOGUE[1]]
    const r = readPartsJson(JSON.stringify(bad))
    expect(r.problems).toEqual([
      expect.objectContaining({ row: 1, column: 'stock', rule: 'minimum' }),
      expect.objectContaining({ row: 3, rule: 'uniqueId' }),
    ])
    expect(JSON.parse(r.rejected)).toHaveLength(2)
  })
  test('a value out of any use, or in a unit of another kind, is refused', () => {
    const p = { id: 'aa', kind: 'cell', name: 'A', specs: { length: fact(5e6, 'mm') } }
    expect(validatePart(p)).toMatchObject({ ok: false, problems: [{ path: '/specs/length/value', rule: 'range' }] })
    const q = { id: 'aa', kind: 'cell', name: 'A', specs: { length: fact(65, 'V') } }
    expect(validatePart(q)).toMatchObject({ ok: false, problems: [{ rule: 'unit' }] })
  })
})

describe('the cavity for CAD', () => {
  const dxf = new DxfParser().parseSync(cadDxf(done()))!
  const on = (layer: string) => dxf.entities.filter((e) => e.layer === layer)
  test('another reader finds the layers, in millimetres, with something on each', () => {
    expect(Object.keys(dxf.tables.layer.layers)).toEqual(expect.arrayContaining(Object.keys(CAD_LAYERS)))
    expect(dxf.header.$INSUNITS).toBe(4)
    for (const layer of [
      'OUTSIDE',
      'BORE',
      'FREE',
      'PARTS',
      'KEEPOUT',
      'OPENINGS',
      'SCREWS',
      'SOCKETS',
      'AXIS',
      'CUTS',
    ])
      expect({ layer, n: on(layer).length > 0 }).toEqual({ layer, n: true })
  })
  test('the bore it reads is the bore that was recorded', () => {
    const points = on('BORE').flatMap((e) => ('vertices' in e ? (e.vertices as { x: number; y: number }[]) : []))
    const section = points.filter((p) => Math.abs(p.y) < 40 && p.y > 0)
    expect(section).toContainEqual(expect.objectContaining({ x: 32, y: 31.2 / 2 }))
    expect(section).toContainEqual(expect.objectContaining({ x: 148, y: 15.5 }))
    expect(Math.max(...section.map((p) => p.x))).toBeCloseTo(255)
  })
  test('the key cuts carry the cell as a circle of its size', () => {
    const radii = on('PARTS').flatMap((e) => (e.type === 'CIRCLE' ? [(e as unknown as { radius: number }).radius] : []))
    expect(radii).toContain(9.3)
    expect(keyCuts(done()).length).toBeLessThanOrEqual(8)
    expect(
      keyCuts(done())
        .map((c) => c.letter)
        .join(''),
    ).toMatch(/^ABC/)
  })
  test('the SVG is 1:1 in millimetres, and the CSV has every stretch', () => {
    const svg = cadSvg(done())
    const [, w] = /width="([\d.]+)mm"/.exec(svg)!
    const [, vw] = /viewBox="-?[\d.]+ -?[\d.]+ ([\d.]+)/.exec(svg)!
    expect(w).toBe(vw)
    const rows = Papa.parse<string[]>(cadCsv(done())).data
    expect(rows[0]!.slice(0, 4)).toEqual(['what', 'name', 'from mm', 'to mm'])
    expect(rows).toContainEqual(['bore', 'grip', '32', '148', '31', '31', '', 'known'])
    expect(rows.filter((r) => r[0] === 'keep-out')).toHaveLength(3)
  })
  test('what nobody measured is left out and named, not drawn from a stand-in', () => {
    const s = demo('cinder-oath').sabers[0]!
    expect(cadOf(s).left).toContain('neck: not measured')
    expect(
      new DxfParser().parseSync(cadDxf(s))!.entities.filter((e) => e.layer === 'FREE' && e.type !== 'CIRCLE'),
    ).toEqual([])
    expect(keyCuts(s).some((c) => c.x > 144 && c.x < 168)).toBe(false)
  })
})
