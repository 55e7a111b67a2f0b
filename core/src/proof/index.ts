export { type Proposal, proposeTests } from './plan'
export { judge, latest, limitText, type Standing, standing } from './standing'
