import { drawSection } from '@nubrin/core/drawing'
import { fact, stated } from '@nubrin/core/facts'
import { chanceToClose } from '@nubrin/core/fit'
import { buildHandoff } from '@nubrin/core/handoff'
import { judgeCommission, makeJudge } from '@nubrin/core/judge'
import { type Assembly, atRest, type Body, type Joint, planHome, planOff } from '@nubrin/core/machine'
import type { Commission, Saber } from '@nubrin/core/record'
import { another, forecast, guessesFrom, planOf } from '@nubrin/core/schedule'
import { compose, rehearse } from '@nubrin/core/script'
import { MAKER } from '@nubrin/core/units'
import { demoCommissions } from '@nubrin/demo'
import { handoffPdf } from '../server/src/handoff/pdf'
import { benchBoard } from './board'
import { compare, largeProblem } from './layouts'

const today = '2026-11-24'
const all = demoCommissions(today)
const largest = all.toSorted((a, b) => JSON.stringify(b).length - JSON.stringify(a).length)[0]!
const median = (runs: number[]) => runs.toSorted((a, b) => a - b)[runs.length >> 1]!
/** The lowest median of five rounds: whatever else the machine does only adds to a time, and comes and goes. */
async function quietest(n: number, run: () => unknown): Promise<number> {
  const rounds: number[] = []
  for (let i = 0; i < 5; i++) rounds.push(await time(n, run))
  return Math.min(...rounds)
}
async function time(n: number, run: () => unknown): Promise<number> {
  const runs: number[] = []
  for (let i = 0; i < n; i++) {
    const t = performance.now()
    await run()
    runs.push(performance.now() - t)
  }
  return median(runs)
}
const line = (what: string, ms: number, limit: number) =>
  console.log(`${what}: ${ms.toFixed(1)} ms of ${limit} ms, ratio ${(limit / ms).toFixed(1)}`)

const FRAME = 16.7
{
  const t = performance.now()
  judgeCommission(largest, today)
  console.log(
    `the very first judgement of a process, its code not yet compiled: ${(performance.now() - t).toFixed(0)} ms`,
  )
}
/** The same order with another value in one saber, everything else shared, as the screens make it. */
const edits: [string, (s: Saber, n: number) => Saber][] = [
  [
    'a colour',
    (s, n) => ({ ...s, presets: s.presets.map((p, i) => (i ? p : { ...p, colour: stated(hex(n), 'configured') })) }),
  ],
  [
    'a length of the hilt',
    (s, n) => ({
      ...s,
      hilt: {
        ...s.hilt,
        sections: s.hilt.sections.map((x, i) => (i === 1 ? { ...x, length: fact(60 + n / 100, 'mm') } : x)),
      },
    }),
  ],
  [
    'a part',
    (s, n) => ({ ...s, parts: s.parts.map((p, i) => (i ? p : { ...p, name: `${p.name.slice(0, 20)} ${n}` })) }),
  ],
]
const hex = (n: number) => `#${(0x100000 + n).toString(16)}`
const edited = (c: Commission, edit: (s: Saber, n: number) => Saber, n: number): Commission => ({
  ...c,
  sabers: c.sabers.map((s, i) => (i ? s : edit(s, n))),
})
for (const c of all) for (let i = 0; i < 60; i++) judgeCommission(c, today)
const anew = []
for (const c of all) anew.push({ c, ms: await quietest(20, () => judgeCommission(c, today)) })
const slowest = anew.toSorted((a, b) => b.ms - a.ms)[0]!
line(`judged without memory, the slowest of ${all.length} orders (${slowest.c.title})`, slowest.ms, 2 * FRAME)
for (const [what, edit] of edits) {
  const each = []
  for (const c of all) {
    const judge = makeJudge()
    judge(c, today)
    let n = 0
    const run = () => judge(edited(c, edit, ++n), today)
    await time(80, run)
    each.push({ c, ms: await quietest(20, run) })
  }
  const worst = each.toSorted((a, b) => b.ms - a.ms)[0]!
  line(`keystroke to findings, ${what}, the slowest of ${all.length} orders (${worst.c.title})`, worst.ms, FRAME / 2)
}
{
  const ten: Commission = {
    ...largest,
    sabers: Array.from({ length: 10 }, (_, i) => ({ ...largest.sabers[0]!, id: `s${i}x` })),
  }
  const judge = makeJudge()
  judge(ten, today)
  let n = 0
  const one = await quietest(30, () => judge(edited(ten, edits[0]![1], ++n), today))
  const whole = await quietest(15, () => judgeCommission(ten, today))
  console.log(
    `a colour in an order of ten sabers: ${one.toFixed(1)} ms against ${whole.toFixed(1)} ms for all anew, ${(whole / one).toFixed(0)} times less of 15, ratio ${(whole / one / 15).toFixed(1)}`,
  )
}
{
  // Two hundred joints one behind the other, five hundred parts in two ways each behind some of them.
  const way = (after: Body[], risk = 0) => ({
    how: 'slide' as const,
    after,
    towards: 'pommel' as const,
    risk,
    from: 'maker' as const,
  })
  const body = (name: string, ways: Joint['ways']): Joint => ({
    ...{
      body: `part:${name}`,
      name,
      ways,
      held: [{ screw: `f${name}`, by: 'loosen' }],
      who: 'client',
      loads: [],
      blocked: [],
    },
  })
  const joints = [
    ...Array.from({ length: 200 }, (_, i) => body(`j${i}`, [way(i ? [`part:j${i - 1}`] : [])])),
    ...Array.from({ length: 500 }, (_, i) =>
      body(`p${i}`, [way([`part:j${i % 200}`]), way([`part:j${(i * 7) % 200}`], 1)]),
    ),
  ]
  const a: Assembly = {
    joints: Object.fromEntries(joints.map((j) => [j.body, j])),
    screws: Object.fromEntries(joints.map((j) => [j.held[0]!.screw, { name: '', clientMay: 'loosen', head: 'set' }])),
    ...{ spare: [], plugs: [], cells: true },
  }
  const rest = atRest(a)
  line(
    'a plan among 200 joints and 500 parts, there and back',
    await quietest(9, () => {
      const out = planOff(a, rest, ['part:p199'])
      if (!out.ok || !planHome(a, out.end).ok) throw new Error('no plan')
    }),
    50,
  )
}
for (const said of benchBoard()) console.log(said)
line('section drawing', await time(60, () => drawSection(MAKER, largest.sabers[0]!, { width: 1240, height: 262 })), 16)
line(
  'handoff PDF, finished commission',
  await time(5, () =>
    handoffPdf(MAKER, {
      document: buildHandoff(all.at(-1)!, 'Shop', today),
      ...{ sabers: all.at(-1)!.sabers, paper: 'A4', extent: 'full' },
    }),
  ),
  2000,
)
line('100 000 draws of a chain of twelve', await time(7, () => chanceToClose(0.4, Array(12).fill(0.2))), 250)
console.log(compare('of catalogue sizes', largeProblem(true), true))
console.log(compare('of all sizes', largeProblem(false), false))

{
  // A script of 120 beats: many menus, each with its controls, and much that was agreed.
  const c = structuredClone(all.find((x) => x.id === 'reed-warden')!)
  const s = c.sabers[0]!
  const lit = s.controls.find((r) => r.does === 'deflect')!
  for (let i = 0; i < 45; i++)
    s.controls.push({ ...structuredClone(lit), id: `more-${i}`, times: 2 + (i % 7), says: `effect ${i}` })
  for (let i = 0; i < 30; i++)
    c.requests.push({ id: `wish-${i}`, text: `Wish ${i}`, status: 'met', saber: s.id, answer: `Done ${i}` })
  s.beats = compose(c, s)
  line(`a script of ${s.beats.length} beats rehearsed`, await quietest(12, () => rehearse(MAKER, { ...s })), 100)
  line(`a script of ${s.beats.length} beats composed anew`, await quietest(12, () => compose(c, { ...s })), 50)
  const t = performance.now()
  compose({ ...c, title: 'cold' }, { ...s, name: 'Cold' })
  console.log(`the same once, a name changed: ${(performance.now() - t).toFixed(0)} ms`)
}

{
  // Two hundred commissions of which nothing is done yet, every third waits for a part: the worst that a shop plans.
  const week = [8, 8, 8, 8, 8, 0, 0]
  const open = Array.from({ length: 200 }, (_, i) => {
    const o = another('rebuild')
    const work = o.work.map((w) =>
      w.kind === 'wire' && i % 3 === 0 ? { ...w, waits: [{ kind: 'part' as const, id: 'p', what: 'p' }] } : w,
    )
    return { ...o, id: `o${i}`, title: `o${i}`, promise: '2027-06-01', work }
  })
  const plan = planOf(
    {
      ...{ today, minute: 600, open },
      people: ['a', 'b'].map((id) => ({ id, name: id, week, skills: [], off: [] })),
      coming: open.filter((_, i) => i % 3 === 0).map((o) => ({ commission: o.id, part: 'p', orderedOn: today })),
    },
    guessesFrom({}),
  )
  const t = performance.now()
  forecast(plan)
  console.log(`a forecast of 200 commissions, cold: ${(performance.now() - t).toFixed(0)} ms`)
  line(
    `a forecast of 200 commissions, ${plan.items.length} pieces of work, 1000 draws`,
    await quietest(3, () => forecast(plan)),
    1000,
  )
}
