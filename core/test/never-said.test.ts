import { describe, expect, test } from '@jest/globals'
import { proceduresOf } from '@nubrin/core/access'
import { fact } from '@nubrin/core/facts'
import { buildHandoff } from '@nubrin/core/handoff'
import { loadLanguages } from '@nubrin/core/languages'
import { type Commission, partsOfRef, readerOf, type Saber } from '@nubrin/core/record'
import { compose, rehearse } from '@nubrin/core/script'
import { proposePacking } from '@nubrin/core/shipping'
import { LANGUAGES, type Language, MAKER } from '@nubrin/core/units'
import { mm, on, order, part, pixelBlade, preset } from './cases/plain'
import { drawn } from './drawn'
import { kindOfOrder, ORDERS } from './orders'
import { TODAY } from './samples'

loadLanguages()
const SCHOOLS = ['pommelUp', 'outsideIn', 'operateFirst', 'build'] as const
const told = (change: (s: Saber, c: Commission) => void) => {
  const c = order('n', 'Never', ['Never'])
  change(c.sabers[0]!, c)
  const beats = compose(c, c.sabers[0]!)
  return {
    c,
    s: c.sabers[0]!,
    beats,
    all: beats.map((b) => b.say).join('\n'),
    of: (key: string) => beats.find((b) => b.covers.includes(key)),
  }
}

describe.each(LANGUAGES)('in every script in %s', (language: Language) => {
  const scripts = drawn(
    ORDERS.filter(([n]) => n !== 'twelve sabers'),
    1 / 3,
    (o) => [kindOfOrder(o)],
    `never ${language}`,
  )
  test.each(scripts)(
    '%s: no sentence twice in a breath, no code of a colour, notes before what they are about',
    (_n, make) => {
      const c = make()
      c.client.language = language
      for (const s of c.sabers) {
        const acts = proceduresOf(readerOf(c), s)
        const used = new Set(
          acts.flatMap((p) => (p.ok ? p.acts.flatMap((x) => x.does.map((d) => d.at as string)) : [])),
        )
        for (const school of SCHOOLS) {
          const beats = compose(c, s, school)
          for (const b of beats) {
            const sentences = b.say.split(/(?<=[.!?])\s+/)
            // What is done twice, once at each of several sockets or screws, is no repetition.
            const twice = sentences.filter((x, i) => x && sentences.indexOf(x) !== i)
            expect([b.covers[0], b.task ? [] : twice]).toEqual([b.covers[0], []])
            expect(b.say).not.toMatch(/#[0-9a-f]{6}/i)
          }
          const at = (key: string) => beats.findIndex((b) => b.covers.includes(key))
          for (const b of beats.filter((x) => x.task)) {
            for (const ref of used) {
              const note = at(`note:${ref}`)
              const first = beats.findIndex((x) => x.task && b.say && x.say.length > 0 && handles(x, ref, acts))
              if (note >= 0 && first >= 0) expect([ref, note < first]).toEqual([ref, true])
            }
          }
        }
      }
    },
  )
})
/** Whether a beat's piece has an act on a thing, by the words of that act in it. */
function handles(b: { say: string }, ref: string, all: ReturnType<typeof proceduresOf>): boolean {
  return all.some((p) => p.ok && p.acts.some((x) => x.does.some((d) => d.at === ref) && b.say.includes(x.text)))
}

describe('what is not so is not said', () => {
  test('work on a fault that is still open was not seen to', () => {
    const fault = (done: boolean) =>
      told((_s, c) => {
        c.arrivals.push({
          ...{ id: 'a', what: 'saber', quantity: 1, condition: 'opened', conditionOn: on('09-02') },
          shares: [{ id: 'sh', fate: 'used', count: 1 }],
          faults: [{ id: 'f', text: 'cell flat', became: 'toDo:t' }],
        })
        c.toDos.push({ id: 't', text: 'renew the cell', who: 'shop', done, ...(done ? { doneOn: on('09-12') } : {}) })
      }).of('fault:f')!.say
    expect(fault(true)).toContain('We saw to that.')
    expect(fault(false)).toContain('That’s still to be done.')
    expect(fault(false)).not.toContain('seen to')
  })
  test('that it falls asleep by itself, only with the time that is set', () => {
    const sleeps = (s: Saber) => void (s.cutPower = 'deepSleep')
    expect(told(sleeps).all).not.toMatch(/asleep by itself/)
    const timed = told((s) => {
      sleeps(s)
      s.settings.sleepAfter = fact(120, 's', 'configured')
    })
    expect(timed.all).toContain('falls asleep by itself after 2 minutes')
  })
  test('a size that nobody knows', () => {
    const buys = (length: number | null) =>
      told((s) => {
        s.blades = [pixelBlade('n-b', 'blade', 'n-socket', 25.4, 810, { use: 'toBuy', supplied: 'notSupplied' })]
        s.blades[0]!.length = mm(length)
      }).of('blade:n-b')!.say
    expect(buys(810)).toContain('25.4 mm across, 810 mm long')
    expect(buys(null)).toBe('Its blade is not in the box. Look for one that is 25.4 mm across.')
  })
  test('what the shop spoilt, to whom it is given; the giver reads it', () => {
    const spoilt = (giver?: string) =>
      told((s, c) => {
        s.losses.push({
          id: 'l',
          on: on('10-01'),
          what: 'grip',
          how: 'remade',
          cause: 'bored off centre',
          toldOn: on('10-02'),
        })
        if (giver) Object.assign(c, { giver })
        if (giver) s.recipient = { name: 'Nils' }
      })
    expect(spoilt().all).toContain('Bored off centre')
    expect(spoilt('Aud').all).not.toContain('off centre')
    expect(JSON.stringify(buildHandoff(spoilt('Aud').c, 'Shop', TODAY))).toContain('bored off centre')
  })
  test('what was wished and sent is the giver’s, and page and paper are for whoever receives it', () => {
    const gift = told((s, c) => {
      Object.assign(c, { giver: 'Aud' })
      s.recipient = { name: 'Nils' }
      c.requests.push({ id: 'r', text: 'One button', status: 'met' })
      c.arrivals.push({
        ...{ id: 'a', what: 'old grip', quantity: 1, condition: 'worn', conditionOn: on('09-02'), faults: [] },
        shares: [{ id: 'sh', fate: 'altered', count: 1 }],
      })
      s.decisions.push({
        id: 'd',
        on: on('10-01'),
        by: 'Osk',
        whose: 'client',
        chose: 'the short blade',
        why: 'his room is small',
      })
    })
    expect(gift.of('request:r')!.say).toContain('Aud asked for this')
    expect(gift.of('arrival:a')!.say).toContain('Aud sent us')
    expect(gift.of('decision:d')!.say).toContain('Aud chose this')
    expect(gift.all).not.toMatch(/\bYou (asked|sent|chose)\b/)
    const d = buildHandoff(gift.c, 'Shop', TODAY)
    expect(d.client).toBe('Nils')
    expect(d.chapters.map((x) => x.title)).toEqual(
      expect.arrayContaining(['What Aud asked for', 'What Aud sent, and what became of it']),
    )
    expect(d.cover?.quote?.giver).toBe('Aud')
  })
  test('a plug for a blade, and a plug twice in the box', () => {
    const { c, s, all } = told((x) => {
      x.blades[0]!.use = 'toBuy'
      x.blades.unshift({
        ...structuredClone(x.blades[0]!),
        id: 'n-plug',
        name: 'plug',
        kind: 'plug',
        use: 'ship',
        length: mm(20),
      })
      x.blades.push(pixelBlade('n-demo', 'bench blade', 'n-socket', 25.4, 610, { use: 'demo' }))
      x.parts.push(part('n-pp', 'plug-1', 180))
    })
    expect(all).toContain('Yours is yet to be bought.')
    expect(all).not.toContain('20 mm')
    expect(proposePacking(MAKER, { ...c, sabers: [s], packing: [] }).filter((p) => /plug/i.test(p.what))).toHaveLength(
      1,
    )
  })
  test('a look nobody is sure of as a fact', () => {
    const { of } = told((s) => void (s.presets[1]!.status = 'unsure'))
    expect(of('preset:n-p2')!.say).toContain('We’re not sure about this one')
    expect(of('preset:n-p1')!.say).not.toContain('not sure')
  })
  test('that somebody else had it, when it was who gets it now', () => {
    const { of } = told((s) => {
      s.provenance.push(
        { id: 'o1', who: 'Aud', client: true },
        { id: 'o2', who: 'a keeper', did: { value: 'made it', source: 'believed' } },
      )
    })
    expect(of('owner:o1')!.say).toBe('It was yours before it came to us.')
    expect(of('owner:o2')!.say).toContain('it is believed, not known: made it')
  })
  test('combinations are counted from what goes with it', () => {
    const wear = (change: (s: Saber) => void) => told(change).of('wear')?.say
    expect(wear(() => undefined)).toBeUndefined()
    const two = (s: Saber) => void s.blades.push(pixelBlade('n-b2', 'short blade', 'n-socket', 25.4, 610))
    expect(wear(two)).toBe('2 looks and two blades: that makes 4 combinations.')
    expect(
      wear((s) => {
        two(s)
        s.presets.push(preset('n-p3', 'Third', 'Reed', '#ffffff', { status: 'unsure' }))
        const alt = { role: 'alternative' as const, of: 'section:n-pommel' as const, quantity: 1 }
        s.items.push(
          { id: 'i1', what: 'pommel with a ring', supplied: 'shop', ...alt },
          { id: 'i2', what: 'pommel of the bench', supplied: 'bench', shown: true, ...alt },
        )
      }),
    ).toBe('2 looks and two blades and two ways to finish the hilt: that makes 8 combinations.')
  })
})

describe('a short film', () => {
  test('warns of what it shows, and leaves the other warnings where the rest is read', () => {
    const c = order('n', 'Never', ['Never'])
    const s = c.sabers[0]!
    s.parts.push(part('n-ch', 'ch-filament', 24, { removable: true, heldBy: 'rails' }))
    for (let i = 3; i < 9; i++)
      s.presets.push(preset(`n-p${i}`, `Look ${i}`, 'Reed', '#20c060', { why: `the ${i}th evening` }))
    s.telling = { length: 'short', target: 75, readers: [], differs: [] }
    s.beats = compose(c, s)
    const left = (key: string) => s.beats.find((b) => b.covers.includes(key))?.leftTo
    for (const task of ['open', 'cellOut', 'cellIn', 'close', 'charge'])
      expect([task, left(`task:${task}`)]).toEqual([task, 'paper'])
    expect([left('caution:inside'), left('caution:cell')]).toEqual(['paper', 'paper'])
    expect([left('caution:blade'), left('task:bladeIn')]).toEqual([undefined, undefined])
    expect(rehearse(MAKER, s).troubles).toEqual([])
    // Told whole, all of them are spoken.
    s.telling = { length: 'full', readers: [], differs: [] }
    s.beats = compose(c, { ...s, beats: [] })
    expect([left('caution:inside'), left('caution:cell')]).toEqual([undefined, undefined])
  })
})

test('what is in a menu by turning is told where it opens', () => {
  const [, make] = ORDERS.find(([n]) => n === 'c04')!
  const c = make()
  expect(
    compose(c, c.sabers[0]!)
      .map((b) => b.say)
      .join(' '),
  ).toContain('There you choose the colour by turning the hilt.')
})
test('every reference of a beat is to something that is there', () => {
  for (const [, make] of ORDERS) {
    const c = make()
    for (const s of c.sabers) for (const b of compose(c, s)) if (b.show) expect(partsOfRef(b.show)).toBeDefined()
  }
})
