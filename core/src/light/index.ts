export { addLight, difference, duties, FLASH_LIMIT_HZ, hueWord, SAME_COLOUR } from './colour'
export {
  EFFECT_SECONDS,
  effectAt,
  LEAST_BETWEEN_FLASHES,
  type LedEffect,
  type Look,
  ledFrame,
  rgbOf,
  SCREEN_FLICKER_HZ,
  turned,
} from './frame'
