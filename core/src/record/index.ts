export { blankCommission, blankSaber, type NewId } from './begin/blank'
export { anotherLike, asCopy, unconfirmed, withoutSpecimen } from './begin/copy'
export { describeFormat } from './check/describe'
export type { Problem } from './check/problem'
export { DIRECTIONS, GOALS, type GoalKind, Looked, Procedure, Step, TASKS, type Task } from './schema/access'
export { BLADE_KINDS, BLADE_USES, Blade, SHINES, ZONE_KINDS, Zone } from './schema/blade'
export { SENSES, type Settings, TRIED_WITH } from './schema/board-settings'
export { CARD_IS, Card, type CardFile, type CardReading, Configuration } from './schema/card'
export {
  Arrival,
  ASKERS,
  Commission,
  EXTENTS,
  FATES,
  FORMAT,
  FORMAT_VERSION,
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
  type Translation,
  UNTRANSLATED,
} from './schema/commission'
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
} from './schema/controls'
export { CELLS_ARE, FilmOf, Parcel, Receipt, Visit } from './schema/delivery'
export { ITEM_ROLES, type Item, TODO_BLOCKS, TODO_WHO, type ToDo } from './schema/extras'
export { EVENTS, FONT_KINDS, Font, Sound, type SoundEvent } from './schema/font'
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
  TAKEN_OF_SCREW,
} from './schema/hilt'
export { LOSS_KINDS, type Loss, type Owner, WAS_KINDS, type Was } from './schema/history'
export {
  KINDS,
  type KindRule,
  kindRule,
  type PartKind,
  RATINGS,
  SPECS,
  type SpecKey,
  type SpecRule,
} from './schema/kinds'
export { Act, BY_ITSELF, HOWS, type How, Joint, MAY_OPEN, TOWARDS, type Towards, VERBS } from './schema/machine'
export {
  CARRIES,
  CELL_HELD_BY,
  CHASSIS_HELD_BY,
  Die,
  FACINGS,
  FEEDS,
  FittedPart,
  JOININGS,
  PartKindSchema,
  POLES,
  SpecMap,
  SUPPLIED,
} from './schema/part'
export {
  colourOf,
  EVENT_IS,
  type EventLook,
  effectColours,
  LIGHT_EVENTS,
  type LightEvent,
  type LightLook,
  LOOKS,
  Moves,
  Preset,
  STATUSES,
  WHITE,
} from './schema/preset'
export { Reading, Repair, SETUPS, Test } from './schema/proof'
export { ALL_KINDS, type Id, type Kind, partsOfRef, type Ref, refTo, THINGS } from './schema/ref'
export { ReplyBody, ReplyFile } from './schema/reply'
export { CHOSE, CIRCUIT, CUT_POWER, Decision, JOBS, KNOWS, Saber } from './schema/saber'
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
} from './schema/script'
export {
  DELAY_REASONS,
  LOG_KINDS,
  type LogEntry,
  WORK_KINDS,
  WORK_OF_ALL,
  type WorkItem,
  type WorkKind,
} from './schema/work'
export {
  adapterSupply,
  byId,
  clientBlade,
  comesApart,
  fontOf,
  hasCutOff,
  keyOf,
  leadersOf,
  lightIn,
  nameOf,
  onlyOffered,
  placesOf,
  purposeOf,
  retentionOf,
  SABER_KINDS,
  saberTitle,
  shared,
  shelfOf,
  soundsOf,
  toldWishes,
  tracksOf,
  worksIn,
} from './walk/lookup'
export { beatMark, type Counts, type Marked, markOf, marksOf, toldInBeat } from './walk/mark'
export { choicesAt, OPEN_BECAUSE, type OpenBecause, type OpenFact, openFacts, schemaAt } from './walk/open-facts'
export { type FactPlace, factPaths, forEachFact, isNumberPlace, type NumberPlace } from './walk/places'
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
} from './walk/references'
export { isObject, SABER_FIELDS, SABER_PLAN, walk } from './walk/schema-plan'
export { hueText } from './words/hue'
export { isForeign, nounOf, nounText, toldNoun, toldText } from './words/nouns'
export { languageOf, readerOf, writtenIn } from './words/reader'
export { hasWords, type Put, retold, told, toldSaber, translationsOf } from './words/told'
export { keyWords } from './words/words'
