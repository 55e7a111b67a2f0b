import type { Finding } from '@nubrin/core/judge'
import type { Commission } from '@nubrin/core/record'
import { once } from '../base/once'
import { todayIso } from '../data'

const checks = once(() =>
  import('./judge-code').then((m) => ({
    rules: new Map(m.CHECKS.map((c) => [c.id, `${m.WORDS[c.id]!.rule} (${c.source})`])),
    judge: m.makeJudge(),
  })),
)

/** Fetches the checks, once; what could not be fetched is asked for again next time. */
export const fetchChecks = checks.fetch

/** What the checks say today; undefined while they have not come. */
export const judged = (record: Commission): Finding[] | undefined => checks.now()?.judge(record, todayIso())

/** The rule behind a finding and where it comes from. */
export const ruleOf = (check: string): string => checks.now()?.rules.get(check) ?? ''
