import { describe, expect, test } from '@jest/globals'
import { LETTER_KINDS, type LetterAbout, letterOf, unwritten } from '@nubrin/core/handoff'
import type { Commission } from '@nubrin/core/record'
import { demo } from './samples'

const made = (language: 'en' | 'de' = 'en'): Commission => {
  const c = demo('reed-warden')
  c.client = { ...c.client, language }
  c.writtenIn = language
  c.deadline = '2026-12-07'
  c.questions = [
    { id: 'q1x', text: 'Which of the two screws holds the blade?', blocks: true },
    { id: 'q2x', text: 'May it be louder?', askedBy: 'client', blocks: false, answer: 'Yes, up to 80.' },
  ]
  return c
}
const about: Record<(typeof LETTER_KINDS)[number], LetterAbout> = {
  question: { kind: 'question', questions: ['q1x'] },
  answer: { kind: 'answer', questions: ['q2x'] },
  delay: { kind: 'delay', reason: 'part', newly: '2026-12-15' },
  ready: { kind: 'ready' },
  shipped: { kind: 'shipped', link: 'https://records.example/c/x' },
  year: { kind: 'year' },
}

describe('a letter to a client', () => {
  test.each(LETTER_KINDS)('%s: in his language, with his name and the shop’s, and nothing left open', (kind) => {
    for (const language of ['en', 'de'] as const) {
      const { subject, text } = letterOf(made(language), about[kind], 'Hollowmere Hiltworks')
      expect(subject).toContain('Reed Warden')
      expect(text).toMatch(language === 'de' ? /^Hallo Ilsabet Vorne,\n\n/ : /^Dear Ilsabet Vorne,\n\n/)
      expect(text).toMatch(/\n\nHollowmere Hiltworks$/)
      expect(`${subject} ${text}`).not.toMatch(/[{}¶]|undefined| {2}| [.,;]/)
    }
  })
  test('a question says what waits for it, and what it rests on', () => {
    const l = letterOf(made(), about.question, 'S')
    expect(l.text).toContain('Which of the two screws holds the blade?')
    expect(l.text).toContain('the work on it waits')
    expect(l.rests).toEqual(['question:q1x'])
  })
  test('an answer stands under its question', () => {
    expect(letterOf(made(), about.answer, 'S').text).toContain('you asked: May it be louder?\n\nYes, up to 80.')
  })
  test('a delay says both days and why', () => {
    const { text } = letterOf(made(), about.delay, 'S')
    expect(text).toContain('we promised Reed Warden for 7 December 2026')
    expect(text).toContain('by 15 December 2026')
    expect(text).toContain('A part that we ordered has not come yet.')
    const c = made()
    delete c.deadline
    expect(letterOf(c, about.delay, 'S').text).toContain('Reed Warden takes longer')
  })
  test('what it lacks is said', () => {
    const c = made()
    expect(unwritten(c, { kind: 'question' })).toBe('noQuestion')
    expect(unwritten(c, { kind: 'answer', questions: ['q1x'] })).toBe('noAnswer')
    expect(unwritten(c, { kind: 'delay' })).toBe('noDay')
    for (const kind of LETTER_KINDS) expect(unwritten(c, about[kind])).toBeUndefined()
    c.client.name = ' '
    expect(unwritten(c, about.year)).toBe('noClient')
  })
})
