export { demoCommissions, SHOP } from './commissions'
export { benchPicture } from './picture'
export { type MadeSound, makeSounds } from './sounds'
