import type { CataloguePart } from '@nubrin/core/parts'
import type { Commission, Problem } from '@nubrin/core/record'

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

/** Sends one request to the API and gives its JSON; throws ApiError for every refusal. */
export async function api<T>(method: string, path: string, body?: unknown): Promise<T> {
  const form = body instanceof FormData
  let res: Response
  try {
    res = await fetch(`/api${path}`, {
      method,
      headers: {
        ...(csrf ? { 'x-csrf-token': csrf } : {}),
        ...(body !== undefined && !form ? { 'content-type': 'application/json' } : {}),
      },
      ...(body === undefined ? {} : { body: form ? body : JSON.stringify(body) }),
    })
  } catch {
    throw new ApiError(0, 'The server does not answer.')
  }
  if (res.status === 204) return undefined as T
  const data = (await res.json().catch(() => ({}))) as Record<string, unknown>
  if (!res.ok)
    throw new ApiError(res.status, String(data.detail ?? res.statusText), (data.problems ?? []) as Problem[], data)
  return data as T
}

export interface Person {
  id: string
  name: string
  shop: string
}
export interface Saved {
  record: Commission
  revision: number
  savedAt: string
  savedBy: string
}

let parts: Promise<CataloguePart[]> | undefined
/** The catalogue, fetched once a visit. */
export const catalogue = (): Promise<CataloguePart[]> => {
  parts ??= api<CataloguePart[]>('GET', '/parts').catch((e) => {
    parts = undefined
    throw e
  })
  return parts
}

/** Puts one part on the shelf, or changes it. */
export async function keepPart(part: CataloguePart): Promise<void> {
  const { id, ...body } = part
  await api('PUT', `/parts/${id}`, body)
  parts = undefined
}
export async function dropPart(id: string): Promise<void> {
  await api('DELETE', `/parts/${id}`)
  parts = undefined
}

/** Brings a CSV or JSON file in; with `good` the rows without a fault, else all or none. */
export async function importParts(file: File, good: boolean): Promise<{ rows: number; taken: number; faults: number }> {
  const form = new FormData()
  form.append('file', file)
  const r = await api<{ rows: number; taken: number; faults: number }>(
    'POST',
    `/parts/import${good ? '?take=good' : ''}`,
    form,
  )
  parts = undefined
  return r
}

/** Uploads one file; gives its hash, type and size. */
export function uploadFile(file: File): Promise<{ hash: string; type: string; bytes: number; name: string }> {
  const form = new FormData()
  form.append('file', file)
  return api('POST', '/media', form)
}

export const freshId = () => crypto.randomUUID().replaceAll('-', '').slice(0, 14)
export const todayIso = () => new Date().toISOString().slice(0, 10)
