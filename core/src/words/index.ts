export { CATALOGUES, LANGUAGES, type Language, say, whether } from './say'
export type { SayingCode, Sayings } from './sayings'
