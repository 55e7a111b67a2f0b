import { analyse, doingOf, type Lost, type Matter, modeName, rowOfMap } from '../../../controls'
import { byId, type Id, keyWords, refTo, type Saber } from '../../../record'
import { MAKER } from '../../../units'
import { check, type Reads } from '../../check'
import type { Level } from '../../finding'
import { listed } from '../../text'

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
}
/** What has a check of its own. */
const ELSEWHERE: ReadonlySet<Matter['code']> = new Set(['same', 'tooClose', 'trap'])
const LEVEL: Record<keyof Codes, Level> = {
  ...{ narrow: 'caution', never: 'stop', holdInTap: 'stop', overruled: 'stop', cutOff: 'stop' },
  ...{ unreached: 'caution', noOff: 'stop', round: 'caution', choosesWhat: 'caution', choosing: 'caution' },
  ...{ keeping: 'caution', noWayTo: 'caution', bag: 'caution' },
}
const READS: readonly Reads[] = ['controls', 'modes', 'timing', 'settings', 'presets', 'inputs']
const LOST: Record<Lost, string> = {
  preset: 'Nothing leads to another preset',
  track: 'Nothing plays its tracks',
  volume: 'Nothing sets the volume',
  effect: 'Nothing calls it up',
}

/** What the walk through the whole map finds, beside collisions and traps. */
export const boardSpace = check<{ [C in keyof Codes]: Codes[C] }>({
  id: 'boardSpace',
  station: 'controls',
  scope: 'saber',
  rule: 'Every control can be made by a hand and carried out, every mode reached and left, and whatever is set up called up.',
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
            level: LEVEL[code],
            refs: m.rows.map((r) => refTo('row', r)),
            ...(raised.names ? { names: raised.names } : {}),
            gate: LEVEL[code] === 'stop',
          },
        ]
      },
    ),
  words: {
    narrow: (p) => ({
      title: `A hand cannot keep “${p.row}”`,
      detail: `${p.presets.length ? `In ${listed(p.presets)}: it` : 'It'} counts between ${p.from} and ${p.to} ms; a hand needs ${p.hand} ms.`,
      remedy: 'Widen the time between it and the next.',
    }),
    never: (p) => ({
      title: `“${p.row}” can never be held right`,
      detail: `It counts from ${p.from} ms on, and has to be let go before ${p.to} ms.`,
      remedy: 'Correct one of the two times.',
    }),
    holdInTap: (p) => ({
      title: `The hold of “${p.row}” is still a tap`,
      detail: `It counts from ${p.from} ms on; a press is a tap up to ${p.tap} ms.`,
      remedy: 'Hold longer, or make the tap shorter.',
    }),
    overruled: (p) => ({
      title: `“${p.row}” is never carried out`,
      detail: p.by.length
        ? `Wherever it could be, ${listed(p.by.map((x) => `“${x}”`))} stands before it.`
        : 'Wherever it could be, another control stands before it.',
      remedy: 'Take it out, or take the other one out of a pose or a preset.',
    }),
    cutOff: (p) => ({
      title: `“${p.row}” is never reached`,
      detail: `The shorter hold of ${listed(p.by.map((x) => `“${x}”`))} has led elsewhere before.`,
      remedy: 'Let the shorter one be carried out when it is let go.',
    }),
    unreached: (p) => ({
      title: `Nothing leads to ${p.mode}`,
      detail: p.rows.length
        ? `What is said of it cannot be done: ${listed(p.rows)}.`
        : 'No control and no time-out leads there.',
      remedy: 'Record how one gets there, or take it out.',
    }),
    noOff: () => ({
      title: 'No mode is off',
      detail: 'Of the modes recorded none is with the blade off.',
      remedy: 'Say which one it is.',
    }),
    round: (p) => ({
      title: 'It never comes to rest by itself',
      detail: `Left alone it goes round: ${[...p.modes, p.modes[0]].join(' → ')}.`,
      remedy: 'Correct where one of them leads.',
    }),
    choosesWhat: (p) => ({
      title: `What does ${p.mode} choose?`,
      detail: 'It is a menu, and nobody has said what is chosen in it.',
      remedy: 'Say it at the mode.',
    }),
    choosing: (p) => ({
      title: `How does one go through ${p.mode}?`,
      detail: 'No control steps through it, and it is not turned.',
      remedy: 'Record the control, or that it chooses by turning.',
    }),
    keeping: (p) => ({
      title: `How is a choice in ${p.mode} kept?`,
      detail: 'No control keeps it or closes the menu, and no time-out does.',
      remedy: 'Record the control that keeps it.',
    }),
    noWayTo: (p) => ({
      title: `${p.effects.length ? `${p.effects.map(keyWords).join(', ')}: nothing calls it up` : LOST[p.what]}${p.presets.length && !p.all ? ` in ${listed(p.presets)}` : ''}`,
      detail: 'It is recorded, and no control that can be reached leads to it.',
      remedy: 'Record the control, or take out what nobody can reach.',
    }),
    bag: (p) => ({
      title: 'It can light in a bag',
      detail: `A motion alone is enough: ${listed(p.rows)}.`,
      remedy: 'Ask for a button with it, or tell the client how to keep it dark.',
    }),
  },
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
    case 'bag':
      return { params: { rows: m.rows.map(row) }, of: ['motion'], names: m.rows }
    default:
      return { params: {}, of: ['off'] }
  }
}
