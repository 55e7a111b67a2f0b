import { test } from '@jest/globals'
import { isDrawn } from './drawn'

/** A test that takes seconds: a half of them is held, by a draw of their names; in the long run all. */
export const costly = (name: string, body: () => Promise<void> | void, ms?: number): void => {
  if (isDrawn(name)) test(name, body, ms)
}
