import type { Static, TObject, TSchema } from '@sinclair/typebox'

/** What a status code brings: JSON of a schema, a file, or nothing. */
type Answer = { says: string; json: TSchema } | { says: string; file: string } | { says: string; empty: true }

/**
 * One route of the API: the server checks requests and answers against it, the document is made from it, and the client is
 * typed by it. `open` needs no sign-in. The codes 401, 403, 413 and 422 follow from the rest.
 */
export interface Route {
  method: 'get' | 'post' | 'patch' | 'put' | 'delete'
  path: string
  summary: string
  open?: true
  /** The least that somebody must be; otherwise looking is for everybody of the shop and changing for helpers. */
  needs?: 'owner' | 'maker' | 'helper' | 'viewer'
  query?: TObject
  body?: TSchema
  /** The body is a form with one file. */
  takesFile?: true
  /** The good answer. */
  good: { status: 200 | 201 | 204 } & Answer
  /** Refusals beside the usual ones, by status. */
  bad?: Readonly<Record<number, string>>
}
export const route = <const R extends Route>(r: R): R => r

type Names<P extends string> = P extends `${string}{${infer N}}${infer Rest}` ? N | Names<Rest> : never
/** The parameters in a route's path. */
export type ParamsOf<R extends Route> = { [N in Names<R['path']>]: string }
export type QueryOf<R extends Route> = R['query'] extends TObject ? Static<R['query']> : Record<never, never>
export type BodyOf<R extends Route> = R['body'] extends TSchema ? Static<R['body']> : undefined
export type GoodOf<R extends Route> = R['good'] extends { json: infer S extends TSchema } ? Static<S> : undefined

/** The names in a path, in order. */
export const paramNames = (path: string): string[] => [...path.matchAll(/\{(\w+)\}/g)].map((m) => m[1]!)
