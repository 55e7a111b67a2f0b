import { describe, expect, test } from '@jest/globals'
import { lookThrough } from '@nubrin/core/access'
import { fact, known, stated } from '@nubrin/core/facts'
import { judgeCommission } from '@nubrin/core/judge'
import { hueWord } from '@nubrin/core/light'
import { type Beat, type Commission, colourOf, type Saber } from '@nubrin/core/record'
import { compose, tellingOrder, uncovered } from '@nubrin/core/script'
import { proposePacking } from '@nubrin/core/shipping'
import { MAKER } from '@nubrin/core/units'
import { order } from './cases/plain'
import { drawn } from './drawn'
import { playing } from './playing'
import { demo, TODAY } from './samples'

/** Five sabers that differ in what they have; each is told anew, so that nothing is wrong with it before. */
const RECORDS: readonly [string, () => Commission][] = [
  ['a crystal and two buttons', () => demo('reed-warden')],
  ['a crossguard', () => demo('crosswind')],
  ['a rebuild', () => demo('cinder-oath')],
  ['three for a guild', () => demo('ember-fair')],
  ['a plain install', () => order('slip-plain', 'Plain Saber', ['Plain Saber'])],
]
type Slip = (s: Saber, c: Commission) => undefined | 'none'
let n = 0
const newId = () => `slip-${n++}`

/** A record with a script that is fresh, its procedures looked through. */
function fresh(make: () => Commission): Commission {
  const c = make()
  for (const s of c.sabers) {
    s.access = lookThrough(s, { who: 'Maren', on: TODAY }, newId)
  }
  for (const s of c.sabers) {
    s.beats = compose(c, s)
    // What nobody has said how to do is left out by name.
    for (const t of uncovered(c, s)) s.leftOut.push({ key: t.key, who: 'Maren', reason: 'not recorded yet', on: TODAY })
  }
  c.packing = proposePacking(MAKER, { ...c, packing: [] }).map((p) => ({ ...p, id: newId(), packed: true }))
  return c
}
const codes = (c: Commission) => new Set(judgeCommission(c, TODAY).map((f) => `${f.check}.${f.code}`))
const beatOf = (s: Saber, key: (k: string) => boolean) => s.beats.find((b) => b.covers.some(key))
const own = (b: Beat, say: string) => Object.assign(b, { say, by: 'edited' as const })
const row = (s: Saber, is: (r: Saber['controls'][number]) => boolean) => {
  const r = s.controls.find(is)
  return r && { r, beat: beatOf(s, (k) => k === `control:${r.id}`)! }
}
const held = (r: Saber['controls'][number]) => r.gesture === 'hold' && known(r.hold) !== undefined
const tapped = (r: Saber['controls'][number]) => r.gesture === 'tap' && r.pose === 'any'
const cell = (s: Saber) => s.parts.find((p) => p.kind === 'cell')!

/** What goes wrong when one talks, each in three ways of saying it: the slip, the check that has to notice, and the words. */
const SAID: readonly [string, string, (s: Saber, c: Commission) => ((words: string) => void) | undefined, string[]][] =
  [
    [
      'a wrong hold time',
      'rehearsal.hold',
      (s) => {
        const x = row(s, held)
        return x && ((words) => void own(x.beat, words))
      },
      [
        'Hold the button for seven seconds and it does it.',
        'Keep it pressed 7 s.',
        'Halte die Taste sieben Sekunden lang.',
      ],
    ],
    [
      'a wrong number of presses',
      'rehearsal.said',
      (s) => {
        const x = row(s, (r) => tapped(r) && (r.times ?? 1) !== 4)
        return x && ((words) => void own(x.beat, words))
      },
      ['Press it four times.', 'Four times you tap the button.', 'Drück die Taste viermal.'],
    ],
    [
      'the opposite of what it does',
      'rehearsal.said',
      (s) => {
        const x = row(s, (r) => r.does === 'ignite')
        return x && ((words) => void own(x.beat, words))
      },
      ['Press it, and it goes dark.', 'This button retracts the blade.', 'Ein Druck, und die Klinge fährt ein.'],
    ],
    [
      'a wrong colour',
      'stale.differs',
      (s) => {
        const p = s.presets.find((x) => /^#(ff|f0|e0|e6)/.test(String(known(x.colour)))) ?? s.presets[0]!
        const said = { red: 'blue', rot: 'blau' }
        const beat = beatOf(s, (k) => k === `preset:${p.id}`)!
        return (words) => void own(beat, words.replaceAll('COLOUR', said.red).replaceAll('FARBE', said.rot))
      },
      ['This one is a deep violet.', 'You see it: magenta, as you wished.', 'Das hier ist ein rosa Licht.'],
    ],
    [
      'a size that the record holds only for about so',
      'stale.unsure',
      (s) => {
        cell(s).specs.diameter = fact(18.6, 'mm', 'recalled')
        const beat = s.beats[1]!
        beat.show = `part:${cell(s).id}`
        return (words) => void own(beat, words)
      },
      ['The cell is 18.6 mm across.', 'It takes one of exactly 18.6 mm.', 'Die Zelle misst 18,6 mm.'],
    ],
    [
      'a size that is another one',
      'stale.differs',
      (s) => {
        const beat = s.beats[1]!
        beat.show = `part:${cell(s).id}`
        return (words) => void own(beat, words)
      },
      ['The cell is 33 mm across.', 'A cell of about 33 millimetres.', 'Die Zelle misst 33 mm.'],
    ],
    [
      'a wrong number of presets',
      'stale.differs',
      (s) => {
        const beat = s.beats[1]!
        return (words) => void own(beat, words)
      },
      ['It has eight presets.', 'These are all 8 presets.', 'Das sind alle acht Presets.'],
    ],
    [
      'a wrong number of blade screws',
      'stale.differs',
      (s) => {
        if (!s.hilt.sockets.some((k) => k.retention.length)) return undefined
        const beat = s.beats[1]!
        return (words) => void own(beat, words)
      },
      ['Loosen the nine blade screws.', 'All nine retention screws are tight.', 'Löse die neun Klingenschrauben.'],
    ],
    [
      'another volume than the one that is set',
      'stale.differs',
      (s) => {
        s.use.volume = fact(60, '%', 'configured')
        const beat = s.beats[1]!
        return (words) => void own(beat, words)
      },
      ['It’s shipped at volume 25.', 'The volume is set to 25.', 'Die Lautstärke steht auf 25.'],
    ],
    [
      'turned the wrong way',
      'rehearsal.said',
      (s) => {
        // What is said of acts is changed as the bench changes it, never in place.
        s.access = structuredClone(s.access)
        const p = s.access.find((x) => x.goal === 'bladeIn')
        const b = beatOf(s, (k) => k === 'task:bladeIn')
        const screws = p?.steps.filter((x) => x.act?.at.startsWith('fastener:')) ?? []
        if (!b || !screws.length) return undefined
        // Whatever is turned is turned the other way than is said.
        for (const f of s.hilt.fasteners)
          for (const verb of ['loosen', 'tighten'] as const) {
            const at = `fastener:${f.id}` as const
            const had = p!.steps.find((x) => x.act?.do === verb && x.act.at === at)
            if (had) had.direction = 'anticlockwise'
            else p!.steps.push({ id: newId(), act: { do: verb, at }, direction: 'anticlockwise' })
          }
        return (words) => void own(b, words)
      },
      ['Turn it clockwise until it is free.', 'Clockwise, two turns.', 'Dreh sie im Uhrzeigersinn.'],
    ],
  ]

/** What goes wrong in the record, in the order of the beats, or in the box: the slip, and the check that has to notice. */
const DONE: readonly [string, string, Slip][] = [
  [
    'a control that is never shown',
    'neverTold.gaps',
    (s) => {
      const x = row(s, (r) => r.does !== 'retract')
      if (!x) return 'none'
      s.beats = s.beats.filter((b) => b !== x.beat)
    },
  ],
  [
    'never how to turn it off',
    'neverTold.off',
    (s) => {
      const x = row(s, (r) => r.does === 'retract')
      if (!x) return 'none'
      s.beats = s.beats.filter((b) => b !== x.beat)
    },
  ],
  [
    'a caution left out',
    'neverTold.gaps',
    (s) => {
      s.beats = s.beats.filter((b) => !b.covers.includes('caution:blade'))
    },
  ],
  [
    'a preset left out',
    'neverTold.gaps',
    (s) => {
      s.beats = s.beats.filter((b) => !b.covers.some((k) => k.startsWith('preset:')))
    },
  ],
  [
    'a wish that is not answered on film',
    'neverTold.gaps',
    (s, c) => {
      c.requests.push({ id: 'slip-wish', text: 'A bell at the end', status: 'met', saber: s.id })
    },
  ],
  [
    'a part left over that is not spoken of',
    'neverTold.gaps',
    (s, c) => {
      c.arrivals.push({
        ...{ id: 'slip-left', what: 'Old board', quantity: 1, saber: s.id, condition: 'works', faults: [] },
        shares: [{ id: 'slip-share', fate: 'leftOver', count: 1 }],
      })
    },
  ],
  [
    'parts sent in that do not come out even',
    'arrivals.sum',
    (s, c) => {
      c.arrivals.push({
        ...{ id: 'slip-sum', what: 'Screws', quantity: 5, saber: s.id, condition: 'new', faults: [] },
        shares: [{ id: 'slip-used', fate: 'used', count: 3 }],
      })
    },
  ],
  [
    'what is not set up is shown',
    'rehearsal.impossible',
    (s) => {
      const x = row(s, (r) => r.does !== 'ignite')
      if (!x) return 'none'
      x.r.status = 'unsure'
    },
  ],
  [
    'an event without its sound',
    'missingSound.',
    (s) => {
      for (const p of s.presets) playing(s, p, [{ id: `slip-${p.id}`, event: 'boot', name: 'boot.wav' }])
    },
  ],
  [
    'a way that goes otherwise than somebody has seen',
    'procedures.changed',
    (s) => {
      const p = s.access.find((x) => x.looked)
      if (!p) return 'none'
      p.looked!.acts = p.looked!.acts.slice(1)
    },
  ],
  [
    'the bench’s blade on film, not said to be so',
    'demoDiffers.other',
    (s) => {
      const [first] = s.blades
      if (!first) return 'none'
      s.blades = [
        { ...structuredClone(first), id: 'slip-ship', use: 'ship', length: fact(700, 'mm', 'measured') },
        { ...structuredClone(first), id: 'slip-demo', use: 'demo', length: fact(900, 'mm', 'measured') },
      ]
      s.beats = s.beats.map((b) => ({ ...b, covers: b.covers.filter((k) => !k.startsWith('blade:')) }))
    },
  ],
  [
    'lit before the blade is in, or before there is power',
    'rehearsal.impossible',
    (s) => {
      const x = row(s, (r) => r.does === 'ignite')
      const enter = s.beats.find((b) => b.covers.some((k) => k === 'task:bladeIn' || k === 'task:powerOn'))
      if (!x || !enter || s.beats.indexOf(enter) > s.beats.indexOf(x.beat)) return 'none'
      s.beats = [x.beat, ...s.beats.filter((b) => b !== x.beat)]
    },
  ],
  [
    'the film ends alight',
    'rehearsal.ends',
    (s) => {
      const x = row(s, (r) => r.does === 'ignite')
      if (!x) return 'none'
      s.beats = s.beats.slice(0, s.beats.indexOf(x.beat) + 1)
    },
  ],
  [
    'the film ends in another preset',
    'rehearsal.ends',
    (s) => {
      if (s.presets.length < 2) return 'none'
      const x = row(s, (r) => r.does === 'nextPreset')
      if (!x) return 'none'
      // Whatever brought it back is not done.
      s.beats = s.beats.filter((b) => b === x.beat || (b.perform !== `row:${x.r.id}` && !back(s, b)))
      delete x.beat.times
    },
  ],
  [
    'said after the farewell',
    'rehearsal.impossible',
    (s) => {
      s.beats.push({ id: 'slip-late', say: 'And one more thing.', seconds: 4, covers: [], by: 'own' })
    },
  ],
  [
    'a button shown after it was pressed',
    'rehearsal.impossible',
    (s) => {
      const part = s.inputs.find(
        (i) => i.part && s.controls.some((r) => r.input === i.id && r.status !== 'unsure'),
      )?.part
      const b = beatOf(s, (k) => k === `part:${part}`)
      if (!part || !b) return 'none'
      const bye = s.beats.findIndex((x) => x.covers.includes('farewell'))
      s.beats = s.beats.filter((x) => x !== b)
      s.beats.splice(bye - 1, 0, b)
    },
  ],
  [
    'a colour that changed after it was told',
    'stale.changed',
    (s) => {
      for (const p of s.presets)
        p.colour = stated(hueWord(colourOf(p)) === 'green' ? '#8a2be2' : '#20c020', 'configured')
    },
  ],
  [
    'another name after it was told',
    'stale.changed',
    (s) => {
      s.name = 'Renamed since'
    },
  ],
  [
    'a control taken out that is still shown',
    'rehearsal.impossible',
    (s) => {
      const x = row(s, (r) => r.does !== 'ignite' && r.does !== 'retract')
      if (!x) return 'none'
      s.controls = s.controls.filter((r) => r !== x.r)
    },
  ],
  [
    'a box that is short',
    'unpacked.missing',
    (_s, c) => {
      c.packing = c.packing.slice(1)
    },
  ],
  [
    'something on the list that is not in the box',
    'unpacked.open',
    (_s, c) => {
      c.packing[0]!.packed = false
    },
  ],
  [
    'a step that cannot be undone, without consent',
    'consent.unasked',
    (s) => {
      const p = s.access.find((x) => x.steps.length)
      if (!p) return 'none'
      p.steps[0]!.irreversible = true
    },
  ],
  [
    'a decision that cannot be undone, without consent',
    'consent.decided',
    (s) => {
      s.decisions.push({
        ...{ id: 'slip-d', on: TODAY, by: 'Maren', chose: 'bored it', why: 'room' },
        irreversible: true,
      })
    },
  ],
  [
    'work by somebody who is not named',
    'uncredited.work',
    (_s, c) => {
      c.log.push({ id: 'slip-log', on: TODAY, text: 'turned the pommel', kind: 'work', by: 'Tamsin of Saltmere' })
    },
  ],
  [
    'an answer that blocks and was never given',
    'openQuestion.',
    (_s, c) => {
      c.questions.push({ id: 'slip-q', text: 'Which thread?', blocks: true })
    },
  ],
]
const back = (s: Saber, b: Beat) => {
  const r = s.controls.find((x) => b.perform === `row:${x.id}`)
  return r?.does === 'previousPreset' || (r?.does === 'nextPreset' && b.covers.length === 0)
}
/** Whether what the bench says has a finding of a check, with its code or with any. */
const has = (found: ReadonlySet<string>, code: string) =>
  code.endsWith('.') ? [...found].some((f) => f.startsWith(code)) : found.has(code)

const CHECKS = new Set([...SAID.map((x) => x[1]), ...DONE.map((x) => x[1])])
describe.each(RECORDS)('%s', (name, make) => {
  test('told as it is, none of the checks of words and order says anything', () => {
    const found = codes(fresh(make))
    expect(
      [...CHECKS].filter((code) => /^(rehearsal|stale|neverTold|unpacked)\./.test(code) && has(found, code)),
    ).toEqual([])
  })
  const spoken = SAID.flatMap(([what, code, at, ways]) => ways.map((words) => [what, words, code, at] as const))
  test.each(drawn(spoken, 1 / 4, undefined, name))('%s: %s', (_what, words, code, at) => {
    const c = fresh(make)
    const slip = at(tellingOrder(c)[0]!, c)
    if (!slip) return expect(at(tellingOrder(c)[0]!, c)).toBeUndefined()
    slip(words)
    expect([...codes(c)].filter((f) => f.startsWith(code.split('.')[0]!))).toContain(code)
  })
  test.each(drawn(DONE, 1 / 2, undefined, name))('%s', (_what, code, slip) => {
    const c = fresh(make)
    const before = codes(c)
    if (slip(tellingOrder(c)[0]!, c) === 'none') return
    const found = codes(c)
    expect(has(before, code) && !code.endsWith('.')).toBe(false)
    expect([...found].filter((f) => f.startsWith(code.split('.')[0]!))).toEqual(
      expect.arrayContaining([expect.stringContaining(code)]),
    )
  })
})

/** Slips of which a record has the means to make them. */
test('a hundred slips and more were made', () => {
  const made = RECORDS.flatMap(([, make]) => [
    ...SAID.flatMap(([, , at, ways]) => {
      const c = fresh(make)
      return at(tellingOrder(c)[0]!, c) ? ways : []
    }),
    ...DONE.filter(([, , slip]) => {
      const c = fresh(make)
      return slip(tellingOrder(c)[0]!, c) !== 'none'
    }),
  ])
  expect(made.length).toBeGreaterThan(250)
})
