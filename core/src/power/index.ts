export {
  bladeCurrent,
  chargeTime,
  FAR_LED_VOLTS,
  farLedVolts,
  LEFT_WAYS,
  type LeftWay,
  ledResistors,
  levels,
  litBlades,
  litCurrent,
  looksOf,
  meanCurrent,
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
  type ZoneBudget,
  zoneBudget,
  zoneCurrent,
} from './budget'
export { type Discharge, type DischargeInput, discharge, ocv } from './discharge'
export { cellsIn, type Pack, packOf } from './pack'
export { chooseResistor, nextE24, type ResistorChoice } from './resistor'
export { awgDiameterMm, wireGuideAmps, wireOhms } from './wire'
