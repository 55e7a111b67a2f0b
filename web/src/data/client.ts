import { API, type Api, type BodyOf, type GoodOf, type ParamsOf, type QueryOf, type RouteName } from '@nubrin/core/api'
import type { Problem } from '@nubrin/core/record'

/** A refusal from the server: what is wrong, which field, which rule. Status 0 means the server did not answer. */
export class ApiError extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly problems: Problem[] = [],
    readonly body: Record<string, unknown> = {},
  ) {
    super(message)
  }
}

let csrf = ''
export const setCsrf = (token: string) => {
  csrf = token
}

type Ask<K extends RouteName> = (keyof ParamsOf<Api[K]> extends never
  ? { params?: never }
  : { params: ParamsOf<Api[K]> }) &
  (BodyOf<Api[K]> extends undefined ? { body?: never } : { body: BodyOf<Api[K]> }) & {
    query?: QueryOf<Api[K]>
    file?: File
  }

/** The address of a route. */
export function urlOf(name: RouteName, ask: { params?: object; query?: object } = {}): string {
  const path = API[name].path.replace(/\{(\w+)\}/g, (_m, p: string) =>
    encodeURIComponent(String((ask.params as Record<string, unknown> | undefined)?.[p])),
  )
  const query = new URLSearchParams(
    Object.entries(ask.query ?? {}).flatMap(([k, v]) => (v === undefined ? [] : [[k, String(v)]])),
  ).toString()
  return `/api${path}${query ? `?${query}` : ''}`
}

/** Asks the server by the name of a route; what is sent and what comes back have the route's own types. Throws ApiError for every refusal. */
export async function call<K extends RouteName>(name: K, ask: Ask<K>): Promise<GoodOf<Api[K]>> {
  const form = ask.file ? new FormData() : undefined
  if (ask.file) form!.append('file', ask.file)
  let res: Response
  try {
    res = await fetch(urlOf(name, ask as { params?: object; query?: object }), {
      method: API[name].method.toUpperCase(),
      headers: {
        ...(csrf ? { 'x-csrf-token': csrf } : {}),
        ...(ask.body !== undefined ? { 'content-type': 'application/json' } : {}),
      },
      ...(form ? { body: form } : ask.body === undefined ? {} : { body: JSON.stringify(ask.body) }),
    })
  } catch {
    throw new ApiError(0, 'The server does not answer.')
  }
  if (res.status === 204) return undefined as GoodOf<Api[K]>
  const data = (await res.json().catch(() => ({}))) as Record<string, unknown>
  if (!res.ok)
    throw new ApiError(res.status, String(data.detail ?? res.statusText), (data.problems ?? []) as Problem[], data)
  return data as GoodOf<Api[K]>
}

/** A refusal with its first fields and rules, in a line. */
export const refusalText = (e: unknown): string => {
  const err = e as ApiError
  const fields = (err.problems ?? [])
    .slice(0, 3)
    .map((p) => `${p.path}: ${p.message}${p.got ? ` (${p.got})` : ''}`)
    .join('; ')
  return `${err.message}${fields ? ` ${fields}` : ''}`
}
