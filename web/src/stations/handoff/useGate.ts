import { gateOf } from '@nubrin/core/judge'
import { useBench } from '../../store/commission'

/** What stands against shipping; undefined while the checks have not looked. */
export function useGate() {
  const findings = useBench((b) => b.findings)
  const judged = useBench((b) => b.judged === 'yes')
  return judged ? gateOf(findings) : undefined
}
