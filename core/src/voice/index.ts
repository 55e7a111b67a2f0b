export { missingSounds, reachableEvents } from './events'
export { plainWav, readWav, type WavFacts, type WavFault } from './wav'
