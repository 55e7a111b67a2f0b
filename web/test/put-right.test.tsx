/** @jest-environment jsdom */
import { describe, expect, test } from '@jest/globals'
import { type Finding, judgeCommission } from '@nubrin/core/judge'
import type { Commission } from '@nubrin/core/record'
import { act, cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react'
import { MemoryRouter } from 'react-router'
import { drawn } from '../../core/test/drawn'
import { FIRES } from '../../core/test/fires'
import { todayIso } from '../src/data'
import { FindingsPanel } from '../src/kit'
import { fieldOnPage, focusField } from '../src/kit/focus-field'
import { all, bench, lay, VIEWS } from './lay'

/** What each check says of the finished order once its change is made, where it names a field. */
const named = Object.entries(FIRES).flatMap(([id, run]): [string, string, Finding, (c: Commission) => void][] => {
  const change = (c: Commission) => void run(c.sabers[0]!, c)
  const c = structuredClone(all.find((x) => x.id === 'reed-warden')!)
  change(c)
  const f = judgeCommission(c, todayIso()).find((x) => x.check === id && x.field)
  return f && (f.at ?? f.station) in VIEWS ? [[id, f.field!, f, change]] : []
})

describe('where a finding is put right', () => {
  test('most that name a thing name its field', () => expect(named.length).toBeGreaterThan(25))
  test.each(drawn(named, 1 / 4, ([, , f]) => [f.station]))(
    '%s: the field %s is there to be written in',
    async (_id, field, f, change) => {
      await lay((f.at ?? f.station) as keyof typeof VIEWS, 'reed-warden', change)
      await act(async () => {
        bench().light(f.refs[0])
        bench().seek(f.refs[0])
      })
      await waitFor(() => expect(fieldOnPage(field, f.refs[0])).toBeTruthy())
      await act(async () => focusField(field, f.refs[0]))
      expect(document.activeElement).toBe(fieldOnPage(field, f.refs[0]))
    },
  )
  test('what to do is pressed, and one stands in the field', async () => {
    const change = (c: Commission) => void FIRES.unmeasured!(c.sabers[0]!, c)
    await lay('hilt', 'reed-warden', change)
    const [f] = judgeCommission(bench().record!, todayIso()).filter((x) => x.check === 'unmeasured')
    await act(async () => void render(<FindingsPanel list={[f!]} elsewhere={[]} />, { wrapper: MemoryRouter }))
    await act(async () => void fireEvent.click(screen.getByRole('button', { name: f!.remedy })))
    await waitFor(() => expect((document.activeElement as HTMLElement).dataset.field).toBe('bore'))
    expect(document.activeElement!.closest('[data-of]')!.getAttribute('data-of')).toBe(f!.refs[0])
    cleanup()
  })
})
