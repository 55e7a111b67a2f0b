import type { Catalogue } from '../check'
import { accessWords } from './access'
import { cardWords } from './card'
import { controlsWords } from './controls'
import { fitWords } from './fit'
import { handoffWords } from './handoff'
import { hiltWords } from './hilt'
import { powerWords } from './power'
import { proofWords } from './proof'
import { recordWords } from './record'
import { scriptWords } from './script'
import { voiceWords } from './voice'

/** Everything that the checks say to the maker, by their ids: English, as it stands on the bench. */
export const WORDS = {
  ...accessWords,
  ...cardWords,
  ...controlsWords,
  ...fitWords,
  ...handoffWords,
  ...hiltWords,
  ...powerWords,
  ...proofWords,
  ...recordWords,
  ...scriptWords,
  ...voiceWords,
} as unknown as Catalogue
