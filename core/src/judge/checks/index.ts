import type { Check } from '../check'
import { acts } from './access/acts'
import { bladeSteps } from './access/blade-steps'
import { consent } from './access/consent'
import { noSteps } from './access/no-steps'
import { otherPole } from './access/other-pole'
import { retightened } from './access/retightened'
import { stepGone } from './access/step-gone'
import { boardSpace } from './controls/board-space'
import { collision } from './controls/collision'
import { holdUnknown } from './controls/hold-unknown'
import { inputKind } from './controls/input-kind'
import { manyHolds } from './controls/many-holds'
import { noIgnite } from './controls/no-ignite'
import { noOff } from './controls/no-off'
import { unsureControl } from './controls/unsure-control'
import { atItsHole } from './fit/at-its-hole'
import { bladeSeat } from './fit/blade-seat'
import { clamp } from './fit/clamp'
import { displayWindow } from './fit/display-window'
import { duel } from './fit/duel'
import { frontHeavy } from './fit/front-heavy'
import { grilleAir } from './fit/grille-air'
import { layoutBroke } from './fit/layout-broke'
import { overlap } from './fit/overlap'
import { shopping } from './fit/shopping'
import { slack } from './fit/slack'
import { socketFit } from './fit/socket-fit'
import { specs } from './fit/specs'
import { stringSums } from './fit/string-sums'
import { tooWide } from './fit/too-wide'
import { vents } from './fit/vents'
import { wayIn } from './fit/way-in'
import { wires } from './fit/wires'
import { afterwards } from './handoff/afterwards'
import { bladesToBuy } from './handoff/blades-to-buy'
import { goesWith } from './handoff/goes-with'
import { lithium } from './handoff/lithium'
import { parcels } from './handoff/parcels'
import { unpacked } from './handoff/unpacked'
import { bladeHeld } from './hilt/blade-held'
import { boreWall } from './hilt/bore-wall'
import { hiltLength } from './hilt/hilt-length'
import { jointDepth } from './hilt/joint-depth'
import { loose } from './hilt/loose'
import { modelFacts } from './hilt/model-facts'
import { nameHints } from './hilt/name-hints'
import { noSize } from './hilt/no-size'
import { oddSize } from './hilt/odd-size'
import { openingPlace } from './hilt/opening-place'
import { overClosing } from './hilt/over-closing'
import { profile } from './hilt/profile'
import { sameKey } from './hilt/same-key'
import { screwPlace } from './hilt/screw-place'
import { unmeasured } from './hilt/unmeasured'
import { wrongKey } from './hilt/wrong-key'
import { configuredPixels } from './power/configured-pixels'
import { cutOff } from './power/cut-off'
import { farLed } from './power/far-led'
import { fittedResistor } from './power/fitted-resistor'
import { landmark } from './power/landmark'
import { noFirmware } from './power/no-firmware'
import { overRating } from './power/over-rating'
import { packVolts } from './power/pack-volts'
import { portEnd } from './power/port-end'
import { powerNeeds } from './power/power-needs'
import { protectedCell } from './power/protected-cell'
import { standby } from './power/standby'
import { wireDrop } from './power/wire-drop'
import { zones } from './power/zones'
import { untested } from './proof/untested'
import { arrivals } from './record/arrivals'
import { before } from './record/before'
import { client } from './record/client'
import { contradiction } from './record/contradiction'
import { deadline } from './record/deadline'
import { impossible } from './record/impossible'
import { keptAside } from './record/kept-aside'
import { losses } from './record/losses'
import { openQuestion } from './record/open-question'
import { openRequest } from './record/open-request'
import { recalled } from './record/recalled'
import { toDos } from './record/to-dos'
import { uncredited } from './record/uncredited'
import { demoDiffers } from './script/demo-differs'
import { neverTold } from './script/never-told'
import { rehearsal } from './script/rehearsal'
import { stale } from './script/stale'
import { alikeColours } from './voice/alike-colours'
import { clipped } from './voice/clipped'
import { flashing } from './voice/flashing'
import { ignitionTime } from './voice/ignition-time'
import { lostEffect } from './voice/lost-effect'
import { loudVolume } from './voice/loud-volume'
import { missingSound } from './voice/missing-sound'
import { noFont } from './voice/no-font'
import { sensitivity } from './voice/sensitivity'
import { unsurePreset } from './voice/unsure-preset'

/** Every judgement the program makes. Those of one level and station are shown in this order. */
export const CHECKS: readonly Check[] = [
  contradiction,
  recalled,
  impossible,
  keptAside,
  openQuestion,
  openRequest,
  arrivals,
  deadline,
  unmeasured,
  boreWall,
  oddSize,
  sameKey,
  wrongKey,
  bladeHeld,
  jointDepth,
  loose,
  tooWide,
  overlap,
  wayIn,
  slack,
  socketFit,
  bladeSeat,
  vents,
  specs,
  frontHeavy,
  noSize,
  profile,
  openingPlace,
  modelFacts,
  overClosing,
  nameHints,
  layoutBroke,
  clamp,
  grilleAir,
  wires,
  atItsHole,
  duel,
  stringSums,
  toDos,
  uncredited,
  portEnd,
  noFirmware,
  configuredPixels,
  sensitivity,
  noFont,
  screwPlace,
  losses,
  before,
  goesWith,
  shopping,
  demoDiffers,
  overRating,
  powerNeeds,
  wireDrop,
  farLed,
  packVolts,
  zones,
  fittedResistor,
  standby,
  cutOff,
  protectedCell,
  landmark,
  missingSound,
  clipped,
  ignitionTime,
  alikeColours,
  lostEffect,
  flashing,
  loudVolume,
  unsurePreset,
  displayWindow,
  collision,
  inputKind,
  noOff,
  boardSpace,
  noIgnite,
  holdUnknown,
  manyHolds,
  unsureControl,
  noSteps,
  stepGone,
  acts,
  otherPole,
  retightened,
  bladeSteps,
  consent,
  untested,
  neverTold,
  rehearsal,
  stale,
  unpacked,
  parcels,
  lithium,
  afterwards,
  bladesToBuy,
  client,
  hiltLength,
]
