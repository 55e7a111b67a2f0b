import { describe, expect, test } from '@jest/globals'
import { after, usualModes } from '@nubrin/core/controls'
import {
  type Commission,
  type ControlRow,
  CUT_POWER,
  JOINTS,
  type ModeIs,
  ORDERS,
  type Saber,
  STATES,
} from '@nubrin/core/record'
import { compose, rehearse, troubleText } from '@nubrin/core/script'
import { MAKER } from '@nubrin/core/units'
import { demoCommissions } from '@nubrin/demo'
import fc from 'fast-check'
import { FIRST } from './cases/first'
import { SECOND } from './cases/second'
import { THIRD } from './cases/third'
import { tries } from './drawn'
import { demo, TODAY } from './samples'

/** The order with its script composed anew. */
function told(c: Commission, order: (typeof ORDERS)[number]): Commission {
  const out = structuredClone(c)
  for (const s of out.sabers) {
    s.order = order
    s.beats = []
    s.beats = compose(out, s, order)
  }
  return out
}

/** Whether every mode that a control is for can be come to, and left for dark again, by a plain walk of its own. */
function wholeMap(s: Saber): boolean {
  const to = (from: string) => {
    const seen = new Set([from])
    for (let grew = true; grew; ) {
      grew = false
      for (const r of s.controls)
        if (seen.has(r.mode) && !seen.has(after(s, r))) {
          seen.add(after(s, r))
          grew = true
        }
    }
    return seen
  }
  const mode = (is: ModeIs): string => s.modes.find((x) => x.is === is)?.id ?? is
  const off = mode('off')
  const start = to(s.controls.some((r) => r.mode === mode('asleep')) ? mode('asleep') : off)
  return s.controls.every((r) => (start.has(r.mode) || to(off).has(r.mode)) && to(after(s, r)).has(off))
}

describe('a script composed from acts', () => {
  const orders = [...demoCommissions(TODAY), ...[...FIRST, ...SECOND, ...THIRD].map((j) => j.make())]
  test.each(orders.map((c): [string, Commission] => [c.title, c]))(
    '%s rehearses clean, whatever the order of telling',
    (_t, c) => {
      for (const order of ORDERS)
        for (const s of told(c, order).sabers) {
          // What the map itself leaves without a way is no fault of the composing: it is a finding of its own.
          const open = !wholeMap(s)
          const troubles = rehearse(MAKER, s).troubles.filter(
            (t) => t.code !== 'notConfigured' && !(open && ['wrongState', 'litWhile', 'endsLit'].includes(t.code)),
          )
          expect(
            `${order}: ${troubles.map((t) => `${t.code} ${troubleText(t)} [${t.beat.say.slice(0, 40)}]`).join(' | ')}`,
          ).toBe(`${order}: `)
        }
    },
  )
})

describe('a script composed for an assembly at random', () => {
  /** The finished saber with its joints, screws, sockets and fittings otherwise, as many ways as a bench has seen. */
  const assemblies = fc.record({
    which: fc.constantFrom('reed-warden', 'crosswind', 'ember-fair'),
    joints: fc.array(fc.constantFrom(...JOINTS), { minLength: 8, maxLength: 8 }),
    may: fc.array(fc.constantFrom('loosen', 'remove', 'never'), { minLength: 8, maxLength: 8 }),
    holds: fc.array(fc.nat(3), { minLength: 8, maxLength: 8 }),
    insertion: fc.constantFrom('straight', 'clockwise', 'pushAndHold'),
    without: fc.subarray(['killSwitch', 'killKey', 'chargePort', 'charger', 'chassis', 'card', 'cover', 'display']),
    cut: fc.constantFrom(...CUT_POWER),
    chassisOut: fc.boolean(),
    cellOut: fc.boolean(),
    order: fc.constantFrom(...ORDERS),
  })
  test('rehearses clean, whatever holds what', () => {
    fc.assert(
      fc.property(assemblies, (a) => {
        const c = structuredClone(demo(a.which))
        for (const s of c.sabers) {
          s.hilt.sections.forEach((x, i) => void (x.joint.kind = a.joints[i % 8]!))
          s.hilt.fasteners.forEach((f, i) => {
            f.clientMay = a.may[i % 8] as never
            if (a.holds[i % 8] === 0) f.looseNow = true
          })
          for (const k of s.hilt.sockets) k.insertion = a.insertion as never
          s.parts = s.parts.filter((p) => !a.without.includes(p.kind as never))
          const had = new Set(s.parts.map((p) => p.id))
          for (const i of s.inputs) if (i.part && !had.has(i.part)) delete i.part
          for (const p of s.parts) {
            if (p.beside && !had.has(p.beside)) delete p.beside
            if (p.kind === 'chassis') p.removable = a.chassisOut
            if (p.kind === 'cell') p.removable = a.cellOut
          }
          s.cutPower = a.cut
          s.joints = []
        }
        for (const s of told(c, a.order).sabers) {
          if (!wholeMap(s)) continue
          const troubles = rehearse(MAKER, s).troubles.filter((t) => t.code !== 'notConfigured')
          expect(troubles.map((t) => `${t.code} ${troubleText(t)} [${t.beat.say.slice(0, 60)}]`)).toEqual([])
        }
      }),
      { numRuns: tries(150, 30) },
    )
  })
})

describe('run on the machine', () => {
  const film = (change: (s: Saber) => void) => {
    const s = told(demo('reed-warden'), 'pommelUp').sabers[0]!
    change(s)
    return rehearse(MAKER, s).troubles.map((t) => `${t.code}: ${troubleText(t)}`)
  }
  const without = (s: Saber, task: string) => void (s.beats = s.beats.filter((b) => b.task !== task))
  const row = (s: Saber, does: string) => s.controls.find((r) => r.does === does)!.id
  const beatOf = (s: Saber, perform: string) => s.beats.find((b) => b.perform === perform || b.task === perform)!
  const move = (s: Saber, what: string, after: string) => {
    const b = beatOf(s, what)
    s.beats = s.beats.filter((x) => x !== b)
    s.beats.splice(s.beats.indexOf(beatOf(s, after)) + 1, 0, b)
  }
  test('it is clean as composed', () => expect(film(() => undefined)).toEqual([]))
  test('the cell out, and lit', () => {
    const found = film((s) => {
      without(s, 'cellIn')
      move(s, `row:${row(s, 'ignite')}`, 'cellOut')
    })
    expect(found).toContain('dead: It is dead here: Cell 18650, protected, 15 A is out.')
    expect(found).toContain('open: pommel is off: nobody lights an open saber.')
  })
  test('never closed again: it ends open, and says with what', () => {
    const found = film((s) => without(s, 'close'))
    expect(found).toContain('endsOpen: The script ends with the pommel off.')
  })
  test('a control of another preset', () => {
    const found = film((s) => {
      const lock = s.controls.find((r) => r.does === 'lock')!
      lock.presets = [s.presets[2]!.id]
    })
    expect(found).toEqual(['otherPreset: Reed at dawn is before it here, and has no such control.'])
  })
  test('a step before what it needs is refused by name', () => {
    const found = film((s) => move(s, 'open', 'cellOut'))
    expect(found[0]).toBe(
      'refused: “Lift the cell at its plus end with the ribbon” cannot be done here: Chassis, resin, one piece is before it.',
    )
  })
  test('taken out while it is alight', () => {
    const found = film((s) => {
      const off = `row:${row(s, 'retract')}`
      // Nothing after it is shown either, which would need it dark.
      const at = s.beats.findIndex((b) => b.perform === off)
      s.beats = s.beats.filter((b, i) => i < at || !b.perform?.startsWith('row:'))
    })
    expect(found.map((t) => t.split(':')[0])).toContain('litWhile')
  })
})

describe('the order of the controls', () => {
  /** Maps at random in which every mode is come to and left again: a ring through some modes, and more between them. */
  const maps = fc
    .record({
      ring: fc.shuffledSubarray(['lit', 'menu', 'muted', 'combat'] as const, { minLength: 1 }),
      more: fc.array(fc.tuple(fc.nat(), fc.nat()), { maxLength: 8 }),
      order: fc.array(fc.nat(), { minLength: 14, maxLength: 14 }),
    })
    .map(({ ring, more, order }) => {
      const modes: ModeIs[] = ['off', ...ring]
      const edges = [
        ...modes.map((m, i) => [m, modes[(i + 1) % modes.length]!] as const),
        ...more.map(([a, b]) => [modes[a % modes.length]!, modes[b % modes.length]!] as const),
      ]
      const rows = edges.map(
        ([mode, to], i): ControlRow => ({
          id: `r${i}`,
          mode: `m-${mode}`,
          to: `m-${to}`,
          pose: 'any',
          input: 'i',
          gesture: 'tap',
          does: 'other',
          status: 'configured',
        }),
      )
      return rows
        .map((r, i) => ({ r, luck: order[i % order.length]! }))
        .sort((a, b) => a.luck - b.luck)
        .map(({ r }) => r)
    })
  test('shows each once, never jumps, and comes to dark at the end, whatever the map', () => {
    fc.assert(
      fc.property(maps, (rows) => {
        const s = structuredClone(demo('reed-warden').sabers[0]!)
        Object.assign(s, { modes: usualModes('m', STATES), controls: rows, beats: [], presets: [], access: [] })
        s.inputs[0]!.id = 'i'
        const c = { ...structuredClone(demo('reed-warden')), sabers: [s] }
        s.beats = compose(c, s)
        const shown = s.beats.flatMap((b) =>
          b.perform?.startsWith('row:') && b.covers.length ? [b.perform.slice(4)] : [],
        )
        expect(shown.toSorted()).toEqual(rows.map((r) => r.id).toSorted())
        expect(rehearse(MAKER, s).troubles).toEqual([])
      }),
      { numRuns: tries(200, 40) },
    )
  })
})

test('the words of one beat are held against what is there by then: another row, another button, another spoken name', () => {
  const c = demo('reed-warden')
  const s = c.sabers[0]!
  const row = s.controls.find((r) => r.does === 'ignite')!
  const [own, other] = [s.inputs.find((i) => i.id === row.input)!, s.inputs.find((i) => i.id !== row.input)!]
  const beat = {
    ...s.beats.find((b) => b.perform === `row:${row.id}`)!,
    say: `Press ${own.name} once.`,
    by: 'own' as const,
  }
  const said = (change: Partial<Saber>) =>
    rehearse(MAKER, { ...s, beats: [beat], ...change }).troubles.flatMap((t) =>
      t.code === 'saidDiffers' ? [t.about] : [],
    )
  expect(said({})).toEqual([])
  expect(said({ controls: s.controls.map((r) => (r === row ? { ...r, times: 2 } : r)) })).toContain('count')
  const swapped = s.inputs.map((i) => ({ ...i, name: i === own ? other.name : i === other ? own.name : i.name }))
  expect(said({ inputs: swapped })).toContain('input')
  // A name that is spoken for it makes the same words right again.
  const spoken = [{ id: 'sp', of: `input:${own.id}` as const, language: 'en' as const, name: own.name }]
  expect(said({ inputs: swapped, spoken })).not.toContain('input')
  expect(said({})).toEqual([])
})
