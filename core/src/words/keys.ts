import { type Reader, sizeText } from '../units'
import { say } from './say'

/** The key of a screw that takes none. */
export const BY_HAND = 'by hand'

/** The key of a screw as its reader writes it: `1.5 mm`, `1,5 mm`, `1/16 Zoll`; words that are no size stand as they are. */
export const keyText = (reader: Reader, key: string): string =>
  key === BY_HAND ? say(reader, 'key.byHand') : sizeText(reader, key)
