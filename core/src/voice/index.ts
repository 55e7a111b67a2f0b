export { missingSounds, reachableEvents } from './events'
export { monoOf, plainWav, readWav, type WavFacts, type WavFault } from './wav'
