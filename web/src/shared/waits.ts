import type { ToDo } from '@nubrin/core/record'

/** What may wait for work, what waits soonest first, and how it is headed. */
export const WAITS: readonly (readonly [ToDo['blocks'], string])[] = [
  ['filming', 'Before filming'],
  ['shipping', 'Before it ships'],
  [undefined, 'When there is time'],
]
export const waitsFor = (blocks: ToDo['blocks'] | null): string => WAITS.find(([b]) => b === (blocks ?? undefined))![1]
