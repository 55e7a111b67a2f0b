export { addLight, difference, FLASH_LIMIT_HZ, hueWord, SAME_COLOUR } from './colour'
