/** @jest-environment jsdom */
import { describe, expect, test } from '@jest/globals'
import { toTranslate } from '@nubrin/core/handoff'
import { loadLanguages } from '@nubrin/core/languages'
import type { Commission } from '@nubrin/core/record'
import { act, fireEvent, screen, within } from '@testing-library/react'
import { bench, lay, put } from './lay'

loadLanguages()
const german = (run?: (c: Commission) => void) =>
  lay('translation', 'reed-warden', (c) => {
    c.client.language = 'de'
    run?.(c)
  })
const record = () => bench().record!
const field = (text: string) => screen.getByLabelText<HTMLInputElement>(`In German: ${text}`)
const rowOf = (text: string) => field(text).closest('li')!

describe('the translation desk', () => {
  test('has every text that reaches the client, and says how many are open', async () => {
    await german()
    const list = toTranslate(record())
    expect(screen.getByText(`${list.length} of ${list.length} still to translate`)).toBeTruthy()
    expect(
      within(screen.getByRole('list', { name: 'Words to translate' })).getAllByLabelText(/^In German: /),
    ).toHaveLength(list.length)
  })
  test('takes a translation, shows it in its sentences, and lets it go again', async () => {
    await german()
    const wish = record().requests[0]!.text
    await put(`In German: ${wish}`, 'Ein Kristall, der mit der Klinge leuchtet')
    expect(record().translations).toMatchObject([
      { language: 'de', text: wish, says: 'Ein Kristall, der mit der Klinge leuchtet' },
    ])
    expect(rowOf(wish).textContent).toContain('Du hast dir gewünscht: Ein Kristall, der mit der Klinge leuchtet')
    await put(`In German: ${wish}`, 'Ein Kristall')
    expect(record().translations!.map((t) => t.says)).toEqual(['Ein Kristall'])
    await put(`In German: ${wish}`, '')
    expect(record().translations).toEqual([])
    expect(rowOf(wish).textContent).toContain(wish)
  })
  test('Enter goes on to the next that is open', async () => {
    const [first, second, third] = toTranslate((await german()) as Commission).filter((t) => t.text.length < 50)
    await act(async () => fireEvent.click(screen.getByRole('button', { name: `Keep as it is: ${second!.text}` })))
    await put(`In German: ${first!.text}`, 'eins')
    expect(document.activeElement).toBe(field(third!.text))
    expect(record().translations!.map((t) => t.says)).toEqual([second!.text, 'eins'])
  })
  test('says at once what a translation leaves out or adds', async () => {
    await german((c) => void (c.requests[0]!.text = 'Loud for 2 evenings'))
    await put('In German: Loud for 2 evenings', 'Laut für 3 Abende')
    expect(within(rowOf('Loud for 2 evenings')).getByRole('alert').textContent).toBe('leaves out 2, adds 3')
  })
  test('what is missing blocks shipping, or is printed in quotes as the maker chooses', async () => {
    await german()
    await act(async () => fireEvent.click(screen.getByRole('radio', { name: 'print in quotes' })))
    expect(record().untranslated).toBe('quote')
    await act(async () => fireEvent.click(screen.getByRole('radio', { name: 'block shipping' })))
    expect(record().untranslated).toBe('block')
  })
  test('only what is open is shown where that is wanted; what departs stays', async () => {
    await german((c) => {
      const [a, b] = c.requests
      c.translations = [
        { id: 't1', language: 'de', text: a!.text, says: 'Gut' },
        { id: 't2', language: 'de', text: b!.text, says: 'Mit 7 Farben' },
      ]
    })
    const [a, b] = record().requests
    await act(async () => fireEvent.click(screen.getByRole('checkbox', { name: 'show all' })))
    expect(screen.queryByLabelText(`In German: ${a!.text}`)).toBeNull()
    expect(field(b!.text).value).toBe('Mit 7 Farben')
  })
  test('a translation whose original is gone is shown apart, and taken out', async () => {
    await german((c) => void (c.translations = [{ id: 't1', language: 'de', text: 'Something else', says: 'Anderes' }]))
    const gone = screen.getByRole('region', { name: 'No longer used' })
    expect(gone.textContent).toContain('Anderes')
    await act(async () =>
      fireEvent.click(within(gone).getByRole('button', { name: /the translation of Something else/ })),
    )
    expect(record().translations).toEqual([])
    expect(screen.queryByRole('region', { name: 'No longer used' })).toBeNull()
  })
  test('things have names of their own where somebody gives them one; the article is guessed, and can be said', async () => {
    await german()
    const [input] = record().sabers[0]!.inputs
    const [screw] = record().sabers[0]!.hilt.fasteners
    const spoken = () => record().sabers[0]!.spoken.map(({ id: _, ...x }) => x)
    expect(screen.getByLabelText(`Name of ${input!.name}`).getAttribute('placeholder')).toMatch(/^die .*Taste$/)
    await put(`Name of ${input!.name}`, 'kupferner Knopf')
    await put(`Name of ${screw!.name}`, 'beide Schrauben')
    expect(spoken()).toEqual([
      { of: `input:${input!.id}`, language: 'de', name: 'kupferner Knopf', gender: 'm' },
      { of: `fastener:${screw!.id}`, language: 'de', name: 'beide Schrauben', several: true },
    ])
    await act(async () =>
      fireEvent.click(screen.getByRole('button', { name: new RegExp(`^Article of ${input!.name}`) })),
    )
    await act(async () => fireEvent.click(screen.getByRole('option', { name: 'das' })))
    expect(spoken()[0]).toMatchObject({ gender: 'n' })
    await put(`Name of ${input!.name}`, '')
    expect(spoken()).toHaveLength(1)
  })
  test('has nothing to do for a client who reads what the record is written in', async () => {
    await lay('translation', 'reed-warden')
    expect(screen.getByText('Nothing to translate')).toBeTruthy()
    expect(screen.queryByLabelText(/^In German/)).toBeNull()
  })
})
