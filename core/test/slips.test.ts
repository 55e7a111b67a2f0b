import { describe, expect, test } from '@jest/globals'
import { fact, stated } from '@nubrin/core/facts'
import { axialSlack, keyMm, keysAlike, standardKey } from '@nubrin/core/fit'
import { judgeCommission } from '@nubrin/core/judge'
import type { Commission, Fastener, FittedPart, Saber } from '@nubrin/core/record'
import { rehearse } from '@nubrin/core/script'
import { MAKER, parseMeasure, suggestCode } from '@nubrin/core/units'
import { demo, done, TODAY, tube } from './samples'

const mm = (v: number) => fact(v, 'mm', 'measured')
const deg = (v: number) => fact(v, 'deg', 'measured')
/** What a check says of the finished saber after a change: code, level, whether it gates, and what it lights. */
function says(check: string, change: (s: Saber, c: Commission) => void) {
  const c = demo('reed-warden')
  change(c.sabers[0]!, c)
  return judgeCommission(c, TODAY)
    .filter((f) => f.check === check)
    .map((f) => `${f.code} ${f.level}${f.gate ? ' gate' : ''} ${f.refs.join()}`.trim())
}
const none = () => undefined
const screw = (more: Partial<Fastener>) => (s: Saber) =>
  void s.hilt.fasteners.push({
    ...{ id: 'x', name: 'x', thread: 'M3', key: '1.5 mm', head: 'set', purpose: 'other', clientMay: 'loosen' },
    ...{ at: mm(100), clock: deg(0) },
    ...more,
  } as Fastener)
const part = (more: Partial<FittedPart> & Pick<FittedPart, 'kind'>) => (s: Saber) =>
  void s.parts.push({ id: 'x', name: 'x', specs: {}, ...more })

describe('keys and threads', () => {
  test.each([
    ['2 mm', 2],
    ['2.0 mm', 2],
    ['2', 2],
    ['hex 2.5 mm', 2.5],
    ['Hex key 3', 3],
    ['1/16 in', 1.5875],
    ['0.050 in', 1.27],
    ['5/64"', 1.984375],
    ['by hand', undefined],
    ['', undefined],
  ])('a key of %j is %s mm', (text, size) => {
    if (size === undefined) expect(keyMm(text)).toBeUndefined()
    else expect(keyMm(text)).toBeCloseTo(size, 6)
  })
  test('alike across both systems where one goes into the other’s screw', () => {
    expect(keysAlike('1.5 mm', '1/16 in')).toBe(true)
    expect(keysAlike('2 mm', '5/64 in')).toBe(true)
    expect(keysAlike('3 mm', '1/8 in')).toBe(false)
    expect(keysAlike('2.5 mm', '3 mm')).toBe(false)
    expect(keysAlike('by hand', 'by hand')).toBe(true)
    expect(keysAlike('', '')).toBe(false)
  })
  test('right spellings are not doubted, wrong ones asked back', () => {
    for (const t of [
      'M4',
      'm4',
      'M4×6',
      'M4x6',
      'M 4',
      'M6',
      'M1.6',
      '#6-32',
      '6-32',
      '6-32 x 1/4',
      '1/4-20',
      '#10-24',
    ])
      expect([t, suggestCode(t, 'screw')]).toEqual([t, undefined])
    expect(suggestCode('632', 'screw')!.nearest).toEqual({ text: '#6-32' })
    expect(suggestCode('M33', 'screw')!.nearest).toBeDefined()
    expect(suggestCode('zz', 'screw')).toEqual({ code: 'unknownCode', got: 'zz' })
    expect([standardKey('6-32', 'set'), standardKey('M4×6', 'set'), standardKey('M4x10', 'cap')]).toEqual([
      '1/16 in',
      '2 mm',
      '3 mm',
    ])
    expect(says('wrongKey', screw({ thread: 'M4×6', key: '2.0 mm' }))).toEqual([])
    expect(says('wrongKey', screw({ thread: 'M4', key: '1.5 mm' }))).toEqual(['other caution fastener:x'])
  })
  test('a screw never to be touched beside one of a like key is told until the film tells it', () => {
    const both = (s: Saber) => {
      for (const f of s.hilt.fasteners) f.key = 'by hand'
      screw({ clientMay: 'never', key: '1.5 mm' })(s)
      screw({ id: 'y', name: 'y', key: '1/16 in' })(s)
    }
    expect(says('sameKey', both)).toEqual(['key caution fastener:x,fastener:y'])
    expect(
      says('sameKey', (s) => {
        both(s)
        s.beats[0]!.covers.push('fastener:x')
      }),
    ).toEqual([])
  })
})

describe('measures as they are typed', () => {
  const value = (text: string, q: Parameters<typeof parseMeasure>[1] = 'length') => {
    const r = parseMeasure(text, q)
    return r.ok
      ? [Number(r.value.toPrecision(9)), ...(r.tol === undefined ? [] : [Number(r.tol.toPrecision(9))])]
      : r.code
  }
  test.each([
    ['½', [12.7]],
    ['1½', [38.1]],
    ['1 ½ in', [38.1]],
    ['12⅞"', [327.025]],
    ['⅝ in', [15.875]],
    ['3 ft', [914.4]],
    ["3'", [914.4]],
    ['3\' 6"', [1066.8]],
    ['3 ft 6 1/2 in', [1079.5]],
    ['3 feet', [914.4]],
    ['1 in ± 1/64', [25.4, 0.396875]],
    ['22.2 ± 1/64', [22.2, 0.396875]],
    ['22.2 ± 0.1', [22.2, 0.1]],
    ['7/8 ± 1/64 in', [22.225, 0.396875]],
    ["3' x", 'unknownUnit'],
  ] as const)('%s', (text, expected) => expect(value(text)).toEqual(expected))
  test.each([
    ['1 MΩ', 'resistance', [1e6]],
    ['1 M', 'resistance', [1e6]],
    ['1 M\u2126', 'resistance', [1e6]],
    ['1 mΩ', 'resistance', [0.001]],
    ['4.7 kΩ', 'resistance', [4700]],
    ['5 \u03bcA', 'current', [5e-6]],
    ['5 \u00b5A', 'current', [5e-6]],
  ] as const)('%s of %s', (text, q, expected) => expect(value(text, q)).toEqual(expected))
})

describe('what holds a blade', () => {
  const socket = done().hilt.sockets[0]!
  test('turning holds, a screw of no socket is asked about, nothing is a stop', () => {
    const bare = (s: Saber) => {
      s.hilt.fasteners = s.hilt.fasteners.filter((f) => !s.hilt.sockets[0]!.retention.includes(f.id as never))
      s.hilt.sockets[0]!.retention = []
    }
    expect(says('bladeHeld', bare)).toEqual([`nothing stop gate socket:${socket.id}`])
    expect(
      says('bladeHeld', (s) => {
        bare(s)
        s.hilt.sockets[0]!.insertion = 'clockwise'
      }),
    ).toEqual([])
    expect(says('bladeHeld', screw({ purpose: undefined }))).toEqual(['unnamed caution gate fastener:x'])
    expect(says('bladeHeld', screw({ purpose: undefined, head: 'dummy' }))).toEqual([])
  })
  test('a plug wider than its socket, and a string blade in a socket that turns', () => {
    const bore = socket.bore.value!
    expect(says('bladeSeat', part({ kind: 'plug', specs: { diameter: mm(bore + 0.1) } }))).toEqual([
      `plug stop gate part:x,socket:${socket.id}`,
    ])
    expect(says('bladeSeat', part({ kind: 'plug', specs: { diameter: mm(bore) } }))).toEqual([])
    const string = (s: Saber) => void (s.blades[0]!.kind = 'string')
    expect(says('bladeSeat', string)).toEqual([])
    expect(
      says('bladeSeat', (s) => {
        string(s)
        s.hilt.sockets[0]!.insertion = 'clockwise'
      }),
    ).toEqual([`twisted stop gate blade:${done().blades[0]!.id},socket:${socket.id}`])
  })
  test('a length of 36 that was meant in inches is asked back, an arm’s blade by its own measure', () => {
    const found = judgeCommission(
      (() => {
        const c = demo('reed-warden')
        c.sabers[0]!.blades[0]!.length = mm(36)
        return c
      })(),
      TODAY,
    ).find((f) => f.check === 'oddSize')!
    expect(found.remedy).toContain('914.4 mm')
    expect(says('oddSize', (s) => void (s.blades[0]!.length = mm(180)))).toEqual([])
  })
})

describe('lights and what feeds them', () => {
  const zone = (id: string, more: object = {}) => ({
    ...{
      id,
      name: id,
      kind: 'accent' as const,
      leds: fact(4, '×'),
      channelCurrent: fact(18, 'mA'),
      idleCurrent: fact(1, 'mA'),
    },
    ...('follows' in more ? {} : { shines: stated('byItself', 'measured') }),
    ...more,
  })
  const zones =
    (...list: ReturnType<typeof zone>[]) =>
    (s: Saber) =>
      void s.zones.push(...(list as Saber['zones']))
  test('zones that follow in a ring, told once', () => {
    expect(says('zones', none)).toEqual([])
    const ring = zones(
      zone('a', { follows: 'b' }),
      zone('b', { follows: 'c' }),
      zone('c', { follows: 'a' }),
      zone('d', { follows: 'a' }),
    )
    expect(says('zones', ring)).toEqual(['ring stop gate zone:a,zone:b,zone:c'])
    expect(says('zones', zones(zone('a', { follows: 'a' })))).toEqual(['ring stop gate zone:a'])
    expect(says('zones', zones(zone('a', { follows: 'b' }), zone('b')))).toEqual([])
  })
  test('a zone with other LEDs than its strip, and a strip of no zone', () => {
    const strip = part({ kind: 'strip', specs: { leds: fact(6, '×') } })
    expect(says('zones', strip)).toEqual(['alone caution part:x'])
    const of = (leds: number) => (s: Saber) => {
      strip(s)
      zones(zone('z', { part: 'x', leds: fact(leds, '×') }))(s)
    }
    expect(says('zones', of(4))).toEqual(['count caution gate zone:z,part:x'])
    expect(says('zones', of(6))).toEqual([])
  })
  test('a fitted resistor of another value', () => {
    const led = part({
      id: 'led',
      kind: 'accentLed',
      specs: { forwardVolts: fact(2, 'V'), channelCurrent: fact(20, 'mA') },
    })
    const of = (ohms: number) => (s: Saber) => {
      led(s)
      part({ kind: 'resistor', specs: { ohms: fact(ohms, 'Ω') } })(s)
    }
    // 110 Ω by the standard series; 330 still shines, 47 burns it.
    expect(says('fittedResistor', of(110))).toEqual([])
    expect(says('fittedResistor', of(220))).toEqual([])
    expect(says('fittedResistor', of(47))).toEqual(['over stop gate part:x'])
    expect(says('fittedResistor', of(106))).toEqual([])
    expect(says('fittedResistor', of(104))).toEqual(['over stop gate part:x'])
    expect(says('fittedResistor', of(1000))).toEqual(['wrong caution gate part:x'])
    expect(
      says('fittedResistor', (s) => {
        of(47)(s)
        delete s.parts.find((p) => p.id === 'led')!.specs.forwardVolts
      }),
    ).toEqual([])
  })
  test('deep sleep on a board that is not known to have one', () => {
    const sleeps = (s: Saber) => {
      s.parts = s.parts.filter((p) => p.kind !== 'killSwitch')
      s.cutPower = 'deepSleep'
    }
    expect(says('cutOff', sleeps)).toEqual([])
    expect(
      says('cutOff', (s) => {
        sleeps(s)
        delete s.parts.find((p) => p.kind === 'board')!.specs.deepSleepCurrent
      }),
    ).toEqual([expect.stringMatching(/^noSleep caution gate part:/)])
  })
  test('the shipped volume above the highest, and a highest above the speaker', () => {
    const vol =
      (shipped: number, highest: number, watts = 2) =>
      (s: Saber) => {
        s.use.volume = fact(shipped, '%', 'configured')
        s.use.highestVolume = fact(highest, '%', 'configured')
        s.parts.find((p) => p.kind === 'speaker')!.specs.ratedWatts = fact(watts, 'W')
      }
    expect(says('loudVolume', vol(60, 80))).toEqual([])
    expect(says('loudVolume', vol(90, 80))).toEqual([expect.stringMatching(/^above stop gate part:/)])
    expect(says('loudVolume', vol(40, 100, 0.5))).toEqual([expect.stringMatching(/^highest caution part:/)])
    expect(says('loudVolume', vol(100, 100, 0.5))).toEqual([expect.stringMatching(/^loud caution part:/)])
  })
  test('a preset that is not sure stands in the way of telling it', () => {
    expect(says('unsurePreset', (s) => void (s.presets[1]!.status = 'unsure'))).toEqual([
      `unsure caution gate preset:${done().presets[1]!.id}`,
    ])
  })
})

describe('a display, inputs, names', () => {
  test('a display turned away from its window', () => {
    const turned = (by: number) => (s: Saber) => {
      const d = s.parts.find((p) => p.kind === 'display')!
      d.clock = deg((s.hilt.openings.find((o) => o.kind === 'window')!.clock.value! + by + 360) % 360)
    }
    expect(says('displayWindow', turned(0))).toEqual([])
    expect(says('displayWindow', turned(20))).toEqual([])
    expect(says('displayWindow', turned(-21))).toEqual([expect.stringMatching(/^turned stop gate part:/)])
    expect(says('displayWindow', turned(180))).toEqual([expect.stringMatching(/^turned stop gate part:/)])
  })
  test('a slide that is pressed, a button that is slid', () => {
    const button = done().inputs.find((i) => i.kind === 'button')!
    const kind = (k: Saber['inputs'][number]['kind']) => (s: Saber) =>
      void (s.inputs.find((i) => i.id === button.id)!.kind = k)
    expect(says('inputKind', none)).toEqual([])
    expect(says('inputKind', kind('slide'))).toEqual([
      expect.stringMatching(`^cannot caution gate input:${button.id},row:`),
    ])
    expect(says('inputKind', kind('magnet'))).toEqual([])
  })
  test('a name that says another material, a landmark that says the other end', () => {
    const named = (name: string) => (s: Saber) => void (s.hilt.sections[0]!.name = name)
    const id = done().hilt.sections[0]!.id
    expect(done().hilt.sections[0]!.material).toBe('aluminium')
    expect(says('nameHints', named('brass pommel'))).toEqual([`material caution section:${id}`])
    expect(says('nameHints', named('aluminium pommel with brass'))).toEqual([])
    expect(says('nameHints', named('pommel'))).toEqual([])
    const mark = (landmark: string, faces: 'emitter' | 'pommel') => (s: Saber) =>
      void Object.assign(s.parts.find((p) => p.kind === 'cell')!, { landmark, faces: stated(faces, 'measured') })
    expect(says('nameHints', mark('plus towards the pommel', 'emitter'))).toEqual(['facing caution gate part:rw-p2'])
    expect(says('nameHints', mark('plus towards the front; minus to the pommel', 'emitter'))).toEqual([])
    expect(says('nameHints', mark('a red dot', 'emitter'))).toEqual([])
  })
  test('what cannot be undone wants consent, set aside by name', () => {
    const step = (s: Saber) => s.access[0]!.steps[0]!
    const change = (s: Saber) => void (step(s).irreversible = true)
    expect(says('consent', change)).toEqual([expect.stringMatching(/^unasked stop gate/)])
    expect(
      says('consent', (s, c) => {
        change(s)
        c.handoff.waivers.push({ key: `consent:rw:${step(s).id}`, who: 'Maren', on: TODAY, reason: 'agreed by letter' })
      }),
    ).toEqual([])
  })
  test('a question that nobody asked yet is not waited for', () => {
    const title = (askedOn?: string) => {
      const c = demo('reed-warden')
      c.questions.push({ id: 'q', text: 'Which screw?', blocks: true, ...(askedOn ? { askedOn } : {}) })
      return judgeCommission(c, TODAY).find((f) => f.check === 'openQuestion')!.title
    }
    expect(title()).toBe('The client has not been asked')
    expect(title('2026-11-20')).toBe('Waiting for the client')
  })
})

describe('one after the other, beside each other, and the way in', () => {
  const hilt = (sections: [number, number, number][], parts: (Partial<FittedPart> & Pick<FittedPart, 'kind'>)[]) => {
    const c = demo('reed-warden')
    const s = tube(sections)
    for (const x of s.hilt.sections) for (const k of ['length', 'outside', 'bore'] as const) x[k] = mm(x[k].value!)
    s.hilt.clearance = mm(0)
    s.parts = parts.map((p, i) => ({ id: `p${i}`, name: `p${i}`, specs: {}, ...p }))
    c.sabers = [s]
    return { c, s }
  }
  const of = (c: Commission, check: string) =>
    judgeCommission(c, TODAY)
      .filter((f) => f.check === check)
      .map((f) => `${f.code} ${f.refs.join()}`)
  const size = (length: number, diameter: number) => ({ length: mm(length), diameter: mm(diameter) })
  const flat = (length: number) => ({ length: mm(length), width: mm(10), height: mm(2) })
  test('a board of 51 on a cell of 35 takes 51: five of air become eleven too many', () => {
    const { s } = hilt(
      [[40, 36, 30]],
      [
        { kind: 'cell', specs: size(35, 18) },
        { kind: 'board', specs: flat(51), beside: 'p0' as never },
      ],
    )
    const slack = () => {
      const v = axialSlack(s).nominal
      return v.ok ? v.value : undefined
    }
    expect(slack()).toBe(-11)
    s.parts[1]!.specs.length = mm(20)
    expect(slack()).toBe(5)
    // Placed so that it sticks out behind, it takes what it sticks out.
    s.parts[0]!.at = mm(5)
    s.parts[1]!.at = mm(0)
    expect(slack()).toBe(40 - 40)
  })
  test('two boards on one cell share no place; a board shares none with the next part', () => {
    const boards = (at: number, next = 120) =>
      of(
        hilt(
          [[200, 36, 30]],
          [
            { kind: 'cell', specs: size(65, 18), at: mm(20) },
            { kind: 'board', specs: flat(30), at: mm(20), beside: 'p0' as never },
            { kind: 'auxBoard', specs: flat(30), at: mm(at), beside: 'p0' as never },
            { kind: 'speaker', specs: size(10, 20), at: mm(next) },
          ],
        ).c,
        'overlap',
      )
    expect(boards(50)).toEqual([])
    expect(boards(40)).toEqual(['share part:p1,part:p2'])
    expect(boards(70, 90)).toEqual(['share part:p2,part:p3'])
  })
  test('a part in the seat of the blade', () => {
    const { c, s } = hilt([[200, 36, 30]], [{ kind: 'connector', specs: size(10, 20), at: mm(155) }])
    s.hilt.sockets = [
      {
        ...structuredClone(done().hilt.sockets[0]!),
        id: 'k' as never,
        section: 's0' as never,
        retention: [],
        depth: mm(40),
      },
    ]
    expect(of(c, 'overlap')).toEqual(['seat part:p0'])
    s.parts[0]!.at = mm(150)
    expect(of(c, 'overlap')).toEqual([])
  })
  test('a cell that fits where it lies, behind a bore it does not pass', () => {
    const { c, s } = hilt(
      [
        [40, 36, 30],
        [80, 36, 30],
        [30, 36, 16],
      ],
      [{ kind: 'cell', specs: size(65, 18), at: mm(45) }],
    )
    const join = (first: string, second: string) => {
      s.hilt.sections[0]!.joint = { kind: first as never }
      s.hilt.sections[1]!.joint = { kind: second as never }
      return of(c, 'wayIn')
    }
    expect(join('thread', 'glue')).toEqual([])
    expect(join('glue', 'thread')).toEqual([])
    expect(join('glue', 'none')).toEqual(['barred part:p0'])
    s.hilt.sections[0]!.joint = { kind: 'thread', lockedForLife: true }
    expect(of(c, 'wayIn')).toEqual(['barred part:p0'])
    const found = judgeCommission(c, TODAY).find((f) => f.check === 'wayIn')!
    expect(found.detail).toContain('a bore of 16 mm')
    expect(found.detail).toContain('2 mm too small')
    s.hilt.sections[2]!.bore = mm(18)
    expect(of(c, 'wayIn')).toEqual([])
  })
})

describe('what is no slip', () => {
  test('“it takes a second to go dark” tells no hold', () => {
    const s = done()
    const row = s.controls.find((r) => r.gesture === 'hold' && r.hold?.value === 2)!
    const beat = s.beats.find((b) => b.perform === `row:${row.id}`)!
    const trouble = (say: string) => {
      beat.say = say
      return rehearse(MAKER, s).troubles.filter((t) => t.code === 'holdDiffers').length
    }
    expect(trouble('Hold it for two seconds. It takes one second to go dark.')).toBe(0)
    expect(trouble('Hold it for one second.')).toBe(1)
    expect(trouble('Keep it pressed for one second.')).toBe(1)
    expect(trouble('One second, and it is off.')).toBe(1)
  })
  test('a model sheet is not asked for what only a fitted saber has', () => {
    const c = demo('reed-warden')
    c.job = 'model'
    c.sabers[0]!.blades[0]!.density = fact(null, '1/m')
    expect(judgeCommission(c, TODAY).filter((f) => f.check === 'powerNeeds')).toEqual([])
    c.job = 'install'
    expect(judgeCommission(c, TODAY).filter((f) => f.check === 'powerNeeds')).toHaveLength(1)
  })
  test('contents that fill a wanted clamp close', () => {
    const c = demo('reed-warden')
    const s = tube([[100, 36, 30]])
    for (const x of s.hilt.sections) for (const k of ['length', 'outside', 'bore'] as const) x[k] = mm(x[k].value!)
    s.hilt.clearance = mm(0)
    s.parts = [
      {
        id: 'ch',
        name: 'chassis',
        kind: 'chassis',
        specs: { length: mm(95), wall: mm(1) },
        at: mm(5.3),
        heldBy: 'length',
      },
      { id: 'sp', name: 'cone', kind: 'speaker', specs: { length: mm(5.3), diameter: mm(20) }, at: mm(0) },
      { id: 'cell', name: 'cell', kind: 'cell', specs: { length: mm(95), diameter: mm(18) }, at: mm(5.3) },
    ]
    c.sabers = [s]
    expect(axialSlack(s).nominal).toMatchObject({ ok: true, value: expect.closeTo(-0.3, 6) })
    const stops = judgeCommission(c, TODAY).filter((f) => f.check === 'slack')
    expect(stops).toEqual([])
    s.parts[2]!.specs.length = mm(96)
    expect(judgeCommission(c, TODAY).filter((f) => f.check === 'slack')).toHaveLength(1)
  })
})
