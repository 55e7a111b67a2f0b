export { type Applied, applyOps } from './apply'
export { type Clash, composeOps, fieldOf, invertOp, invertOps, rebaseOps, touches } from './change'
export { diffOps, same } from './diff'
export { type Item, type Op, OpSchema, stepsOf } from './op'
