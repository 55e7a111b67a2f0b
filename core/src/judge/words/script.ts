import { bladeDifferenceText } from '../../fit'
import { troubleText } from '../../script'
import type { WordsOf } from '../check'
import type * as rules from '../checks/script'
import type { At } from '../checks/script/rehearsal'
import { listed } from '../text'

const MOVE = 'Move the beat, or add the one that leads to it.'

const worded = (title: string, remedy: string) => (p: At) => ({
  title: `Beat ${p.beat}: ${title}`,
  detail: troubleText(p.trouble),
  remedy,
})

/** What the checks of script say, in the order of their names. */
export const scriptWords: WordsOf<typeof rules> = {
  demoDiffers: {
    rule: 'When the blade shown is not the blade shipped, the film says so.',
    says: {
      other: (p) => ({
        title: 'The blade on film is not the one that ships',
        detail: `${p.differs.map(bladeDifferenceText).join('; ')}.`,
        remedy: 'Say it in the script: a beat that covers the bench’s blade.',
      }),
    },
  },
  neverTold: {
    rule: 'What must be told is derived from what was built; a gap is closed, or waived by name.',
    says: {
      noScript: (p) => ({
        title: 'No walkthrough yet',
        detail: `${p.topics} things must be told.`,
        remedy: 'Compose it from the record.',
      }),
      off: (p) => ({
        title: 'The script never says how to turn it off',
        detail: `Left out: ${p.gesture}.`,
        remedy: 'Add that beat.',
      }),
      gaps: ({ topics }) => ({
        title: `${topics.length} ${topics.length === 1 ? 'thing is' : 'things are'} not told`,
        detail: listed(topics),
        remedy: 'Add a beat, or waive it with a reason.',
      }),
    },
  },
  rehearsal: {
    rule: 'Every line of the script can be carried out on this saber, in this order.',
    says: {
      hold: worded('the hold is told wrong', 'Correct the words, or the board.'),
      said: worded('the words do not match the record', 'Correct the words, or show the other control.'),
      ends: worded('a film must not end like this', MOVE),
      impossible: worded('cannot be done here', MOVE),
    },
  },
  stale: {
    rule: 'What is said still holds: composed sentences are those that the record gives now, own words seem to have its colours and volumes.',
    says: {
      changed: ({ beats }) => ({
        title: beats.length === 1 ? `Beat ${beats[0]!.n} is out of date` : `${beats.length} beats are out of date`,
        detail: listed(beats.map((b) => `${b.n} says “${b.say}”, and the record now: “${b.now}”`)),
        remedy: 'Compose them again, or say it in your own words.',
      }),
      filmed: (p) => ({
        title: `The film of ${p.on} is out of date`,
        detail: listed([
          ...p.beats.map((b) => `beat ${b.n}, “${b.say}”`),
          ...(p.gone ? [`${p.gone} ${p.gone === 1 ? 'beat is' : 'beats are'} gone`] : []),
        ]),
        remedy: 'Film these again, or say in the record that comes with it what has changed.',
      }),
      gone: (p) => ({
        title: `Beat ${p.n} tells of what is gone`,
        detail: `“${p.say}”`,
        remedy: 'Remove the beat, or tell something else with it.',
      }),
      differs: (p) => ({
        title: `Said: ${p.said}. Recorded: ${p.is}`,
        detail: `“${p.text}”`,
        remedy: 'Correct the words, or the record.',
      }),
      unsure: (p) => ({
        title: `Said as sure: ${p.said}`,
        detail: `The record has it only as “about” (${p.of}). “${p.text}”`,
        remedy: 'Say “about”, or measure it.',
      }),
    },
  },
}
