import { describe, expect, test } from '@jest/globals'
import type { Commission } from '@nubrin/core/record'
import { correctHours, workOf } from '@nubrin/core/schedule'
import { demo, TODAY } from './samples'

/** A commission that is under way, of which the record can say nothing yet. */
const blank = (): Commission => {
  const c = demo('reed-warden')
  delete c.shipped
  c.handoff.issued = []
  c.toDos = []
  c.questions = []
  c.packing = []
  for (const s of c.sabers) {
    Object.assign(s, { tests: [], takes: [], cards: [] })
    for (const p of s.parts) delete p.fittedOn
  }
  return c
}
const keys = (c: Commission, done?: string) => workOf(c).flatMap((w) => (done && w.done !== done ? [] : [w.key]))
const find = (c: Commission, key: string) => workOf(c).find((w) => w.key === key)!

describe('the work of a commission', () => {
  test('follows from its job, and is done where the record says so', () => {
    const c = blank()
    const id = c.sabers[0]!.id
    const usual = ['measure', 'bore', 'print', 'wire', 'setUp', 'prove'].filter((k) =>
      k === 'print' ? c.sabers[0]!.parts.some((p) => p.kind === 'chassis' && !p.catalogue) : true,
    )
    expect(keys(c)).toEqual([...usual.map((k) => `${k}/${id}`), 'film', 'write', 'pack'])
    for (const p of c.sabers[0]!.parts) p.fittedOn = TODAY
    expect(find(c, `wire/${id}`).done).toBe('record')
    // Nobody wires what is not bored.
    expect(find(c, `bore/${id}`).done).toBe('record')
    expect(find(c, `prove/${id}`).done).toBeUndefined()
    c.handoff.issued = [{ number: 1, on: TODAY, revision: 1, by: 'Maren' }]
    expect(find(c, 'write').done).toBe('record')
    c.shipped = TODAY
    expect(workOf(c).every((w) => w.done)).toBe(true)
  })

  test('of several sabers each has its own, and the film waits for all', () => {
    const c = demo('ember-fair')
    const proves = c.sabers.map((s) => `prove/${s.id}`)
    expect(find(c, 'film').after).toEqual(expect.arrayContaining(proves))
    expect(keys(c).filter((k) => k.startsWith('prove'))).toEqual(proves)
    expect(new Set(keys(c)).size).toBe(keys(c).length)
  })

  test('what somebody said of it comes before what follows', () => {
    const c = blank()
    const saber = c.sabers[0]!.id
    c.toDos = [
      { id: 'td', text: 'grease the thread', who: 'shop', done: false, blocks: 'filming', hours: 2, kind: 'finish' },
      { id: 'tc', text: 'send the cell', who: 'client', done: false },
    ]
    c.questions = [{ id: 'qu', text: 'Which screw?', blocks: true, askedOn: '2026-11-20' }]
    c.work = [
      { id: 'w1', kind: 'bore', saber, leftOut: 'bored already' },
      {
        id: 'w2',
        kind: 'wire',
        saber,
        hours: 11,
        person: 'Maren',
        after: ['question:qu', 'toDo:td'],
        on: '2026-12-01',
      },
      { id: 'w3', kind: 'finish', saber, cures: 48, doneOn: '2026-11-22' },
    ]
    expect(find(c, `bore/${saber}`).done).toBe('leftOut')
    expect(find(c, `wire/${saber}`)).toMatchObject({ hours: 11, person: 'Maren', on: '2026-12-01' })
    expect(find(c, `wire/${saber}`).after).toContain('toDo/td')
    expect(find(c, `wire/${saber}`).waits).toContainEqual({
      ...{ kind: 'question', id: 'qu', what: 'Which screw?', since: '2026-11-20' },
    })
    // Asked for the wiring, it does not hold up the writing a second time.
    expect(find(c, 'write').waits).toEqual([])
    expect(find(c, `finish/${saber}`)).toMatchObject({ done: 'said', cures: 48 })
    expect(find(c, 'film').after).toContain('toDo/td')
    expect(find(c, 'toDo/td')).toMatchObject({ like: 'finish', hours: 2 })
    // What is answered and what is done holds nothing up any more.
    c.work = []
    expect(find(c, 'write').waits).toEqual([expect.objectContaining({ id: 'qu' })])
    c.questions[0]!.answer = 'the brass one'
    expect(find(c, 'write').waits).toEqual([])
    c.toDos[0]!.done = true
    expect(find(c, 'film').after).not.toContain('toDo/td')
    expect(find(c, 'pack').waits).toContainEqual({ kind: 'client', id: 'tc', what: 'send the cell' })
  })

  test('hours of the log are spent on what they name', () => {
    const c = blank()
    const saber = c.sabers[0]!.id
    const entry = { on: TODAY, text: '', kind: 'work' as const, by: 'Maren' }
    c.log = [
      { id: 'e1', ...entry, work: 'wire', saber, hours: 2 },
      { id: 'e2', ...entry, work: 'wire', hours: 1.5 },
      { id: 'e3', ...entry, work: 'film', hours: 1 },
      { id: 'e4', ...entry, hours: 9 },
    ]
    expect(find(c, `wire/${saber}`).spent).toBe(3.5)
    expect(find(c, 'film').spent).toBe(1)
  })

  test('corrected hours keep what stood there, and by whom it was corrected', () => {
    const e: Commission['log'][number] = { id: 'e1', on: TODAY, text: '', kind: 'work' }
    correctHours(e, 3, 'Osk', '2026-11-20')
    expect(e.was).toBeUndefined()
    correctHours(e, 3, 'Osk', '2026-11-21')
    correctHours(e, 2.5, 'Maren', '2026-11-22')
    correctHours(e, undefined, 'Osk', '2026-11-23')
    expect(e).toMatchObject({
      was: [
        { hours: 3, on: '2026-11-22', by: 'Maren' },
        { hours: 2.5, on: '2026-11-23', by: 'Osk' },
      ],
    })
    expect('hours' in e).toBe(false)
  })

  test('a model sheet is no work, and waits are for what is not built in', () => {
    const c = blank()
    const wire = find(c, `wire/${c.sabers[0]!.id}`)
    expect(wire.waits.map((w) => w.id).toSorted()).toEqual(c.sabers[0]!.parts.map((p) => p.id).toSorted())
    const sheet = { ...c, sabers: c.sabers.map((s) => ({ ...s, job: 'model' as const })) }
    expect(workOf(sheet)).toEqual([])
  })
})
