import { fact } from '@nubrin/core/facts'
import { type Saber, TAKEN_OF_SCREW } from '@nubrin/core/record'
import { todayIso } from '../../data'

export const TOOLS = ['screw', 'button hole', 'window', 'vent', 'port'] as const
export type Tool = (typeof TOOLS)[number]

/** What a tool cuts, and how long and wide at first, mm. */
const CUTS = {
  'button hole': ['switch', 12, 12],
  window: ['window', 24, 12],
  vent: ['vent', 8, 24],
  port: ['port', 10, 10],
} as const

/** Puts a screw or an opening onto the hilt where the drawing was pressed; its figures are assumed until measured. */
export function putOn(s: Saber, tool: Tool, id: string, mm: number, deg: number): void {
  const set = { with: 'set on the drawing', on: todayIso() }
  const at = fact(mm, 'mm', 'assumed', set)
  const clock = fact(deg, 'deg', 'assumed', set)
  if (tool === 'screw') {
    const name = `screw ${s.hilt.fasteners.length + 1}`
    const usual = { thread: 'M4', key: '2 mm', head: 'set', clientMay: 'loosen' } as const
    s.hilt.fasteners.push({ id, name, ...usual, taken: [...TAKEN_OF_SCREW], at, clock })
    return
  }
  const [kind, length, width] = CUTS[tool]
  s.hilt.openings.push({
    id,
    name: `${tool} ${s.hilt.openings.length + 1}`,
    kind,
    at,
    clock,
    length: fact(length, 'mm', 'assumed'),
    width: fact(width, 'mm', 'assumed'),
  })
}
