export {
  bladeCurrent,
  chargeTime,
  ledResistors,
  levels,
  litBlades,
  litCurrent,
  pixels,
  type Rating,
  type Runtime,
  ratings,
  runtime,
  safeVolume,
  speakerWatts,
  standby,
  WHITE,
  wattHours,
  wireDrop,
  zoneCurrent,
} from './budget'
export { type Discharge, type DischargeInput, discharge, ocv } from './discharge'
export { chooseResistor, nextE24, type ResistorChoice } from './resistor'
export { awgDiameterMm, wireGuideAmps, wireOhms } from './wire'
