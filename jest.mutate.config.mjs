import config from './jest.config.mjs'

/** The tests that are meant to notice faults in each folder; all of the core's for a folder not named here. */
const MEANT = {
  facts: ['writer', 'facts'],
  units: ['units', 'facts'],
  record: ['ops', 'record', 'formats', 'facts', 'writer', 'versions', 'planning', 'format-page'],
  room: ['room-tables', 'radial', 'cavity', 'drawing', 'fit', 'ends'],
  drawing: ['drawing', 'painters', 'cad', 'shelf', 'fit'],
  fit: ['fit', 'fit-tables', 'ends', 'bench', 'planning'],
  'fit/search': ['layouts'],
  power: ['figures', 'power', 'currents', 'slips'],
  parts: ['shelf', 'planning'],
  controls: ['controls', 'board', 'analyse'],
  light: ['light-frame'],
  proof: ['proof', 'telling'],
  handoff: ['handed', 'card', 'every-leaf'],
  words: ['words', 'telling', 'odd-values'],
  judge: ['judge', 'findings', 'slips', 'said'],
  'judge/checks': ['said', 'findings', 'slips', 'ends', 'thresholds', 'kinds-of-findings', 'planning'],
  import: ['shelf', 'formats', 'versions', 'telling', 'brought-in', 'map-file'],
}
const folder = process.env.NUBRIN_MUTATE ?? ''
/** A folder within some of them has the tests of the nearest. */
const nearest = Object.keys(MEANT)
  .filter((f) => folder === f || folder.startsWith(`${f}/`))
  .sort((a, b) => b.length - a.length)[0]
const names = nearest ? MEANT[nearest] : ['*']

/** What reads the sources or the docs themselves stays out: the planting rewrites the ones and leaves out the others. */
export default {
  ...config,
  testMatch: names.map((n) => `<rootDir>/core/test/${n}.test.ts`),
  testPathIgnorePatterns: ['sources\\.test'],
  maxWorkers: 1,
}
