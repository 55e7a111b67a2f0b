import { afterEach, beforeEach, expect, jest } from '@jest/globals'
import type { Station } from '@nubrin/core/judge'
import { GENERIC_CATALOGUE } from '@nubrin/core/parts'
import type { Commission } from '@nubrin/core/record'
import { demoCommissions } from '@nubrin/demo'
import { QueryClientProvider } from '@tanstack/react-query'
import { act, cleanup, configure, render, screen, waitFor } from '@testing-library/react'
import userEvent, { PointerEventsCheckLevel } from '@testing-library/user-event'
import type { ComponentType } from 'react'
import { MemoryRouter } from 'react-router'
import { queries, todayIso } from '../src/data'
import type { Desk } from '../src/desks'
import { FactsDesk } from '../src/desks/facts'
import { LedgerDesk } from '../src/desks/ledger'
import { LettersDesk } from '../src/desks/letters'
import { QuoteDesk } from '../src/desks/quote'
import { SaberDesk } from '../src/desks/saber'
import { ToDoDesk } from '../src/desks/to-do'
import { TranslationDesk } from '../src/desks/translation'
import Access from '../src/stations/access'
import Brief from '../src/stations/brief'
import Controls from '../src/stations/controls'
import Fit from '../src/stations/fit'
import Handoff from '../src/stations/handoff'
import Hilt from '../src/stations/hilt'
import Power from '../src/stations/power'
import Proof from '../src/stations/proof'
import Voice from '../src/stations/voice'
import Walkthrough from '../src/stations/walkthrough'
import { useBench } from '../src/store/commission'
import { useSession } from '../src/store/session'

export const VIEWS: Partial<Record<Station | Desk, ComponentType<{ cut: number }>>> = {
  facts: FactsDesk,
  ledger: LedgerDesk,
  letters: LettersDesk,
  quote: QuoteDesk,
  saber: SaberDesk,
  'to-do': ToDoDesk,
  translation: TranslationDesk,
  brief: Brief,
  hilt: Hilt,
  fit: Fit,
  power: Power,
  voice: Voice,
  controls: Controls,
  access: Access,
  proof: Proof,
  walkthrough: Walkthrough,
  handoff: Handoff,
}
export const all = demoCommissions(todayIso())
export const bench = () => useBench.getState()
export const saber = () => bench().record!.sabers.find((s) => s.id === bench().saberId)!
/** No look up the whole tree at each key: what is laid out has no style sheet. */
export const user = userEvent.setup({ pointerEventsCheck: PointerEventsCheckLevel.Never })
// Without a style sheet nothing is hidden but by name, and asking that of each element of a station takes half of the time.
configure({ defaultHidden: true })
/** Answers what the stations ask of the server; nothing is ever saved. */
const answer = (url: string) => {
  if (url.endsWith('/poles'))
    return { earlier: [{ title: 'Old Reed', saber: 'Old Reed', end: 'pommel' }], habit: { emitter: 0, pommel: 3 } }
  if (url.endsWith('/client')) return { id: 'c-1', earlier: [{ id: 'old', title: 'An older one' }], alike: [] }
  if (url.includes('/clients'))
    return [{ id: 'c-1', name: 'Ilsabet Vorne', commissions: [{ id: 'old', title: 'An older one', shipped: null }] }]
  if (url.includes('/handoffs')) return []
  if (url.includes('/parts')) return GENERIC_CATALOGUE
  if (url.endsWith('/fonts') || url.endsWith('/sound-rules')) return []
  if (url.endsWith('/plan'))
    return { today: todayIso(), minute: 600, people: [], order: [], open: [], coming: [], log: {}, beyond: 0 }
  if (url.endsWith('/timer')) return { now: new Date().toISOString(), timer: null }
  if (url.endsWith('/letters')) return []
  if (url.endsWith('/quotes')) return { quotes: [], actual: null }
  return {}
}

beforeEach(() => {
  jest.useRealTimers()
  localStorage.clear()
  queries.clear()
  Object.assign(globalThis, {
    fetch: async (url: string, init: { method: string }) =>
      init.method === 'GET'
        ? { ok: true, status: 200, json: async () => answer(url) }
        : Promise.reject(new TypeError('no network')),
  })
  useSession.setState({ person: { name: 'Maren' } as never })
})
afterEach(cleanup)

/** Lays a demo order, changed or not, on a bench of its own and shows one of its views. */
export async function lay(station: Station | Desk, which: string, run?: (c: Commission) => void) {
  const record = structuredClone(all.find((c) => c.id === which)!)
  run?.(record)
  useBench.setState({ id: undefined, record: undefined })
  const { fetch } = globalThis
  Object.assign(globalThis, {
    fetch: async () => ({
      ok: true,
      status: 200,
      json: async () => ({ record, revision: 1, savedAt: '2026-11-24T20:00:00.000Z', savedBy: 'Osk' }),
    }),
  })
  await act(() => bench().open(which))
  Object.assign(globalThis, { fetch })
  act(() => bench().chooseSaber(record.sabers[0]!.id))
  const View = VIEWS[station]!
  await act(async () => {
    render(
      <QueryClientProvider client={queries}>
        <MemoryRouter>
          <View cut={80} />
        </MemoryRouter>
      </QueryClientProvider>,
    )
  })
  await waitFor(() => expect(bench().judged).toBe('yes'))
  return record
}
export const put = async (label: string | RegExp, text: string, nth = 0) => {
  const field = screen.getAllByLabelText(label)[nth]!
  await user.clear(field)
  await user.click(field)
  await user.paste(text)
  await user.keyboard('{Enter}')
}
export const choose = async (label: string, words: string | RegExp) => {
  await user.click(document.querySelector(`[data-select="${label}"]`)!)
  await user.click(await screen.findByRole('option', { name: words }))
}

/** Picks the tenth of the month that the calendar opens on, or the day after where that is chosen already; says which day it is. */
export const pickDay = async (label: string) => {
  await user.click(screen.getByRole('button', { name: new RegExp(`^${label}`) }))
  const month = await screen.findByRole('grid')
  const day = [...month.querySelectorAll<HTMLElement>('td:not([data-selected], [data-outside])')][9]!
  await user.click(day.querySelector('button')!)
  return day.dataset.day!
}
