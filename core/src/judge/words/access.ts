import { MAKER } from '../../units'
import { say } from '../../words'
import type { WordsOf } from '../check'
import type * as rules from '../checks/access'
import { listed } from '../text'

/** What the checks of access say, in the order of their names. */
export const accessWords: WordsOf<typeof rules> = {
  acts: {
    rule: 'The steps of a client can be carried out one after another on this saber, and say what they do.',
    says: {
      refused: (p) => ({
        title: `${say(MAKER, 'task', { task: p.task })}: step ${p.n} cannot be done`,
        detail: `“${p.text}”: ${p.why}.`,
        remedy: 'Draft the steps again, or put the missing one before it.',
      }),
      stale: (p) => ({
        title: `${say(MAKER, 'task', { task: p.task })}: step ${p.n} is out of date`,
        detail: `It says “${p.text}”, and the record now: “${p.now}”.`,
        remedy: 'Draft the steps again, or say it in your own words.',
      }),
    },
  },
  bladeSteps: {
    rule: 'The steps put a blade into every socket, and tighten what holds it.',
    says: {
      untightened: (p) => ({
        title: `${p.socket}: the blade is put in and never tightened`,
        detail: 'Screws hold it, and no step turns one of them tight.',
        remedy: 'Add the step that tightens them, and a pull check.',
      }),
      unserved: (p) => ({
        title: `${p.socket}: no step puts its blade in`,
        detail: 'The steps speak of the other sockets only.',
        remedy: 'Add its steps, or draft them again from the drawing.',
      }),
    },
  },
  consent: {
    rule: 'What cannot be undone is done only with the client’s consent.',
    says: {
      unasked: (p) => ({
        title: `${say(MAKER, 'task', p)}: one step cannot be undone`,
        detail: `“${p.text}”`,
        remedy: 'Ask the client, and note at the step who agreed and when.',
      }),
      decided: (p) => ({
        title: 'Decided, and not to be undone',
        detail: `“${p.chose}”`,
        remedy: 'Ask the client, and note at the decision who agreed and when.',
      }),
    },
  },
  noSteps: {
    rule: 'Every task the build calls for has its steps.',
    says: {
      none: ({ tasks }) => ({
        title:
          tasks.length === 1
            ? `${say(MAKER, 'task', { task: tasks[0]! })}: no steps`
            : `${tasks.length} tasks have no steps`,
        detail: `${tasks.length === 1 ? '' : `${listed(tasks.map((task) => say(MAKER, 'task', { task })))}. `}The client will have to do this alone.`,
        remedy: 'Draft the steps from the drawing, then try them on the saber.',
      }),
    },
  },
  otherPole: {
    rule: 'A cell that goes in the other way round than in the saber before it of the same order is said first.',
    says: {
      differs: (p) => ({
        title: `The cell goes in the other way round than in ${p.other}`,
        detail: `Plus looks to the ${p.here} here, to the ${p.there} there; a hand does what it has learnt.`,
        remedy: 'Turn it round, or say it first, in the film and on paper.',
      }),
    },
  },
  poles: {
    rule: 'A cell that is pushed in along its axis leads with the pole that lies away from the opening; words, acts and record say the same.',
    says: {
      against: (p) => ({
        title: `${p.cell}: ${p.leads} first would lie the wrong way round`,
        detail: `It goes in at the ${p.from} end, and its plus pole looks to the ${p.plus}.`,
        remedy: 'Look which way it lies, and correct one of the two.',
      }),
      step: (p) => ({
        title: `${say(MAKER, 'task', { task: p.task })}, step ${p.n}: ${p.leads} first is the wrong way round`,
        detail: `What is recorded of ${p.cell} says otherwise.`,
        remedy: 'Correct the step, or what is recorded of the cell.',
      }),
    },
  },
  retightened: {
    rule: 'A screw loosened to put the blade in is tightened again in the same task.',
    says: {
      never: (p) => ({
        title: `Put the blade in: ${p.screw} is never tightened`,
        detail: 'The steps loosen it and end.',
        remedy: 'Add the tightening step and a pull check.',
      }),
    },
  },
  stepGone: {
    rule: 'A step points to a place that exists, and never to a screw the client must leave alone.',
    says: {
      nowhere: (p) => ({
        title: `${say(MAKER, 'task', p)}: a step points nowhere`,
        detail: `“${p.text}”`,
        remedy: 'Choose its place again.',
      }),
      forbidden: (p) => ({
        title: `${say(MAKER, 'task', p)} turns ${p.screw}`,
        detail: `The screw map says it must not be touched. “${p.text}”`,
        remedy: 'Correct the step or the screw map.',
      }),
    },
  },
}
