export { migrate, readCommission, writeCommission } from './document'
export { validateCommission } from '../record/validate'
