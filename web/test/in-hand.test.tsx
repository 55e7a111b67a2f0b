/** @jest-environment jsdom */
import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals'
import { isOf } from '@nubrin/core/controls'
import type { Saber } from '@nubrin/core/record'
import { MAKER } from '@nubrin/core/units'
import { demoCommissions } from '@nubrin/demo'
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react'
import { HoldButton } from '../src/client/HoldButton'
import { useHandKeys } from '../src/play/useHandKeys'
import { usePlay } from '../src/play/usePlay'

const play = () => usePlay.getState()
const made = (): Saber => structuredClone(demoCommissions('2026-11-24').find((c) => c.id === 'reed-warden')!.sabers[0]!)
let s: Saber
/** Lets time pass, ms, as the frames of a page would see it. */
const wait = (ms: number) => {
  for (let t = 0; t < ms; t += 20) {
    jest.advanceTimersByTime(20)
    play().tick()
  }
}
const row = (does: string) => s.controls.find((r) => r.does === does && !r.presets)!
const mode = () => isOf(s, play().state!.mode)
const lines = () => play().lines.map((l) => `${l.what}: ${l.text}`)
/** Does what a row says, as a hand. */
const does = (what: string) => {
  play().show(row(what))
  wait(4000)
}

beforeEach(() => {
  jest.useFakeTimers()
  Object.assign(globalThis, { matchMedia: () => ({ matches: false }) })
  s = made()
  play().lay()
  play().take(MAKER, s, () => '')
})
afterEach(() => {
  play().lay()
  cleanup()
  jest.useRealTimers()
})

describe('a saber in hand', () => {
  test('begins off, with power, its blade in; what is done is read, numbered, the last first', () => {
    expect(mode()).toBe('off')
    expect(lines()).toEqual([])
    does('ignite')
    expect(mode()).toBe('lit')
    expect(lines()[0]).toBe('did: ignite')
    does('retract')
    expect(lines().slice(0, 2)).toEqual(['did: retract', 'did: ignite'])
    const n = play().lines.map((l) => l.n)
    expect(n).toEqual([...n].sort((a, b) => b - a))
    expect(new Set(n).size).toBe(n.length)
  })
  test('forgets the oldest of forty lines', () => {
    for (let i = 0; i < 30; i++) {
      does('ignite')
      does('retract')
    }
    expect(play().lines).toHaveLength(40)
    expect(play().lines[0]!.n).toBeGreaterThan(55)
  })
  test('edited, it stays in what it was; another one begins anew', () => {
    does('ignite')
    play().toPreset(1)
    const edited = { ...s, name: 'Edited' }
    play().take(MAKER, edited, () => '')
    expect(mode()).toBe('lit')
    expect(play().state!.preset).toBe(1)
    expect(lines()).toContain('did: ignite')
    // With fewer presets than that one it is brought to the last there is.
    play().take(MAKER, { ...edited, presets: edited.presets.slice(0, 1) }, () => '')
    expect(play().state!.preset).toBe(0)
    play().take(MAKER, { ...made(), id: 'other' }, () => '')
    expect(mode()).toBe('off')
    expect(lines()).toEqual([])
  })
  test('without power it does nothing and says why; with power again it begins anew at its preset', () => {
    play().toPreset(2)
    does('ignite')
    play().toggle('cut')
    expect(mode()).toBe('off')
    const [input] = s.inputs
    play().press(input!.id)
    play().release(input!.id)
    expect(lines()[0]).toMatch(/^dead: No power/)
    const count = lines().length
    play().pose('up')
    expect(lines()).toHaveLength(count)
    play().toggle('cut')
    expect(play().state!.preset).toBe(2)
    does('ignite')
    expect(mode()).toBe('lit')
  })
  test('with its cell out it names the cell', () => {
    const cell = s.parts.find((p) => p.kind === 'cell')!
    play().toggle(`part:${cell.id}`)
    play().press(s.inputs[0]!.id)
    expect(lines()[0]).toContain(cell.name)
  })
  test('is brought to a mode and a preset at once, and to none that there is not', () => {
    const lit = s.modes.find((m) => m.is === 'lit')!
    play().bringTo(lit.id)
    expect(mode()).toBe('lit')
    play().toPreset(99)
    expect(play().state!.preset).toBe(0)
    play().toPreset(1)
    expect(play().state!.preset).toBe(1)
    expect(lines()).toEqual([])
  })
  test('its light comes out and goes in; a strike flashes, and a strike of a dark blade does not', () => {
    expect(play().look()!.look.extended).toBe(0)
    play().move('strike')
    expect(play().look()!.look.effects).toEqual([])
    does('ignite')
    expect(play().look()!.look.extended).toBe(1)
    expect(play().look()!.moving).toBe(false)
    play().move('strike')
    expect(
      play()
        .look()!
        .look.effects.map((e) => e.kind),
    ).toContain('clash')
    expect(play().look()!.moving).toBe(true)
    play().move('swing')
    does('retract')
    expect(play().look()!.look.extended).toBe(0)
    play().lay()
    expect(play().look()).toBeUndefined()
  })
  test('who wants less motion sees it lit or dark, and nothing that moves', () => {
    Object.assign(globalThis, { matchMedia: () => ({ matches: true }) })
    play().show(row('ignite'))
    wait(600)
    expect([0, 1]).toContain(play().look()!.look.extended)
    expect(play().look()!.moving).toBe(false)
    play().move('strike')
    expect(play().look()!.look.effects).toEqual([])
  })
})

describe('keys as hands', () => {
  const Hands = () => {
    useHandKeys(s)
    return <input aria-label="a field" />
  }
  const held = () => (play().state!.held ?? []).map((h) => h.input)
  const [first, second] = ['z', 'x']
  beforeEach(() => void render(<Hands />))
  test('a button is held as long as its key is, whatever the keyboard repeats', () => {
    fireEvent.keyDown(document.body, { key: first })
    fireEvent.keyDown(document.body, { key: first, repeat: true })
    expect(held()).toEqual([s.inputs[0]!.id])
    fireEvent.keyDown(document.body, { key: second!.toUpperCase() })
    expect(held()).toHaveLength(2)
    fireEvent.keyUp(document.body, { key: first })
    expect(held()).toEqual([s.inputs[1]!.id])
    fireEvent.blur(window)
    expect(held()).toEqual([])
  })
  test('not while somebody types, and not with another key held', () => {
    fireEvent.keyDown(screen.getByLabelText('a field'), { key: first })
    fireEvent.keyDown(document.body, { key: first, ctrlKey: true })
    expect(held()).toEqual([])
  })
  test('poses are taken and left', () => {
    const up = 'ArrowUp'
    fireEvent.keyDown(document.body, { key: up })
    const pose = play().state!.pose
    expect(pose).not.toBe('level')
    fireEvent.keyDown(document.body, { key: up })
    expect([pose, 'level']).toContain(play().state!.pose)
  })
})

describe('a drawn key', () => {
  test('is pressed as long as a finger is on it, or space or enter are held; leaving it lets go', () => {
    const done: string[] = []
    render(
      <HoldButton look="" on={false} onPress={() => done.push('press')} onRelease={() => done.push('release')}>
        front
      </HoldButton>,
    )
    const key = screen.getByRole('button', { name: 'front' })
    key.setPointerCapture = () => undefined
    const took = () => done.splice(0)
    fireEvent.pointerDown(key)
    fireEvent.pointerUp(key)
    expect(took()).toEqual(['press', 'release'])
    fireEvent.pointerDown(key)
    fireEvent.pointerCancel(key)
    expect(took()).toEqual(['press', 'release'])
    for (const k of [' ', 'Enter']) {
      act(() => key.focus())
      fireEvent.keyDown(key, { key: k })
      fireEvent.keyDown(key, { key: k })
      fireEvent.keyUp(key, { key: k })
      expect(took()).toEqual(['press', 'release'])
    }
    fireEvent.keyDown(key, { key: 'a' })
    fireEvent.keyUp(key, { key: 'a' })
    expect(took()).toEqual([])
    fireEvent.keyDown(key, { key: ' ' })
    fireEvent.blur(key)
    expect(took()).toEqual(['press', 'release'])
    fireEvent.blur(key)
    expect(took()).toEqual([])
  })
})
