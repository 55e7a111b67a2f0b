import { formatNumber, MAKER } from '../../units'
import type { WordsOf } from '../check'
import type * as rules from '../checks/proof'
import { listed } from '../text'

/** What the checks of proof say, in the order of their names. */
export const proofWords: WordsOf<typeof rules> = {
  untested: {
    rule: 'What is fitted and set up is tested once, after the last fix that touched it.',
    says: {
      proposed: ({ tests }) => ({
        title: `${tests.length} ${tests.length === 1 ? 'test is' : 'tests are'} suggested but not added`,
        detail: listed(tests),
        remedy: `Add ${tests.length === 1 ? 'it' : 'them'} under Proof.`,
      }),
      open: ({ tests }) => ({
        title: `${tests.length} ${tests.length === 1 ? 'test has' : 'tests have'} no reading`,
        detail: listed(tests),
        remedy: `Carry ${tests.length === 1 ? 'it' : 'them'} out.`,
      }),
      failed: (p) => ({
        title: `Failed: ${p.test}`,
        detail: `${p.last?.value === undefined ? (p.last?.text ?? 'failed') : `${formatNumber(MAKER, p.last.value)} ${p.unit}`}; wanted ${p.wanted}.`,
        remedy: 'Find the cause, record the repair, test again.',
      }),
      forbidden: (p) => ({
        title: `Passed, but out of limits: ${p.test}`,
        detail: `${formatNumber(MAKER, p.value)} ${p.unit} was read; the parts it passes, or what was promised, allow ${p.allowed}.`,
        remedy: 'Repair it, or correct the rating or the promise if that is wrong; then test again.',
      }),
      noRepair: (p) => ({
        title: `${p.saber} is here for repair, and no repair is recorded`,
        detail: 'Neither the cause nor what was done is known.',
        remedy: 'Record the cause and the repair; its test is suggested then.',
      }),
      changed: (p) => ({
        title: `Test again: ${p.test}`,
        detail: `Changed since its last reading: ${listed([...p.things, ...(p.gone ? [`${p.gone} that ${p.gone === 1 ? 'is' : 'are'} gone`] : [])])}.`,
        remedy: 'Repeat the test.',
      }),
      retest: (p) => ({
        title: `Test again: ${p.test}`,
        detail: 'It was repaired after the last reading.',
        remedy: 'Repeat the test.',
      }),
    },
  },
}
