export { validateCommission } from '../record/validate'
export { migrate, readCommission, writeCommission } from './document'
