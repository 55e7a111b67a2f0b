export { en } from './en'
export { type Cases, GENDERS, type Gender, large, type Noun, type NounKind, type Tongue, type Which } from './noun'
export { learn, nounWords, say, speaks, whether } from './say'
export type { SayingCode, Sayings } from './sayings'
