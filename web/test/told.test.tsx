/** @jest-environment jsdom */
import { afterEach, describe, expect, jest, test } from '@jest/globals'
import { buildHandoff, type FrozenProcedure, handedSaber, readerOfHandoff } from '@nubrin/core/handoff'
import { loadLanguages } from '@nubrin/core/languages'
import { isOff, machineOf } from '@nubrin/core/machine'
import type { Saber } from '@nubrin/core/record'
import { LANGUAGES } from '@nubrin/core/units'
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react'
import { statesIn } from '../../core/src/handoff/figures'
import { drawn } from '../../core/test/drawn'
import { kindOfOrder, ORDERS } from '../../core/test/orders'
import { TODAY } from '../../core/test/samples'
import { ReaderOfPage } from '../src/base/reader'
import { Disassembly } from '../src/client/Disassembly'

loadLanguages()
afterEach(() => {
  cleanup()
  jest.useRealTimers()
  localStorage.clear()
})

const orders = LANGUAGES.flatMap((language) =>
  ORDERS.filter(([name]) => name !== 'twelve sabers').map(([name, make]) => [name, language, make] as const),
)
const few = drawn(orders, 1 / 12, (o) => [o[1], kindOfOrder(o)])

// The page's sheet is a dialog, which is not shown here.
HTMLDialogElement.prototype.showModal = function () {
  this.open = true
}
HTMLDialogElement.prototype.close = () => undefined

interface Opened {
  saber: Saber
  p: FrozenProcedure
}
/** The pages of an order's procedures, one after the other, each opened at its first act. */
function* opened(
  language: 'en' | 'de',
  make: (typeof ORDERS)[number][1],
  ready: () => unknown = () => undefined,
): Generator<Opened> {
  const c = make()
  c.client.language = language
  const d = buildHandoff(c, 'Shop', TODAY)
  for (const saber of c.sabers) {
    const own = d.procedures.filter((p) => p.saber === saber.id)
    for (const p of own.filter((x) => !x.cannot)) {
      ready()
      render(
        <ReaderOfPage value={readerOfHandoff(d)}>
          <Disassembly saber={handedSaber(saber)} procedures={own} keep="told" start={p} onLeave={() => undefined} />
        </ReaderOfPage>,
      )
      yield { saber, p }
      cleanup()
    }
  }
}
/** What stands on the page of an act: its number and its lines. */
function shown(): { n: number; lines: string[] } {
  const at = document.querySelector('[data-act]')!
  return { n: Number(at.getAttribute('data-act')), lines: [...at.querySelectorAll('p')].map((p) => p.textContent!) }
}
const linesOf = (p: FrozenProcedure) =>
  p.acts.map((x) => [x.text, x.tool, x.cue, x.caution].filter((t) => t !== undefined))
const main = () => document.querySelector<HTMLButtonElement>('button.btn-main')!

describe('the client’s phone', () => {
  test.each(few)(
    '%s, %s: stepped through, it shows each act once, in order, with all that is said of it',
    (_n, language, make) => {
      for (const { p } of opened(language, make)) {
        const seen: string[][] = []
        for (let i = 0; i < p.acts.length; i++) {
          expect(shown().n).toBe(i + 1)
          seen.push(shown().lines)
          if (i < p.acts.length - 1) fireEvent.click(main())
        }
        expect(seen).toEqual(linesOf(p))
      }
    },
  )
  test.each(few)(
    '%s, %s: left alone, it shows each act once up to one that waits, and ends as wanted',
    (_n, language, make) => {
      for (const { saber, p: start } of opened(language, make, () => jest.useFakeTimers())) {
        const seen: number[] = []
        for (let turn = 0; turn < 400 && seen.at(-1) !== start.acts.length; turn++) {
          const { n } = shown()
          if (seen.at(-1) !== n) seen.push(n)
          if (start.acts[n - 1]!.waits && n < start.acts.length) {
            // It stands as long as one likes, and goes on by a tap alone.
            act(() => void jest.advanceTimersByTime(120_000))
            expect(shown().n).toBe(n)
            fireEvent.click(main())
          } else act(() => void jest.advanceTimersByTime(1000))
        }
        expect(seen).toEqual(start.acts.map((_, i) => i + 1))
        act(() => void jest.advanceTimersByTime(200_000))
        expect(shown().n).toBe(start.acts.length)
        const { assembly, rest } = machineOf(saber)
        const end = statesIn(saber, start).at(-1)!
        expect(Object.keys(end.screws)).toEqual([])
        expect(end.off.filter((b) => !assembly.joints[b]?.place)).toEqual(
          rest.off.filter((b) => !assembly.joints[b]?.place),
        )
        if (start.goal === 'bladeIn') expect(isOff(end, start.at as `blade:${string}`)).toBe(false)
        jest.useRealTimers()
      }
    },
  )
  test('what takes its time, holds, decides by its pole or is power waits; plain acts do not', () => {
    const c = ORDERS.find(([name]) => name === 'Reed Warden')![1]()
    const d = buildHandoff(c, 'Shop', TODAY)
    const waits = new Map(
      d.procedures.flatMap((p) => p.acts.map((x) => [x.does[0] && `${x.does[0].do} ${x.does[0].at}`, x.waits])),
    )
    expect(waits.get('cut part:rw-p7')).toBe('power')
    expect(waits.get('plugIn part:rw-p13')).toBe('lasts')
    expect(waits.get('putOn part:rw-p2')).toBe('poles')
    expect(waits.get('tighten fastener:rw-f1')).toBe('hold')
    expect(waits.get('pullCheck blade:rw-b1')).toBe('hold')
    expect(waits.get('takeOff section:rw-pommel')).toBeUndefined()
  })
  test('one goes back, starts over, and sees the way back alone', () => {
    const c = ORDERS.find(([name]) => name === 'Reed Warden')![1]()
    const d = buildHandoff(c, 'Shop', TODAY)
    const p = d.procedures.find((x) => x.goal === 'cell')!
    render(
      <ReaderOfPage value={readerOfHandoff(d)}>
        <Disassembly
          saber={handedSaber(c.sabers[0]!)}
          procedures={d.procedures}
          keep="k"
          start={p}
          onLeave={() => undefined}
        />
      </ReaderOfPage>,
    )
    fireEvent.click(main())
    fireEvent.click(main())
    fireEvent.click(screen.getByRole('button', { name: 'back' }))
    expect(shown().n).toBe(2)
    fireEvent.click(screen.getByRole('button', { name: 'start over' }))
    expect(shown().n).toBe(1)
    fireEvent.click(screen.getByRole('button', { name: 'only close it again' }))
    expect(shown().n).toBe(p.turn + 1)
  })
})
