export { en } from './en'
export { BY_HAND, keyText } from './keys'
export { SHAPING, UNSEEN, unprinted } from './letters'
export {
  type Cases,
  GENDERS,
  type Gender,
  type LanguagePack,
  large,
  type Noun,
  type NounKind,
  type Which,
} from './noun'
export { guessNoun, loadLanguage, nounWords, say, speaks, whether } from './say'
export type { SayingCode, Sayings } from './sayings'
