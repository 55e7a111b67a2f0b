export { missingSounds, reachableEvents } from './events'
export { readWav, type WavFacts, type WavFault } from './wav'
