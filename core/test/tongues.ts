import { learnAll } from '@nubrin/core/tongues'

/** Before each file of tests: whatever it asks for may be asked in any language. */
learnAll()
