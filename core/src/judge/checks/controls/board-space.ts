import { analyse, doingOf, type Lost, type Matter, modeName, rowOfMap } from '../../../controls'
import { byId, type Id, refTo, type Saber } from '../../../record'
import { MAKER } from '../../../units'
import { check, type Reads } from '../../check'
import type { Level } from '../../finding'

interface Row {
  row: string
}
interface Codes {
  narrow: Row & { from: number; to: number; hand: number; presets: string[] }
  never: Row & { from: number; to: number }
  holdInTap: Row & { from: number; tap: number }
  overruled: Row & { by: string[] }
  cutOff: Row & { by: string[] }
  unreached: { mode: string; rows: string[] }
  noOff: Record<never, never>
  round: { modes: string[] }
  choosesWhat: { mode: string }
  choosing: { mode: string }
  keeping: { mode: string }
  noWayTo: { what: Lost; presets: string[]; effects: string[]; all: boolean }
  bag: { rows: string[] }
  behind: Row & { by: string; why: 'gone' | 'effect'; from: number }
  ordered: Row & { by: string }
  gapShort: { rows: string[]; gap: number }
  otherPreset: Row & { presets: string[] }
}
/** What has a check of its own. */
const ELSEWHERE: ReadonlySet<Matter['code']> = new Set(['same', 'tooClose', 'trap'])
const LEVEL: Record<keyof Codes, Level> = {
  ...{ narrow: 'caution', never: 'stop', holdInTap: 'stop', overruled: 'stop', cutOff: 'stop' },
  ...{ unreached: 'caution', noOff: 'stop', round: 'caution', choosesWhat: 'caution', choosing: 'caution' },
  ...{ keeping: 'caution', noWayTo: 'caution', bag: 'caution' },
  ...{ behind: 'stop', ordered: 'stop', gapShort: 'caution', otherPreset: 'caution' },
}
const READS: readonly Reads[] = ['controls', 'modes', 'timing', 'settings', 'fonts', 'presets', 'inputs']

/** What the walk through the whole map finds, beside collisions and traps. */
export const boardSpace = check<{ [C in keyof Codes]: Codes[C] }>({
  id: 'boardSpace',
  station: 'controls',
  scope: 'saber',
  source: 'walk through the map: modes, poses, presets, times',
  reads: READS,
  run: ({ saber }, each) =>
    each(
      analyse(saber).matters.filter((m) => !ELSEWHERE.has(m.code)),
      (m) => {
        const raised = paramsOf(saber, m)
        const code = m.code as keyof Codes
        return [
          {
            ...({ code, params: raised.params } as never as { code: 'noOff'; params: Codes['noOff'] }),
            subject: [code, ...raised.of].join('-'),
            // An effect on the way to a menu is seen each time, and hurts nothing.
            level: m.code === 'behind' && m.why === 'effect' ? 'caution' : LEVEL[code],
            refs: m.rows.map((r) => refTo('row', r)),
            ...(raised.names ? { names: raised.names } : {}),
            gate: LEVEL[code] === 'stop' && !(m.code === 'behind' && m.why === 'effect'),
          },
        ]
      },
    ),
})

/** The parameters of a matter in the maker's words, and by what it is told from others of its code. */
function paramsOf(s: Saber, m: Matter): { params: object; of: readonly Id[]; names?: string[] } {
  const row = (id: string) => {
    const r = rowOfMap(s, id)
    return r ? doingOf(MAKER, r) : id
  }
  const presets = (ids: readonly string[]) => ids.map((id) => byId(s.presets, id)?.name ?? id)
  switch (m.code) {
    case 'narrow':
      return { params: { ...m, row: row(m.rows[0]), presets: presets(m.presets) }, of: m.rows, names: m.presets }
    case 'overruled':
    case 'cutOff':
      return { params: { row: row(m.rows[0]), by: [...new Set(m.by.map(row))] }, of: m.rows, names: m.by }
    case 'never':
    case 'holdInTap':
      return { params: { ...m, row: row(m.rows[0]) }, of: m.rows }
    case 'unreached':
      return { params: { mode: modeName(s, m.mode), rows: m.rows.map(row) }, of: [m.mode], names: m.rows }
    case 'round':
      return { params: { modes: m.modes.map((x) => modeName(s, x)) }, of: m.modes }
    case 'choosesWhat':
    case 'choosing':
    case 'keeping':
      return { params: { mode: modeName(s, m.mode) }, of: [m.mode] }
    case 'noWayTo':
      return {
        params: {
          ...{ what: m.what, presets: presets(m.presets), effects: m.names },
          all: m.presets.length === s.presets.length,
        },
        of: [m.what, ...m.names],
        names: m.presets,
      }
    case 'behind':
      return { params: { ...m, row: row(m.rows[0]), by: row(m.rows[1]) }, of: m.rows }
    case 'ordered':
      return { params: { row: row(m.rows[0]), by: row(m.rows[1]) }, of: m.rows }
    case 'gapShort':
      return { params: { rows: m.rows.map(row), gap: m.gap }, of: ['gap'], names: m.rows }
    case 'otherPreset':
      return { params: { row: row(m.rows[0]), presets: presets(m.presets) }, of: m.rows, names: m.presets }
    case 'bag':
      return { params: { rows: m.rows.map(row) }, of: ['motion'], names: m.rows }
    default:
      return { params: {}, of: ['off'] }
  }
}
