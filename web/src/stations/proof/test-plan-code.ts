// In a piece of its own: the tests stand before what else could be tested has been worked out.
export { plannedTests, proposeTests } from '@nubrin/core/proof'
