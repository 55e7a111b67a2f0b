import { STATIONS } from '@nubrin/core/judge'
import { blankSaber } from '@nubrin/core/record'
import { freshId, urlOf } from '../data'
import { STATION_NAME } from '../names'
import type { Command, Scope } from './command'

const go = (s: Scope, path: string) => void s.navigate(path)
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
    where: 'commission',
    menu: true,
    run: (s) => away(urlOf(route, { params: { id: s.bench!.id }, query: { saber: s.bench!.saberId } })),
  }
})

/** Every command, in the order of the menu and of the sheet of keys. */
export const COMMANDS: readonly Command[] = [
  {
    id: 'keys',
    words: 'What the keys do',
    keys: ['?'],
    where: 'everywhere',
    run: (s) => s.show('keys'),
  },
  {
    id: 'newCommission',
    words: 'Begin a commission',
    keys: ['n'],
    where: 'rack',
    run: (s) => s.show('newCommission'),
  },
  { id: 'shelf', words: 'Open the shelf', keys: ['s'], where: 'rack', run: (s) => go(s, '/shelf') },
  { id: 'shop', words: 'Open the shop’s own page', keys: ['o'], where: 'rack', run: (s) => go(s, '/shop') },
  {
    id: 'find',
    words: 'Find on the rack',
    keys: ['/'],
    where: 'rack',
    run: () => document.getElementById('find')?.focus(),
  },
  ...STATION_COMMANDS,
  {
    id: 'addFact',
    words: 'Add a fact',
    keys: ['f'],
    where: 'commission',
    run: (s) => s.show('addFact'),
  },
  {
    id: 'history',
    words: 'Who changed what',
    where: 'commission',
    menu: true,
    run: (s) => s.show('history'),
  },
  {
    id: 'phone',
    words: 'Photos from a phone',
    where: 'commission',
    menu: true,
    run: (s) => s.show('phone'),
  },
  {
    id: 'addSaber',
    words: 'Add another saber to this order',
    where: 'commission',
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
    where: 'commission',
    menu: true,
    run: (s) => s.show('keepModel'),
  },
  ...CAVITY,
  {
    id: 'exportJson',
    words: 'Save as a file (JSON)',
    where: 'commission',
    menu: true,
    run: (s) => away(urlOf('exportJson', { params: { id: s.bench!.id } })),
  },
  {
    id: 'exportZip',
    words: 'Save with its media (ZIP)',
    where: 'commission',
    menu: true,
    run: (s) => away(urlOf('exportZip', { params: { id: s.bench!.id } })),
  },
  {
    id: 'undo',
    words: 'Undo the last change',
    keys: ['ctrl+z'],
    where: 'commission',
    menu: true,
    can: (s) => (s.bench!.undos ? undefined : 'There is nothing to undo.'),
    run: (s) => s.bench!.undoLast(),
  },
  {
    id: 'redo',
    words: 'Redo it',
    keys: ['ctrl+shift+z'],
    where: 'commission',
    menu: true,
    can: (s) => (s.bench!.redos ? undefined : 'There is nothing to redo.'),
    run: (s) => s.bench!.redoLast(),
  },
]
