import * as T from '@sinclair/typebox'
import { WAITS } from '../handoff'
import type { Body } from '../machine'
import { DIRECTIONS, GOALS, Act as HandAct, PDF_EXTENTS, Photo, ReplyBody, ReplyFile, Saber, TASKS } from '../record'
import { LANGUAGES, MEASURES } from '../units'
import { closed, Moment, orNull, Revision } from './common'
import { route } from './route'

const Text = T.String()
/** Which record of its commission a link is asked for: the newest, or the one that it came with. */
const Which = T.Object({ record: T.Optional(T.Literal('own')) }, closed)
const Extent = T.Union(PDF_EXTENTS.map((x) => T.Literal(x)))
const Row = T.Object({ name: Text, value: Text, about: T.Optional(T.Boolean()) }, closed)
const Figure = T.Optional(T.Number())
const Bar = T.Object({ min: Figure, max: Figure, computed: Figure, found: Figure }, closed)
const Act = T.Object({ text: Text, tool: T.Optional(Text) }, closed)
const Goal = T.Union(GOALS.map((g) => T.Literal(g)))
const Block = T.Union([
  T.Object({ kind: T.Literal('para'), text: Text }, closed),
  T.Object({ kind: T.Literal('facts'), rows: T.Array(Row) }, closed),
  T.Object(
    {
      kind: T.Literal('table'),
      head: T.Array(Text),
      rows: T.Array(T.Array(Text)),
      swatch: T.Optional(T.Array(Text)),
      bars: T.Optional(T.Array(Bar)),
    },
    closed,
  ),
  T.Object(
    {
      kind: T.Literal('steps'),
      title: Text,
      saber: T.Optional(Text),
      task: T.Optional(T.Union(TASKS.map((t) => T.Literal(t)))),
      goal: T.Optional(Goal),
      procedure: T.Optional(T.Integer()),
      first: T.Optional(T.Integer()),
      lead: T.Optional(Text),
      tail: T.Optional(Text),
      turn: T.Optional(T.Integer()),
      steps: T.Array(
        T.Object(
          {
            ...{ text: Text, tool: T.Optional(Text), caution: T.Optional(Text), cue: T.Optional(Text) },
            place: T.Optional(Text),
          },
          closed,
        ),
      ),
    },
    closed,
  ),
  T.Object({ kind: T.Literal('apart'), saber: Text, out: T.Array(Act), back: T.Array(Act) }, closed),
  T.Object({ kind: T.Literal('caution'), title: Text, text: Text }, closed),
  T.Object(
    {
      kind: T.Literal('drawing'),
      saber: Text,
      which: T.Union([T.Literal('section'), T.Literal('unrolled')]),
    },
    closed,
  ),
  T.Object(
    {
      kind: T.Literal('script'),
      saber: Text,
      beats: T.Array(T.Object({ n: T.Integer(), say: Text, show: T.Optional(Text), ref: T.Optional(Text) }, closed)),
    },
    closed,
  ),
  T.Object(
    {
      kind: T.Literal('film'),
      title: Text,
      address: T.Optional(Text),
      file: T.Optional(Text),
      chapters: T.Array(T.Object({ at: T.Integer(), title: Text }, closed)),
    },
    closed,
  ),
])
const Cover = T.Object(
  {
    sabers: T.Array(T.Object({ saber: Text, name: Text, facts: T.Array(Row) }, closed)),
    quote: T.Optional(T.Object({ text: Text, answer: Text, giver: T.Optional(Text) }, closed)),
  },
  closed,
)
/** What hands do, as it was issued: each act in words, and as the machine carries it out for the drawing. */
const FrozenAct = T.Object(
  {
    ...{
      text: Text,
      tool: T.Optional(Text),
      caution: T.Optional(Text),
      cue: T.Optional(Text),
      place: T.Optional(Text),
    },
    direction: T.Union(DIRECTIONS.map((d) => T.Literal(d))),
    does: T.Array(HandAct),
    waits: T.Optional(T.Union(WAITS.map((w) => T.Literal(w)))),
  },
  closed,
)
const FrozenProcedure = T.Object(
  {
    ...{ saber: Text, goal: Goal, at: T.Optional(Text), title: Text, acts: T.Array(FrozenAct), turn: T.Integer() },
    from: T.Optional(
      T.Object(
        {
          off: T.Array(T.Unsafe<Body>({ type: 'string' })),
          screws: T.Record(Text, T.Union([T.Literal('loose'), T.Literal('out')])),
          cut: T.Boolean(),
          lit: T.Boolean(),
        },
        closed,
      ),
    ),
    cannot: T.Optional(Text),
    first: T.Optional(T.Object({ n: T.Integer(), text: Text }, closed)),
  },
  closed,
)
/** The handoff record as it is frozen and sent. */
const HandoffSchema = T.Object(
  {
    format: T.Literal('nubrin-handoff'),
    version: T.Literal(5),
    of: Text,
    title: Text,
    client: Text,
    shop: Text,
    number: T.Integer(),
    date: Text,
    language: T.Union(LANGUAGES.map((l) => T.Literal(l))),
    ownWords: T.Boolean(),
    measures: T.Optional(T.Union(MEASURES.map((m) => T.Literal(m)))),
    written: T.Optional(T.Union(LANGUAGES.map((l) => T.Literal(l)))),
    cover: T.Optional(Cover),
    procedures: T.Array(FrozenProcedure),
    chapters: T.Array(T.Object({ id: Text, title: Text, saber: T.Optional(Text), blocks: T.Array(Block) }, closed)),
    from: T.Optional(T.Object({ address: Text, contact: Text, signature: Text, closing: Text }, closed)),
  },
  closed,
)

const Issued = T.Object(
  {
    number: T.Integer(),
    revision: Revision,
    issuedAt: Moment,
    issuedBy: Text,
    revokedAt: orNull(Moment),
    expiresAt: orNull(Moment),
  },
  closed,
)
const noLink = { 404: 'No such link, or withdrawn' } as const

export const handoffs = {
  handoffPdf: route({
    method: 'get',
    path: '/commissions/{id}/handoff.pdf',
    summary: 'The handoff record as it stands',
    query: T.Object(
      { paper: T.Optional(T.Union([T.Literal('A4'), T.Literal('Letter')])), extent: T.Optional(Extent) },
      closed,
    ),
    good: { status: 200, says: 'PDF', file: 'application/pdf' },
    bad: { 404: 'Not in this shop' },
  }),
  cardPdf: route({
    method: 'get',
    path: '/commissions/{id}/controls-card.pdf',
    summary: 'The card of a saber’s controls as it stands',
    query: T.Object(
      { saber: T.Optional(Text), paper: T.Optional(T.Union([T.Literal('A5'), T.Literal('A4')])) },
      closed,
    ),
    good: { status: 200, says: 'PDF', file: 'application/pdf' },
    bad: { 404: 'Not in this shop, or no such saber in it' },
  }),
  issue: route({
    method: 'post',
    path: '/commissions/{id}/handoffs',
    summary: 'Issue a handoff: freezes the record and makes the client’s link; links of earlier ones end',
    needs: 'maker',
    good: {
      status: 201,
      says: 'Number and link, told once',
      json: T.Object({ number: T.Integer(), revision: Revision, link: Text, expires: orNull(Moment) }, closed),
    },
    bad: { 404: 'Not in this shop', 409: 'Something stands against it' },
  }),
  issued: route({
    method: 'get',
    path: '/commissions/{id}/handoffs',
    summary: 'Handoffs issued',
    good: { status: 200, says: 'List', json: T.Array(Issued) },
    bad: { 404: 'Not in this shop' },
  }),
  withdraw: route({
    method: 'delete',
    path: '/commissions/{id}/handoffs/{number}',
    summary: 'Withdraw a client’s link',
    needs: 'maker',
    good: { status: 204, says: 'Withdrawn', empty: true },
    bad: { 404: 'None, or withdrawn already' },
  }),
  differs: route({
    method: 'get',
    path: '/commissions/{id}/handoffs/{number}/against/{other}',
    summary: 'What a handoff says otherwise than an earlier one; `now` is the record as it stands',
    good: {
      status: 200,
      says: 'Differences',
      json: T.Array(T.Object({ chapter: Text, title: Text, gone: T.Array(Text), come: T.Array(Text) }, closed)),
    },
    bad: { 404: 'Not in this shop, or no such handoff' },
  }),
  handoffArchive: route({
    method: 'get',
    path: '/commissions/{id}/handoffs/{number}/archive.zip',
    summary:
      'All of a handoff as it was issued: record, PDF, page, captions, card manifest, files; it can be taken in again',
    good: { status: 200, says: 'ZIP', file: 'application/zip' },
    bad: { 404: 'Not in this shop, or no such handoff' },
  }),
  parcelLabel: route({
    method: 'get',
    path: '/commissions/{id}/parcels/{parcel}/label.pdf',
    summary: 'The label of a parcel',
    good: { status: 200, says: 'PDF', file: 'application/pdf' },
    bad: { 404: 'Not in this shop, or no such parcel in it' },
  }),
  readReply: route({
    method: 'post',
    path: '/commissions/{id}/replies/read',
    summary: 'Read a reply that a client sent as a file; nothing is kept of it',
    takesFile: true,
    good: { status: 200, says: 'The reply', json: ReplyFile },
    bad: { 404: 'Not in this shop' },
  }),
  clientReply: route({
    method: 'post',
    path: '/client/{token}/replies',
    summary: 'What a client says back: a question, or that a chapter was read; sent twice it is taken once',
    open: true,
    query: Which,
    body: ReplyBody,
    good: {
      status: 201,
      says: 'Taken, or there already',
      json: T.Object({ taken: T.Union([T.Literal('taken'), T.Literal('there')]) }, closed),
    },
    bad: { ...noLink, 409: 'Too many questions wait for an answer', 429: 'Too many at once' },
  }),
  clientPage: route({
    method: 'get',
    path: '/client/{token}',
    summary: 'A client’s page, frozen as last issued',
    open: true,
    query: Which,
    good: {
      status: 200,
      says: 'The newest document that was issued, or the one that the link came with; the numbers of both, and the chapters in which they differ',
      json: T.Object(
        {
          ...{ document: HandoffSchema, sabers: T.Array(Saber), media: T.Array(Photo) },
          ...{ given: T.Integer({ minimum: 1 }), newest: T.Integer({ minimum: 1 }), changed: T.Array(Text) },
        },
        closed,
      ),
    },
    bad: noLink,
  }),
  clientPdf: route({
    method: 'get',
    path: '/client/{token}/handoff.pdf',
    summary: 'The same as PDF, with the way back to the page',
    open: true,
    query: T.Object({ ...Which.properties, extent: T.Optional(Extent) }, closed),
    good: { status: 200, says: 'PDF', file: 'application/pdf' },
    bad: noLink,
  }),
  clientHtml: route({
    method: 'get',
    path: '/client/{token}/saber.html',
    summary: 'The same as one file that needs no server',
    open: true,
    query: Which,
    good: { status: 200, says: 'File', file: 'text/html' },
    bad: noLink,
  }),
  clientFile: route({
    method: 'get',
    path: '/client/{token}/media/{hash}',
    summary: 'A file of that record',
    open: true,
    good: { status: 200, says: 'File', file: 'application/octet-stream' },
    bad: noLink,
  }),
}
