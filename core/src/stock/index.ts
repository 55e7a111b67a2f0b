export { type Low, lowOf, type Used } from './low'
export { orderListCsv } from './order-list'
export {
  type Chosen,
  type Had,
  type InHand,
  type OnOrder,
  type ReservedTwice,
  type Standing,
  type Stock,
  stockOf,
  type ToOrder,
} from './stock'
