export { judge, latest, limitText, type Proposal, proposeTests, type Standing, standing } from './propose'
