export { tellingOrder, toldWith } from './several'
export { firstSaid, type Telling, tellingsOf } from './tellings'
export type { Chapter, Topic } from './topic'
export { type TopicMemory, topicsOf } from './topics-of'
