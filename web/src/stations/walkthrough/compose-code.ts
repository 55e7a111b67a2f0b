// In a piece of its own: the script stands before it can be composed anew.
export { compose } from '@nubrin/core/script'
