import type { Finding } from '@nubrin/core/judge'
import type { Commission } from '@nubrin/core/record'
import { todayIso } from '../data'

let rules: ReadonlyMap<string, string> = new Map()
let judge: ((record: Commission, today: string) => Finding[]) | undefined
let coming: Promise<void> | undefined

/** Fetches the checks, once; what could not be fetched is asked for again next time. */
export function fetchChecks(): Promise<void> {
  coming ??= import('./judge-code').then(
    (m) => {
      rules = new Map(m.CHECKS.map((c) => [c.id, `${c.rule} (${c.source})`]))
      judge = m.makeJudge()
    },
    (e) => {
      coming = undefined
      throw e
    },
  )
  return coming
}

/** What the checks say today; undefined while they have not come. */
export const judged = (record: Commission): Finding[] | undefined => judge?.(record, todayIso())

/** The rule behind a finding and where it comes from. */
export const ruleOf = (check: string): string => rules.get(check) ?? ''
