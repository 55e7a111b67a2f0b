/** Code, or what is made of it, that comes when it is first asked for. */
export interface Once<T> {
  /** What could not be fetched is asked for again next time. */
  fetch: () => Promise<T>
  /** What has come; undefined until then. */
  now: () => T | undefined
}

/** Fetches something at the first asking, and once. */
export function once<T>(load: () => Promise<T>): Once<T> {
  let coming: Promise<T> | undefined
  let come: T | undefined
  return {
    now: () => come,
    fetch() {
      coming ??= load().then(
        (got) => {
          come = got
          return got
        },
        (e) => {
          coming = undefined
          throw e
        },
      )
      return coming
    },
  }
}
