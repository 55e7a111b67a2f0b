import { STATIONS } from '@nubrin/core/judge'
import { blankSaber } from '@nubrin/core/record'
import { STATION_NAME } from '../base/names'
import { freshId, urlOf } from '../data'
import { toggleClock } from '../store/clock'
import { type Command, go, KEYS, type Scope } from './command'

const away = (url: string) => location.assign(url)
const most = (s: Scope) => (s.bench!.record!.sabers.length >= 12 ? 'An order holds at most twelve sabers.' : undefined)

const STATION_COMMANDS: Command[] = STATIONS.map((station, i) => ({
  id: `go-${station}`,
  words: STATION_NAME[station],
  keys: [String((i + 1) % 10)],
  where: 'commission',
  run: (s) => go(s, `/commission/${s.bench!.id}/${station}`),
}))

const CAVITY = (['cavityDxf', 'cavitySvg', 'cavityCsv'] as const).map((route): Command => {
  const kind = route.slice('cavity'.length).toUpperCase()
  return {
    id: route,
    words: `Cavity and keep-outs for CAD (${kind}${kind === 'SVG' ? ', 1:1' : ''})`,
    menu: true,
    run: (s) => away(urlOf(route, { params: { id: s.bench!.id }, query: { saber: s.bench!.saberId } })),
  }
})

/** What can be done on the bench, in the order of the menu and of the sheet of keys. */
export const BENCH_COMMANDS: readonly Command[] = [
  KEYS,
  ...STATION_COMMANDS,
  {
    id: 'addFact',
    words: 'Add a fact',
    keys: ['f'],
    run: (s) => s.show('addFact'),
  },
  {
    id: 'clock',
    words: 'Start or stop the clock on the next work',
    keys: ['c'],
    can: (s) => (s.bench!.record!.job === 'model' ? 'A model sheet is no work.' : undefined),
    run: (s) => void toggleClock(s.bench!.record!),
  },
  {
    id: 'history',
    words: 'Who changed what',
    menu: true,
    run: (s) => s.show('history'),
  },
  {
    id: 'phone',
    words: 'Photos from a phone',
    menu: true,
    run: (s) => s.show('phone'),
  },
  {
    id: 'addSaber',
    words: 'Add another saber to this order',
    menu: true,
    can: most,
    run: (s) =>
      s.bench!.edit('add a saber', (d) => {
        d.sabers.push(blankSaber(freshId, `Saber ${d.sabers.length + 1}`, d.job))
      }),
  },
  {
    id: 'keepModel',
    words: 'Keep this hilt as a model sheet',
    menu: true,
    run: (s) => s.show('keepModel'),
  },
  ...CAVITY,
  {
    id: 'exportJson',
    words: 'Save as a file (JSON)',
    menu: true,
    run: (s) => away(urlOf('exportJson', { params: { id: s.bench!.id } })),
  },
  {
    id: 'exportZip',
    words: 'Save with its media (ZIP)',
    menu: true,
    run: (s) => away(urlOf('exportZip', { params: { id: s.bench!.id } })),
  },
  {
    id: 'undo',
    words: 'Undo the last change',
    keys: ['ctrl+z'],
    menu: true,
    can: (s) => (s.bench!.undos ? undefined : 'There is nothing to undo.'),
    run: (s) => s.bench!.undoLast(),
  },
  {
    id: 'redo',
    words: 'Redo',
    keys: ['ctrl+shift+z'],
    menu: true,
    can: (s) => (s.bench!.redos ? undefined : 'There is nothing to redo.'),
    run: (s) => s.bench!.redoLast(),
  },
]
