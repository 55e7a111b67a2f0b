import { loadLanguages } from '@nubrin/core/languages'

/** Before each file of tests: whatever it asks for may be asked in any language. */
loadLanguages()
