import { describe, expect, test } from '@jest/globals'
import { after, usualModes } from '@nubrin/core/controls'
import { fact } from '@nubrin/core/facts'
import { type ControlRow, type ModeIs, type Saber, STATES, type Task } from '@nubrin/core/record'
import {
  compose,
  inOneBreath,
  MOST_EXACT,
  rehearse,
  spokenPart,
  troubleText,
  walkCost,
  walked,
} from '@nubrin/core/script'
import { MAKER } from '@nubrin/core/units'
import { nounWords } from '@nubrin/core/words'
import fc from 'fast-check'
import { tries } from './drawn'
import { demo, done } from './samples'

const modes = usualModes('m', STATES)
const IS: ModeIs[] = ['off', 'lit', 'menu', 'muted', 'combat']
const row = (i: number, from: ModeIs, to: ModeIs): ControlRow => ({
  ...{ id: `r${i}`, mode: `m-${from}`, to: `m-${to}`, pose: 'any', input: 'i', gesture: 'tap' },
  ...{ does: 'other', status: 'configured' },
})
const maps = (most: number) =>
  fc
    .array(fc.tuple(fc.constantFrom(...IS), fc.constantFrom(...IS)), { minLength: 1, maxLength: most })
    .map((list) => list.map(([a, b], i) => row(i, a, b)))
function* orders<T>(list: readonly T[]): Generator<T[]> {
  if (!list.length) yield []
  for (const [i, x] of list.entries()) for (const rest of orders(list.toSpliced(i, 1))) yield [x, ...rest]
}
const less = (a: readonly number[], b: readonly number[]) => {
  const i = a.findIndex((v, k) => v !== b[k])
  return i >= 0 && a[i]! < b[i]!
}
/** What an order costs, read off plainly: by searching from each mode with what was shown before. */
function plainly(rows: readonly ControlRow[], told: readonly ControlRow[]): number[] {
  let [stuck, between, dark, turned, mode] = [0, 0, 0, 0, 'm-off']
  const isDark = (m: string) => m === 'm-off' || m === 'm-asleep'
  rows.forEach((r, i) => {
    let [level, steps] = [new Set([mode]), 0]
    const seen = new Set([mode])
    while (level.size && !level.has(r.mode)) {
      level = new Set(
        [...level].flatMap((m) => rows.slice(0, i).flatMap((x) => (x.mode === m && !seen.has(x.to!) ? [x.to!] : []))),
      )
      for (const m of level) seen.add(m)
      steps++
    }
    if (level.size) between += steps
    else stuck++
    if (!isDark(r.mode) && isDark(r.to!) && rows.slice(i + 1).some((x) => !isDark(x.mode))) dark++
    turned += rows.slice(i + 1).filter((x) => told.indexOf(x) < told.indexOf(r)).length
    mode = r.to!
  })
  return [stuck, isDark(mode) ? 0 : 1, between, dark, turned]
}

describe('the order in which gestures are shown', () => {
  test('up to eight it is the best of all orders', () => {
    fc.assert(
      fc.property(maps(6), (rows) => {
        const found = walked({ modes }, rows, 'm-off')
        expect(found.map((r) => r.id).toSorted()).toEqual(rows.map((r) => r.id).toSorted())
        let best: number[] | undefined
        for (const o of orders(rows)) {
          const cost = plainly(o, rows)
          if (!best || less(cost, best)) best = cost
        }
        expect(plainly(found, rows)).toEqual(best)
        expect([...walkCost({ modes }, found, 'm-off', rows)]).toEqual(best)
      }),
      { numRuns: 80 },
    )
    expect(MOST_EXACT).toBe(8)
  })
  test('beyond it is never worse than the order that was given', () => {
    fc.assert(
      fc.property(maps(16), (rows) => {
        fc.pre(rows.length > MOST_EXACT)
        const found = walked({ modes }, rows, 'm-off')
        expect(found.map((r) => r.id).toSorted()).toEqual(rows.map((r) => r.id).toSorted())
        expect(less(plainly(rows, rows), plainly(found, rows))).toBe(false)
      }),
      { numRuns: tries(200, 60) },
    )
  })
  test('none, and one, stand as they are', () => {
    expect(walked({ modes }, [], 'm-off')).toEqual([])
    const [one] = [row(0, 'lit', 'off')]
    expect(walked({ modes }, [one], 'm-off')).toEqual([one])
  })
})

describe('a film that ends in another preset', () => {
  const film = (does: ControlRow['does'][], times?: number) => {
    const s = structuredClone(done())
    Object.assign(s, { access: [] })
    s.controls = s.controls.filter((r) => ['nextPreset', 'previousPreset'].includes(r.does))
    for (const r of s.controls) Object.assign(r, { times: 1, pose: 'any' })
    s.controls[1]!.input = s.inputs[0]!.id
    s.beats = does.map((d, i) => ({
      ...{ id: `b${i}`, say: 'Look.', seconds: 5, covers: [], by: 'own' as const },
      ...{ perform: `row:${s.controls.find((r) => r.does === d)!.id}` as const },
      ...(times ? { times } : {}),
    }))
    return rehearse(MAKER, s)
      .troubles.filter((t) => t.code === 'endsPreset')
      .map(troubleText)
  }
  test('is told which one, and the shortest way back', () => {
    expect(film(['nextPreset'])).toEqual([
      'The script ends in Warden’s watch, number 2: press the front button once, and it is back at the first.',
    ])
    expect(film(['nextPreset', 'nextPreset'])).toEqual([
      'The script ends in Harbour fire, number 3: press the rear button once, and it is back at the first.',
    ])
    expect(film(['nextPreset', 'previousPreset'])).toEqual([])
    expect(film(['nextPreset'], 3)).toEqual([])
    expect(film(['nextPreset'], 2)).toHaveLength(1)
  })
  test('a composed one goes back by itself', () => {
    const c = demo('reed-warden')
    const [s] = c.sabers
    s!.controls = s!.controls.filter((r) => r.does !== 'previousPreset')
    s!.beats = []
    s!.beats = compose(c, s!)
    const back = s!.beats.find((b) => b.say.startsWith('Back to the first preset'))!
    expect(back).toMatchObject({ times: 2, by: 'composed' })
    expect(back.say).toBe('Back to the first preset: press the rear button once, and once more.')
    expect(rehearse(MAKER, s!).troubles).toEqual([])
  })
})

describe('words that are told otherwise than they are', () => {
  const s = (): Saber => {
    const x = structuredClone(done())
    x.inputs[0]!.name = 'front button'
    x.inputs[1]!.name = 'rear button'
    x.modes.push({ id: 'm-muted', name: 'muted', is: 'muted' })
    const [a, b] = x.inputs
    const base = { mode: 'rw-mode-lit', pose: 'any', status: 'configured' } as const
    x.controls = [
      { ...base, id: 'twice', input: a!.id, gesture: 'tap', times: 2, does: 'deflect' },
      { ...base, id: 'beeps', input: b!.id, gesture: 'hold', beeps: 3, does: 'quote' },
      { ...base, id: 'raised', input: a!.id, gesture: 'tap', pose: 'up', does: 'surge' },
      { ...base, id: 'off', input: a!.id, gesture: 'hold', hold: fact(2, 's', 'configured'), does: 'retract' },
      { ...base, id: 'on', mode: 'rw-mode-off', input: a!.id, gesture: 'tap', does: 'ignite' },
      { ...base, id: 'mute', input: b!.id, gesture: 'tap', times: 3, does: 'mute', to: 'm-muted' },
      {
        ...base,
        id: 'loud',
        mode: 'm-muted',
        input: b!.id,
        gesture: 'tap',
        times: 3,
        does: 'unmute',
        to: 'rw-mode-lit',
      },
    ]
    return x
  }
  const said = (row: string, say: string, more = {}) => {
    const x = s()
    x.beats = [{ id: 'b0', say, perform: `row:${row}`, seconds: 5, covers: [], by: 'own', ...more }]
    return rehearse(MAKER, x)
      .troubles.filter((t) => t.code === 'saidDiffers')
      .map(troubleText)
  }
  const task = (which: Task, say: string) => {
    const x = s()
    x.beats = [{ id: 'b0', say, task: which, seconds: 5, covers: [], by: 'own' }]
    return rehearse(MAKER, x)
      .troubles.filter((t) => t.code === 'saidDiffers')
      .map(troubleText)
  }
  test.each<[string, string, string]>([
    ['twice', 'Press the front button once.', 'It says once; the control wants twice.'],
    ['twice', 'Now tap it three times, quickly.', 'It says 3 times; the control wants twice.'],
    ['twice', 'A triple tap makes it spit.', 'It says 3 times; the control wants twice.'],
    ['twice', 'Click 4 times.', 'It says 4 times; the control wants twice.'],
    ['beeps', 'Hold it until the second beep.', 'It says 2 beeps; the control counts 3 beeps.'],
    ['beeps', 'Let go after two beeps.', 'It says 2 beeps; the control counts 3 beeps.'],
    ['beeps', 'After 4 beeps you let it go.', 'It says 4 beeps; the control counts 3 beeps.'],
    ['raised', 'With the blade down, tap it.', 'It says the blade down; the control wants the blade up.'],
    ['raised', 'Point it down and press.', 'It says the blade down; the control wants the blade up.'],
    ['raised', 'Hold the hilt level.', 'It says the blade level; the control wants the blade up.'],
    ['twice', 'Press the rear button twice.', 'It names the rear button; the control is on the front button.'],
    ['off', 'Keep the rear button held.', 'It names the rear button; the control is on the front button.'],
    ['beeps', 'That is the front button, held.', 'It names the front button; the control is on the rear button.'],
    ['off', 'Hold it, and it ignites.', 'It says “ignites”; the control puts it out.'],
    ['off', 'This turns it on.', 'It says “turns it on”; the control puts it out.'],
    ['on', 'Press it and it goes dark.', 'It says “goes dark”; the control lights it.'],
    ['on', 'One tap turns it off.', 'It says “turns it off”; the control lights it.'],
    ['mute', 'Three presses, and the sound is back.', 'It says “sound is back”; the control mutes it.'],
    ['loud', 'Three presses mute it.', 'It says “mute”; the control unmutes it.'],
  ])('%s: %s', (row, say, text) => expect(said(row, say)).toEqual([text]))
  test.each<[string, string]>([
    ['twice', 'Press the front button twice.'],
    ['twice', 'A double tap, and it sparks; do it once more.'],
    ['twice', 'Tap it twice; once it is lit, it sparks.'],
    ['beeps', 'Hold the rear button until the third beep.'],
    ['raised', 'With the blade up, press it once.'],
    ['raised', 'Press it; do not hold the blade down, hold it up.'],
    ['off', 'Hold the front button, not the rear button, and it goes dark.'],
    ['on', 'It ignites; later you turn it off with the same button.'],
    ['mute', 'This mutes it; the same again brings the sound back.'],
    ['loud', 'Unmute it like this.'],
    ['twice', ''],
  ])('%s is right: %s', (row, say) => expect(said(row, say)).toEqual([]))
  test('what is done several times may be counted either way', () => {
    expect(said('on', 'Press it twice.', { times: 2 })).toEqual([])
    expect(said('twice', 'Press it four times.', { times: 2 })).toEqual([])
  })
  test('a task: which way is turned, and which screw', () => {
    expect(task('cellOut', 'Turn the pommel clockwise and take it off.')).toEqual([])
    const x = s()
    const p = x.access.find((q) => q.goal === 'bladeIn')!
    // Said to be turned one way only.
    for (const st of p.steps) if (st.act?.at.startsWith('fastener:')) st.direction = 'clockwise'
    x.beats = [{ id: 'b0', say: 'Turn it anti-clockwise.', task: 'bladeIn', seconds: 5, covers: [], by: 'own' }]
    const texts = (say: string) => {
      x.beats[0]!.say = say
      return rehearse(MAKER, x)
        .troubles.filter((t) => t.code === 'saidDiffers')
        .map(troubleText)
    }
    expect(texts('Turn it anti-clockwise.')).toEqual(['It says anticlockwise; the steps turn clockwise.'])
    expect(texts('Turn it counterclockwise.')).toEqual(['It says anticlockwise; the steps turn clockwise.'])
    expect(texts('Turn it clockwise.')).toEqual([])
    const mine = p.steps.flatMap((st) => x.hilt.fasteners.filter((f) => st.act?.at === `fastener:${f.id}`))
    const other = x.hilt.fasteners.find((f) => !mine.includes(f) && !p.steps.some((st) => st.text?.includes(f.name)))!
    expect(texts(`Loosen the ${other.name.toLowerCase()}.`)).toEqual([
      `It names the ${other.name}; the steps are about the ${mine[0]!.name}.`,
    ])
    expect(texts(`Loosen the ${mine[0]!.name.toLowerCase()}, not the ${other.name}.`)).toEqual([])
  })
  test('what is composed says what is: every control of every demo', () => {
    for (const id of ['reed-warden', 'crosswind', 'ember-fair', 'cinder-oath']) {
      const c = demo(id)
      for (const x of c.sabers) {
        x.beats = []
        x.beats = compose(c, x)
        expect(rehearse(MAKER, x).troubles.filter((t) => t.code === 'saidDiffers')).toEqual([])
        expect(x.controls.every((r) => x.modes.some((m) => m.id === after(x, r)))).toBe(true)
      }
    }
  })
})

describe('steps as they are spoken', () => {
  const s = done()
  const screw = (id: string, more: object) => ({
    ...structuredClone(s.hilt.fasteners[0]!),
    id,
    name: `${id} screw`,
    key: '2 mm',
    ...more,
  })
  s.hilt.sockets[0]!.retention = ['left', 'right', 'third', 'other']
  s.hilt.fasteners = [
    screw('left', {}),
    screw('right', {}),
    screw('third', {}),
    screw('other', { key: '3 mm' }),
    screw('grip', { purpose: 'joint' }),
  ]
  let n = 0
  const step = (at: string, act: 'loosen' | 'tighten' | 'remove', more = {}) => ({
    ...{ key: `s${n++}`, text: `${act} ${at}`, direction: 'none' as const, tool: 'hex key 2 mm', back: false },
    ...{ does: [{ do: act, at: `fastener:${at}` as const }], ...more },
  })
  test.each<[string, ReturnType<typeof step>[], string]>([
    ['one stands alone', [step('left', 'loosen')], 'Loosen left.'],
    [
      'two in one breath',
      [step('left', 'loosen'), step('right', 'loosen')],
      'Back both blade screws out with the hex key 2 mm; leave them in.',
    ],
    [
      'three',
      [step('left', 'remove'), step('right', 'remove'), step('third', 'remove')],
      'Take all 3 blade screws out with the hex key 2 mm.',
    ],
    [
      'tightened',
      [step('left', 'tighten'), step('right', 'tighten')],
      'Tighten both blade screws until snug; do not overtighten.',
    ],
    ['another key breaks it', [step('left', 'loosen'), step('other', 'loosen')], 'Loosen left. Loosen other.'],
    ['another purpose breaks it', [step('left', 'loosen'), step('grip', 'loosen')], 'Loosen left. Loosen grip.'],
    ['another act breaks it', [step('left', 'loosen'), step('right', 'tighten')], 'Loosen left. Tighten right.'],
    [
      'the maker’s words stand',
      [step('left', 'loosen', { ownWords: true }), step('right', 'loosen')],
      'Loosen left. Loosen right.',
    ],
    [
      'a caution once',
      [
        step('left', 'loosen', { caution: 'Mind it' }),
        step('grip', 'loosen', { caution: 'Mind it' }),
        step('other', 'loosen', { caution: 'Stop!' }),
      ],
      'Loosen left. Mind it. Loosen grip. Loosen other. Stop!',
    ],
    [
      'without a tool',
      [step('left', 'loosen', { tool: '' }), step('right', 'loosen')],
      'Back both blade screws out; leave them in.',
    ],
    ['none', [], ''],
  ])('%s', (_what, steps, says) => expect(inOneBreath(MAKER, s, steps)).toBe(says))
  const nameTold = (s: Saber, p: Saber['parts'][number]) => {
    const told = spokenPart(MAKER, s, p)
    return typeof told === 'string' ? told : nounWords(MAKER, told)
  }
  test('a part is called after its button, or by its kind and where it lies', () => {
    const x = done()
    const [speaker] = x.parts.filter((p) => p.kind === 'speaker')
    const button = x.parts.find((p) => p.id === x.inputs[0]!.part)!
    expect(nameTold(x, button)).toBe('the front button')
    expect(nameTold(x, speaker!)).toBe('the speaker')
    const at = (v: number) => fact(v, 'mm', 'measured')
    x.parts.push(
      { ...structuredClone(speaker!), id: 'second', at: at(200) },
      { ...structuredClone(speaker!), id: 'mid', at: at(120) },
    )
    expect(x.parts.filter((p) => p.kind === 'speaker').map((p) => nameTold(x, p))).toEqual([
      ...['the speaker nearer the pommel', 'the speaker nearer the blade', 'the speaker in the middle'],
    ])
  })
})
