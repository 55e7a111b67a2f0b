export { DIRECTIONS, Procedure, Step, TASKS, type Task } from './access'
export { BLADE_KINDS, BLADE_USES, Blade, ZONE_KINDS, Zone } from './blade'
export { blankCommission, blankSaber, type NewId } from './blank'
export {
  Arrival,
  ASKERS,
  Commission,
  EXTENTS,
  FATES,
  FORMAT,
  FORMAT_VERSION,
  LOG_KINDS,
  OWNERS,
  Packed,
  PDF_EXTENTS,
  type PdfExtent,
  Photo,
  PURPOSES,
  Question,
  REQUEST_SHAPES,
  REQUEST_STATES,
  Request,
  SUPPLIES,
} from './commission'
export {
  ACTIONS,
  type Action,
  CHOICES,
  CHOSEN_BY,
  ControlRow,
  CUE_AS,
  CUE_AT,
  GESTURES,
  INPUT_KINDS,
  Input,
  Mode,
  type ModeIs,
  POSES,
  RELEASES,
  STATES,
  Timing,
} from './controls'
export { anotherLike, asCopy, unconfirmed, withoutSpecimen } from './copy'
export { describeFormat } from './describe'
export { choicesAt, OPEN_BECAUSE, type OpenBecause, type OpenFact, openFacts, schemaAt } from './desk'
export { FilmOf, Parcel, Receipt, Visit } from './handed'
export {
  CLIENT_MAY,
  FACES,
  Fastener,
  HEADS,
  Hilt,
  INSERTIONS,
  JOINTS,
  MATERIALS,
  type Material,
  OPENINGS,
  Opening,
  ORIGINS,
  ROLES,
  SCREW_ORIGINS,
  SCREW_PURPOSES,
  Section,
  Socket,
  SPIGOTS,
} from './hilt'
export { hueText } from './hue'
export { KINDS, type KindRule, kindRule, type PartKind, SPECS, type SpecKey, type SpecRule } from './kinds'
export {
  byId,
  comesApart,
  hasCutOff,
  nameOf,
  onlyOffered,
  placesOf,
  retentionOf,
  SABER_KINDS,
  saberTitle,
  shared,
  shelfOf,
  toldWishes,
} from './lookup'
export { Act, BY_ITSELF, HOWS, type How, Joint, MAY_OPEN, TOWARDS, type Towards, VERBS } from './machine'
export { CARRIES, CHASSIS_HELD_BY, FACINGS, FittedPart, PartKindSchema, SpecMap, SUPPLIED } from './part'
export { type FactPlace, factPaths, forEachFact, isNumberPlace, type NumberPlace } from './places'
export { isObject, SABER_PLAN, walk } from './plan'
export { colourOf, EVENTS, effectColours, LOOKS, Preset, Sound, STATUSES, WHITE } from './preset'
export type { Problem } from './problem'
export { Fix, Reading, SETUPS, Test } from './proof'
export { languageOf, readerOf, speakingTo, writtenIn } from './reader'
export { ALL_KINDS, type Id, type Kind, partsOfRef, type Ref, refTo, THINGS } from './ref'
export {
  danglingOf,
  findThing,
  leaningOn,
  nameIn,
  nameOfThing,
  type Reference,
  type Removal,
  referencesOf,
  type Thing,
  thingsOf,
  withoutThing,
} from './references'
export { ReplyBody, ReplyFile } from './reply'
export { CUT_POWER, Decision, JOBS, KNOWS, Saber } from './saber'
export {
  Beat,
  LEFT_TO,
  LENGTHS,
  ORDERS,
  READERS,
  SLIP_KINDS,
  SpokenName,
  Take,
  Telling,
  Waiver,
} from './script'
export { isForeign, nounOf, nounText, own, ownLarge, toldNoun } from './spoken'
export {
  ITEM_ROLES,
  type Item,
  LOSS_KINDS,
  type Loss,
  type Owner,
  SENSES,
  type Settings,
  TODO_BLOCKS,
  TODO_WHO,
  type ToDo,
  TRIED_WITH,
  WAS_KINDS,
  type Was,
} from './whole'
export { keyWords } from './words'
