export { tellingOrder, toldWith } from './several'
export { type Telling, tellingsOf } from './tellings'
export type { Chapter, Topic } from './topic'
export { topicsOf } from './topics-of'
