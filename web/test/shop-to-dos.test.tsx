/** @jest-environment jsdom */
import { expect, test } from '@jest/globals'
import { QueryClientProvider } from '@tanstack/react-query'
import { act, render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { MemoryRouter } from 'react-router'
import { type LeftToDo, queries, todayIso } from '../src/data'
import ShopToDos from '../src/rack/ShopToDos'
import { useSession } from '../src/store/session'

const left = (id: string, more: Partial<LeftToDo> = {}): LeftToDo => ({
  ...{ id, commission: 'lamp', title: 'Lamp', client: null, revision: 3, text: id, about: null },
  ...{ who: 'shop', person: null, due: null, blocks: null, ships: null, ...more },
})

test('the work of the shop: grouped, done by a change of its own each time, also twice on one day · a day', async () => {
  const list = [
    left('paint', { person: 'Edda' }),
    left('solder', { blocks: 'shipping', about: 'grip', due: '2026-01-02' }),
    left('polish', { blocks: 'filming', commission: 'torch', title: 'Torch' }),
  ]
  const sent: { url: string; body: { base: number; change: string; ops: unknown[] } }[] = []
  Object.assign(globalThis, {
    fetch: async (url: string, init: { method: string; body?: string }) => {
      if (init.method === 'PATCH') sent.push({ url, body: JSON.parse(init.body!) })
      // Somebody takes it back at once: it is in the list again.
      return { ok: true, status: 200, json: async () => (init.method === 'GET' ? list : {}) }
    },
  })
  useSession.setState({ person: { name: 'Maren' } as never })
  await act(async () => {
    render(
      <QueryClientProvider client={queries}>
        <MemoryRouter>
          <ShopToDos />
        </MemoryRouter>
      </QueryClientProvider>,
    )
  })
  await screen.findByText('3 left on 2 commissions')
  const groups = () => screen.getAllByRole('region').map((r) => r.getAttribute('aria-label'))
  expect(groups()).toEqual(['Before filming', 'Before it ships', 'When there is time'])
  const user = userEvent.setup()
  await user.click(screen.getByRole('tab', { name: 'by person' }))
  expect(groups()).toEqual(['Edda', 'For anybody in the shop'])
  await user.click(screen.getByRole('tab', { name: 'by commission' }))
  expect(groups()).toEqual(['Lamp', 'Torch'])
  await user.click(screen.getByRole('button', { name: 'solder is done' }))
  await user.click(screen.getByRole('button', { name: 'solder is done' }))
  expect(sent.map((s) => s.url)).toEqual(['/api/commissions/lamp', '/api/commissions/lamp'])
  expect(sent[0]!.body).toMatchObject({
    base: 3,
    ops: [
      { op: 'set', at: '/toDos/@solder/done', value: true },
      { op: 'set', at: '/toDos/@solder/doneOn', value: todayIso() },
      { op: 'set', at: '/toDos/@solder/doneBy', value: 'Maren' },
    ],
  })
  expect(sent[0]!.body.change).not.toBe(sent[1]!.body.change)
})
