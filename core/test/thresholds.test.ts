import { describe, expect, test } from '@jest/globals'
import { fact, known, stated } from '@nubrin/core/facts'
import { axialSlack, fitParts, ventShare } from '@nubrin/core/fit'
import { judgeCommission } from '@nubrin/core/judge'
import type { Commission, Saber } from '@nubrin/core/record'
import fc from 'fast-check'
import { tries } from './drawn'
import { playing } from './playing'
import { demo, TODAY, tube } from './samples'

const mm = (v: number) => fact(v, 'mm', 'measured')
/** What one check says after a change to the finished commission: codes with their levels. */
function said(check: string, run: (s: Saber, c: Commission) => void): string[] {
  const c = structuredClone(demo('reed-warden'))
  run(c.sabers[0]!, c)
  return judgeCommission(c, TODAY)
    .filter((f) => f.check === check)
    .map((f) => `${f.code} ${f.level}${f.gate ? ' gate' : ''}`)
}
const part = (s: Saber, kind: string) => s.parts.find((p) => p.kind === kind)!

describe('where a judgement turns, to the hundredth', () => {
  test('a wall of 0.8 is fine, a hundredth less is thin, none at all is a stop', () => {
    const wall = (w: number) =>
      said('boreWall', (s) => {
        const x = s.hilt.sections[1]!
        x.outside = mm(40)
        x.bore = mm(40 - 2 * w)
        delete x.outerProfile
        delete x.boreProfile
      })
    expect(wall(0.8)).toEqual([])
    expect(wall(0.79)).toEqual(['thin caution'])
    expect(wall(0)).toEqual(['none stop gate'])
    expect(wall(-1)).toEqual(['none stop gate'])
  })
  test('0.3 to spare is fine, less is tight, less than none is blocked', () => {
    const spare = (wanted: number) => {
      const s = structuredClone(demo('reed-warden')).sabers[0]!
      const now = fitParts(s).find((f) => f.part.kind === 'speaker')!
      const d = known(part(s, 'speaker').specs.diameter)! + now.spareMm! - wanted
      return said('tooWide', (x) => void (part(x, 'speaker').specs.diameter = mm(d)))
    }
    expect(spare(0.31)).toEqual([])
    expect(spare(0.29)).toEqual(['tight caution'])
    expect(spare(0.01)).toEqual(['tight caution'])
    expect(spare(-0.01)).toEqual(['blocked stop gate'])
  })
  test('boring is advised only where the least wall is left, by hand', () => {
    // A straight tube of 36 mm outside; the speaker lies in the middle of it, clear of everything else.
    const remedy = (bore: number, diameter: number, change: (s: Saber) => void = () => {}) => {
      const c = demo('reed-warden')
      const s = c.sabers[0]!
      const [section] = s.hilt.sections
      s.hilt.sections = [
        {
          id: section!.id,
          name: 'tube',
          role: 'grip',
          material: 'aluminium',
          length: mm(200),
          outside: mm(36),
          bore: mm(bore),
          joint: { kind: 'none' },
        },
      ]
      s.hilt.clearance = mm(0)
      s.hilt.fasteners = []
      s.hilt.openings = []
      s.inputs = []
      s.parts = [{ ...part(s, 'speaker'), at: mm(100), specs: { length: mm(10), diameter: mm(diameter) } }]
      change(s)
      return judgeCommission(c, TODAY).find((f) => f.check === 'tooWide' && f.code === 'blocked')?.remedy ?? ''
    }
    fc.assert(
      fc.property(fc.integer({ min: 200, max: 350 }), fc.integer({ min: 1, max: 150 }), (bore, over) => {
        const [b, d] = [bore / 10, (bore + over) / 10]
        const said = remedy(b, d)
        const wall = (36 - d) / 2
        const [, by, leaves] = /^Bore it out by ([\d.]+) mm, which leaves ([\d.]+) mm of wall/.exec(said) ?? []
        if (wall >= 0.8 - 1e-9)
          expect([Number(by), Number(leaves)]).toEqual([expect.closeTo(over / 10, 1), expect.closeTo(wall, 1)])
        else
          expect(said).toMatch(
            wall > 0 ? /^It cannot be bored out: 0\.\d+ mm of wall would/ : /^It cannot be bored out: no wall would/,
          )
      }),
      { numRuns: tries(60, 20) },
    )
  })
  test('a socket is opened only as far as the least wall is left, by hand', () => {
    const remedy = (outside: number | null, bore: number, tube: number) => {
      const c = demo('reed-warden')
      const s = c.sabers[0]!
      const [k] = s.hilt.sockets
      const section = s.hilt.sections.find((x) => x.id === k!.section)!
      section.outside = fact(outside, 'mm')
      delete section.outerProfile
      k!.bore = mm(bore)
      for (const b of s.blades) if (b.socket === k!.id) b.outside = mm(tube)
      return judgeCommission(c, TODAY).find((f) => f.check === 'socketFit' && f.code === 'willNotEnter')?.remedy ?? ''
    }
    // 25.4 into 25.2: 0.2 and 0.12 to go in snugly, half of it a side. 36 outside leaves (36 − 25.2)/2 − 0.16 = 5.24.
    expect(remedy(36, 25.2, 25.4)).toBe(
      'Take 0.16 mm off the socket per side, which leaves 5.24 mm of wall, or take another tube.',
    )
    expect(remedy(26, 22, 25.4)).toMatch(
      /^Take another tube: opened by 1\.76 mm per side .* would keep 0\.24 mm of wall, and 0\.8 mm/,
    )
    expect(remedy(25.4, 22, 25.4)).toMatch(/would keep no wall/)
    expect(remedy(null, 22, 25.4)).toMatch(/^Take another tube; or 1\.76 mm off .*, once its outside is measured\.$/)
  })
  test('under a button that hangs in the wall it is moved, not bored', () => {
    const c = demo('reed-warden')
    const s = tube([[100, 36, 30]])
    s.hilt.clearance = mm(0)
    const button = { length: mm(12), diameter: mm(12), height: mm(9) }
    s.parts = [
      { id: 'sw', kind: 'switch', name: 'front button', specs: button, at: mm(40), clock: fact(0, 'deg') },
      { id: 'sp', kind: 'speaker', name: 'Speaker', specs: { length: mm(50), diameter: mm(28) }, at: mm(10) },
    ]
    const found = judgeCommission({ ...c, sabers: [s] }, TODAY).find((f) => f.check === 'tooWide')
    expect(found).toMatchObject({ code: 'blocked', level: 'stop' })
    expect(found!.detail).toMatch(/too small under the front button\.$/)
    expect(found!.remedy).toMatch(/^Move it from under the front button/)
    expect(found!.remedy).not.toContain('ore it out')
  })
  test('a part that ends with the hilt is in it, one that sticks out by a tenth is not', () => {
    const end = (over: number) =>
      said('tooWide', (s) => {
        const p = part(s, 'speaker')
        p.at = mm(-over)
      })
    expect(end(0)).toEqual([])
    expect(end(0.1)).toContain('outside stop gate')
  })
  test('slack: enough for every tolerance, only for the kind ones, or none', () => {
    const s = demo('reed-warden').sabers[0]!
    const slack = axialSlack(s)
    const now = slack.nominal.ok ? slack.nominal.value : Number.NaN
    const left = (wanted: number) =>
      said('slack', (x) => {
        x.parts.push({
          id: 'fill',
          kind: 'spacer',
          name: 'fill',
          specs: { length: mm(now - wanted), diameter: mm(20) },
          at: mm(40),
        })
      })
    expect(left(slack.worst + 0.2)).toEqual([])
    expect(left(slack.worst / 2)).toEqual(['tolerances caution'])
    expect(left(-0.1)).toEqual(['tooLong stop gate'])
  })
  test('a size of nothing is a stop, a hundredth is a size; the place of a screw may be 0', () => {
    const size = (v: number) => said('noSize', (s) => void (s.hilt.openings[0]!.width = mm(v)))
    expect(size(0.01)).toEqual([])
    expect(size(0)).toEqual(['nothing stop gate'])
    expect(size(-3)).toEqual(['nothing stop gate'])
    expect(said('noSize', (s) => void (s.hilt.fasteners[0]!.at = mm(0)))).toEqual([])
    expect(said('noSize', (s) => void (s.hilt.openings[0]!.width = fact(null, 'mm')))).toEqual([])
  })
  test('the day: quiet until a week before, a note until it is there, a caution from the day after', () => {
    const days = (iso: string) =>
      said('deadline', (_s, c) => {
        delete c.shipped
        c.deadline = iso
      })
    expect(days('2026-12-02')).toEqual([])
    expect(days('2026-12-01')).toEqual(['near note'])
    expect(days(TODAY)).toEqual(['near note'])
    expect(days('2026-11-23')).toEqual(['past caution'])
    expect(said('deadline', (_s, c) => void (c.deadline = '2026-11-01'))).toEqual([])
  })
  test('colours: two apart are another colour, twelve apart an event shows; each on its side of the edge', () => {
    // Lightness alone, of greys: CIEDE2000 there is the difference of L* by the weights of its formula.
    const grey = (v: number) => `#${v.toString(16).padStart(2, '0').repeat(3)}`
    const lstar = (v: number) => {
      const y = v / 255 <= 0.04045 ? v / 255 / 12.92 : ((v / 255 + 0.055) / 1.055) ** 2.4
      return y > 216 / 24389 ? 116 * Math.cbrt(y) - 16 : (24389 / 27) * y
    }
    const apart = (a: number, b: number) => {
      const [l1, l2] = [lstar(a), lstar(b)]
      const m = (l1 + l2) / 2 - 50
      return Math.abs(l1 - l2) / (1 + (0.015 * m * m) / Math.sqrt(20 + m * m))
    }
    const asked = (v: number) =>
      said('askedColour', (s) => {
        s.presets[0]!.colour = stated(grey(128), 'configured')
        s.presets[0]!.asked = stated(grey(v), 'client')
      })
    const event = (v: number) =>
      said('lostEffect', (s) => {
        s.presets = s.presets.slice(0, 1)
        s.presets[0]!.colour = stated(grey(128), 'configured')
        s.presets[0]!.effects = { deflect: { colour: stated(grey(v), 'configured') } }
      })
    for (let v = 129; v < 190; v++) {
      expect([v, asked(v)]).toEqual([v, apart(128, v) < 2 ? [] : ['differs caution gate']])
      expect([v, event(v)]).toEqual([v, apart(128, v) < 12 ? ['lost caution'] : []])
    }
    expect(asked(128)).toEqual([])
    // One that is the base itself was meant to be.
    expect(event(128)).toEqual([])
  })
  test('three flashes a second are fine, counted or by how a light moves; one more is told, of every light', () => {
    const at = (run: (p: Saber['presets'][number], hz: number) => void) => (hz: number) =>
      said('flashing', (s) => {
        s.presets = s.presets.slice(0, 1)
        run(s.presets[0]!, hz)
      })
    const flicker = (hz: number) => ({ is: 'flicker' as const, rate: fact(hz, 'Hz', 'configured') })
    for (const flashes of [
      at((p, hz) => void (p.flickerHz = fact(hz, 'Hz', 'configured'))),
      at((p, hz) => void (p.moves = flicker(hz))),
      at((p, hz) => void (p.effects = { lock: { moves: flicker(hz) } })),
      at((p, hz) => void (p.lights = [{ id: 'l', zone: 'rw-z2', moves: flicker(hz) }])),
    ]) {
      expect(flashes(3)).toEqual([])
      expect(flashes(3.01)).toEqual(['fast note'])
      expect(flashes(0)).toEqual([])
    }
  })
  test('a tenth of a light behind a tint is dark', () => {
    // A grey tint passes what it is, whatever the colour.
    const behind = (grey: string) =>
      said('behindTint', (s) => {
        s.presets = s.presets.slice(0, 1)
        s.zones.find((z) => z.id === 'rw-z2')!.through = { what: 'smoke', colour: stated(grey, 'measured') }
      })
    // Linear light 0.0998 and 0.1022.
    expect(behind('#595959')).toEqual(['dark caution'])
    expect(behind('#5a5a5a')).toEqual([])
    expect(behind('#ffffff')).toEqual([])
  })
  test('sound and blade may part by half a second, either way', () => {
    const apart = (ms: number) =>
      said('ignitionTime', (s) => {
        const p = s.presets[0]!
        playing(s, p, [{ id: 'ig', event: 'ignite', name: 'ignite.wav', seconds: 3, arrives: 1.5 }])
        p.extendMs = fact(ms, 'ms', 'configured')
      })
    for (const ms of [1000, 1500, 2000]) expect(apart(ms)).toEqual([])
    expect(apart(990)).toEqual(['early note'])
    expect(apart(2010)).toEqual(['late note'])
  })
  test('three meanings of one hold are told from memory, four want a list; the same meaning counts once', () => {
    const holds = (does: readonly Saber['controls'][number]['does'][]) =>
      said('manyHolds', (s) => {
        s.controls = does.map((d, i) => ({
          ...{
            id: `h${i}`,
            mode: s.modes[0]!.id,
            pose: 'any' as const,
            input: s.inputs[0]!.id,
            gesture: 'hold' as const,
          },
          ...{ does: d, status: 'configured' as const, hold: fact(1 + i, 's', 'configured') },
        }))
      })
    expect(holds(['lock', 'drag', 'melt'])).toEqual([])
    expect(holds(['lock', 'drag', 'melt', 'surge'])).toEqual(['many note'])
    expect(holds(['lock', 'lock', 'lock', 'lock'])).toEqual([])
  })
  test('a button may stand half a millimetre beside its hole', () => {
    const beside = (off: number) =>
      said('atItsHole', (s) => {
        const p = part(s, 'switch')
        s.parts = s.parts.filter((q) => q.kind !== 'switch' || q === p)
        const middle = known(p.at)! + known(p.specs.length)! / 2
        s.hilt.openings = [{ ...s.hilt.openings[0]!, kind: 'switch', at: mm(middle - off) }]
      })
    expect(beside(0.5)).toEqual([])
    expect(beside(-0.5)).toEqual([])
    expect(beside(0.6)).toEqual(['beside caution'])
    expect(beside(-0.6)).toEqual(['beside caution'])
  })
  test('vents of a third of the cone are enough', () => {
    const s = demo('reed-warden').sabers[0]!
    const share = ventShare(s)
    const now = share.ok ? share.value : Number.NaN
    const vents = (wanted: number) =>
      said('vents', (x) => {
        // Area goes with length times width: both are scaled alike.
        const k = Math.sqrt(wanted / now)
        for (const o of x.hilt.openings)
          if (o.kind === 'vent' || o.kind === 'grille') {
            o.length = mm(known(o.length)! * k)
            o.width = mm(known(o.width)! * k)
          }
      })
    expect(vents(34)).toEqual([])
    expect(vents(32)).toEqual(['muffled caution'])
  })
})

describe('a waiver belongs to its matter, wherever things move', () => {
  test('a section put in before does not hand it on', () => {
    const c = structuredClone(demo('reed-warden'))
    const s = c.sabers[0]!
    s.hilt.sections[1]!.length.rivals = [{ value: 99, source: 'client' }]
    s.hilt.sections[2]!.length.rivals = [{ value: 88, source: 'client' }]
    const mine = () => judgeCommission(c, TODAY).filter((f) => f.check === 'contradiction')
    expect(mine()).toHaveLength(2)
    const waived = mine().find((f) => f.refs[0] === `section:${s.hilt.sections[1]!.id}`)!
    c.handoff.waivers.push({ key: waived.key, who: 'Maren', reason: 'measured twice', on: TODAY })
    s.hilt.sections.unshift({ ...structuredClone(s.hilt.sections[0]!), id: 'fresh', name: 'ring' })
    expect(mine().map((f) => f.refs[0])).toEqual([`section:${s.hilt.sections[3]!.id}`])
    s.hilt.sections.reverse()
    expect(mine()).toHaveLength(1)
  })
  test.each(['reed-warden', 'ember-fair', 'cinder-oath', 'crosswind'])(
    '%s: a name changes no judgement; it may ask',
    (id) => {
      const c = structuredClone(demo(id))
      // A chosen layout remembers the parts by name, and rightly says when another stands there.
      for (const s of c.sabers) s.decisions = []
      const judged = () =>
        judgeCommission(c, TODAY)
          // A sentence that speaks a name is out of date when the name changes; that is no judgement by words in it.
          .filter((f) => f.check !== 'nameHints' && f.check !== 'stale')
          .map((f) => `${f.key} ${f.level} ${f.gate}`)
          .toSorted()
      const before = judged()
      for (const s of c.sabers) {
        for (const x of s.hilt.sections) x.name = 'clawed finned spike'
        for (const x of s.parts) x.name = 'resin converter party 2 mm'
        for (const [i, x] of s.presets.entries()) x.name = `battery party ${i}`
        for (const [i, x] of s.hilt.fasteners.entries()) x.name = `resin screw ${i}`
      }
      expect(judged()).toEqual(before)
    },
  )
})
