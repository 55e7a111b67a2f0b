export { demoCommissions, proveSounds, SHOP } from './commissions'
export { benchPicture } from './picture'
export { SHELF } from './shelf'
export { type MadeSound, makeSounds } from './sounds'
