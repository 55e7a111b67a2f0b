export { cardConfiguration } from './card-configuration'
export { cardContents } from './card-contents'
export { cardCopied } from './card-copied'
