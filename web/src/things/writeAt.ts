import { stepsOf } from '@nubrin/core/record/ops'

/** Writes what stands where an identity path leads; nothing when its thing is gone. */
export function writeAt<T>(root: unknown, path: string, next: (old: T) => T): void {
  const steps = stepsOf(path)
  const last = steps.pop()!
  let at = root as Record<string, unknown> | undefined
  for (const s of steps)
    at = (
      s.startsWith('@') ? (at as unknown as { id: string }[])?.find((x) => x.id === s.slice(1)) : at?.[s]
    ) as typeof at
  if (at) at[last] = next(at[last] as T)
}
