/** @jest-environment jsdom */
import { afterEach, describe, expect, test } from '@jest/globals'
import { buildHandoff, handedSaber } from '@nubrin/core/handoff'
import { loadLanguages } from '@nubrin/core/languages'
import type { Commission } from '@nubrin/core/record'
import { LANGUAGES } from '@nubrin/core/units'
import { demoCommissions } from '@nubrin/demo'
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react'
import { chapterLines } from '../../core/src/handoff/lines'
import { drawn } from '../../core/test/drawn'
import { kindOfOrder, ORDERS } from '../../core/test/orders'
import { TODAY } from '../../core/test/samples'
import { ClientView } from '../src/client/ClientView'

loadLanguages()
// There is no canvas here; what is drawn on it says nothing.
HTMLCanvasElement.prototype.getContext = () => null
afterEach(() => {
  cleanup()
  localStorage.clear()
})

const plain = (t: string) => t.normalize('NFKC').replace(/[^\p{L}\p{N}]+/gu, '')

/** The page of an order as its client has it, unfolded. */
async function shown(c: Commission, language: 'en' | 'de', sends: unknown[] = []) {
  c.client.language = language
  const document_ = buildHandoff(c, 'Shop', TODAY, { address: '', contact: 'by letter', signature: '', closing: 'Bye' })
  const page = { document: document_, sabers: c.sabers.map(handedSaber), media: [] }
  const way = { send: async (body: unknown) => void sends.push(body) }
  await act(async () => void render(<ClientView page={page} keep="k" mediaUrl={() => ''} way={way} />))
  await screen.findByRole('heading', { name: 'en' === language ? 'All the rest' : 'Alles Weitere' })
  return document_
}
/** Lines of chapters that are nowhere on the page. */
const missing = (document_: ReturnType<typeof buildHandoff>, saber: string) => {
  const there = plain(document.body.textContent ?? '')
  return document_.chapters
    .filter((ch) => !ch.saber || ch.saber === saber)
    .flatMap((ch) => [ch.title, ...chapterLines(ch).flatMap((l) => l.split(/ \| |: /))])
    .filter((l) => !there.includes(plain(l)))
}

describe('the client’s page', () => {
  const pages = LANGUAGES.flatMap((language) => ORDERS.map(([what, make]) => [what, language, make] as const))
  test.each(drawn(pages, 1 / 6, (p) => [p[1], kindOfOrder(p)]))(
    '%s, %s: every line of its document stands on it',
    async (_what, language, make) => {
      const c = make()
      const d = await shown(c, language)
      expect(missing(d, c.sabers[0]!.id)).toEqual([])
      const last = c.sabers.at(-1)!
      if (c.sabers.length === 1) return
      await act(async () => void fireEvent.click(screen.getAllByRole('button', { name: last.name }).at(-1)!))
      expect(missing(d, last.id)).toEqual([])
    },
  )
})

test.each([
  [
    'en',
    /^This is record no\. 3, .*It takes the place of no\. 1, which this address came with\. What it says otherwise: The blade, Its sound\. show record no\. 1$/,
  ],
  [
    'de',
    /^Das ist Begleitheft Nr\. 3, .*Es ersetzt Nr\. 1, mit dem diese Adresse kam\. Darin steht etwas anderes zu: The blade, Its sound\. Begleitheft Nr\. 1 zeigen$/,
  ],
] as const)('by the address of an older record the newest is shown, and that is said (%s)', async (language, says) => {
  const [, make] = ORDERS[0]!
  const c = make()
  c.client.language = language
  const card = { address: '', contact: '', signature: '', closing: '' }
  const page = {
    document: { ...buildHandoff(c, 'Shop', TODAY, card), number: 3 },
    sabers: c.sabers.map(handedSaber),
    media: [],
  }
  const by = async (given: number) => {
    cleanup()
    const changed = ['The blade', 'Its sound']
    const along = { pdf: () => '', file: '', given, newest: 3, changed, other: '/c/k?record=own' }
    const way = { send: async () => {} }
    await act(async () => void render(<ClientView page={page} keep="k" mediaUrl={() => ''} way={way} along={along} />))
    await screen.findByRole('heading', { name: language === 'en' ? 'All the rest' : 'Alles Weitere' })
    return document.querySelector('[data-newer]')?.textContent
  }
  expect(await by(1)).toMatch(says)
  expect(await by(3)).toBeUndefined()
})

test('what is read and asked goes out once, with an id of its own', async () => {
  const sends: { id: string; read?: string; asks?: string }[] = []
  await shown(demoCommissions(TODAY).find((c) => c.id === 'reed-warden')!, 'en', sends)
  fireEvent.click(await screen.findByRole('button', { name: 'I have read this' }))
  fireEvent.change(await screen.findByLabelText('What would you like to know?'), { target: { value: '  Which oil? ' } })
  await act(async () => void fireEvent.click(screen.getByRole('button', { name: 'ask' })))
  expect(sends).toEqual([
    { id: expect.stringMatching(/^r-/), read: 'cautions' },
    { id: expect.stringMatching(/^r-/), asks: 'Which oil?' },
  ])
  expect(new Set(sends.map((x) => x.id)).size).toBe(2)
})

test('a line that is not on the page is noticed', async () => {
  const d = await shown(demoCommissions(TODAY).find((c) => c.id === 'reed-warden')!, 'en')
  const blocks = [{ kind: 'para' as const, text: 'Seventeen lanterns.' }]
  expect(missing({ ...d, chapters: [{ id: 'x', title: 'Its lights', blocks }] }, 'rw')).toEqual(['Seventeen lanterns.'])
})
