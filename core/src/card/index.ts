export {
  CONFIGURATION_FILES,
  cardPart,
  configurationDifferences,
  configurationOf,
  configurationSheet,
  type Difference,
  takeIn,
} from './configuration'
export {
  cardSpace,
  lastReading,
  onCard,
  presetsWithout,
  type UnusedWhy,
  USUAL_CLUSTER,
  unusedFiles,
  type Verified,
  verifyCard,
} from './contents'
export { readConfiguration, writeConfiguration } from './read'
