import { describe, expect, test } from '@jest/globals'
import { EVENTS } from '@nubrin/core/record'
import { clashingNames, isLitter, pathFault, placeByName, USUAL_RULES } from '@nubrin/core/voice'
import fc from 'fast-check'
import { DESIGNER, type Foreign, STORYTELLER, WERKSTATT } from './foreign-names'

/** How many files of a library find their event by themselves, rightly and wrongly, and which are left for a hand. */
function counted(library: Foreign) {
  const placed = placeByName(
    library.map(([path]) => path),
    USUAL_RULES,
  )
  const all = library.map(([path, event], i) => ({ path, event, found: placed[i]!.event }))
  return {
    files: all.length,
    right: all.filter((x) => x.found !== undefined && x.found === x.event).length,
    wrong: all.flatMap((x) => (x.found !== undefined && x.found !== x.event ? `${x.path} as ${x.found}` : [])),
    left: all.flatMap((x) => (x.found === undefined && x.event ? x.path : [])),
    fonts: [...new Set(placed.map((p) => p.font))],
  }
}

describe('files that find their event by their name', () => {
  test.each([
    ['told in English', STORYTELLER, 34, 30, ['Tidewater/theme for the parade.wav as deflect'], 'Tidewater'],
    ['numbered in German', WERKSTATT, 34, 32, [], 'Nebelhorn'],
    ['in folders by kind, in two languages', DESIGNER, 32, 29, [], 'GlassReef'],
  ] as const)('%s', (_what, library, files, right, wrong, font) => {
    const n = counted(library)
    expect([n.files, n.right, n.wrong, n.left]).toEqual([files, right, wrong, []])
    expect(n.fonts).toContain(font)
  })
  const one = (path: string) => placeByName([path], USUAL_RULES)[0]!
  test('a folder that speaks of an event and holds several is a font; one that holds one kind is not', () => {
    const paths = ['Bell Tide/hum.wav', 'Bell Tide/swing 1.wav', 'Fen/Hums/a1.wav', 'Fen/Hums/a2.wav', 'Fen/clash.wav']
    expect(placeByName(paths, USUAL_RULES).map((p) => [p.font, p.event])).toEqual([
      ['Bell Tide', 'hum'],
      ['Bell Tide', 'swing'],
      ['Fen', 'hum'],
      ['Fen', 'hum'],
      ['Fen', 'clash'],
    ])
  })
  test('the longer word counts; where two say as much, neither does', () => {
    expect(one('low battery beep.wav').event).toBe('lowBattery')
    expect(one('hum_swing_hums.wav').event).toBe('swing')
    const rules = [
      { event: 'hum' as const, words: ['oak'] },
      { event: 'clash' as const, words: ['elm'] },
    ]
    expect(placeByName(['oak elm.wav', 'oak.wav'], rules).map((p) => p.event)).toEqual([undefined, 'hum'])
  })
  test('umlauts, their spelling out, capitals and numbers make no difference', () => {
    for (const name of ['Zündung', 'ZUENDUNG', 'zundung', '12_Zündung_3', 'kurzeZündung'])
      expect(one(`${name}.wav`).event).toBe('ignite')
  })
  test('no name breaks it, and no rule of no letters finds anything', () => {
    fc.assert(
      fc.property(fc.array(fc.string({ unit: 'binary' }), { maxLength: 5 }), fc.string(), (paths, word) => {
        const placed = placeByName(paths, [...USUAL_RULES, { event: 'hum', words: [word.replace(/\p{L}/gu, '')] }])
        expect(placed.length).toBe(paths.length)
        for (const p of placed) expect(p.event === undefined || EVENTS.includes(p.event)).toBe(true)
      }),
    )
    expect(placeByName(['xyz.wav'], [{ event: 'hum', words: ['', '12', '…'] }])[0]!.event).toBeUndefined()
  })
})

describe('paths of an archive', () => {
  test.each([
    ['../x.wav', 'outside'],
    ['a/../../x.wav', 'outside'],
    ['a\\..\\x.wav', 'outside'],
    ['/etc/x.wav', 'outside'],
    ['C:\\x.wav', 'outside'],
    ['a/nul\u0000.wav', 'odd'],
    ['a/x?.wav', 'odd'],
    ['a/\u202Evaw.exe', 'odd'],
    [`${'a'.repeat(240)}.wav`, 'long'],
    ['a..b/x..wav', undefined],
    ['Nebelhorn/94_Glöckchen.wav', undefined],
  ])('%j: %s', (path, fault) => expect(pathFault(path)).toBe(fault))
  test('what systems leave is passed over', () => {
    for (const p of ['.DS_Store', '__MACOSX/x.wav', 'a/.hidden/x.wav', 'a/Thumbs.db']) expect(isLitter(p)).toBe(true)
    for (const p of ['x.wav', '../x.wav', 'a_b/x.wav', 'a/my.sound.wav']) expect(isLitter(p)).toBe(false)
  })
  test('names that differ by capitals alone meet on a card', () => {
    const names = ['a/Hum.wav', 'a/hum.wav', 'b/hum.wav', 'a/HUM.WAV', 'a/hum.wav']
    expect([...clashingNames(names)]).toEqual([
      ['a/hum.wav', 'a/Hum.wav'],
      ['a/HUM.WAV', 'a/Hum.wav'],
    ])
  })
})
