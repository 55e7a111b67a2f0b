import type { Work } from './work'

const NAMES: Readonly<Record<Work['kind'], string>> = {
  ...{ measure: 'measure', bore: 'bore', print: 'print', finish: 'finish', wire: 'wire', setUp: 'set up' },
  ...{ prove: 'prove', film: 'film', write: 'write the record', pack: 'pack', toDo: 'to do' },
}
/** What a kind of work is called in the shop: “wire”, “set up”. */
export const workName = (kind: Work['kind']): string => NAMES[kind]
