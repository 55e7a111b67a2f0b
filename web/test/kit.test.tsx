/** @jest-environment jsdom */
import { afterEach, describe, expect, jest, test } from '@jest/globals'
import { type Fact, fact, state } from '@nubrin/core/facts'
import { type Ref, Section } from '@nubrin/core/record'
import { demoCommissions } from '@nubrin/demo'
import { act, cleanup, render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { useState } from 'react'
import {
  AddLine,
  Boundary,
  CheckBox,
  CountCell,
  DateCell,
  FactField,
  Modal,
  RefPicker,
  SelectCell,
  SortableList,
  Tabs,
  TextCell,
} from '../src/kit'

afterEach(cleanup)
const user = userEvent.setup()

/** A field that keeps what is committed, as a record would, and tells it. */
function held(start: Fact<'mm'> | undefined, compact = false) {
  const commits: Fact<'mm'>[] = []
  function Held() {
    const [value, setValue] = useState(start)
    return (
      <FactField
        label="length"
        compact={compact}
        value={value}
        of={Section.properties.length}
        onCommit={(f) => {
          commits.push(f)
          setValue(f)
        }}
      />
    )
  }
  render(<Held />)
  return { commits, field: screen.getByLabelText('length') as HTMLInputElement }
}
const put = async (field: HTMLElement, text: string) => {
  await user.clear(field)
  await user.type(field, text)
}

describe('a fact in its field', () => {
  test('an unknown is filled with its source and day; a hedged one is recalled', async () => {
    const a = held(undefined)
    await put(a.field, '7/8 in{Enter}')
    expect(a.commits).toHaveLength(1)
    expect(a.commits[0]).toMatchObject({ value: 22.225, unit: 'mm', source: 'measured' })
    expect(a.commits[0]!.on).toMatch(/^\d{4}-\d\d-\d\d$/)
    cleanup()
    const b = held(undefined)
    await put(b.field, 'about 24{Enter}')
    expect(b.commits[0]).toMatchObject({ value: 24, source: 'recalled' })
  })
  test('what cannot be read stays in the field with its rule, and nothing is written', async () => {
    const { commits, field } = held(fact(30, 'mm', 'measured'))
    for (const [text, rule] of [
      ['12 apples', /“12 apples” is in a unit that does not measure this; one of mm/],
      ['-4', /cannot be negative/],
      ['1/0', /divides by zero/],
      ['wide', /“wide” is not a number/],
    ] as const) {
      await put(field, `${text}{Enter}`)
      expect(screen.getByRole('alert').textContent).toMatch(rule)
      expect(field.value).toBe(text)
      expect(field.getAttribute('aria-invalid')).toBe('true')
    }
    expect(commits).toEqual([])
    await user.click(field)
    await user.keyboard('{Escape}')
    expect(field.value).toBe('30')
    expect(screen.queryByRole('alert')).toBeNull()
  })
  test('0 is a value, an empty field takes the value back and keeps it in the trail', async () => {
    const { commits, field } = held(fact(30, 'mm', 'measured'))
    await user.clear(field)
    await user.tab()
    expect(commits.at(-1)).toMatchObject({ value: null, source: 'unknown', trail: [{ value: 30 }] })
    await put(field, '0{Enter}')
    expect(commits.at(-1)).toMatchObject({ value: 0, source: 'measured' })
    expect(field.value).toBe('0')
  })
  test('another value stands beside the first; Enter again says that the new one holds, and the first is kept', async () => {
    const { commits, field } = held(fact(30, 'mm', 'client', { on: '2026-11-01' }))
    await put(field, '31.5{Enter}')
    expect(commits.at(-1)).toMatchObject({ value: 30, rivals: [{ value: 31.5, source: 'measured' }] })
    expect(screen.getByRole('group', { name: 'Two values for length' })).toBeTruthy()
    expect(document.activeElement?.textContent).toContain('31.5 mm, measured')
    await user.keyboard('{Enter}')
    expect(commits.at(-1)).toMatchObject({ value: 31.5, source: 'measured' })
    expect(commits.at(-1)!.rivals).toBeUndefined()
    expect(commits.at(-1)!.trail).toMatchObject([{ value: 30, source: 'client' }])
    expect(screen.queryByRole('group')).toBeNull()
  })
  test('the first can be said to have been mistyped: one value, corrected, with the slip in the trail', async () => {
    const two = state(fact(30, 'mm', 'measured', { on: '2026-11-01' }), fact(31, 'mm', 'client'))
    const { commits } = held(two)
    await user.click(screen.getByRole('button', { name: 'the first was a typo' }))
    expect(commits.at(-1)).toMatchObject({ value: 31, source: 'measured', trail: [{ value: 30 }] })
    expect(commits.at(-1)!.rivals).toBeUndefined()
  })
  test('a narrow field keeps the tolerance that it does not show', async () => {
    const { commits, field } = held(fact(30, 'mm', 'assumed', { tol: 0.2 }), true)
    expect(field.value).toBe('30')
    await put(field, '33{Enter}')
    expect(commits.at(-1)).toMatchObject({ value: 33, tol: 0.2 })
  })
  test('looking at a field and leaving it writes nothing', async () => {
    const { commits, field } = held(fact(30.123456, 'mm', 'measured'))
    await user.click(field)
    await user.tab()
    expect(commits).toEqual([])
  })
})

describe('choosing', () => {
  test('a choice is opened, walked with the arrows, taken with Enter', async () => {
    const taken = jest.fn()
    render(<SelectCell label="Material" value="brass" options={['brass', 'copper', 'wood']} onCommit={taken} />)
    const button = screen.getByRole('button', { name: 'Material brass' })
    act(() => button.focus())
    await user.keyboard('{ArrowDown}')
    expect(screen.getAllByRole('option').map((o) => o.textContent)).toEqual(['brass', 'copper', 'wood'])
    await user.keyboard('{ArrowDown}{ArrowDown}{Enter}')
    expect(taken.mock.calls.map((c) => c[0])).toEqual(['wood'])
  })
  test('places are offered by kind, and nothing can be chosen again', async () => {
    const saber = demoCommissions('2026-11-24').find((c) => c.id === 'reed-warden')!.sabers[0]!
    const taken: (Ref | undefined)[] = []
    render(
      <RefPicker
        label="Place"
        saber={saber}
        value={`socket:${saber.hilt.sockets[0]!.id}`}
        onCommit={(r) => taken.push(r)}
      />,
    )
    await user.click(screen.getByRole('button', { name: `Place ${saber.hilt.sockets[0]!.name}` }))
    expect(screen.getByText('screws')).toBeTruthy()
    await user.click(screen.getAllByRole('option')[0]!)
    expect(taken).toEqual([undefined])
  })
  test('a mark is set by its words and by the space bar', async () => {
    const set = jest.fn()
    render(
      <CheckBox checked={false} onChange={set}>
        blocks shipping
      </CheckBox>,
    )
    const box = screen.getByRole('checkbox', { name: 'blocks shipping' })
    expect(box.getAttribute('aria-checked')).toBe('false')
    await user.click(screen.getByText('blocks shipping'))
    act(() => box.focus())
    await user.keyboard(' ')
    expect(set.mock.calls).toEqual([[true], [true]])
  })
  test('a day is taken from the calendar as an ISO date, and can be taken out', async () => {
    const set = jest.fn()
    render(<DateCell label="Deadline" value="2026-11-24" onCommit={set} />)
    await user.click(screen.getByRole('button', { name: /^Deadline/ }))
    await user.click(await screen.findByRole('button', { name: /November 30/ }))
    await user.click(screen.getByRole('button', { name: 'No day for Deadline' }))
    expect(set.mock.calls).toEqual([['2026-11-30'], [undefined]])
  })
  test('tabs are walked with the arrow keys', async () => {
    function Held() {
      const [at, setAt] = useState(0)
      return <Tabs label="Ways" tabs={['one', 'two']} at={at} onChange={setAt} panels={(i) => <p>panel {i}</p>} />
    }
    render(<Held />)
    act(() => screen.getByRole('tab', { name: 'one' }).focus())
    await user.keyboard('{ArrowRight}')
    expect(screen.getByText('panel 1')).toBeTruthy()
    expect(screen.queryByText('panel 0')).toBeNull()
  })
})

describe('writing', () => {
  test('text is committed once, on leaving or with Enter; Escape puts it back', async () => {
    const set = jest.fn()
    function Held() {
      const [value, setValue] = useState('old')
      return (
        <TextCell
          label="Name"
          value={value}
          onCommit={(v) => {
            set(v)
            setValue(v)
          }}
        />
      )
    }
    render(<Held />)
    const field = screen.getByLabelText('Name') as HTMLInputElement
    await user.click(field)
    await user.tab()
    expect(set).not.toHaveBeenCalled()
    await put(field, 'gone{Escape}')
    expect(field.value).toBe('old')
    await user.clear(field)
    await user.type(field, 'new{Enter}')
    await user.tab()
    expect(set.mock.calls).toEqual([['new']])
  })
  test('a count within its limits is taken, another stays with its rule', async () => {
    const set = jest.fn()
    render(<CountCell label="How many" value={1} max={12} onCommit={set} />)
    const field = screen.getByLabelText('How many')
    for (const wrong of ['0', '13', '1.5', '-1', 'two']) {
      await put(field, `${wrong}{Enter}`)
      expect(screen.getByRole('alert').textContent).toBe('a whole number from 1 to 12')
    }
    expect(set).not.toHaveBeenCalled()
    await put(field, '12{Enter}')
    expect(set.mock.calls).toEqual([[12]])
  })
  test('a line adds on Enter, trims, and adds nothing of nothing', async () => {
    const set = jest.fn()
    render(<AddLine label="a wish" onAdd={set} />)
    await user.type(screen.getByLabelText('a wish'), '   {Enter}  green {Enter}')
    expect(set.mock.calls).toEqual([['green']])
  })
  test('a list names the handle of every item', () => {
    const items = [{ id: 'a' }, { id: 'b' }]
    render(
      <SortableList items={items} name={(x) => x.id} onMove={() => undefined}>
        {(x, i) => (
          <span>
            {i}:{x.id}
          </span>
        )}
      </SortableList>,
    )
    expect(screen.getAllByRole('button').map((b) => b.getAttribute('aria-label'))).toEqual(['Move a', 'Move b'])
    expect(screen.getByText('1:b')).toBeTruthy()
  })
})

describe('around', () => {
  test('a sheet goes away with Escape', async () => {
    const close = jest.fn()
    render(
      <Modal title="A sheet" close={close}>
        <button type="button">inside</button>
      </Modal>,
    )
    expect(screen.getByRole('dialog', { name: 'A sheet' })).toBeTruthy()
    await user.keyboard('{Escape}')
    expect(close).toHaveBeenCalledTimes(1)
  })
  test('a part that fails says so and leaves the rest; when what it stands on changes it tries again', () => {
    const quiet = jest.spyOn(console, 'error').mockImplementation(() => undefined)
    const Part = ({ ok }: { ok: boolean }) => {
      if (!ok) throw new Error('a length of NaN')
      return <p>drawn</p>
    }
    const screenOf = (ok: boolean) => (
      <>
        <Boundary what="The drawing" resetKeys={[ok]}>
          <Part ok={ok} />
        </Boundary>
        <p>the bench</p>
      </>
    )
    const { rerender } = render(screenOf(false))
    expect(screen.getByRole('alert').textContent).toContain('The drawing cannot be shown')
    expect(screen.getByRole('alert').textContent).toContain('a length of NaN')
    expect(screen.getByText('the bench')).toBeTruthy()
    rerender(screenOf(true))
    expect(screen.getByText('drawn')).toBeTruthy()
    expect(screen.queryByRole('alert')).toBeNull()
    quiet.mockRestore()
  })
})

describe('who stands behind a value', () => {
  const picked = async (looked: boolean, choose: string) => {
    const commits: Fact<'mm'>[] = []
    render(
      <FactField
        label="rating"
        value={fact(24, 'mm', 'assumed', { with: 'set on the drawing' })}
        of={Section.properties.length}
        looked={looked}
        onCommit={(f) => void commits.push(f)}
      />,
    )
    await user.click(screen.getByRole('button', { name: 'Source of rating: assumed' }))
    const offered = screen.getAllByRole('option').map((o) => o.textContent)
    await user.click(screen.getByRole('option', { name: choose }))
    return { offered, commits }
  }
  test('a pole or a rating that was assumed becomes more only by looking', async () => {
    const { offered, commits } = await picked(true, 'read off it')
    expect(offered).toEqual(['measured', 'read off it', 'datasheet'])
    expect(commits).toMatchObject([{ value: 24, source: 'read', on: expect.stringMatching(/^\d{4}-/) }])
    expect(commits[0]!.with).toBeUndefined()
    expect(commits[0]!.trail).toMatchObject([{ source: 'assumed', with: 'set on the drawing' }])
  })
  test('anything else by whoever says so', async () => {
    const { offered } = await picked(false, 'from memory')
    expect(offered.length).toBeGreaterThan(6)
  })
})
