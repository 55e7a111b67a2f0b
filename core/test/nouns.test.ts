import { describe, expect, test } from '@jest/globals'
import { gestureText } from '@nubrin/core/controls'
import { INPUT_KINDS, KINDS, nounOf, ROLES, readerOf, type Saber, SCREW_PURPOSES } from '@nubrin/core/record'
import { MAKER } from '@nubrin/core/units'
import { guessNoun, type Noun, type NounKind, nounWords } from '@nubrin/core/words'
import { done } from './samples'

const DE = { language: 'de' } as const
const german = (noun: Noun) => [
  nounWords(DE, noun, 'bare'),
  ...(['nom', 'acc', 'dat'] as const).map((c) => nounWords(DE, noun, c)),
]
const english = (noun: Noun) => [nounWords(MAKER, noun, 'bare'), nounWords(MAKER, noun)]

describe('nouns', () => {
  test.each<[Noun, string[]]>([
    [
      { kind: 'part.speaker', which: 'none' },
      ['Lautsprecher', 'der Lautsprecher', 'den Lautsprecher', 'dem Lautsprecher'],
    ],
    [
      { kind: 'input.button', which: 'rear' },
      ['hintere Taste', 'die hintere Taste', 'die hintere Taste', 'der hinteren Taste'],
    ],
    [
      { kind: 'section.pommel', which: 'first' },
      ['erster Knauf', 'der erste Knauf', 'den ersten Knauf', 'dem ersten Knauf'],
    ],
    [
      { kind: 'part.display', which: 'front' },
      ['vorderes Display', 'das vordere Display', 'das vordere Display', 'dem vorderen Display'],
    ],
    [{ kind: 'input.magnet', which: 'none' }, ['Magnet', 'der Magnet', 'den Magneten', 'dem Magneten']],
    [
      { name: 'kupferner Knopf', gender: 'm' },
      ['kupferner Knopf', 'der kupferne Knopf', 'den kupfernen Knopf', 'dem kupfernen Knopf'],
    ],
    [
      { name: 'kleine rote Taste', gender: 'f' },
      ['kleine rote Taste', 'die kleine rote Taste', 'die kleine rote Taste', 'der kleinen roten Taste'],
    ],
    [{ name: 'Rad am Ende', gender: 'n' }, ['Rad am Ende', 'das Rad am Ende', 'das Rad am Ende', 'dem Rad am Ende']],
    [
      { name: 'obere Schrauben', several: true },
      ['obere Schrauben', 'die oberen Schrauben', 'die oberen Schrauben', 'den oberen Schrauben'],
    ],
    [{ name: 'Knöpfe', several: true }, ['Knöpfe', 'die Knöpfe', 'die Knöpfe', 'den Knöpfen']],
    [{ name: 'Reed at dawn' }, ['Reed at dawn', 'Reed at dawn', 'Reed at dawn', 'Reed at dawn']],
  ])('%j in German', (noun, says) => expect(german(noun)).toEqual(says))
  // „zu“ melts with dem and der, and never with den; what is spoken of again has the gender of its name.
  test.each<[Noun, string, string]>([
    [{ kind: 'part.chassis', which: 'none' }, 'zum Chassis', 'es/es'],
    [{ kind: 'part.card', which: 'none' }, 'zur Speicherkarte', 'sie/sie'],
    [{ kind: 'section.pommel', which: 'none' }, 'zum Knauf', 'er/ihn'],
    [{ name: 'Gewindestift', gender: 'm' }, 'zum Gewindestift', 'er/ihn'],
    [{ name: 'kleine Schrauben', several: true }, 'zu den kleinen Schrauben', 'sie/sie'],
    [{ name: 'Ferry bell' }, 'zu Ferry bell', 'sie/sie'],
  ])('%j after „zu“, and spoken of again', (noun, zu, again) => {
    expect(nounWords(DE, noun, 'zu')).toBe(zu)
    expect(`${nounWords(DE, noun, 'it')}/${nounWords(DE, noun, 'them')}`).toBe(again)
  })
  test('one thing is it, several are they, in English', () => {
    expect([nounWords(MAKER, { name: 'key' }, 'it'), nounWords(MAKER, { name: 'key' }, 'them')]).toEqual(['it', 'it'])
    const keys = { name: 'keys', several: true }
    expect([nounWords(MAKER, keys, 'it'), nounWords(MAKER, keys, 'them')]).toEqual(['they', 'them'])
  })
  test.each<[Noun, string[]]>([
    [{ kind: 'part.speaker', which: 'rear' }, ['speaker nearer the pommel', 'the speaker nearer the pommel']],
    [{ kind: 'screw.bladeRetention', which: 'second' }, ['second blade screw', 'the second blade screw']],
    [{ name: 'Pommel' }, ['Pommel', 'the pommel']],
    [{ name: 'LED ring' }, ['LED ring', 'the LED ring']],
  ])('%j in English', (noun, says) => expect(english(noun)).toEqual(says))
})

describe('a thing as it is spoken of', () => {
  const client = (language: 'en' | 'de') => ({ client: { name: 'x', language } })
  const saber = (): Saber => structuredClone(done())
  test('by the name that it has for the language, else as the record has it, else by what it is and which', () => {
    const s = saber()
    const ref = `input:${s.inputs[0]!.id}` as const
    expect(nounOf(MAKER, s, ref)).toEqual({ name: s.inputs[0]!.name })
    expect(nounOf(readerOf(client('de')), s, ref)).toEqual({
      kind: 'input.button',
      which: 'front',
    })
    s.spoken.push({ id: 'sp1', of: ref, language: 'de', name: 'goldener Knopf', gender: 'm' })
    expect(nounOf(readerOf(client('de')), s, ref)).toEqual({
      name: 'goldener Knopf',
      gender: 'm',
    })
    expect(nounOf(MAKER, s, ref)).toEqual({ name: s.inputs[0]!.name })
    expect(nounOf(MAKER, s, 'part:gone')).toBeUndefined()
    const row = s.controls.find((r) => r.input === s.inputs[0]!.id && r.gesture === 'tap')!
    expect(gestureText(readerOf(client('de')), s, row)).toContain('den goldenen Knopf')
  })
  test('a record that is written in German is not foreign to a German client', () => {
    const s = saber()
    const ref = `section:${s.hilt.sections[0]!.id}` as const
    expect(nounOf(readerOf({ ...client('de'), writtenIn: 'de' }), s, ref)).toEqual({
      name: s.hilt.sections[0]!.name,
    })
    expect(nounOf(readerOf({ ...client('en'), writtenIn: 'de' }), s, ref)).toEqual({
      kind: 'section.pommel',
      which: 'none',
    })
  })
  test('of several of a kind by where they lie: rear and front, in the middle, else counted from the pommel', () => {
    const s = saber()
    const which = (n: number, apart = true) => {
      s.hilt.fasteners = Array.from({ length: n }, (_, i) => ({
        ...structuredClone(done().hilt.fasteners[0]!),
        id: `f${i}x`,
        at: { value: apart ? 100 + i * 10 : 100, unit: 'mm' as const, source: 'measured' as const },
        clock: { value: i * 40, unit: 'deg' as const, source: 'measured' as const },
      }))
      return s.hilt.fasteners.map(
        (f) => (nounOf(readerOf(client('de')), s, `fastener:${f.id}`) as { which: string }).which,
      )
    }
    expect(which(1)).toEqual(['none'])
    expect(which(2)).toEqual(['rear', 'front'])
    expect(which(3)).toEqual(['rear', 'middle', 'front'])
    expect(which(2, false)).toEqual(['first', 'second'])
    expect(which(4)).toEqual(['first', 'second', 'third', 'fourth'])
    expect(which(5)).toEqual(['first', 'second', 'third', 'fourth', 'none'])
  })
})

describe('what a name most likely is', () => {
  test.each([
    ['Taste', { gender: 'f' }],
    ['vordere Taste', { gender: 'f' }],
    ['kupferner Knopf', { gender: 'm' }],
    ['Einstellrad', { gender: 'n' }],
    ['kleines Rad', { gender: 'n' }],
    ['das Lichtlein', { gender: 'n' }],
    ['Verriegelung', { gender: 'f' }],
    ['Kupferring', { gender: 'm' }],
    ['Gewindestift', { gender: 'm' }],
    ['Seitenfenster', { gender: 'n' }],
    ['Klingenschraube', { gender: 'f' }],
    ['Klingenschrauben', { several: true }],
    ['Ringe', { several: true }],
    ['Schalter', { gender: 'm' }],
    ['Trennschlüssel', { gender: 'm' }],
    ['Quarz', {}],
  ])('%s in German', (name, is) => expect(guessNoun(DE, name)).toEqual(is))
  test.each([
    ['upper blade screw', {}],
    ['blade screws', { several: true }],
    ['chassis', {}],
    ['brass', {}],
  ])('%s in English', (name, is) => expect(guessNoun(MAKER, name)).toEqual(is))
  // The catalogue's own nouns are known for sure: their gender shows in what they are called.
  test('every noun of the catalogue is guessed as it is', () => {
    const OF = { 'der ': 'm', 'die ': 'f', 'das ': 'n' } as const
    const kinds: NounKind[] = [
      ...(Object.keys(KINDS) as (keyof typeof KINDS)[]).map((k) => `part.${k}` as const),
      ...ROLES.map((r) => `section.${r}` as const),
      ...SCREW_PURPOSES.map((p) => `screw.${p}` as const),
      ...INPUT_KINDS.map((k) => `input.${k}` as const),
      ...(['socket', 'blade', 'plug'] as const),
    ]
    const wrong = kinds.flatMap((kind) => {
      const noun = { kind, which: 'none' } as const
      const is = OF[nounWords(DE, noun).slice(0, 4) as keyof typeof OF]
      const guess = guessNoun(DE, nounWords(DE, noun, 'bare'))
      return guess.gender === is ? [] : [`${kind}: ${JSON.stringify(guess)}`]
    })
    expect(wrong).toEqual([])
  })
})
