import { describe, expect, test } from '@jest/globals'
import { type CadEntity, cadCsv, cadOf, cadSvg, drawUnrolled, keyCuts, placeOf, type Scene } from '@nubrin/core/drawing'
import { fact } from '@nubrin/core/facts'
import type { Saber } from '@nubrin/core/record'
import { MAKER } from '@nubrin/core/units'
import { tube } from './samples'

const mm = (v: number) => fact(v, 'mm', 'measured')
const deg = (v: number) => fact(v, 'deg', 'measured')
const num = (v: number) => String(Number(v.toFixed(2)))
/** A stepped hilt with one of each thing in it. */
function hilt(): Saber {
  const s = tube([
    [60, 36, 24],
    [140, 36, 30],
  ])
  for (const x of s.hilt.sections) for (const k of ['length', 'outside', 'bore'] as const) x[k] = mm(x[k].value!)
  s.hilt.clearance = mm(0)
  s.hilt.sockets.push({ id: 'k', name: 'main', section: 's1', bore: mm(25.4), depth: mm(30) } as never)
  s.hilt.openings.push(
    { id: 'o', kind: 'window', name: 'pane', at: mm(100), length: mm(20), width: mm(8), clock: deg(0) } as never,
    { id: 'v', kind: 'vent', name: 'vent', at: mm(10), length: mm(4), width: mm(4), clock: deg(180) } as never,
  )
  s.hilt.fasteners.push(
    { id: 'f', name: 'grub', thread: 'M3', head: 'set', at: mm(190), clock: deg(60), clientMay: 'never' } as never,
    { id: 'g', name: 'thumb', thread: 'M4', head: 'thumb', at: mm(180), clock: deg(180) } as never,
  )
  s.parts.push(
    { id: 'c', kind: 'cell', name: 'cell', specs: { diameter: mm(18), length: mm(65) }, at: mm(70) },
    {
      id: 'd',
      kind: 'display',
      name: 'face',
      specs: { length: mm(20), width: mm(10), height: mm(2) },
      at: mm(150),
      clock: deg(180),
    },
    {
      id: 'b',
      kind: 'switch',
      name: 'knob',
      specs: { length: mm(8), diameter: mm(8), height: mm(8) },
      at: mm(20),
      clock: deg(0),
    },
    { id: 'n', kind: 'board', name: 'board', specs: { length: mm(30) } },
  )
  return s
}
const line = (e: CadEntity) =>
  e.t === 'circle'
    ? `${e.layer} ⊙ ${e.at.map(num)} r ${num(e.r)}`
    : e.t === 'text'
      ? `${e.layer} “${e.text}” ${e.at.map(num)} h ${e.h}`
      : `${e.layer}${e.closed ? '' : ' open'} ${e.pts.map((p) => p.map(num).join()).join(' ')}`
/** A shape of the unrolled surface: along in mm, around in mm from the switch line, upwards less. */
const inventory = (s: Scene) =>
  s.prims.map((p) => {
    const at = ([x, y]: readonly [number, number]) => `${num(s.mm(x))},${num((y - s.axisY) / s.scale)}`
    const ref = p.ref ? ` @${p.ref}` : ''
    if (p.t === 'text') return `${p.role} “${p.text}” ${p.anchor} ${at(p.at)}${ref}`
    if (p.t === 'circle') return `${p.role} ⊙ ${at(p.at)} r ${num(p.r)} px${ref}`
    return `${p.role}${p.closed ? '' : ' open'} ${p.pts.map(at).join(' ')}${ref}`
  })
const view = { width: 866, height: 400 }

describe('the cavity for CAD, entity by entity', () => {
  test('section, keep-outs, parts, openings, screws, sockets, and the key cuts beside each other', () => {
    const { entities, left, width, height } = cadOf(hilt())
    expect(entities.map(line)).toEqual([
      'AXIS open -5,0 205,0',
      'OUTSIDE open 0,18 60,18',
      'BORE open 0,12 60,12',
      'OUTSIDE open 0,-18 60,-18',
      'BORE open 0,-12 60,-12',
      'OUTSIDE open 0,12 0,18',
      'OUTSIDE open 0,-12 0,-18',
      'OUTSIDE open 60,12 60,18',
      'OUTSIDE open 60,-12 60,-18',
      'NOTES “section 0 60” 1,30 h 2.5',
      'OUTSIDE open 60,18 200,18',
      'BORE open 60,15 200,15',
      'OUTSIDE open 60,-18 200,-18',
      'BORE open 60,-15 200,-15',
      'OUTSIDE open 60,15 60,18',
      'OUTSIDE open 60,-15 60,-18',
      'OUTSIDE open 200,15 200,18',
      'OUTSIDE open 200,-15 200,-18',
      'NOTES “section 1 140” 61,30 h 2.5',
      'FREE open 0,12 20,12',
      'FREE open 0,-12 20,-12',
      'FREE open 20,12 28,12',
      'FREE open 20,-12 28,-12',
      'FREE open 28,12 60,12',
      'FREE open 28,-12 60,-12',
      'FREE open 60,15 150,15',
      'FREE open 60,-15 150,-15',
      'FREE open 150,15 170,15',
      'FREE open 150,-15 170,-15',
      'FREE open 170,15 200,15',
      'FREE open 170,-15 200,-15',
      'KEEPOUT 150,-11.74 170,-11.74 170,-15 150,-15',
      'NOTES “face at 180 deg” 150,-11.14 h 1.8',
      'KEEPOUT 20,10 28,10 28,12 20,12',
      'NOTES “knob at 0 deg” 20,7.6 h 1.8',
      'PARTS 70,-9 135,-9 135,9 70,9',
      'PARTS 150,-13.74 170,-13.74 170,-11.74 150,-11.74',
      'OPENINGS 90,17.6 110,17.6 110,18.4 90,18.4',
      'OPENINGS 8,-18.4 12,-18.4 12,-17.6 8,-17.6',
      'SCREWS ⊙ 190,9 r 1.5',
      'NOTES “grub M3” 190,12 h 1.8',
      'SCREWS ⊙ 180,-18 r 1.5',
      'NOTES “thumb M4” 180,-23 h 1.8',
      'SOCKETS 170,-12.7 200,-12.7 200,12.7 170,12.7',
      'NOTES “A-A at 24: knob” 4,-110 h 2',
      'NOTES “A” 24,-27 h 3',
      'CUTS open 24,-24 24,24',
      'OUTSIDE ⊙ 28,-80 r 18',
      'BORE ⊙ 28,-80 r 12',
      'FREE ⊙ 28,-80 r 12',
      'KEEPOUT 24,-70 32,-70 32,-62 24,-62',
      'NOTES “B-B at 30: narrowest bore, section 0” 66,-110 h 2',
      'NOTES “B” 30,-27 h 3',
      'CUTS open 30,-24 30,24',
      'OUTSIDE ⊙ 90,-80 r 18',
      'BORE ⊙ 90,-80 r 12',
      'FREE ⊙ 90,-80 r 12',
      'NOTES “C-C at 102.5: cell” 128,-110 h 2',
      'NOTES “C” 102.5,-27 h 3',
      'CUTS open 102.5,-24 102.5,24',
      'OUTSIDE ⊙ 152,-80 r 18',
      'BORE ⊙ 152,-80 r 15',
      'FREE ⊙ 152,-80 r 15',
      'PARTS ⊙ 152,-80 r 9',
      'NOTES “D-D at 160: face” 190,-110 h 2',
      'NOTES “D” 160,-27 h 3',
      'CUTS open 160,-24 160,24',
      'OUTSIDE ⊙ 214,-80 r 18',
      'BORE ⊙ 214,-80 r 15',
      'FREE ⊙ 214,-80 r 15',
      'KEEPOUT 219,-91.74 209,-91.74 209,-93.74 219,-93.74',
    ])
    expect({ left, width, height }).toEqual({ left: ['board: no place or size'], width: 248, height: 152 })
    expect(keyCuts(hilt())).toEqual([
      { letter: 'A', x: 24, why: 'knob' },
      { letter: 'B', x: 30, why: 'narrowest bore, section 0' },
      { letter: 'C', x: 102.5, why: 'cell' },
      { letter: 'D', x: 160, why: 'face' },
    ])
  })
  test('the same as rows of numbers', () => {
    expect(cadCsv(hilt()).trim().split('\n')).toEqual([
      'what,name,from mm,to mm,size at from mm,size at to mm,clock deg,known',
      'outside,section 0,0,60,36,36,,known',
      'bore,section 0,0,60,24,24,,known',
      'outside,section 1,60,200,36,36,,known',
      'bore,section 1,60,200,30,30,,known',
      'free,section 0,0,20,24,24,,',
      'free,section 0,20,28,24,24,,',
      'free,section 0,28,60,24,24,,',
      'free,section 1,60,150,30,30,,',
      'free,section 1,150,170,30,30,,',
      'free,section 1,170,200,30,30,,',
      'keep-out,face,150,170,23.484,23.484,180,',
      'keep-out,knob,20,28,20,20,0,',
      'part,cell,70,135,18,18,,measured',
      'part,face,150,170,2,10,180,measured',
      'part,knob,20,28,8,8,0,measured',
      'opening,pane,90,110,20,8,0,measured',
      'opening,vent,8,12,4,4,180,measured',
      'screw,grub M3,190,190,,,60,measured',
      'screw,thumb M4,180,180,,,180,measured',
    ])
  })
  test('a name with a comma or a quotation mark stays one cell', () => {
    const s = hilt()
    s.hilt.openings[0]!.name = 'pane, "old"'
    expect(cadCsv(s)).toContain('opening,"pane, ""old""",90,110')
  })
  test('as SVG it is its own size, y upwards, each kind in its group', () => {
    const s = tube([[50, 30, 20]])
    for (const x of s.hilt.sections) for (const k of ['length', 'outside', 'bore'] as const) x[k] = mm(x[k].value!)
    s.hilt.clearance = mm(0)
    s.hilt.sections[0]!.name = 'Ø4 <a> × Ω'
    const svg = cadSvg(s)
    expect(svg).toMatch(/^<svg [^>]*width="72mm" height="152mm" viewBox="-8 -36 72 152"/)
    const groups = [...svg.matchAll(/<g id="(\w+)" stroke="([^"]+)"( stroke-dasharray="[^"]+")?>(.*?)<\/g>/g)]
    expect(groups.map(([, id, ink, dash]) => `${id} ${ink}${dash ?? ''}`)).toEqual([
      'OUTSIDE #1e2a2b',
      'BORE #2a4b6b',
      'FREE #35613d stroke-dasharray="1.2 0.8"',
      'PARTS #8a5f17',
      'KEEPOUT #a63a2b',
      'OPENINGS #1e2a2b',
      'SCREWS #1e2a2b',
      'SOCKETS #1e2a2b',
      'AXIS #1e2a2b stroke-dasharray="6 1 1 1"',
      'CUTS #1e2a2b',
      'NOTES #1e2a2b',
    ])
    const of = (id: string) => groups.find((g) => g[1] === id)![4]
    expect(of('BORE')).toBe('<path d="M0 -10L50 -10"/><path d="M0 10L50 10"/><circle cx="28" cy="80" r="10"/>')
    expect(of('NOTES')).toContain(
      '<text x="1" y="-30" font-size="2.5" fill="#1e2a2b" stroke="none">dia 4 &#60;a&#62; x Ohm 50</text>',
    )
    // What is closed is closed.
    expect(cadSvg(hilt())).toContain('<path d="M70 9L135 9L135 -9L70 -9Z"/>')
  })
  test('what is not measured is left out and named', () => {
    const s = hilt()
    s.hilt.sections[0]!.bore = fact(null, 'mm')
    s.hilt.openings[0]!.at = fact(null, 'mm')
    s.hilt.fasteners[0]!.at = fact(null, 'mm')
    const { entities, left } = cadOf(s)
    expect(left).toEqual([
      'section 0: not measured',
      'board: no place or size',
      'pane: no place or size',
      'grub: no place',
    ])
    expect(entities.some((e) => e.layer === 'FREE' && e.t === 'poly')).toBe(false)
    s.hilt.sections[1]!.length = fact(140, 'mm', 'assumed')
    expect(cadOf(s).entities.map(line)).toContain('NOTES “section 1 140 (not confirmed)” 61,30 h 2.5')
    expect(cadCsv(s)).toContain('outside,section 1,60,200,36,36,,assumed')
  })
  test('at most eight cuts, none twice, none outside', () => {
    const s = hilt()
    for (let i = 0; i < 12; i++)
      s.parts.push({
        id: `s${i}`,
        kind: 'switch',
        name: `s${i}`,
        specs: { diameter: mm(4), length: mm(4) },
        at: mm(5 + 12 * i),
      })
    s.parts.push({ id: 'out', kind: 'cell', name: 'out', specs: { diameter: mm(4), length: mm(4) }, at: mm(300) })
    const cuts = keyCuts(s)
    expect(cuts).toHaveLength(8)
    expect(cuts.map((c) => c.letter).join('')).toBe('ABCDEFGH')
    for (let i = 1; i < cuts.length; i++) expect(cuts[i]!.x - cuts[i - 1]!.x).toBeGreaterThanOrEqual(1)
  })
})

describe('the unrolled surface, millimetre by millimetre', () => {
  test('outlines as wide as they are round, what stands on them, and where each stands along', () => {
    const u = drawUnrolled(MAKER, hilt(), view)
    expect(u.scale).toBeCloseTo((400 - 34 - 18) / (Math.PI * 36), 9)
    expect(inventory(u)).toEqual([
      'outline 0,-56.55 60,-56.55 60,56.55 0,56.55 @section:s0',
      'label “section 0” middle 30,60.77',
      'outline 60,-56.55 200,-56.55 200,56.55 60,56.55 @section:s1',
      'label “section 1” middle 130,60.77',
      'ghost open 0,-28.27 60,-28.27 60,-28.27 200,-28.27',
      'label “270°” end -1.95,-26.97',
      'centre open 0,0 60,0 60,0 200,0',
      'label “0°” end -1.95,1.3',
      'ghost open 0,28.27 60,28.27 60,28.27 200,28.27',
      'label “90°” end -1.95,29.57',
      'glass 90,-4 110,-4 110,4 90,4 @opening:o',
      'void 8,-56.55 12,-56.55 12,-54.55 8,-54.55 @opening:v',
      'void 8,54.55 12,54.55 12,56.55 8,56.55 @opening:v',
      'part ⊙ 24,0 r 12.31 px @part:b',
      'screw ⊙ 190,18.85 r 5 px @fastener:f',
      'thread open 189.03,17.87 190.97,19.82',
      'thread open 189.03,19.82 190.97,17.87',
      'label “grub” start 192.6,20.15 @fastener:f',
      'screw ⊙ 180,-56.55 r 5 px @fastener:g',
      'thread open 179.03,-56.55 180.97,-56.55',
      'label “thumb” start 182.6,-55.25 @fastener:g',
      'dimText “10” middle 10,-60.45 @opening:v',
      'dim open 10,-59.47 10,-57.2',
      'dimText “24” middle 24,-60.45 @part:b',
      'dim open 24,-59.47 24,-57.2',
      'dimText “100” middle 100,-60.45 @opening:o',
      'dim open 100,-59.47 100,-57.2',
      'dimText “180” middle 180,-60.45 @fastener:g',
      'dim open 180,-59.47 180,-57.2',
      'dimText “190” middle 190,-60.45 @fastener:f',
      'dim open 190,-59.47 190,-57.2',
    ])
    expect(
      u.spots.map(
        (q) =>
          `${q.ref} ${num(u.mm(q.x0))}…${num(u.mm(q.x1))} ${num((q.y0 - u.axisY) / u.scale)}…${num((q.y1 - u.axisY) / u.scale)}`,
      ),
    ).toEqual([
      'opening:o 90…110 -4…4',
      'opening:v 8…12 -56.55…-54.55',
      'opening:v 8…12 54.55…56.55',
      'part:b 20…28 -4…4',
      'fastener:f 187.4…192.6 16.25…21.45',
      'fastener:g 177.4…182.6 -59.15…-53.95',
    ])
  })
  test('what is lit has its arc from the switch line told', () => {
    const plain = new Set(inventory(drawUnrolled(MAKER, hilt(), view)))
    const lit = (ref: string) =>
      inventory(drawUnrolled(MAKER, hilt(), { ...view, lit: ref })).filter((t) => !plain.has(t))
    // 60° of a circumference of 36 π.
    expect(lit('fastener:f')).toEqual([
      'leader open 190,-57.2 190,18.85',
      'dim open 190,18.85 190,0',
      'dimText “18.8 mm round, 60°” start 192.6,24.7',
    ])
    expect(lit('opening:o')).toEqual(['leader open 100,-57.2 100,0'])
  })
  test('a point of the page is a clock angle, and beyond the edge none', () => {
    const u = drawUnrolled(MAKER, hilt(), view)
    const clock = (at: number, arc: number) => u.clock(u.x(at), u.axisY + arc * u.scale)
    expect(clock(190, 18.85)).toBeCloseTo(60, 1)
    expect(clock(190, -18.85)).toBeCloseTo(300, 1)
    expect(clock(-1, 0)).toBeUndefined()
    expect(clock(201, 0)).toBeUndefined()
    expect(clock(100, 57)).toBeUndefined()
  })
})

test('where things stand along the hilt', () => {
  const s = hilt()
  s.inputs = [{ id: 'i', name: 'knob', part: 'b' } as never, { id: 'w', name: 'pane', opening: 'o' } as never]
  s.blades = [{ id: 'x', name: 'x', socket: 'k' } as never]
  const at = (ref: string | undefined) => {
    const p = placeOf(s, ref)
    return p && [p.x0, p.x1]
  }
  expect(
    ['section:s1', 'fastener:f', 'opening:o', 'part:c', 'socket:k', 'blade:x', 'input:i', 'input:w'].map(at),
  ).toEqual([
    [60, 200],
    [190, 190],
    [90, 110],
    [70, 135],
    [170, 200],
    [170, 200],
    [20, 28],
    [90, 110],
  ])
  for (const none of [undefined, 'nonsense', 'preset:x', 'part:n', 'part:zz', 'blade:zz', 'input:zz', 'fastener:zz'])
    expect(at(none)).toBeUndefined()
})
