import { expect, test } from '@jest/globals'
import { bound } from '../src/kit/bound'

interface Thing {
  name: string
  note?: string
  how?: 'pull' | 'slide'
  fits?: boolean
  on?: string
  many?: number
}
/** A thing, what its fields do to it, and which field each edit was of. */
function held(of: Thing) {
  const edits: string[] = []
  const cells = bound(of, (run, key) => {
    edits.push(key)
    run(of)
  })
  return { of, edits, cells }
}

test('words stand as they were typed; blank ones take the field out', () => {
  const { of, edits, cells } = held({ name: 'a' })
  expect(cells.text('note').value).toBe('')
  cells.text('note').onCommit('  said so ')
  expect(of).toEqual({ name: 'a', note: '  said so ' })
  cells.text('note').onCommit('   ')
  expect(of).toEqual({ name: 'a' })
  expect('note' in of).toBe(false)
  expect(edits).toEqual(['note', 'note'])
})
test('a choice, one that may be none, a mark, a day, a number', () => {
  const { of, cells } = held({ name: 'a' })
  cells.maybe('how').onCommit('slide')
  cells.tick('fits').onChange(true)
  cells.day('on').onCommit('2026-01-02')
  cells.number('many').onCommit(0)
  cells.choice('name').onCommit('')
  expect(of).toEqual({ name: '', how: 'slide', fits: true, on: '2026-01-02', many: 0 })
  const again = bound(of, (run) => run(of))
  expect([again.maybe('how').value, again.tick('fits').checked, again.number('many').value]).toEqual(['slide', true, 0])
  cells.maybe('how').onCommit('')
  cells.tick('fits').onChange(false)
  cells.day('on').onCommit(undefined)
  cells.number('many').onCommit(undefined)
  expect(of).toEqual({ name: '' })
})
