export { type Apart, type ColourWords, colourWords } from './apart'
export { difference, duties, FLASH_LIMIT_HZ, hueWord, lightnessChromaHue, SAME_COLOUR } from './colour'
export {
  chromaticity,
  DIES,
  type DieColour,
  drive,
  hexOf,
  lightOf,
  stimulusOf,
  through,
  tintMatrix,
  USUAL_DIES,
} from './dies'
export {
  EFFECT_SECONDS,
  effectAt,
  HELD_EFFECTS,
  isLedEffect,
  LEAST_BETWEEN_FLASHES,
  type LedEffect,
  type Look,
  ledFrame,
  rgbOf,
  SCREEN_FLICKER_HZ,
} from './frame'
export {
  flashesOf,
  goneAt,
  isSaturatedRed,
  STYLE_KINDS,
  STYLE_USES,
  type Style,
  type StyleKind,
  slowedBy,
  USUAL_STYLE,
} from './style'
export { turned } from './turned'
