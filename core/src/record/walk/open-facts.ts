import type { TSchema } from '@sinclair/typebox'
import { idOfStep, stepsOf } from '../ops'
import type { Commission } from '../schema/commission'
import { Saber } from '../schema/saber'
import { type FactPlace, factPaths } from './places'

/** Why a fact lies on the desk, what presses most first. */
export const OPEN_BECAUSE = ['contradicted', 'unknown', 'recalled', 'believed', 'client', 'assumed'] as const
export type OpenBecause = (typeof OPEN_BECAUSE)[number]

/** A fact that is not settled: which saber's, where it stands, and why. */
export interface OpenFact extends FactPlace {
  saber: string
  because: OpenBecause
}

/**
 * Every fact of an order that is contradicted, unknown, or stands on nobody's word but memory, belief or assumption; the
 * most pressing kind first, within it in the order of the record.
 */
export function openFacts(c: Commission): OpenFact[] {
  const all = c.sabers.flatMap((s) =>
    factPaths(s).flatMap((p): OpenFact[] => {
      const { value, source, rivals } = p.fact
      const because = rivals?.length
        ? 'contradicted'
        : value === null
          ? 'unknown'
          : OPEN_BECAUSE.find((b) => b === source)
      return because ? [{ ...p, saber: s.id, because }] : []
    }),
  )
  return OPEN_BECAUSE.flatMap((b) => all.filter((p) => p.because === b))
}

/** The schema of what stands at a path by identity inside a saber, `/parts/@p1/specs/length`; undefined where there is none. */
export function schemaAt(path: string): TSchema | undefined {
  let at: TSchema | undefined = Saber
  for (const step of stepsOf(path)) at = (idOfStep(step) ? at?.items : at?.properties?.[step]) as TSchema | undefined
  return at
}

/** What a choice may be, as its schema says; none for what is no choice. */
export function choicesAt(path: string): string[] {
  const schema = schemaAt(path)
  if (schema?.['x-fact'] !== 'choice') return []
  const value = schema.properties.value.anyOf as TSchema[]
  return value.flatMap((v) =>
    ((v.anyOf ?? [v]) as TSchema[]).flatMap((x) => (x.const === undefined ? [] : [String(x.const)])),
  )
}
