type Said<T, K extends keyof T> = Exclude<T[K], undefined>
/** The fields of a thing that hold a value of a sort. */
type KeysOf<T, V> = { [K in keyof T]-?: Exclude<T[K], undefined> extends V ? K : never }[keyof T]

/**
 * The fields of a thing as cells take them: what stands there, and an edit that writes it. What is emptied is taken out of the
 * thing rather than left in it as nothing. For a field that may not be missing, `choice` or `given`. The edit is told which field it is,
 * and so is the cell, where one is led to it.
 */
export function bound<T extends object>(of: T, set: (run: (x: T) => void, key: string) => void) {
  const put = <K extends keyof T>(key: K, v: T[K] | undefined) =>
    set((x) => {
      if (v === undefined) delete x[key]
      else x[key] = v
    }, String(key))
  return {
    put,
    /** Words; blank ones are none. */
    text: <K extends KeysOf<T, string>>(key: K) => ({
      field: String(key),
      value: String(of[key] ?? ''),
      onCommit: (v: string) => put(key, v.trim() ? (v as T[K]) : undefined),
    }),
    /** One of some choices, which is always said. */
    choice: <K extends keyof T>(key: K) => ({ field: String(key), value: of[key], onCommit: (v: T[K]) => put(key, v) }),
    /** One of some choices, or none, which is ''. */
    maybe: <K extends KeysOf<T, string>>(key: K) => ({
      field: String(key),
      value: (of[key] ?? '') as Said<T, K> | '',
      onCommit: (v: Said<T, K> | '') => put(key, (v || undefined) as T[K] | undefined),
    }),
    /** Set, or not there. */
    tick: <K extends KeysOf<T, boolean>>(key: K) => ({
      field: String(key),
      checked: of[key] === true,
      onChange: (on: boolean) => put(key, (on || undefined) as T[K] | undefined),
    }),
    /** A value with its source, an amount: what the cell gives is what stands there. */
    given: <K extends keyof T>(key: K) => ({
      ...{ field: String(key), value: of[key] },
      onCommit: (v: Said<T, K>) => put(key, v),
    }),
    day: <K extends KeysOf<T, string>>(key: K) => ({
      field: String(key),
      value: of[key] as string | undefined,
      onCommit: (iso: string | undefined) => put(key, iso as T[K] | undefined),
    }),
    number: <K extends KeysOf<T, number>>(key: K) => ({
      field: String(key),
      value: of[key] as number | undefined,
      onCommit: (n: number | undefined) => put(key, n as T[K] | undefined),
    }),
  }
}
