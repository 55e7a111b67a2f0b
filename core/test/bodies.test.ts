import { describe, expect, test } from '@jest/globals'
import { proceduresOf } from '@nubrin/core/access'
import { fact, stated } from '@nubrin/core/facts'
import {
  apartIn,
  assemblyOf,
  type Body,
  errand,
  goalsOf,
  machineOf,
  planHome,
  planOff,
  runAll,
} from '@nubrin/core/machine'
import type { Act, Saber } from '@nubrin/core/record'
import { compose, inOneBreath, rehearse } from '@nubrin/core/script'
import { MAKER } from '@nubrin/core/units'
import fc from 'fast-check'
import { deg, joint, mm, order, part, pixelBlade, plainSaber, preset, row, screw } from './cases/plain'

/** An ordinary saber, pommel 0–30, grip 30–180, emitter 180–240, all 36 or 37 outside and 31 within, with changes. */
const saber = (change: (s: Saber) => void): Saber => {
  const s = plainSaber('b', 'Bench')
  change(s)
  return s
}
const told = (acts: readonly Act[]) => acts.map((x) => `${x.do} ${x.at.replace(/:b-/, ':')}`)
const off = (s: Saber, ...bodies: Body[]) => {
  const { assembly, rest } = machineOf(s)
  const p = planOff(assembly, rest, bodies)
  return p.ok ? told(p.acts) : p.blocked.map((b) => `${b.code} ${b.at.replace(/:b-/, ':')}`)
}
const home = (s: Saber, ...bodies: Body[]) => {
  const { assembly, rest } = machineOf(s)
  const p = planOff(assembly, rest, bodies)
  if (!p.ok) throw new Error(JSON.stringify(p.blocked))
  const h = planHome(assembly, p.end)
  return h.ok ? told(h.acts) : []
}
const goal = (s: Saber, kind: string, at?: string) => {
  const { assembly, rest } = machineOf(s)
  const g = goalsOf(s, assembly).find((x) => x.kind === kind && (!at || x.at === at))
  const e = g && errand(assembly, rest, g)
  return e?.ok ? told(e.acts) : undefined
}
const spoken = (s: Saber, task: string) => {
  const c = order('o', 'Order', ['x'])
  c.sabers = [s]
  return compose(c, s).find((b) => b.covers.includes(`task:${task}`))
}

describe('what is only turned', () => {
  const collar = saber((s) => {
    s.hilt.sections[1]!.joint = { kind: 'collar' }
    s.parts.push(part('b-oled', 'oled-049', 130, { clock: deg(0) }))
    s.joints.push(joint('jc', 'section:b-emitter', { how: 'turn', who: 'client', byItself: 'showsDisplay' }))
  })
  test('shows, is turned back, and opens nothing', () => {
    expect(goal(collar, 'show')).toEqual(['takeOff section:emitter', 'putOn section:emitter'])
    expect(spoken(collar, 'show')?.say).toContain('Turn the emitter. This uncovers its display. Turn the emitter back.')
    // Through the seam that it stands at nothing comes out.
    expect(off(collar, 'part:b-cell')).toEqual(['takeOff section:pommel', 'takeOff part:cell'])
    const glued = saber((s) => {
      Object.assign(s, structuredClone(collar))
      s.hilt.sections[0]!.joint = { kind: 'glue' }
    })
    expect(off(glued, 'part:b-cell').join()).not.toContain('takeOff section:emitter')
  })
  test('stays where it is in the drawing, and is not taken apart', () => {
    const { assembly, rest } = machineOf(collar)
    const st = { ...rest, off: [...rest.off, 'section:b-emitter' as const] }
    expect(apartIn(collar, assembly, st).moved).toEqual({})
    expect(goal(collar, 'strip')?.join()).not.toContain('emitter')
  })
  test('closed, what it covers cannot be shown, by words of one’s own', () => {
    const c = order('o', 'Order', ['x'])
    const s = structuredClone(collar)
    c.sabers = [s]
    s.beats = compose(c, s)
    expect(rehearse(MAKER, s).troubles).toEqual([])
    s.beats.splice(1, 0, {
      id: 'own',
      say: 'You read it here.',
      show: 'part:b-oled',
      seconds: 3,
      covers: [],
      by: 'own',
    })
    expect(rehearse(MAKER, s).troubles).toMatchObject([{ code: 'hidden', behind: 'emitter' }])
  })
})

describe('a sleeve over the hilt', () => {
  const sleeved = (d: number, at = 60, more: (s: Saber) => void = () => undefined) =>
    saber((s) => {
      s.parts.push(part('b-sleeve', 'sleeve-grip-100', at, { name: 'grip sleeve', heldBy: 'setScrew' }))
      s.parts.at(-1)!.specs.diameter = mm(d)
      s.hilt.fasteners.push(
        screw('b-ss', 'sleeve screw', 'M3', '1.5 mm', 100, 0, { purpose: 'sleeve', clientMay: 'loosen' }),
      )
      more(s)
    })
  test('slides off where nothing is wider than it is within, its screw loosened first', () => {
    // 40 outside, 1.5 wall: 37 within; pommel and emitter are 37.
    expect(off(sleeved(40), 'part:b-sleeve')).toEqual(['loosen fastener:ss', 'takeOff part:sleeve'])
    expect(home(sleeved(40), 'part:b-sleeve')).toEqual(['putOn part:sleeve', 'tighten fastener:ss'])
  })
  test('is blocked by what is wider, by the name of the section, or comes off at the other end', () => {
    expect(off(sleeved(39.9), 'part:b-sleeve')).toEqual(['wider section:pommel', 'wider section:emitter'])
    const slim = sleeved(39.5, 60, (s) => void (s.hilt.sections[0]!.outside = mm(36.5)))
    expect(assemblyOf(slim).joints['part:b-sleeve']!.ways.map((w) => w.towards)).toEqual(['pommel'])
  })
  test('a screw that is never to be touched keeps it on; one further along is none of its', () => {
    const never = sleeved(40, 60, (s) => void (s.hilt.fasteners.at(-1)!.clientMay = 'never'))
    expect(off(never, 'part:b-sleeve')).toEqual(['never fastener:ss'])
    const far = sleeved(40, 60, (s) => void (s.hilt.fasteners.at(-1)!.at = mm(200)))
    expect(off(far, 'part:b-sleeve')).toEqual(['takeOff part:sleeve'])
  })
  test('it passes wherever it is as wide within as the widest on its way, by figures drawn', () => {
    fc.assert(
      fc.property(fc.integer({ min: 300, max: 420 }), fc.integer({ min: 300, max: 420 }), (pommel, emitter) => {
        const s = sleeved(40, 60, (x) => {
          x.hilt.sections[0]!.outside = mm(pommel / 10)
          x.hilt.sections[2]!.outside = mm(emitter / 10)
        })
        const ways = assemblyOf(s).joints['part:b-sleeve']!.ways.map((w) => w.towards)
        expect(ways).toEqual([...(pommel <= 370 ? ['pommel'] : []), ...(emitter <= 370 ? ['emitter'] : [])])
      }),
    )
  })
})

describe('what comes out, and what goes along', () => {
  const board = saber((s) => {
    s.parts.push(
      part('b-ch', 'ch-filament', 24, { removable: true, heldBy: 'rails' }),
      part('b-usb', 'port-usbc', 110, { beside: 'b-board', on: 'b-board' }),
    )
    Object.assign(s.parts.find((p) => p.kind === 'board')!, { removable: true, on: 'b-ch' })
  })
  test('a board is lifted from the chassis that carries it, and the port on it is reached then', () => {
    // A board is touched only dead: nothing cuts the power here, so the cell comes out of the chassis before.
    expect(off(board, 'part:b-board')).toEqual(['takeOff part:ch', 'takeOff part:cell', 'takeOff part:board'])
    const acts = goal(board, 'port')!
    expect(acts.slice(2, 5)).toEqual(['takeOff part:board', 'plugIn part:usb', 'unplug part:usb'])
    expect(acts.slice(5).toSorted()).toEqual(['putOn part:board', 'putOn part:cell', 'putOn part:ch'])
    expect(acts.at(-1)).toBe('putOn part:ch')
  })
  test('one that nobody lifts leaves the port to the chassis', () => {
    const s = structuredClone(board)
    delete s.parts.find((p) => p.kind === 'board')!.removable
    expect(goal(s, 'port')!.slice(0, 2)).toEqual(['takeOff part:ch', 'plugIn part:usb'])
  })
  test('what is fastened to another is drawn where that lies', () => {
    const s = saber((x) => {
      x.parts.push(
        part('b-ch', 'ch-filament', 24, { removable: true, heldBy: 'rails' }),
        // It lies beyond the chassis, and is fastened to it.
        part('b-oled', 'oled-049', 150, { clock: deg(0), on: 'b-ch' }),
      )
    })
    const { assembly, rest } = machineOf(s)
    const { moved } = apartIn(s, assembly, { ...rest, off: [...rest.off, 'section:b-pommel', 'part:b-ch'] })
    expect(moved['part:b-oled']).toEqual(moved['part:b-ch'])
  })
  test('of two cells in a row each comes out in its turn, and goes back the other way round', () => {
    const s = saber((x) => {
      const cell = x.parts.find((p) => p.kind === 'cell')!
      cell.specs.length = mm(30)
      x.parts.push({ ...structuredClone(cell), id: 'b-cell2', name: 'second cell', at: mm(60) })
    })
    expect(off(s, 'part:b-cell2')).toEqual(['takeOff section:pommel', 'takeOff part:cell', 'takeOff part:cell2'])
    const acts = goal(s, 'cell')!
    expect(acts.filter((x) => x.includes('cell'))).toEqual([
      'takeOff part:cell',
      'takeOff part:cell2',
      'putOn part:cell2',
      'putOn part:cell',
    ])
    const words = proceduresOf(MAKER, s).find((p) => p.goal.kind === 'cell')
    expect(words?.ok && words.acts.filter((a) => /cell/.test(a.key)).map((a) => a.text)).toEqual([
      'Let the cell nearer the pommel slide out at the pommel end',
      'Let the cell nearer the blade slide out at the pommel end',
      'Put the cell nearer the blade in, plus pole towards the emitter',
      'Put the cell nearer the pommel in, plus pole towards the emitter',
    ])
  })
  test('a cell is spoken of by what keeps it', () => {
    const kept = (heldBy: 'groove' | 'clip' | 'ribbon') => {
      const s = saber((x) => {
        x.parts.push(part('b-ch', 'ch-filament', 24, { removable: true, heldBy: 'rails' }))
        Object.assign(x.parts.find((p) => p.kind === 'cell')!, { heldBy, leads: stated('minus', 'measured') })
      })
      const p = proceduresOf(MAKER, s).find((x) => x.goal.kind === 'cell')
      return p?.ok ? p.acts.filter((a) => a.does.some((d) => d.at === 'part:b-cell')).map((a) => a.text) : []
    }
    expect(kept('groove')[0]).toBe('Lift the cell out of its groove')
    expect(kept('clip')[0]).toBe('Lift the cell out of its clip, one end first')
    expect(kept('ribbon')[0]).toBe('Lift the cell out by its ribbon')
    expect(kept('groove')[1]).toMatch(/^Put the cell into its groove/)
  })
})

describe('joints', () => {
  test('the screws of one joint in the order that the maker gives, back the other way round', () => {
    const s = saber((x) => {
      x.hilt.fasteners.push(
        screw('b-j1', 'first screw', 'M3', '1.5 mm', 30, 0, { purpose: 'joint', clientMay: 'remove' }),
        screw('b-j2', 'second screw', 'M3', '1.5 mm', 30, 180, { purpose: 'joint', clientMay: 'loosen' }),
      )
      x.joints.push(
        joint('j', 'section:b-pommel', {
          held: [
            { screw: 'b-j2', by: 'loosen' },
            { screw: 'b-j1', by: 'remove' },
          ],
        }),
      )
    })
    expect(off(s, 'section:b-pommel')).toEqual(['loosen fastener:j2', 'remove fastener:j1', 'takeOff section:pommel'])
    expect(home(s, 'section:b-pommel')).toEqual(['putOn section:pommel', 'tighten fastener:j1', 'tighten fastener:j2'])
  })
  test('covers held by magnets in the order in which they lock each other', () => {
    const s = saber((x) => {
      x.parts.push(
        part('b-lower', 'cover-magnet', 60, { name: 'lower cover' }),
        part('b-upper', 'cover-magnet', 90, { name: 'upper cover' }),
      )
      x.joints.push(joint('jl', 'part:b-lower', { after: ['part:b-upper'] }))
    })
    expect(off(s, 'part:b-lower')).toEqual(['takeOff part:upper', 'takeOff part:lower'])
    expect(home(s, 'part:b-lower')).toEqual(['putOn part:lower', 'putOn part:upper'])
    // Told once: the errand of the lower one passes the upper one.
    const say = spoken(s, 'show')!.say
    expect(say.match(/Lift off the upper cover/g)).toHaveLength(1)
    expect(say.indexOf('Lift off the upper cover')).toBeLessThan(say.indexOf('Lift off the lower cover'))
  })
  test('a thread without a stop says where to stop', () => {
    const s = saber((x) => void (x.hilt.sections[0]!.joint = { kind: 'thread', stop: false }))
    expect(spoken(s, 'close')!.say).toContain('Nothing stops this thread')
    const plain = saber(() => undefined)
    expect(spoken(plain, 'close')!.say).not.toContain('Nothing stops')
  })
  test('a chassis that threads into the emitter comes out there, in so many turns, and wakes', () => {
    const s = saber((x) => {
      x.parts.push(part('b-ch', 'ch-filament', 24, { removable: true, heldBy: 'thread' }))
      x.joints.push(joint('j', 'part:b-ch', { towards: 'emitter', byItself: 'wakes', turns: fact(4, '×', 'measured') }))
    })
    const { assembly, rest } = machineOf(s)
    const p = planOff(assembly, rest, ['part:b-ch'])
    expect(p.ok && p.acts.at(-1)).toEqual({ do: 'takeOff', at: 'part:b-ch', how: 'unscrew', towards: 'emitter' })
    expect(p.ok && runAll(assembly, rest, p.acts).happened.at(-1)).toContain('wakes')
    // It is drawn out at the mouth: the blade is out before.
    const lit = planOff(assembly, { ...rest, off: [] }, ['part:b-ch'])
    expect(lit.ok && told(lit.acts)).toEqual(['loosen fastener:blade', 'takeOff blade:b1', 'takeOff part:ch'])
  })
})

describe('several sockets', () => {
  const cross = (more: (s: Saber) => void = () => undefined) =>
    saber((s) => {
      const emitter = s.hilt.sections[2]!
      s.hilt.sections.push({ ...structuredClone(emitter), id: 'b-arm', name: 'left arm', role: 'quillon' })
      s.hilt.fasteners.push(screw('b-as', 'arm screw', 'M3', '1.5 mm', 200, 90))
      s.hilt.sockets.push({
        ...structuredClone(s.hilt.sockets[0]!),
        id: 'b-k2',
        name: 'left arm',
        section: 'b-arm',
        retention: ['b-as'],
      })
      more(s)
    })
  const film = (s: Saber) => {
    const c = order('o', 'Order', ['x'])
    c.sabers = [s]
    s.beats = compose(c, s)
    return { say: s.beats.find((b) => b.covers.includes('task:bladeIn'))!, troubles: rehearse(MAKER, s).troubles }
  }
  test('each with its blade is shown; one without any on the bench is said to be so, and not shown', () => {
    const both = cross((s) => s.blades.push(pixelBlade('b-b2', 'arm blade', 'b-k2', 25.4, 180)))
    expect(film(both)).toMatchObject({ say: { task: 'bladeIn' }, troubles: [] })
    const one = cross((s) => s.blades.push(pixelBlade('b-b2', 'arm blade', 'b-k2', 25.4, 180, { use: 'toBuy' })))
    const { say, troubles } = film(one)
    expect(troubles).toEqual([])
    expect(say.say).toContain('The one for the left arm goes in the same way; it isn’t here to show.')
    expect(say.say).not.toContain('arm screw')
    const nothingYet = cross()
    expect(film(nothingYet).say.say).toContain('The one for the left arm goes in the same way')
  })
  test('with one test blade for several ports, words of one’s own that show more are refused', () => {
    const s = cross((x) => x.blades.push(pixelBlade('b-b2', 'arm blade', 'b-k2', 25.4, 180, { use: 'toBuy' })))
    film(s)
    const b = s.beats.find((x) => x.task === 'bladeIn')!
    Object.assign(b, { say: 'Now both blades go in.', by: 'own' })
    expect(rehearse(MAKER, s).troubles).toMatchObject([{ code: 'noBladeHere', socket: 'left arm' }])
  })
  test('a blade that does not go in is told and not shown; shown in one’s own words it is refused', () => {
    const s = saber((x) => void (x.blades[0]!.outside = mm(25.7)))
    const { say, troubles } = film(s)
    expect(say).not.toHaveProperty('task')
    expect(say.say).toContain('Your blade doesn’t fit yet')
    expect(troubles).toEqual([])
    s.beats = s.beats.map((b) => (b.id === say.id ? { ...b, task: 'bladeIn', by: 'own' } : b))
    expect(rehearse(MAKER, s).troubles).toContainEqual(
      expect.objectContaining({ code: 'willNotEnter', socket: 'emitter' }),
    )
  })
})

describe('what is shown where it works', () => {
  test('a control of some presets only is shown in one of them, and the film ends in the first', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 6 }), fc.nat(5), fc.boolean(), (n, of, back) => {
        const s = saber((x) => {
          x.presets = Array.from({ length: n }, (_, i) =>
            preset(`b-p${i}`, `Look ${i}`, 'Reed', '#20c060', { why: 'so' }),
          )
          x.controls.push(
            row('b-next', 'off', 'b-i1', 'tap', 'nextPreset', { times: 2 }),
            row('b-only', 'lit', 'b-i1', 'tap', 'deflect', { presets: [`b-p${of % n}`] }),
          )
          if (back) x.controls.push(row('b-back', 'off', 'b-i1', 'tap', 'previousPreset', { times: 3 }))
        })
        const c = order('o', 'Order', ['x'])
        c.sabers = [s]
        s.beats = compose(c, s)
        const r = rehearse(MAKER, s)
        expect(r.troubles).toEqual([])
        const at = s.beats.findIndex((b) => b.perform === 'row:b-only')
        expect(s.presets[r.states[at]!.preset!]!.id).toBe(`b-p${of % n}`)
        expect(r.states.at(-1)!.preset).toBe(0)
      }),
    )
  })
  test('where no control leads to it, it is told and not shown', () => {
    const s = saber((x) => void x.controls.push(row('b-only', 'lit', 'b-i1', 'tap', 'deflect', { presets: ['b-p2'] })))
    const c = order('o', 'Order', ['x'])
    c.sabers = [s]
    s.beats = compose(c, s)
    const b = s.beats.find((x) => x.covers.includes('control:b-only'))!
    expect(b.say).toContain('In Ferry bell only.')
    expect(b).not.toHaveProperty('perform')
    expect(rehearse(MAKER, s).troubles).toEqual([])
  })
  test('where no blade comes out it lights up, and nobody tells of one that comes out', () => {
    const s = saber((x) => void (x.blades[0]!.kind = 'inHilt'))
    const c = order('o', 'Order', ['x'])
    c.sabers = [s]
    s.beats = compose(c, s)
    const lit = s.beats.find((b) => b.perform === 'row:b-on')!
    expect(lit.say).toContain('it lights up')
    expect(rehearse(MAKER, s).troubles).toEqual([])
    for (const say of ['Press the button and the blade comes out.', 'Drück die Taste, und die Klinge fährt aus.']) {
      s.beats = s.beats.map((b) => (b.id === lit.id ? { ...b, say, by: 'own' } : b))
      expect(rehearse(MAKER, s).troubles).toMatchObject([{ code: 'saidDiffers', about: 'doing' }])
    }
    // With a blade of pixels the same words are right.
    s.blades = s.blades.map((b) => ({ ...b, kind: 'pixel' }))
    expect(rehearse(MAKER, s).troubles).toEqual([])
  })
  test('an input that nothing uses is not shown', () => {
    const s = saber((x) => void x.inputs.push({ id: 'b-i2', name: 'slider', kind: 'slide' }))
    s.beats = [{ id: 'own', say: 'And this is the slider.', show: 'input:b-i2', seconds: 3, covers: [], by: 'own' }]
    expect(rehearse(MAKER, s).troubles).toMatchObject([{ code: 'unreached', input: 'slider' }])
  })
  test('what is never to be touched is told before a screw is turned; later it is too late', () => {
    const s = saber(
      (x) =>
        void x.hilt.fasteners.push(
          screw('b-no', 'grip screw', 'M4', '2 mm', 100, 0, { purpose: 'switch', clientMay: 'never' }),
        ),
    )
    const c = order('o', 'Order', ['x'])
    c.sabers = [s]
    for (const how of ['pommelUp', 'outsideIn', 'operateFirst', 'build'] as const) {
      s.beats = compose(c, s, how)
      const at = (key: string) => s.beats.findIndex((b) => b.covers.includes(key))
      expect(at('fastener:b-no')).toBeGreaterThan(0)
      expect(at('fastener:b-no')).toBeLessThan(at('task:bladeIn'))
    }
    const never = s.beats.find((b) => b.covers.includes('fastener:b-no'))!
    s.beats = [...s.beats.filter((b) => b !== never && !b.covers.includes('farewell')), never]
    expect(rehearse(MAKER, s).troubles).toContainEqual(
      expect.objectContaining({ code: 'toldLate', part: 'grip screw' }),
    )
  })
  test('the caution of a brittle chassis is spoken where it is handled', () => {
    const s = saber(
      (x) => void x.parts.push(part('b-ch', 'ch-resin', 24, { removable: true, heldBy: 'rails', material: 'resin' })),
    )
    const p = proceduresOf(MAKER, s).find((x) => x.goal.kind === 'cell')
    const out = p?.ok ? p.acts.filter((a) => !a.back) : []
    expect(inOneBreath(MAKER, s, out)).toMatch(
      /Slide the chassis.*out at the (pommel|emitter) end\. It is brittle: hold it in both hands/,
    )
  })
})
