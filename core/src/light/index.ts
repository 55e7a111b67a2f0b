export { addLight, difference, duties, FLASH_LIMIT_HZ, hueWord, SAME_COLOUR } from './colour'
