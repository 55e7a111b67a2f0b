import * as T from '@sinclair/typebox'

/**
 * Everything in a record that has an identity, with the words for one and for many. The schema says where each kind lives
 * (`ownId`) and what may point to it (`idOf`, `ref`); look-ups, copies, checks and pickers are derived from that.
 */
export const THINGS = {
  saber: ['saber', 'sabers'],
  section: ['section', 'sections'],
  fastener: ['screw', 'screws'],
  opening: ['opening', 'openings'],
  socket: ['socket', 'sockets'],
  part: ['part', 'parts'],
  die: ['die', 'dies'],
  blade: ['blade', 'blades'],
  zone: ['light', 'lights'],
  font: ['font', 'fonts'],
  preset: ['preset', 'presets'],
  lightLook: ['light of a preset', 'lights of a preset'],
  card: ['card', 'cards'],
  cardEdit: ['change of a card', 'changes of a card'],
  cardReading: ['reading of a card', 'readings of a card'],
  sound: ['sound', 'sounds'],
  input: ['input', 'inputs'],
  mode: ['mode', 'modes'],
  row: ['control', 'controls'],
  correction: ['what is said of a joint', 'what is said of joints'],
  task: ['task', 'tasks'],
  step: ['step', 'steps'],
  test: ['test', 'tests'],
  reading: ['reading', 'readings'],
  repair: ['repair', 'repairs'],
  decision: ['decision', 'decisions'],
  beat: ['beat', 'beats'],
  take: ['take', 'takes'],
  slip: ['mark of a take', 'marks of a take'],
  spokenName: ['spoken name', 'spoken names'],
  translation: ['translation', 'translations'],
  toDo: ['to-do', 'to-dos'],
  work: ['piece of work', 'pieces of work'],
  item: ['thing that goes with it', 'things that go with it'],
  setting: ['setting', 'settings'],
  limit: ['limit', 'limits'],
  ability: ['ability before', 'abilities before'],
  owner: ['earlier hand', 'earlier hands'],
  loss: ['loss', 'losses'],
  request: ['wish', 'wishes'],
  arrival: ['part sent in', 'parts sent in'],
  share: ['share of a part sent in', 'shares of parts sent in'],
  fault: ['fault on arrival', 'faults on arrival'],
  person: ['person', 'people'],
  question: ['question', 'questions'],
  credit: ['credit', 'credits'],
  packed: ['item in the box', 'items in the box'],
  entry: ['log entry', 'log entries'],
  parcel: ['parcel', 'parcels'],
  film: ['film', 'films'],
  receipt: ['receipt', 'receipts'],
  visit: ['visit', 'visits'],
  photo: ['photo', 'photos'],
  aside: ['value kept aside', 'values kept aside'],
} as const satisfies Record<string, readonly [one: string, many: string]>
export type Kind = keyof typeof THINGS
export const ALL_KINDS = Object.keys(THINGS) as Kind[]

declare const flavour: unique symbol
/** The id of one kind of thing. Plain text may become one; the id of another kind may not. */
export type Id<K extends Kind = Kind> = string & { readonly [flavour]?: K }
/** A thing by kind and id, `fastener:f1`. */
export type Ref<K extends Kind = Kind> = `${K}:${string}`

/** Short, url-safe, unique within the record. */
const ID_PATTERN = '[a-z0-9][a-z0-9-]{0,47}'
const OWN_PATTERN = '^[a-z0-9][a-z0-9-]{1,47}$'

/** The identity of a thing itself. */
export const ownId = <K extends Kind>(kind: K) =>
  T.Unsafe<Id<K>>({ type: 'string', pattern: OWN_PATTERN, 'x-kind': kind })
/** An id that names a thing of one kind. */
export const idOf = <K extends Kind>(kind: K) =>
  T.Unsafe<Id<K>>({ type: 'string', pattern: OWN_PATTERN, 'x-names': [kind] })
/** A reference to a thing of one of some kinds; of any kind when none is named. */
export const ref = <K extends Kind = Kind>(...kinds: K[]) => {
  const among = kinds.length ? kinds : (ALL_KINDS as K[])
  return T.Unsafe<Ref<K>>({ type: 'string', pattern: `^(${among.join('|')}):${ID_PATTERN}$`, 'x-names': among })
}

/** The reference to a thing. */
export const refTo = <K extends Kind>(kind: K, id: string): Ref<K> => `${kind}:${id}`
/** Kind and id of a reference; undefined for what is none. */
export function partsOfRef(text: string): { kind: Kind; id: string } | undefined {
  const at = text.indexOf(':')
  const kind = text.slice(0, at)
  return at > 0 && kind in THINGS ? { kind: kind as Kind, id: text.slice(at + 1) } : undefined
}
