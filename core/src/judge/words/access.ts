import { WHY_UNUSED } from '../../access'
import type { GoalKind } from '../../record'
import { MAKER } from '../../units'
import { say, whether } from '../../words'
import type { WordsOf } from '../check'
import type * as rules from '../checks/access'
import { listed } from '../text'

const VERBS: Readonly<Record<string, string>> = {
  ...{
    loosen: 'loosen',
    remove: 'take out',
    tighten: 'tighten',
    takeOff: 'take off',
    putOn: 'put on',
    cut: 'cut with',
  },
  ...{ restore: 'switch on', plugIn: 'plug into', unplug: 'unplug from', pullCheck: 'pull at', own: '' },
}
/** An act as it is known again, in words. */
const actText = (x: { verb: string; what: string }) =>
  `${VERBS[x.verb] ?? x.verb} ${x.what || 'an act of your own'}`.trim()

/** What came, what went, and what only goes another way. */
function whatChanged(came: readonly string[], gone: readonly string[]): string {
  const part = (what: string, list: readonly string[]) => (list.length ? `${what}: ${listed([...new Set(list)])}.` : '')
  const [only, lost] = [came.filter((x) => !gone.includes(x)), gone.filter((x) => !came.includes(x))]
  const other = came.filter((x) => gone.includes(x))
  const parts = [part('New', only), part('Gone', lost), part('Another way', other)].filter(Boolean)
  return parts.join(' ') || 'The same acts in another order.'
}

/** A goal in the maker's words, named where there are several of its kind. */
const goalOf = (g: { kind: GoalKind; name: string; several: boolean }) =>
  say(MAKER, 'goal', { goal: g.kind, name: g.name, several: whether(g.several) })
const plain = (kind: GoalKind) => ({ kind, name: '', several: false })

/** What the checks of access say, in the order of their names. */
export const accessWords: WordsOf<typeof rules> = {
  saidTurn: {
    rule: 'Words of a step turn the way its thread turns, and slide a switch one way for on and the other for off.',
    says: {
      against: (p) => ({
        title: `${p.what} turns ${p.way} here`,
        detail: `Said: “${p.text}”.`,
        remedy: 'Correct the words, or which hand the thread is.',
      }),
      sameWay: (p) => ({
        title: `${p.name || 'The switch'} slides to the ${p.end} for on and for off`,
        detail: `Said: “${p.text}”.`,
        remedy: 'Correct one of the two.',
      }),
    },
  },
  consent: {
    rule: 'What cannot be undone is done only with the client’s consent.',
    says: {
      unasked: (p) => ({
        title: `${goalOf(plain(p.goal))}: one step cannot be undone`,
        detail: `“${p.text}”`,
        remedy: 'Ask the client, and note at the step who agreed and when.',
      }),
      decided: (p) => ({
        title: 'A decision that cannot be undone',
        detail: `“${p.chose}”`,
        remedy: 'Ask the client, and note at the decision who agreed and when.',
      }),
    },
  },
  otherPole: {
    rule: 'A cell that goes in the other way round than in the saber before it of the same order is said first.',
    says: {
      differs: (p) => ({
        title: `The cell goes in the other way round than in ${p.other}`,
        detail: `Plus faces the ${p.here} here, the ${p.there} there; out of habit it will be put in the wrong way round.`,
        remedy: 'Turn it round, or say it first, in the film and on paper.',
      }),
    },
  },
  poles: {
    rule: 'A cell that is pushed in along its axis leads with the pole that lies away from the opening; words, acts and record say the same.',
    says: {
      against: (p) => ({
        title: `${p.cell}: ${p.leads} first would lie the wrong way round`,
        detail: `It goes in at the ${p.from} end, and its plus pole faces the ${p.plus}.`,
        remedy: 'Check which way it lies, and correct one of the two.',
      }),
      step: (p) => ({
        title: `${goalOf(plain(p.goal))}, step ${p.n}: ${p.leads} first is the wrong way round`,
        detail: `What is recorded of ${p.cell} says otherwise.`,
        remedy: 'Correct the step, or what is recorded of the cell.',
      }),
    },
  },
  procedures: {
    rule: 'Every way that a client goes can be gone on this saber, has been looked through with it in hand, and uses what is said of it.',
    says: {
      blocked: (p) => ({
        title: `${goalOf(p.goal)}: there is no way`,
        detail: p.why.join(' ') || 'Nothing leads there.',
        remedy: 'Say at the joint how it comes off, or who may open it.',
      }),
      unseen: ({ goals }) => ({
        title:
          goals.length === 1
            ? `${goalOf(goals[0]!)}: not gone through yet`
            : `${goals.length} procedures not gone through yet`,
        detail: `${goals.length === 1 ? '' : `${listed(goals.map(goalOf))}. `}They are drafted from the drawing.`,
        remedy: 'Go through each with the saber in hand, and say so.',
      }),
      changed: (p) => ({
        title: `${goalOf(p.goal)}: changed since ${p.who} went through it`,
        detail: whatChanged(p.came.map(actText), p.gone.map(actText)),
        remedy: 'Go through it once more, and say so.',
      }),
      unused: (p) => ({
        title: `${goalOf(p.goal)}: some of your words are no longer used`,
        detail: `“${p.text || (p.act ? actText(p.act) : '')}”: ${WHY_UNUSED[p.why]}.`,
        remedy: 'Move it to the act that is there now, or remove it.',
      }),
      unsaid: (p) => ({
        title: `${p.what}: which way round is not recorded`,
        detail: `${goalOf(p.goal)} cannot tell it, and says that one has to ask.`,
        remedy: 'Record which end plus faces, or which pole goes in first.',
      }),
      lost: (p) => ({
        title: `${goalOf(plain(p.goal))}: your words for it have no place any more`,
        detail: `${p.n === 1 ? 'One thing is' : `${p.n} things are`} kept that nothing on this saber calls for.`,
        remedy: 'Fit what it was about, or remove it.',
      }),
    },
  },
  stepGone: {
    rule: 'A step points to a place that exists, and never to a screw the client must leave alone.',
    says: {
      nowhere: (p) => ({
        title: `${goalOf(plain(p.goal))}: a step points nowhere`,
        detail: `“${p.text}”`,
        remedy: 'Choose its place again.',
      }),
      forbidden: (p) => ({
        title: `${goalOf(plain(p.goal))} turns ${p.screw}`,
        detail: `The screw map says it must not be touched. “${p.text}”`,
        remedy: 'Correct the step or the screw map.',
      }),
    },
  },
}
