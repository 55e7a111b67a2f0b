/** @jest-environment jsdom */
import { afterEach, expect, jest, test } from '@jest/globals'
import { act, cleanup, render, screen } from '@testing-library/react'
import { lazyView } from '../src/base/lazy'
import { once } from '../src/base/once'
import { Boundary } from '../src/kit'

afterEach(() => {
  cleanup()
  jest.useRealTimers()
})

/** Code that cannot be fetched until it is told so. */
function cut() {
  let away = true
  let asked = 0
  const load = async () => {
    asked++
    if (away) throw new TypeError('network')
    return () => <p>here it is</p>
  }
  return { load, mend: () => void (away = false), asked: () => asked }
}

test('a part that cannot be fetched leaves what stands beside it, says so, and comes with the connection', async () => {
  const line = cut()
  const Part = lazyView(line.load)
  render(
    <Boundary what="The station">
      <input aria-label="Brief" defaultValue="half typed" />
      <Part />
    </Boundary>,
  )
  expect((await screen.findByRole('status')).textContent).toContain('has not loaded yet')
  expect(screen.getByLabelText('Brief')).toHaveProperty('value', 'half typed')
  line.mend()
  act(() => void window.dispatchEvent(new Event('online')))
  await screen.findByText('here it is')
  expect(screen.queryByRole('status')).toBeNull()
  expect(screen.getByLabelText('Brief')).toHaveProperty('value', 'half typed')
})
test('it is asked for again by itself, and no more once it is gone from the page', async () => {
  jest.useFakeTimers()
  const line = cut()
  const Part = lazyView(line.load)
  const { unmount } = render(<Part />)
  await act(() => jest.advanceTimersByTimeAsync(10_000))
  expect(line.asked()).toBeGreaterThan(2)
  unmount()
  const now = line.asked()
  await act(() => jest.advanceTimersByTimeAsync(20_000))
  expect(line.asked()).toBe(now)
})
test('what has come is fetched once, whoever asks', async () => {
  const line = cut()
  const code = once(line.load)
  await expect(code.fetch()).rejects.toThrow('network')
  expect(code.now()).toBeUndefined()
  line.mend()
  expect(await code.fetch()).toBe(await code.fetch())
  expect(line.asked()).toBe(2)
})
