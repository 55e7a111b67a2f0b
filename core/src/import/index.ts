export { migrate, readCommission, writeCommission } from './document'
