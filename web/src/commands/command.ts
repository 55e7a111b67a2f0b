import type { NavigateFunction } from 'react-router'
import type { BenchState } from '../store/commission'

/** What a command may look at and use. `bench` is absent outside a commission. */
export interface Scope {
  navigate: NavigateFunction
  bench: BenchState | undefined
  /** Opens a sheet of the page by its name. */
  show: (sheet: Sheet) => void
}
export type Sheet = 'addFact' | 'keepModel' | 'history' | 'phone' | 'newCommission' | 'keys'

/**
 * Something a maker can do, known to button, menu and key alike. `can` says whether it can be done now: undefined when it
 * can, else why not. One rule for all three.
 */
export interface Command {
  id: string
  words: string
  /** Keys as they are pressed: `f`, `ctrl+z`, `/`. */
  keys?: readonly string[]
  /** Listed in the menu of its page. */
  menu?: true
  can?: (s: Scope) => string | undefined
  run: (s: Scope) => void
}

/** Goes to another screen. */
export const go = (s: Scope, path: string) => void s.navigate(path)

/** On every page. */
export const KEYS: Command = { id: 'keys', words: 'Keyboard shortcuts', keys: ['?'], run: (s) => s.show('keys') }

/** Runs a command if it can be done; says whether it was. */
export function perform(c: Command, s: Scope): boolean {
  if (c.can?.(s) !== undefined) return false
  c.run(s)
  return true
}

/** The name of a pressed key as commands write it; undefined while somebody is typing. */
export function pressed(e: KeyboardEvent): string | undefined {
  const el = e.target as Element
  if (el.closest?.('input:not([type=range]),textarea,[role=listbox],[role=combobox],[role=dialog],.calendar'))
    return undefined
  if (e.altKey) return undefined
  const ctrl = e.ctrlKey || e.metaKey ? 'ctrl+' : ''
  const shift = ctrl && e.shiftKey ? 'shift+' : ''
  return `${ctrl}${shift}${e.key.length === 1 ? e.key.toLowerCase() : e.key}`
}
