// What composes, in a piece of its own: most look at a script and change nothing.
export {
  compose,
  composedWords,
  proposeTrim,
  rehearse,
  staleSentences,
  straysOf,
  targetOf,
  troubleText,
} from '@nubrin/core/script'
