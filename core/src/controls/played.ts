import { type ControlRow, keyWords, type Saber } from '../record'
import type { Reader } from '../units'
import { say, whether } from '../words'
import { doingOf } from './gesture'
import { modeName, rowOfMap } from './modes'
import type { BoardEvent } from './simulate'

/** What came of a hand, in one line. */
export interface Played {
  what: 'did' | 'waits' | 'beep' | 'went' | 'nothing' | 'cue' | 'dead'
  text: string
}

const cueLine = (reader: Reader, c: NonNullable<ControlRow['cues']>[number]): Played => ({
  what: 'cue',
  text: say(reader, 'control.cue', { at: c.at, as: c.as, says: c.says ?? '', said: whether(c.says) }),
})

/** How a happening reads to who plays: what was done with its cues, what it waits for, where it went. Of a row that is gone nothing. */
export function playedLines(reader: Reader, s: Saber, h: BoardEvent): Played[] {
  const times = (n: number) => say(reader, 'times', { n })
  const row = 'row' in h ? rowOfMap(s, h.row) : undefined
  switch (h.what) {
    case 'did':
    case 'began': {
      if (!row) return []
      const lasts = whether(h.what === 'began')
      const cues = (row.cues ?? []).filter((c) => c.at !== 'step')
      const did = say(reader, 'play.did', { what: doingOf(reader, row), lasts })
      return [{ what: 'did', text: did }, ...cues.map((c) => cueLine(reader, c))]
    }
    case 'ended':
      return row ? [{ what: 'did', text: say(reader, 'play.ended', { what: doingOf(reader, row) }) }] : []
    case 'waits':
      return [{ what: 'waits', text: say(reader, 'play.waits', { ms: h.ms, times: times(h.times) }) }]
    case 'beep':
      return [{ what: 'beep', text: say(reader, 'play.beep', { n: h.n }) }]
    case 'went':
      return [{ what: 'went', text: say(reader, 'play.went', { to: modeName(s, h.to) }) }]
    case 'nothing': {
      const made = keyWords(h.made.motion ?? h.made.sort)
      return [{ what: 'nothing', text: say(reader, 'play.nothing', { made, times: times(h.made.times) }) }]
    }
    case 'chose':
      return [{ what: 'cue', text: say(reader, 'play.chose', { n: h.choice }) }]
  }
}

/** What a hand hears of a saber without power: what is out of it, or that it is cut. */
export const deadLine = (reader: Reader, out: string | undefined, cut: boolean): Played => ({
  what: 'dead',
  text: say(reader, 'play.dead', { out: out ?? '', named: whether(out), cut: whether(cut) }),
})
