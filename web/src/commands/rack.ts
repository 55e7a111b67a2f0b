import { type Command, go, KEYS } from './command'

/** What can be done at home, in the order of the sheet of keys. */
export const RACK_COMMANDS: readonly Command[] = [
  KEYS,
  {
    id: 'newCommission',
    words: 'Start a commission',
    keys: ['n'],
    run: (s) => s.show('newCommission'),
  },
  { id: 'shelf', words: 'Open the shelf', keys: ['s'], run: (s) => go(s, '/shelf') },
  { id: 'toDos', words: 'Open the shop’s to-do list', keys: ['t'], run: (s) => go(s, '/to-dos') },
  { id: 'orders', words: 'Open the parts on order', keys: ['p'], run: (s) => go(s, '/orders') },
  { id: 'learning', words: 'Open what the shop has learnt', keys: ['l'], run: (s) => go(s, '/learning') },
  { id: 'week', words: 'Open the week on the bench', keys: ['w'], run: (s) => go(s, '/week') },
  { id: 'shop', words: 'Open the shop’s settings', keys: ['o'], run: (s) => go(s, '/shop') },
  {
    id: 'find',
    words: 'Find on the rack',
    keys: ['/'],
    run: () => document.getElementById('find')?.focus(),
  },
]
