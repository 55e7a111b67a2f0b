import { describe, expect, test } from '@jest/globals'
import { drawSection, type Prim, type Scene, type SectionView, svgOf } from '@nubrin/core/drawing'
import { fact, stated } from '@nubrin/core/facts'
import type { FittedPart, Saber } from '@nubrin/core/record'
import { MAKER } from '@nubrin/core/units'
import { tube } from './samples'

const mm = (v: number) => fact(v, 'mm', 'measured')
const deg = (v: number) => fact(v, 'deg', 'measured')
/** Four pixels a millimetre, so that what is given in pixels comes out in quarters. */
const VIEW = { width: 1052, height: 400 }
/** A tube of 36 with a bore of 30, 200 long. */
const hilt = () => {
  const s = tube([
    [120, 36, 30],
    [80, 36, 30],
  ])
  for (const x of s.hilt.sections) for (const k of ['length', 'outside', 'bore'] as const) x[k] = mm(x[k].value!)
  s.hilt.clearance = mm(0)
  return s
}
const num = (v: number) => String(Number(v.toFixed(2)))
/** One shape in millimetres from the pommel and above the axis: role, then its box, its points where it is none, its words. */
function told(s: Scene, p: Prim): string {
  const at = ([x, y]: readonly [number, number]) => `${num(s.mm(x))},${num((s.axisY - y) / s.scale)}`
  const more = `${'colour' in p && p.colour ? ` ${p.colour}` : ''}${p.ref ? ` @${p.ref}` : ''}`
  if (p.t === 'text') return `${p.role} “${p.text}” ${p.anchor} ${at(p.at)}${more}`
  if (p.t === 'circle') return `${p.role} ⊙ ${at(p.at)} r ${num(p.r / s.scale)}${more}`
  return `${p.role}${p.closed ? '' : ' open'} ${p.pts.map(at).join(' ')}${more}`
}
const inventory = (s: Scene) => s.prims.map((p) => told(s, p))
/** What a thing adds to the drawing of the bare tube, and the spot where it is touched. */
function added(run: (s: Saber) => void, view: SectionView = VIEW) {
  const s = hilt()
  const before = new Set(inventory(drawSection(MAKER, s, view)))
  run(s)
  const scene = drawSection(MAKER, s, view)
  expect(scene.scale).toBeCloseTo(4, 9)
  const old = new Set(['section:s0', 'section:s1'])
  const spots = scene.spots
    .filter((q) => !old.has(q.ref))
    .map(
      (q) =>
        `${q.ref} “${q.name}” ${num(scene.mm(q.x0))}…${num(scene.mm(q.x1))} ${num((scene.axisY - q.y1) / 4)}…${num((scene.axisY - q.y0) / 4)}`,
    )
  return { shapes: inventory(scene).filter((t) => !before.has(t) && !t.startsWith('hatch')), spots }
}
const part =
  (kind: FittedPart['kind'], specs: FittedPart['specs'], more: Partial<FittedPart> = {}) =>
  (s: Saber) =>
    void s.parts.push({ id: 'p', kind, name: 'the part', specs, at: mm(40), ...more })

const round = (length: number, diameter: number) => ({ length: mm(length), diameter: mm(diameter) })
const flat = (length: number, width: number, height: number) => ({
  length: mm(length),
  width: mm(width),
  height: mm(height),
})
const opening = (clock: number | null, more: object) => (s: Saber) =>
  void s.hilt.openings.push({
    ...{ id: 'o', kind: 'vent', name: 'w', at: mm(100), length: mm(20), width: mm(8) },
    clock: clock === null ? fact(null, 'deg') : deg(clock),
    ...more,
  } as Saber['hilt']['openings'][number])
const screw =
  (clock: number, head: string, thread = 'M4') =>
  (s: Saber) =>
    void s.hilt.fasteners.push({
      ...{ id: 'f', name: 'f', thread, head, at: mm(100), clock: deg(clock) },
    } as Saber['hilt']['fasteners'][number])
const blade = (kind: string) => (s: Saber) => {
  s.hilt.sockets.push({ id: 'k', name: 'main', section: 's1', diameter: mm(25.4), depth: mm(40) } as never)
  s.blades.push({
    ...{ id: 'b', name: 'b', kind, socket: 'k', outside: mm(25), wall: mm(2), length: mm(900), use: 'shipped' },
  } as never)
}
const joint = (more: object) => (s: Saber) => void (s.hilt.sections[0]!.joint = more as never)
const arms = (s: Saber) => {
  for (const i of [0, 1])
    s.hilt.sections.push({
      ...structuredClone(s.hilt.sections[1]!),
      ...{ id: `q${i}`, name: `arm ${i}`, role: 'quillon', outside: mm(20), bore: mm(14) },
      length: i ? fact(20, 'mm', 'assumed') : mm(20),
    })
}
const SEAT = [
  'dim open 160,-25 160,-28',
  'dim open 200,-25 200,-28',
  'dim open 160,-26.5 174.1,-26.5',
  'dim open 185.9,-26.5 200,-26.5',
  'dim 160,-26.5 161.5,-26 161.5,-27',
  'dim 200,-26.5 198.5,-26 198.5,-27',
  'dimText “seat 40” middle 180,-27.45 @socket:k',
]

describe('each thing is drawn where its figures put it, millimetre by millimetre', () => {
  test('the bare tube: walls of three, its outline, its lengths and names', () => {
    expect(inventory(drawSection(MAKER, hilt(), VIEW)).filter((t) => !t.startsWith('hatch'))).toEqual([
      'centre open -4.5,0 255.5,0',
      'wall 0,18 120,18 120,15 0,15 @section:s0',
      'wall 0,-18 120,-18 120,-15 0,-15 @section:s0',
      'outline 0,18 120,18 120,15 0,15',
      'outline 0,-18 120,-18 120,-15 0,-15',
      'wall 120,18 200,18 200,15 120,15 @section:s1',
      'wall 120,-18 200,-18 200,-15 120,-15 @section:s1',
      'outline 120,18 200,18 200,15 120,15',
      'outline 120,-18 200,-18 200,-15 120,-15',
      'dim open 0,25 0,22',
      'dim open 120,25 120,22',
      'dim open 0,23.5 56.9,23.5',
      'dim open 63.1,23.5 120,23.5',
      'dim 0,23.5 1.5,24 1.5,23',
      'dim 120,23.5 118.5,24 118.5,23',
      'dimText “120” middle 60,22.55 @section:s0',
      'dim open 120,25 120,22',
      'dim open 200,25 200,22',
      'dim open 120,23.5 157.6,23.5',
      'dim open 162.4,23.5 200,23.5',
      'dim 120,23.5 121.5,24 121.5,23',
      'dim 200,23.5 198.5,24 198.5,23',
      'dimText “80” middle 160,22.55 @section:s1',
      'label “section 0” middle 60,-21.75 @section:s0',
      'label “section 1” middle 160,-21.75 @section:s1',
    ])
  })
  test.each<[string, (s: Saber) => void, string[], string[]]>([
    [
      'a cell, its nub to the emitter',
      part('cell', round(65, 18)),
      [
        'cell 40,9 104,9 104,-9 40,-9 @part:p',
        'partDark 104,2.88 105,2.88 105,-2.88 104,-2.88',
        'mark “−” middle 43,-1.25',
        'mark “+” middle 101.5,-1.25',
        'partText “the part” middle 72.5,-1 @part:p',
      ],
      ['part:p “the part” 40…105 -9…9'],
    ],
    [
      'a cell, its nub to the pommel',
      part('cell', round(65, 18), { faces: stated('pommel', 'measured') }),
      [
        'cell 41,9 105,9 105,-9 41,-9 @part:p',
        'partDark 40,2.88 41,2.88 41,-2.88 40,-2.88',
        'mark “+” middle 43,-1.25',
        'mark “−” middle 101.5,-1.25',
        'partText “the part” middle 72.5,-1 @part:p',
      ],
      ['part:p “the part” 40…105 -9…9'],
    ],
    [
      'a cell too short for its name',
      part('cell', round(20, 18)),
      [
        'cell 40,9 59,9 59,-9 40,-9 @part:p',
        'partDark 59,2.88 60,2.88 60,-2.88 59,-2.88',
        'mark “−” middle 43,-1.25',
        'mark “+” middle 56.5,-1.25',
      ],
      ['part:p “the part” 40…60 -9…9'],
    ],
    [
      'a speaker, its cone to the emitter',
      part('speaker', round(10, 24)),
      [
        'part 40,12 50,12 50,-12 40,-12 @part:p',
        'partDetail open 48.6,11.04 43.5,4.8 43.5,-4.8 48.6,-11.04',
        'partDetail 40,5.28 43,5.28 43,-5.28 40,-5.28',
      ],
      ['part:p “the part” 40…50 -12…12'],
    ],
    [
      'a speaker, its cone to the pommel',
      part('speaker', round(10, 24), { faces: stated('pommel', 'measured') }),
      [
        'part 40,12 50,12 50,-12 40,-12 @part:p',
        'partDetail open 41.4,11.04 46.5,4.8 46.5,-4.8 41.4,-11.04',
        'partDetail 47,5.28 50,5.28 50,-5.28 47,-5.28',
      ],
      ['part:p “the part” 40…50 -12…12'],
    ],
    [
      'a crystal in its chamber',
      part('chamber', round(50, 20)),
      [
        'ghost 40,10 90,10 90,-10 40,-10 @part:p',
        'glass 44,0 54.5,4.4 74.24,4.4 86,0 74.24,-4.4 54.5,-4.4 @part:p',
        'partDetail open 44,0 56,0.88 74.24,-0.44 86,0',
        'partDetail open 54.5,4.4 56,0.88 54.5,-4.4',
      ],
      ['part:p “the part” 40…90 -10…10'],
    ],
    [
      'a connector, its pins to the emitter',
      part('connector', round(6, 24)),
      [
        'metal 40,12 46,12 46,-12 40,-12 @part:p',
        'thread open 46,8 47.75,8',
        'thread open 46,4 47.75,4',
        'thread open 46,0 47.75,0',
        'thread open 46,-4 47.75,-4',
        'thread open 46,-8 47.75,-8',
      ],
      ['part:p “the part” 40…46 -12…12'],
    ],
    [
      'a connector, its pins to the pommel',
      part('connector', round(6, 24), { faces: stated('pommel', 'measured') }),
      [
        'metal 40,12 46,12 46,-12 40,-12 @part:p',
        'thread open 40,8 38.25,8',
        'thread open 40,4 38.25,4',
        'thread open 40,0 38.25,0',
        'thread open 40,-4 38.25,-4',
        'thread open 40,-8 38.25,-8',
      ],
      ['part:p “the part” 40…46 -12…12'],
    ],
    [
      'a disc without pins',
      part('killKey', round(6, 24)),
      ['part 40,12 46,12 46,-12 40,-12 @part:p'],
      ['part:p “the part” 40…46 -12…12'],
    ],
    [
      'a display under the top of the wall',
      part('display', flat(30, 12, 4), { clock: deg(0) }),
      ['partDark 40,13.35 70,13.35 70,9.35 40,9.35 @part:p'],
      ['part:p “the part” 40…70 9.35…13.35'],
    ],
    [
      'a display on the far side',
      part('display', flat(30, 12, 4), { clock: deg(180) }),
      ['partDark 40,-9.35 70,-9.35 70,-13.35 40,-13.35 @part:p'],
      ['part:p “the part” 40…70 -13.35…-9.35'],
    ],
    [
      'a board',
      part('board', flat(50, 12, 4)),
      ['part 40,2 90,2 90,-2 40,-2 @part:p', 'partText “the part” middle 65,-1 @part:p'],
      ['part:p “the part” 40…90 -2…2'],
    ],
    [
      'a board too short for its name',
      part('board', flat(10, 12, 4)),
      ['part 40,2 50,2 50,-2 40,-2 @part:p'],
      ['part:p “the part” 40…50 -2…2'],
    ],
    [
      'a chassis by its wall and the bore',
      part('chassis', { length: mm(100), wall: mm(2) }),
      [
        'ghost 40,14.55 140,14.55 140,12.55 40,12.55 @part:p',
        'ghost 40,-14.55 140,-14.55 140,-12.55 40,-12.55 @part:p',
      ],
      ['part:p “the part” 40…140 10.55…14.55'],
    ],
    [
      'a chassis by its own diameter',
      part('chassis', round(100, 28)),
      [
        'ghost 40,13.86 140,13.86 140,12.66 40,12.66 @part:p',
        'ghost 40,-13.86 140,-13.86 140,-12.66 40,-12.66 @part:p',
      ],
      ['part:p “the part” 40…140 11.46…13.86'],
    ],
    [
      'a button in the top of the wall',
      part('switch', round(8, 8), { clock: deg(0) }),
      [
        'void 40,19.4 48,19.4 48,15 40,15',
        'part 40.8,19.6 47.2,19.6 47.2,12 40.8,12 @part:p',
        'partDark 42.2,20.6 45.8,20.6 45.8,19.6 42.2,19.6 @part:p',
      ],
      ['part:p “the part” 40…48 12…21'],
    ],
    [
      'a button in the far wall',
      part('switch', round(8, 8), { clock: deg(180) }),
      [
        'void 40,-19.4 48,-19.4 48,-15 40,-15',
        'part 40.8,-19.6 47.2,-19.6 47.2,-12 40.8,-12 @part:p',
        'partDark 42.2,-20.6 45.8,-20.6 45.8,-19.6 42.2,-19.6 @part:p',
      ],
      ['part:p “the part” 40…48 -21…-12'],
    ],
    [
      'a tinted window that faces the cut',
      opening(0, { kind: 'window', tint: '#ff0000' }),
      ['glass 90,18.13 110,18.13 110,14.88 90,14.88 #ff0000 @opening:o'],
      ['opening:o “w” 90…110 15…18'],
    ],
    [
      'the same on the far side',
      opening(180, { kind: 'window', tint: '#ff0000' }),
      ['glass 90,-14.88 110,-14.88 110,-18.13 90,-18.13 #ff0000 @opening:o'],
      ['opening:o “w” 90…110 -18…-15'],
    ],
    [
      'the same on the near side, seen from its face',
      opening(90, { kind: 'window' }),
      ['ghost 90,4 110,4 110,-4 90,-4 @opening:o'],
      ['opening:o “w” 90…110 -4…4'],
    ],
    [
      'and a little above it',
      opening(46, { kind: 'window' }),
      ['ghost 90,14 110,14 110,6 90,6 @opening:o'],
      ['opening:o “w” 90…110 6…14'],
    ],
    [
      'an opening whose length is assumed',
      opening(0, { length: fact(20, 'mm', 'assumed') }),
      ['void 90,18.13 110,18.13 110,14.88 90,14.88 @opening:o', 'assumed 90,18 110,18 110,15 90,15'],
      ['opening:o “w” 90…110 15…18'],
    ],
    [
      'an opening whose clock angle nobody knows',
      opening(null, {}),
      ['void 90,18.13 110,18.13 110,14.88 90,14.88 @opening:o', 'unknown 90,18 110,18 110,15 90,15'],
      ['opening:o “w” 90…110 15…18'],
    ],
    [
      'a cap screw that faces the cut',
      screw(0, 'cap'),
      [
        'screw 98,19.8 102,19.8 102,14.2 98,14.2 @fastener:f',
        'screw 96.4,20.4 103.6,20.4 103.6,18 96.4,18 @fastener:f',
        'thread open 98,15.85 102,15.35',
        'thread open 98,16.45 102,15.95',
        'thread open 98,17.05 102,16.55',
        'thread open 98,17.65 102,17.15',
      ],
      ['fastener:f “f” 96.4…103.6 15…20.4'],
    ],
    [
      'a set screw on the far side, its thread in inches',
      screw(180, 'set', '#6-32'),
      [
        'screw 98.25,-18 101.75,-18 101.75,-14.2 98.25,-14.2 @fastener:f',
        'thread open 98.25,-15.35 101.75,-15.85',
        'thread open 98.25,-15.95 101.75,-16.45',
        'thread open 98.25,-16.55 101.75,-17.05',
        'thread open 98.25,-17.15 101.75,-17.65',
      ],
      ['fastener:f “f” 96.85…103.15 -20.4…-15'],
    ],
    [
      'a screw on the near side, seen from its head',
      screw(90, 'thumb'),
      ['screw ⊙ 100,0 r 2.2 @fastener:f', 'thread open 99.25,0 100.75,0'],
      ['fastener:f “f” 98.25…101.75 -1.75…1.75'],
    ],
    [
      'and a little above it',
      screw(61, 'set'),
      ['screw ⊙ 100,6.98 r 2.2 @fastener:f', 'thread open 99.25,6.98 100.75,6.98'],
      ['fastener:f “f” 98.25…101.75 5.23…8.73'],
    ],
    [
      'a blade broken off at the edge of the page',
      blade('pixel'),
      [
        'bladeTube 160,12.5 253,12.5 253,-12.5 160,-12.5 @blade:b',
        'bladeGlow 160.25,10.5 253,10.5 253,-10.5 160.25,-10.5',
        ...SEAT,
      ],
      ['blade:b “b” 160…253 -12.5…12.5', 'socket:k “main” 160…200 -13.5…13.5'],
    ],
    [
      'a plug ends outside its seat',
      blade('plug'),
      ['bladeTube 160,12.5 202.5,12.5 202.5,-12.5 160,-12.5 @blade:b', ...SEAT],
      ['blade:b “b” 160…202.5 -12.5…12.5', 'socket:k “main” 160…200 -13.5…13.5'],
    ],
    [
      'a thread shows its flanks over its length',
      joint({ kind: 'thread', length: mm(12) }),
      [
        'thread open 120,16.15 121,16.85 122,16.15 123,16.85 124,16.15 125,16.85 126,16.15 127,16.85 128,16.15 129,16.85 130,16.15 131,16.85 132,16.15',
        'thread open 132,17 132,15',
        'thread open 120,-16.15 121,-16.85 122,-16.15 123,-16.85 124,-16.15 125,-16.85 126,-16.15 127,-16.85 128,-16.15 129,-16.85 130,-16.15 131,-16.85 132,-16.15',
        'thread open 132,-17 132,-15',
      ],
      [],
    ],
    [
      'any other joint a notch at the seam',
      joint({ kind: 'magnets' }),
      ['thread open 118.4,15 120,16.5 121.6,15', 'thread open 118.4,-15 120,-16.5 121.6,-15'],
      [],
    ],
  ])('%s', (_what, run, shapes, spots) => expect(added(run)).toEqual({ shapes, spots }))
  test('arms stand across the axis, the assumed one dashed; their section is measured over and under them', () => {
    const { shapes, spots } = added(arms, { ...VIEW, height: 600 })
    expect(shapes).toEqual([
      'wall 150,18 153,18 153,38 150,38',
      'outline 150,18 153,18 153,38 150,38',
      'wall 167,18 170,18 170,38 167,38',
      'outline 167,18 170,18 170,38 167,38',
      'outline open 153,38 167,38',
      'label “arm 0 20” start 202,37 @section:q0',
      'wall 150,-18 153,-18 153,-38 150,-38',
      'assumed 150,-18 153,-18 153,-38 150,-38',
      'wall 167,-18 170,-18 170,-38 167,-38',
      'assumed 167,-18 170,-18 170,-38 167,-38',
      'outline open 153,-38 167,-38',
      'label “arm 1 ≈ 20” start 202,-39 @section:q1',
      // Eighteen for the stubs of blades, one for the air over them.
      'ghost open 120,18 120,57',
      'ghost open 200,18 200,57',
      'dim open 120,58.5 120,55.5',
      'dim open 200,58.5 200,55.5',
      'dim open 120,57 157.6,57',
      'dim open 162.4,57 200,57',
      'dim 120,57 121.5,57.5 121.5,56.5',
      'dim 200,57 198.5,57.5 198.5,56.5',
      'dimText “80” middle 160,56.05 @section:s1',
      'label “section 1” start 202,-21.75 @section:s1',
    ])
    expect(spots).toEqual(['section:q0 “arm 0” 150…170 18…38', 'section:q1 “arm 1” 150…170 -38…-18'])
  })
  test('a blade stands on the bottom of the seat in an arm, and is broken off beyond its mouth', () => {
    const inArm = (kind: string) => (s: Saber) => {
      arms(s)
      s.hilt.sockets.push({ id: 'k', name: 'side', section: 'q1', bore: mm(14), depth: mm(12) } as never)
      s.blades.push({
        ...{ id: 'b', name: 'b', kind, socket: 'k', outside: mm(12.7), wall: mm(1), length: mm(200), use: 'ship' },
      } as never)
    }
    const tall = { ...VIEW, height: 600, blade: '#10d8b0' }
    const { shapes, spots } = added(inArm('pixel'), tall)
    expect(shapes).toEqual(
      expect.arrayContaining([
        'outline open 153,-26 167,-26',
        'bladeTube 153.65,-26 166.35,-26 166.35,-52 153.65,-52 #10d8b0 @blade:b',
        'bladeGlow 154.65,-26 165.35,-26 165.35,-52 154.65,-52 #10d8b0',
      ]),
    )
    expect(spots.slice(1, 3)).toEqual(['socket:k “side” 153…167 -38…-26', 'blade:b “b” 153.65…166.35 -52…-38'])
    expect(shapes.some((t) => t.includes('seat'))).toBe(false)
    expect(added(inArm('plug'), tall).shapes.filter((t) => t.startsWith('blade'))).toEqual([
      'bladeTube 153.65,-26 166.35,-26 166.35,-41 153.65,-41 #10d8b0 @blade:b',
    ])
  })
  test('a section that stands in its neighbour is measured as it is seen', () => {
    const s = hilt()
    s.hilt.sections[0]!.joint = { kind: 'thread', engagement: mm(20) }
    const shapes = inventory(drawSection(MAKER, s, VIEW))
    expect(shapes.filter((t) => t.startsWith('dimText'))[0]).toMatch(/^dimText “100 of 120” middle 50,/)
    // The wall of the second is seen from where the first goes into it, and its thread is as long as they engage.
    expect(shapes).toContain('wall 100,18 120,18 120,15 100,15 @section:s1')
    expect(shapes.some((t) => t.startsWith('thread open 120,'))).toBe(true)
  })
  test('a lit blade glows in its colour, over the same tube', () => {
    const { shapes } = added(blade('pixel'), { ...VIEW, blade: '#10d8b0' })
    expect(shapes.slice(0, 3)).toEqual([
      'bladeTube 160,12.5 253,12.5 253,-12.5 160,-12.5 #10d8b0 @blade:b',
      'bladeGlow 160.25,10.5 253,10.5 253,-10.5 160.25,-10.5 #10d8b0',
      'bladeCore 160.25,3.13 253,3.13 253,-3.13 160.25,-3.13 #10d8b0',
    ])
  })
})

describe('what the metal is shows in its hatch', () => {
  const lines = (material: string) => {
    const s = hilt()
    s.hilt.sections[0]!.material = material as never
    const scene = drawSection(MAKER, s, VIEW)
    const end = scene.prims.findIndex((p) => p.t === 'path' && p.role === 'wall' && p.ref === 'section:s1')
    const found = scene.prims.slice(0, end).flatMap((p) => (p.t === 'path' && p.role.startsWith('hatch') ? [p] : []))
    // A line's place along x at the axis' height, in px, by which side it leans to.
    return found.map((p) => {
      const [[x0, y0], [x1, y1]] = p.pts as [[number, number], [number, number]]
      const lean = Math.sign((x1 - x0) * (y1 - y0)) as 1 | -1
      return { lean, key: x0 - lean * y0, role: p.role, upper: y0 < scene.axisY }
    })
  }
  test.each([
    ['aluminium', 'hatch', 6],
    ['steel', 'hatch', 3.96],
    ['silver', 'hatch', 4.8],
    ['brass', 'hatchBand', 7.2],
    ['copper', 'hatchBand', 5.4],
    ['leather', 'hatchBand', 10.8],
    ['wood', 'hatchBand', 13.2],
    ['polycarbonate', 'hatch', 9],
  ])('%s: %s, %d px apart', (material, role, gap) => {
    const all = lines(material)
    expect([...new Set(all.map((l) => l.role))]).toEqual([role])
    // A line through a corner alone has no length.
    const upper = all.filter((l) => l.upper && l.lean).map((l) => l.key)
    for (let i = 1; i < upper.length; i++) expect(Math.abs(upper[i]! - upper[i - 1]!)).toBeCloseTo(gap, 6)
    // 120 mm at 4 px, and the wall's 12 px across.
    expect(Math.abs(upper.length - (480 + 12) / gap)).toBeLessThanOrEqual(1)
  })
  test('above and below lean towards each other, and neighbours against each other', () => {
    const s = hilt()
    const scene = drawSection(MAKER, s, VIEW)
    const lean = (from: number, to: number, upper: boolean) => {
      const found = scene.prims.flatMap((p) => {
        if (p.t !== 'path' || p.role !== 'hatch') return []
        const [[x0, y0], [x1, y1]] = p.pts as [[number, number], [number, number]]
        const mid = scene.mm((x0 + x1) / 2)
        return mid > from && mid < to && y0 < scene.axisY === upper ? [Math.sign((x1 - x0) * (y1 - y0))] : []
      })
      return [...new Set(found)]
    }
    expect([lean(0, 120, true), lean(0, 120, false), lean(120, 200, true), lean(120, 200, false)]).toEqual([
      [-1],
      [1],
      [1],
      [-1],
    ])
  })
})

test('a thumbnail has closed bodies and no words, and fills its box', () => {
  const scene = drawSection(MAKER, hilt(), { width: 404, height: 120, bare: true })
  expect(scene.scale).toBeCloseTo(2, 9)
  const [first] = inventory(scene)
  expect(first).toBe('part 0,18 120,18 120,-18 0,-18')
  expect(scene.prims.some((p) => p.t === 'text' || p.role.startsWith('dim') || p.role === 'centre')).toBe(false)
})

describe('names and lengths along the foot', () => {
  const labels = (names: string[], lengths: number[]) => {
    const s = tube(lengths.map((l) => [l, 36, 30]))
    s.hilt.sections.forEach((x, i) => void (x.name = names[i]!))
    const scene = drawSection(MAKER, s, VIEW)
    return scene.prims.flatMap((p) =>
      p.t === 'text' && p.role === 'label' ? [{ x: p.at[0], y: p.at[1], w: p.text.length * 5.8 }] : [],
    )
  }
  test('a name that would run into the one before it stands a line lower, and the next looks past it', () => {
    const [a, b, c] = labels(['the first long name', 'the second long name', 'third'], [20, 10, 170]) as [
      { x: number; y: number; w: number },
      { x: number; y: number; w: number },
      { x: number; y: number; w: number },
    ]
    expect(b.y - a.y).toBe(13)
    expect(c.y).toBe(a.y)
    expect(c.x - c.w / 2).toBeGreaterThan(a.x + a.w / 2 + 6)
    // With room between them they share a line.
    const far = labels(['one', 'two'], [100, 100])
    expect(far[1]!.y).toBe(far[0]!.y)
  })
  test('just room enough, and just too little', () => {
    // Two names of 20 letters are 116 px each; their middles are 400 px · share apart.
    const at = (first: number) => {
      const [a, b] = labels(['abcdefghijklmnopqrst', 'abcdefghijklmnopqrst'], [first, 2 * 60 - first]) as {
        x: number
        y: number
        w: number
      }[]
      return { gap: b!.x - a!.x - 116, drop: b!.y - a!.y }
    }
    for (const first of [40, 60, 80]) {
      const { gap, drop } = at(first)
      expect(drop).toBe(gap < 6 ? 13 : 0)
    }
  })
})

test('an opening or a part without place or size is not drawn, nor is a wire', () => {
  const none = fact(null, 'mm')
  expect(added(opening(0, { at: none }))).toEqual({ shapes: [], spots: [] })
  expect(added(opening(0, { length: none }))).toEqual({ shapes: [], spots: [] })
  expect(added(part('cell', { diameter: mm(18), length: mm(65) }, { at: none }))).toEqual({ shapes: [], spots: [] })
  expect(added(part('wire', { diameter: mm(1), length: mm(65) }))).toEqual({ shapes: [], spots: [] })
  // Without a width an opening on the near side is four millimetres high; without anything round it, walls are supposed.
  const narrow = added(opening(90, { width: none }))
  expect(narrow.shapes).toEqual(['ghost 90,2 110,2 110,-2 90,-2 @opening:o'])
})

test('walls follow both profiles, cut at every point of either', () => {
  const s = hilt()
  s.hilt.sections.length = 1
  s.hilt.sections[0]!.outerProfile = [
    { x: 0, d: 36 },
    { x: 60, d: 36 },
    { x: 120, d: 30 },
  ]
  s.hilt.sections[0]!.boreProfile = [
    { x: 0, d: 20 },
    { x: 40, d: 20 },
    { x: 40, d: 24 },
    { x: 120, d: 28 },
  ]
  const scene = drawSection(MAKER, s, { width: 652, height: 400 })
  const walls = inventory(scene).filter((t) => t.startsWith('wall') && !t.includes(',-'))
  expect(walls).toEqual([
    'wall 0,18 40,18 40,10 0,10 @section:s0',
    'wall 40,18 60,18 60,12.5 40,12 @section:s0',
    'wall 60,18 120,15 120,14 60,12.5 @section:s0',
  ])
})

test('as SVG each shape has its ink, its colour where it has one, and rounded figures', () => {
  const scene: Scene = {
    ...{ width: 100, height: 50, scale: 1, axisY: 25, spots: [], x: (v) => v, mm: (v) => v },
    prims: [
      {
        t: 'path',
        role: 'wall',
        closed: true,
        pts: [
          [0, 0],
          [10.123456, 0],
          [10, 5],
        ],
      },
      {
        t: 'path',
        role: 'bladeTube',
        closed: true,
        colour: '#10d8b0',
        pts: [
          [1, 1],
          [2, 2],
        ],
      },
      {
        t: 'path',
        role: 'dim',
        pts: [
          [1, 1],
          [2, 2.005],
        ],
      },
      { t: 'circle', role: 'screw', at: [3, 4], r: 1.5 },
      { t: 'text', role: 'label', at: [5, 6], text: 'a < "b" & c\'s', anchor: 'middle' },
    ],
  }
  const svg = svgOf(scene, 'Drawing of <this>', 'What it shows & more')
  expect(svg).toContain('M0 0L10.12 0L10 5Z')
  expect(svg).toContain('#10d8b0')
  expect(svg).toMatch(/M1 1L2 2(\.0[01])?"/)
  expect(svg).toMatch(/<circle cx="3" cy="4" r="1.5"/)
  expect(svg).toContain('>a &#60; &#34;b&#34; &#38; c&#39;s<')
  expect(svg).toContain('Drawing of &#60;this&#62;')
  expect(svg).toContain('What it shows &#38; more')
  expect(svg).not.toMatch(/<this>|NaN|undefined/)
})
