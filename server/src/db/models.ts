import type { Role } from '@nubrin/core/api'
import mariadb from 'mariadb'
import { DataTypes, type Model, type ModelStatic, Sequelize } from 'sequelize'

/** As long as somebody waits for a page before he tries again, ms. A busy machine takes seconds to open a connection. */
const PATIENCE = 15_000
/** Connections that stay open, so that nobody waits for one after a quiet hour. */
const WARM = 4

/** A moment as the columns have it: UTC, to the millisecond. */
const moment = (at: Date) => at.toISOString().slice(0, 23).replace('T', ' ')
const inUtc = (v: unknown): unknown => (v instanceof Date ? moment(v) : Array.isArray(v) ? v.map(inUtc) : v)
/** The library writes moments of models in UTC and those of plain SQL in the machine's own zone: here there is one. */
class Utc extends Sequelize {
  // biome-ignore lint/suspicious/noExplicitAny: the library declares it eight times over
  override query(sql: any, options?: any): any {
    const { replacements } = options ?? {}
    if (!replacements) return super.query(sql, options)
    const clean = Array.isArray(replacements)
      ? replacements.map(inUtc)
      : Object.fromEntries(Object.entries(replacements).map(([k, v]) => [k, inUtc(v)]))
    return super.query(sql, { ...options, replacements: clean })
  }
}

/** One connection pool to MariaDB. JSON columns come back parsed. */
export function connect(url: string): Sequelize {
  return new Utc(url.replace(/^mysql:/, 'mariadb:'), {
    dialect: 'mariadb',
    dialectModule: mariadb,
    logging: false,
    pool: { max: 12, min: WARM, idle: 60_000, acquire: PATIENCE },
    // Set once a connection, not once a transaction: no gap between rows is locked.
    dialectOptions: {
      initSql: 'SET SESSION TRANSACTION ISOLATION LEVEL READ COMMITTED',
      // The driver's own limit is one second, which a busy machine does not keep.
      connectTimeout: PATIENCE,
    },
    define: { underscored: true, timestamps: false },
    timezone: '+00:00',
  })
}

type Row<T extends object> = Model<T> & T
type Table<T extends object> = ModelStatic<Row<T>>

interface Shop {
  id: string
  name: string
  settings?: unknown
  /** The words by which files of sounds find their event, where the shop has its own. */
  soundRules?: unknown
  /** Commissions in the order that somebody has put them in. */
  turn?: unknown
}
export interface User {
  id: string
  shopId: string
  name: string
  signIn: string
  /** What the sign-in looks like: two that look alike are one. */
  signInKey: string
  passwordHash: string
  role: Role
  leftAt?: Date | null
  /** The secret of an authenticator, base32. */
  secondFactor?: string | null
  /** The last time step whose code was used; none is taken twice. */
  factorUsed?: number | null
  mustChange?: boolean
  /** When somebody works and what he can do. */
  works?: unknown
}
export interface Client {
  id: string
  shopId: string
  name: string
  country: string | null
  contact: string | null
  note: string | null
  /** What was noticed of how he uses his sabers. */
  habits?: string | null
}
export interface CommissionRow {
  id: string
  shopId: string
  clientId: string | null
  title: string
  job: string
  deadline: string | null
  shipped: string | null
  revision: number
  record: unknown
  savedAt: Date
  savedBy: string
  archivedAt: Date | null
  erasedAt?: Date | null
  /** Where it hangs, and the day that orders it there. */
  place: 'open' | 'shipped' | 'model' | 'archived'
  due: string
  peg?: unknown
  pegRevision?: number | null
  pegOn?: string | null
  pegRules?: string | null
  work?: unknown
  learned?: unknown
  learnedAt?: string | null
  search: string
}
interface SaberRow {
  id: string
  commissionId: string
  position: number
  name: string
  job: string
  lengthMm: number | null
}
interface RequestRow {
  id: string
  commissionId: string
  text: string
  status: string
}
interface FittedRow {
  id: string
  commissionId: string
  saberId: string
  kind: string
  name: string
  catalogueId: string | null
  lot: string | null
  reservedOn: string | null
  fittedOn: string | null
  supplied: string | null
}
interface ToDoRow {
  id: string
  commissionId: string
  text: string
  about: string | null
  who: string
  person: string | null
  due: string | null
  blocks: string | null
  done: boolean
}
interface HoursRow {
  id: string
  commissionId: string
  saberId: string | null
  work: string | null
  toDo: string | null
  by: string | null
  onDay: string
  hours: number
}
interface QuestionRow {
  id: string
  commissionId: string
  text: string
  askedBy: string | null
  askedOn: string | null
  answeredOn: string | null
}
/** A clock that somebody has running. */
export interface TimerRow {
  userId: string
  id: string
  commissionId: string
  work: string | null
  saber: string | null
  toDo: string | null
  began: Date
}
/** A line of an order: some of one part from a supplier. */
export interface OrderLineRow {
  id: string
  shopId: string
  catalogueId: string | null
  name: string
  supplier: string
  quantity: number
  commissionId: string | null
  partId: string | null
  orderedOn: string
  expectedOn: string | null
  arrivedOn: string | null
  lot: string | null
  fault: string | null
  note: string | null
  by: string
}
/** A version of what is offered for a commission. */
export interface QuoteRow {
  commissionId: string
  number: number
  quote: unknown
  revision: number
  savedAt: Date
  savedBy: string
}
/** A letter that was put into the outbox. */
export interface LetterRow {
  id: string
  commissionId: string
  kind: string
  subject: string
  text: string
  toAddress: string
  rests: unknown
  at: Date
  by: string
}
interface PresetRow {
  id: string
  commissionId: string
  saberId: string
  position: number
  name: string
  font: string
  colour: string
}
interface TestRow {
  id: string
  commissionId: string
  saberId: string
  testKey: string
  what: string
}
interface ReadingRow {
  id: string
  commissionId: string
  testId: string
  at: Date
  value: number | null
  text: string | null
  pass: boolean
  by: string
}
export interface PartRow {
  id: string
  shopId: string
  kind: string
  name: string
  specs: unknown
  protected: boolean | null
  material: string | null
  converter: boolean | null
  /** The key a tool turns. */
  turns: string | null
  stock: number | null
  lot: string | null
  supplier: string | null
  cost: number | null
}
interface FontRow {
  id: string
  shopId: string
  name: string
  font: unknown
  changedAt: Date
}
interface MediaRow {
  hash: string
  shopId: string
  type: string
  bytes: number
  createdAt: Date
}
interface HandoffRow {
  id: string
  commissionId: string
  number: number
  secretHash: string
  revision: number
  document: unknown
  record: unknown
  issuedAt: Date
  issuedBy: string
  revokedAt: Date | null
  expiresAt?: Date | null
}
export interface HistoryRow {
  id: number
  commissionId: string
  revision: number
  userId: string
  by: string
  at: Date
  ops: unknown
  changeId: string | null
}

interface SessionRow {
  sid: string
  expires: Date
  data: string
  userId: string | null
  began: Date | null
  seen: Date | null
  agent: string | null
}
export interface InvitationRow {
  id: string
  shopId: string
  secretHash: string
  name: string
  role: Role
  /** Set when it lets somebody choose a new password. */
  userId: string | null
  madeBy: string
  /** Whose authority it stands on; null for the link of a first start. */
  madeById: string | null
  expiresAt: Date
  usedAt: Date | null
}
/** A browser that somebody signed in with before. */
interface DeviceRow {
  /** The hash of what its cookie holds. */
  id: string
  userId: string
  seen: Date
}
interface UploadLinkRow {
  id: string
  shopId: string
  commissionId: string
  secretHash: string
  place: string | null
  madeBy: string
  expiresAt: Date
  usedAt: Date | null
}
interface ErasureRow {
  id: string
  shopId: string
  commissionIds: unknown
  at: Date
  by: string
  why: string
}

export interface Tables {
  sequelize: Sequelize
  shops: Table<Shop>
  users: Table<User>
  clients: Table<Client>
  commissions: Table<CommissionRow>
  sabers: Table<SaberRow>
  requests: Table<RequestRow>
  fitted: Table<FittedRow>
  toDos: Table<ToDoRow>
  presets: Table<PresetRow>
  tests: Table<TestRow>
  readings: Table<ReadingRow>
  parts: Table<PartRow>
  /** The library of fonts, the files that it holds, and the orders in which its fonts lie. */
  fonts: Table<FontRow>
  fontMedia: Table<{ shopId: string; fontId: string; hash: string }>
  fontUses: Table<{ id: string; commissionId: string }>
  media: Table<MediaRow>
  handoffs: Table<HandoffRow>
  history: Table<HistoryRow>
  sessions: Table<SessionRow>
  invitations: Table<InvitationRow>
  mediaUses: Table<{ id: string; commissionId: string }>
  /** Every file that a commission has or had. */
  mediaOwners: Table<{ shopId: string; hash: string; commissionId: string }>
  erasures: Table<ErasureRow>
  uploadLinks: Table<UploadLinkRow>
  devices: Table<DeviceRow>
  hours: Table<HoursRow>
  questions: Table<QuestionRow>
  timers: Table<TimerRow>
  orderLines: Table<OrderLineRow>
  letters: Table<LetterRow>
  quotes: Table<QuoteRow>
}

const S = (n = 48) => DataTypes.STRING(n)
const json = (name: string) => ({
  type: DataTypes.JSON,
  // The driver hands JSON columns back as text on some servers and parsed on others.
  get(this: Model) {
    const v = this.getDataValue(name)
    return typeof v === 'string' ? JSON.parse(v) : v
  },
})

/** The tables as Sequelize models. Columns are made by the migrations; a test holds the two together. */
export function tables(sequelize: Sequelize): Tables {
  const key = { type: S(), primaryKey: true }
  const define = <T extends object>(name: string, columns: object) =>
    sequelize.define(name, columns as never, { tableName: name }) as unknown as Table<T>
  // Read and written by the session store, too.
  const sessions = define<SessionRow>('sessions', {
    sid: { type: S(64), primaryKey: true },
    expires: DataTypes.DATE,
    data: DataTypes.TEXT,
    userId: S(),
    began: DataTypes.DATE(3),
    seen: DataTypes.DATE(3),
    agent: S(200),
  })
  return {
    sequelize,
    shops: define<Shop>('shops', {
      id: key,
      name: S(120),
      settings: json('settings'),
      soundRules: json('soundRules'),
      turn: json('turn'),
    }),
    users: define<User>('users', {
      id: key,
      shopId: S(),
      name: S(120),
      signIn: S(120),
      signInKey: S(240),
      passwordHash: S(255),
      role: S(12),
      leftAt: DataTypes.DATE(3),
      secondFactor: S(80),
      factorUsed: DataTypes.BIGINT,
      mustChange: DataTypes.BOOLEAN,
      works: json('works'),
    }),
    clients: define<Client>('clients', {
      id: key,
      shopId: S(),
      name: S(240),
      country: S(240),
      contact: S(240),
      note: S(240),
      habits: S(600),
    }),
    commissions: define<CommissionRow>('commissions', {
      id: key,
      shopId: S(),
      clientId: S(),
      title: S(120),
      job: S(20),
      deadline: DataTypes.DATEONLY,
      shipped: DataTypes.DATEONLY,
      revision: DataTypes.INTEGER,
      record: json('record'),
      savedAt: DataTypes.DATE(3),
      savedBy: S(120),
      archivedAt: DataTypes.DATE(3),
      erasedAt: DataTypes.DATE(3),
      place: S(12),
      due: DataTypes.DATEONLY,
      peg: json('peg'),
      pegRevision: DataTypes.INTEGER,
      pegOn: DataTypes.DATEONLY,
      pegRules: S(40),
      work: json('work'),
      learned: json('learned'),
      learnedAt: S(60),
      search: DataTypes.TEXT('medium'),
    }),
    sabers: define<SaberRow>('sabers', {
      id: key,
      commissionId: { type: S(), primaryKey: true },
      position: DataTypes.INTEGER,
      name: S(240),
      job: S(20),
      lengthMm: DataTypes.DOUBLE,
    }),
    requests: define<RequestRow>('requests', {
      id: key,
      commissionId: { type: S(), primaryKey: true },
      text: S(240),
      status: S(20),
    }),
    fitted: define<FittedRow>('fitted_parts', {
      id: key,
      commissionId: { type: S(), primaryKey: true },
      saberId: S(),
      kind: S(20),
      name: S(240),
      catalogueId: S(),
      lot: S(240),
      reservedOn: DataTypes.DATEONLY,
      fittedOn: DataTypes.DATEONLY,
      supplied: S(12),
    }),
    toDos: define<ToDoRow>('to_dos', {
      id: key,
      commissionId: { type: S(), primaryKey: true },
      text: S(240),
      about: S(240),
      who: S(12),
      person: S(240),
      due: DataTypes.DATEONLY,
      blocks: S(12),
      done: DataTypes.BOOLEAN,
    }),
    hours: define<HoursRow>('hours', {
      id: key,
      commissionId: { type: S(), primaryKey: true },
      saberId: S(),
      work: S(12),
      toDo: S(),
      by: S(240),
      onDay: DataTypes.DATEONLY,
      hours: DataTypes.DOUBLE,
    }),
    questions: define<QuestionRow>('questions', {
      id: key,
      commissionId: { type: S(), primaryKey: true },
      text: S(240),
      askedBy: S(12),
      askedOn: DataTypes.DATEONLY,
      answeredOn: DataTypes.DATEONLY,
    }),
    timers: define<TimerRow>('timers', {
      userId: { type: S(), primaryKey: true },
      id: S(),
      commissionId: S(),
      work: S(12),
      saber: S(),
      toDo: S(),
      began: DataTypes.DATE(3),
    }),
    letters: define<LetterRow>('letters', {
      id: key,
      commissionId: { type: S(), primaryKey: true },
      kind: S(12),
      subject: S(200),
      text: DataTypes.TEXT('medium'),
      toAddress: S(240),
      rests: json('rests'),
      at: DataTypes.DATE(3),
      by: S(120),
    }),
    quotes: define<QuoteRow>('quotes', {
      commissionId: { type: S(), primaryKey: true },
      number: { type: DataTypes.INTEGER, primaryKey: true },
      quote: json('quote'),
      revision: DataTypes.INTEGER,
      savedAt: DataTypes.DATE(3),
      savedBy: S(120),
    }),
    orderLines: define<OrderLineRow>('order_lines', {
      id: key,
      shopId: { type: S(), primaryKey: true },
      catalogueId: S(),
      name: S(240),
      supplier: S(240),
      quantity: DataTypes.INTEGER,
      commissionId: S(),
      partId: S(),
      orderedOn: DataTypes.DATEONLY,
      expectedOn: DataTypes.DATEONLY,
      arrivedOn: DataTypes.DATEONLY,
      lot: S(240),
      fault: S(12),
      note: S(400),
      by: S(120),
    }),
    presets: define<PresetRow>('presets', {
      id: key,
      commissionId: { type: S(), primaryKey: true },
      saberId: S(),
      position: DataTypes.INTEGER,
      name: S(240),
      font: S(240),
      colour: S(7),
    }),
    tests: define<TestRow>('tests', {
      id: key,
      commissionId: { type: S(), primaryKey: true },
      saberId: S(),
      testKey: S(240),
      what: S(240),
    }),
    readings: define<ReadingRow>('readings', {
      id: key,
      commissionId: { type: S(), primaryKey: true },
      testId: S(),
      at: DataTypes.DATE(3),
      value: DataTypes.DOUBLE,
      text: S(240),
      pass: DataTypes.BOOLEAN,
      by: S(240),
    }),
    parts: define<PartRow>('parts', {
      id: key,
      shopId: { type: S(), primaryKey: true },
      kind: S(20),
      name: S(240),
      specs: json('specs'),
      protected: DataTypes.BOOLEAN,
      material: S(20),
      converter: DataTypes.BOOLEAN,
      turns: S(240),
      stock: DataTypes.INTEGER,
      lot: S(240),
      supplier: S(240),
      cost: DataTypes.DOUBLE,
    }),
    fonts: define<FontRow>('fonts', {
      shopId: { type: S(), primaryKey: true },
      id: key,
      name: S(240),
      font: json('font'),
      changedAt: DataTypes.DATE(3),
    }),
    fontMedia: define<{ shopId: string; fontId: string; hash: string }>('font_media', {
      shopId: { type: S(), primaryKey: true },
      fontId: { type: S(), primaryKey: true },
      hash: { type: S(64), primaryKey: true },
    }),
    fontUses: define<{ id: string; commissionId: string }>('font_uses', {
      id: key,
      commissionId: { type: S(), primaryKey: true },
    }),
    media: define<MediaRow>('media', {
      hash: { type: S(64), primaryKey: true },
      shopId: { type: S(), primaryKey: true },
      type: S(40),
      bytes: DataTypes.INTEGER,
      createdAt: DataTypes.DATE(3),
    }),
    handoffs: define<HandoffRow>('handoffs', {
      id: key,
      commissionId: S(),
      number: DataTypes.INTEGER,
      secretHash: S(64),
      revision: DataTypes.INTEGER,
      document: json('document'),
      record: json('record'),
      issuedAt: DataTypes.DATE(3),
      issuedBy: S(120),
      revokedAt: DataTypes.DATE(3),
      expiresAt: DataTypes.DATE(3),
    }),
    history: define<HistoryRow>('history', {
      id: { type: DataTypes.BIGINT, primaryKey: true, autoIncrement: true },
      commissionId: S(),
      revision: DataTypes.INTEGER,
      userId: S(),
      by: S(120),
      at: DataTypes.DATE(3),
      ops: json('ops'),
      changeId: S(64),
    }),
    sessions,
    mediaOwners: define<{ shopId: string; hash: string; commissionId: string }>('media_owners', {
      shopId: S(),
      hash: { type: S(64), primaryKey: true },
      commissionId: { type: S(), primaryKey: true },
    }),
    mediaUses: define<{ id: string; commissionId: string }>('media_uses', {
      id: { type: S(64), primaryKey: true },
      commissionId: { type: S(), primaryKey: true },
    }),
    erasures: define<ErasureRow>('erasures', {
      id: key,
      shopId: S(),
      commissionIds: json('commissionIds'),
      at: DataTypes.DATE(3),
      by: S(120),
      why: S(300),
    }),
    invitations: define<InvitationRow>('invitations', {
      id: key,
      shopId: S(),
      secretHash: S(64),
      name: S(120),
      role: S(12),
      userId: S(),
      madeBy: S(120),
      madeById: S(),
      expiresAt: DataTypes.DATE(3),
      usedAt: DataTypes.DATE(3),
    }),
    devices: define<DeviceRow>('devices', {
      id: { type: S(64), primaryKey: true },
      userId: S(),
      seen: DataTypes.DATE(3),
    }),
    uploadLinks: define<UploadLinkRow>('upload_links', {
      id: key,
      shopId: S(),
      commissionId: S(),
      secretHash: S(64),
      place: S(80),
      madeBy: S(),
      expiresAt: DataTypes.DATE(3),
      usedAt: DataTypes.DATE(3),
    }),
  }
}
