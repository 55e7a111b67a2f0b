import { describe, expect, test } from '@jest/globals'
import { MOST_EARLIER, readEarlierCsv } from '@nubrin/core/import'

const HEAD = 'client,title,shipped,sabers,job,country,contact,ordered,note'
const faults = (csv: string) => readEarlierCsv(csv).problems.map((p) => `${p.row} ${p.column} ${p.rule}`)

describe('earlier work as CSV', () => {
  test('a row is a commission; what is not said is left out', () => {
    const read = readEarlierCsv(
      `\uFEFF${HEAD}\n Marl ,Old Lamp,2021-03-04,One; Two,Repair,here,m@x,2020-12-01,"said, twice"\nSedge,Second,2022-01-01,,,,,,\n\n`,
    )
    expect(read.problems).toEqual([])
    expect(read.rows).toEqual([
      {
        ...{ client: 'Marl', title: 'Old Lamp', shipped: '2021-03-04', sabers: ['One', 'Two'], job: 'repair' },
        ...{ country: 'here', contact: 'm@x', ordered: '2020-12-01', note: 'said, twice' },
      },
      { client: 'Sedge', title: 'Second', shipped: '2022-01-01', sabers: ['Second'], job: 'install' },
    ])
  })
  test.each([
    ['a heading that is none', 'client,title,shiped\nA,B,2021-01-01', ['1 shiped heading', '1 shipped required']],
    ['an empty cell', 'client,title,shipped\n,B,2021-01-01', ['2 client required']],
    ['a day that is none', 'client,title,shipped\nA,B,2021-02-30', ['2 shipped format']],
    ['a job that is none', 'client,title,shipped,job\nA,B,2021-01-01,model', ['2 job enum']],
    ['a title too long', `client,title,shipped\nA,${'x'.repeat(121)},2021-01-01`, ['2 title maxLength']],
    ['thirteen sabers', `client,title,shipped,sabers\nA,B,2021-01-01,${'x;'.repeat(13)}`, ['2 sabers maxItems']],
    ['nothing', '', ['1 client required', '1 title required', '1 shipped required']],
    [
      'too many rows',
      `client,title,shipped\n${'A,B,2021-01-01\n'.repeat(MOST_EARLIER + 1)}`,
      [`${MOST_EARLIER + 2}  maxItems`],
    ],
  ])('%s is named by row and column', (_what, csv, expected) => {
    expect(faults(csv)).toEqual(expected)
  })
  test('as many rows as are taken', () => {
    expect(readEarlierCsv(`client,title,shipped\n${'A,B,2021-01-01\n'.repeat(MOST_EARLIER)}`).rows).toHaveLength(
      MOST_EARLIER,
    )
  })
})
