export { WHITE } from '../record'
export { type ChargeEnd, chargersOf, chargeTime, type Overcharged, overcharged, wattHours, wrongEnds } from './charging'
export { type DieFault, dieFaults, diesOf, isModule, moduleWatts } from './dies'
export { type Discharge, type DischargeInput, discharge, ocv, usableShare } from './discharge'
export { ledResistors, type WantedResistor } from './led-resistors'
export {
  bladeCurrent,
  brightnessLimit,
  litBlades,
  litCurrent,
  moduleCurrent,
  zoneCurrent,
} from './lights'
export { type LightLoad, loadsOf, looksOf, type ZoneBudget, zoneBudget } from './looks'
export { cellsIn, type Pack, packOf } from './pack'
export { ledsOf, pixels } from './pixels'
export {
  allowedCurrent,
  type LoadedRating,
  type Rating,
  ratings,
  ratingsOfLoads,
  type WorstRating,
  worstRatings,
} from './ratings'
export { chooseResistor, nextE24, type ResistorChoice } from './resistor'
export { meanCurrent, type Runtime, runtime } from './runtime'
export { loudestSound, safePlaying, safeVolume, speakerWatts, wattsPlaying } from './speaker'
export { idleCurrent, LEFT_WAYS, type LeftWay, leftAs, restCurrent, standby } from './storage'
export { awgDiameterMm, wireGuideAmps, wireOhms } from './wire'
export { FAR_LED_VOLTS, farLedVolts, wireDrop } from './wire-drop'
