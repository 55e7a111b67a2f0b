import { test } from '@jest/globals'
import { isDrawn } from './drawn'

/** A test that takes seconds: of each two one is asked for, by a draw of their names; in the long run all. A file has a test that is none. */
export const costly = (name: string, body: () => Promise<void> | void, ms?: number): void => {
  if (isDrawn(name, 1 / 2)) test(name, body, ms)
}
