export { untested } from './untested'
