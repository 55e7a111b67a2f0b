import { fact, stated } from '@nubrin/core/facts'
import { blankCommission, blankSaber, type Commission, EVENTS, type Saber } from '@nubrin/core/record'
import {
  at,
  deg,
  font,
  mm,
  modesFor,
  part,
  pixelBlade,
  preset,
  row,
  screw,
  section,
  socket,
  step,
  told,
  val,
} from '../../../demo/src/build'

/** All that a hand may call for in a font. */
const HEARD = EVENTS.filter((e) => !['track', 'boot', 'menuLine', 'chime', 'beep', 'lowBattery'].includes(e))

export { at, deg, fact, font, mm, part, pixelBlade, preset, row, screw, section, socket, stated, step, told, val }

/** A single thing that a job needs: where it is recorded, what the bench says of it, and the words that tell it. */
export interface Need {
  what: string
  /** A field of the record, by the names on the way to it; `=` what it holds somewhere. */
  at: string
  /** A finding of the bench, `check.code`. */
  bench?: string
  /** Words of a sentence in the script, on paper and on the page, and of an act of the hands. */
  s?: string
  p?: string
  h?: string
  /** Why it is not in the script, or not on paper. */
  but?: string
}
export const need = (what: string, at: string, more: Omit<Need, 'what' | 'at'>): Need => ({ what, at, ...more })

/** What the maker says of a joint. */
export const joint = (
  id: string,
  body: Saber['joints'][number]['body'],
  more: Partial<Saber['joints'][number]>,
): Saber['joints'][number] => ({ id, body, ...more })

/** One kind of job as it comes into a shop, with what must become of it. */
export interface Job {
  id: string
  /** What is odd about it. */
  needs: string
  make: () => Commission
  carries: readonly Need[]
  /** Words that reach the client. */
  told: readonly string[]
  /** Words that stay in the shop. */
  kept: readonly string[]
  /** What the bench says, `check.code`. */
  raises: readonly string[]
  /** What it must not say. */
  silent?: readonly string[]
}

export const DAY = '2026-11-24'
export const on = (d: string) => `2026-${d}`

/**
 * An ordinary install that works: three sections, one screw for the blade, one button, a cell that comes out. `x` is put before
 * every id, so that several may stand in one order.
 */
export function plainSaber(x: string, name: string, job: Saber['job'] = 'install'): Saber {
  let n = 0
  const s = blankSaber(() => `${x}-n${n++}`, name, job)
  s.id = x
  Object.assign(s.hilt, {
    origin: 'bought',
    clearance: mm(0.3, 'configured'),
    sections: [
      section({
        id: `${x}-pommel`,
        name: 'pommel',
        role: 'pommel',
        l: 30,
        o: 37,
        b: 31,
        joint: { kind: 'thread', length: mm(8), hand: 'right' },
      }),
      section({
        id: `${x}-grip`,
        name: 'grip',
        role: 'grip',
        l: 150,
        o: 36,
        b: 31,
        joint: { kind: 'thread', length: mm(8), hand: 'right' },
      }),
      section({ id: `${x}-emitter`, name: 'emitter', role: 'emitter', l: 60, o: 37, b: 25.5 }),
    ],
    fasteners: [screw(`${x}-blade`, 'blade screw', 'M4', '2 mm', 215, 0)],
    openings: [
      { id: `${x}-vent`, name: 'pommel vents', kind: 'vent', at: mm(8), clock: deg(0), length: mm(10), width: mm(26) },
    ],
    sockets: [socket(`${x}-socket`, `${x}-emitter`, 25.5, 50, [`${x}-blade`])],
  } satisfies Partial<Saber['hilt']>)
  s.parts = [
    part(`${x}-speaker`, 'speaker-28-8-2', 12, { faces: stated('pommel', 'measured') }),
    part(`${x}-cell`, 'cell-18650-p15', 26, {
      faces: stated('emitter', 'measured'),
      removable: true,
      type: stated('18650, protected', 'read'),
    }),
    part(`${x}-board`, 'board-m', 104),
    part(`${x}-button`, 'sw-tact-6', 150, { clock: deg(0) }),
    part(`${x}-wire`, 'wire-20', null),
  ]
  s.blades = [pixelBlade(`${x}-b1`, 'blade, 81 cm', `${x}-socket`, 25.4, 810)]
  s.firmware = stated('6.1', 'read')
  s.fonts = [font(`${x}-reed`, 'Reed', {}, HEARD), font(`${x}-bell`, 'Bell', {}, HEARD)]
  s.presets = [
    preset(`${x}-p1`, 'Marsh light', `${x}-reed`, '#20c060'),
    preset(`${x}-p2`, 'Ferry bell', `${x}-bell`, '#ff8020'),
  ]
  s.inputs = [{ id: `${x}-i1`, name: 'button', kind: 'button', part: `${x}-button` }]
  s.controls = [
    row(`${x}-on`, 'off', `${x}-i1`, 'tap', 'ignite'),
    row(`${x}-off`, 'lit', `${x}-i1`, 'hold', 'retract', { s: 1 }),
  ]
  s.modes = modesFor(s.controls)
  s.access = [
    {
      ...{ id: `${x}-a1`, goal: 'bladeIn', at: `blade:${x}-b1` },
      steps: [told(`${x}-a1a`, 'loosen', `fastener:${x}-blade`, 'Back the blade screw out by two turns', { turns: 2 })],
    },
  ]
  return s
}

/** An order with plain sabers, one for each name. */
export function order(id: string, title: string, names: readonly string[], client = 'Aud Merriwell'): Commission {
  let n = 0
  const c = blankCommission(() => `${id}-o${n++}`, {
    ...{ title, client, job: 'install', purpose: 'display', ordered: on('09-01') },
  })
  Object.assign(c, { id, deadline: on('12-20') })
  c.sabers = names.map((name, i) => plainSaber(`${id}${i ? String.fromCharCode(97 + i) : ''}`, name))
  return c
}

/** One saber in one order, changed as the job has it. */
export const job = (id: string, title: string, change: (s: Saber, c: Commission) => void, client?: string) => () => {
  const c = order(id, title, [title], client)
  change(c.sabers[0]!, c)
  // Modes that the job says more of stand as it has them.
  for (const s of c.sabers) {
    const own = s.modes.filter((m) => m.chooses || m.on || m.after)
    s.modes = [...modesFor(s.controls).filter((m) => !own.some((o) => o.id === m.id)), ...own]
  }
  return c
}
