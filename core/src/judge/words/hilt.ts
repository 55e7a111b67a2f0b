import { keyMm } from '../../fit'
import { profileFaultText } from '../../geometry'
import { keyWords } from '../../record'
import { formatNumber, MAKER } from '../../units'
import type { WordsOf } from '../check'
import type * as rules from '../checks/hilt'
import type { Key } from '../checks/hilt/wrong-key'
import { listed, mm, unitText } from '../text'

const TAKEN = { thread: 'thread', key: 'key', purpose: 'what it holds' } as const

const worded = (p: { never: string; other: string }, why: string) => ({
  title: `${p.never} looks like ${p.other}`,
  detail: `${why}, and ${p.never} must not be touched.`,
  remedy: 'Say it in the walkthrough, or change the screw.',
})

const detail = (p: Key) => `${p.thread} ${p.head} screws take ${p.should} by the standard.`

/** What the checks of hilt say, in the order of their names. */
export const hiltWords: WordsOf<typeof rules> = {
  bladeHeld: {
    rule: 'Every socket says which screws hold its blade, unless turning holds it; every screw is for something.',
    says: {
      nothing: (p) => ({
        title: `${p.socket}: what holds the blade?`,
        detail: 'No retention screw is named.',
        remedy: 'Name the screw or screws that hold the blade.',
      }),
      unnamed: (p) => ({
        title: `${p.screw}: what does it hold?`,
        detail: 'No socket names it, and nothing else is said of it.',
        remedy: 'Name it at its socket, or say what it holds.',
      }),
      never: (p) => ({
        title: `${p.screw} holds the blade, yet is not to be touched`,
        detail: 'The client must be able to loosen what holds the blade.',
        remedy: 'Correct one of the two.',
      }),
    },
  },
  boreWall: {
    rule: 'A bore is smaller than the outside, and leaves a wall worth cutting.',
    says: {
      none: (p) => ({
        title: `${p.section}: the bore is wider than the outside`,
        detail: `Bore ${mm(p.bore)}, outside ${mm(p.outside)}.`,
        remedy: 'One of the two is wrong: measure again.',
      }),
      thin: (p) => ({
        title: `${p.section}: thin wall`,
        detail: `(${formatNumber(MAKER, p.outside)} − ${formatNumber(MAKER, p.bore)})/2 = ${mm(p.wall)} of ${p.material}.`,
        remedy: 'Check before a thread or a screw goes in.',
      }),
    },
  },
  hiltLength: {
    rule: 'The specification states the hilt’s length.',
    says: {
      unknown: () => ({
        title: 'The hilt’s length will print as “not recorded”',
        detail: 'A section has no length.',
        remedy: 'Measure it.',
      }),
    },
  },
  jointDepth: {
    rule: 'Two sections stand in each other by less than half the shorter one, no further than the thread is long, and let no more through than the bore of the one that goes in.',
    says: {
      deep: (p) => ({
        title: `${p.section} and ${p.next} cannot engage by ${mm(p.engagement)}`,
        detail: `The shorter of the two takes ${mm(p.most)} at most; no more is taken off the hilt’s length.`,
        remedy: 'Measure how far the end goes in.',
      }),
      thread: (p) => ({
        title: `${p.section} engages further than its thread is long`,
        detail: `${mm(p.engagement)} of ${mm(p.length)}.`,
        remedy: 'One of the two is wrong: measure again.',
      }),
      wide: (p) => ({
        title: `The joint of ${p.section} lets more through than the bore`,
        detail: `Ø ${mm(p.passes)} through the joint, Ø ${mm(p.bore)} in the ${p.inner}; the lesser one counts.`,
        remedy: 'One of the two is wrong: measure again.',
      }),
    },
  },
  loose: {
    rule: 'Screws loosened for the bench or the camera are tightened before shipping.',
    says: {
      loose: (p) => ({
        title: `${p.screw} is loose`,
        detail: 'Loosened for the bench or the camera.',
        remedy: 'Tighten it, then clear the mark.',
      }),
    },
  },
  modelFacts: {
    rule: 'What came from a model sheet is confirmed on this hilt.',
    says: {
      unconfirmed: (p) => ({
        title: `${p.count} ${p.count === 1 ? 'size comes' : 'sizes come'} from the model sheet`,
        detail: `Not confirmed on this hilt: ${p.owners.slice(0, 5).join(', ')}.`,
        remedy: 'Measure each one, or confirm it where it stands.',
      }),
    },
  },
  nameHints: {
    rule: 'A name may raise a question; what is judged is the field.',
    says: {
      sharp: (p) => ({
        title: `Is the ${p.name} sharp?`,
        detail: 'Its name says so, its record does not; the client is warned only by the record.',
        remedy: 'Say yes or no under Hilt.',
      }),
      material: (p) => ({
        title: `Is the ${p.name} of ${p.says} or of ${p.is}?`,
        detail: `Its name says ${p.says}, its record ${p.is}.`,
        remedy: 'Correct the one that is wrong.',
      }),
      facing: (p) => ({
        title: `${p.name}: which way does plus face?`,
        detail: `The landmark says “${p.landmark}”; the record turns it to the ${p.is}.`,
        remedy: 'Check the saber, and correct the one that is wrong before anybody puts a cell in.',
      }),
      resin: (p) => ({
        title: `Is ${p.name} made of resin?`,
        detail: 'Its name says so, its record does not; resin is brittle.',
        remedy: 'Choose its material under Fit.',
      }),
      converter: (p) => ({
        title: `Does ${p.name} convert the voltage?`,
        detail: 'Its name says so, its record does not; only the record counts for the pixels.',
        remedy: 'Say yes or no under Fit.',
      }),
    },
  },
  noSize: {
    rule: 'A size is more than nothing.',
    says: {
      nothing: (p) => ({
        title: `${p.owner}: ${keyWords(p.field)} ${mm(p.value)}`,
        detail: 'A size must be greater than zero.',
        remedy: 'Measure it, or empty the field until you have.',
      }),
    },
  },
  oddSize: {
    rule: 'A size far from any standard or plausible one is asked back with the nearest.',
    says: {
      size: ({ name, asked: { got, nearest } }) => ({
        title: `${name}: ${got}?`,
        detail: nearest ? `Nearest that would make sense: ${nearest.text}.` : 'Far from anything usual.',
        remedy: nearest ? `Is it ${nearest.text}? Correct it, or measure again.` : 'Measure again.',
      }),
      thread: ({ name, asked: { got, nearest } }) => ({
        title: `${name}: thread ${got}?`,
        detail: nearest ? `Nearest standard: ${nearest.text}.` : 'Not a thread this shop’s tables know.',
        remedy: nearest ? `Is it ${nearest.text}?` : 'Check the thread with a gauge.',
      }),
    },
  },
  openingPlace: {
    rule: 'Openings lie on the hilt and do not run into one another.',
    says: {
      off: (p) => ({
        title: `${p.opening} runs off the hilt`,
        detail: `It would lie from ${formatNumber(MAKER, p.from, 1)} to ${formatNumber(MAKER, p.to, 1)} of ${formatNumber(MAKER, p.length, 1)} mm.`,
        remedy: 'Correct its place or its length.',
      }),
      offFace: (p) => ({
        title: `${p.opening} runs off the rear face`,
        detail: `It reaches ${mm(p.reach)} from the axis; the face ends at ${mm(p.radius)}.`,
        remedy: 'Correct its distance from the axis or its length.',
      }),
      meet: (p) => ({
        title: `${p.a} and ${p.b} run into each other`,
        detail: `They share ${mm(p.along)} of length and ${mm(p.round)} round the hilt.`,
        remedy: `Move one by ${mm(Math.min(p.along, p.round))}.`,
      }),
    },
  },
  overClosing: {
    rule: 'A thread that nothing stops is locked, or leaves room for being closed too far.',
    says: {
      unknown: (p) => ({
        title: `${p.section}: nothing stops its thread`,
        detail: 'How far it can be closed past its place is not recorded.',
        remedy: 'Measure it, add a stop, or lock the thread.',
      }),
      presses: (p) => ({
        title: `${p.section} can be closed ${mm(p.travel)} too far`,
        detail: `The slack inside is ${mm(p.left + p.travel)}: it presses on what lies there.`,
        remedy: `A stop or a spacer of ${mm(p.travel)}, or lock the thread, and tell the client when to stop.`,
      }),
    },
  },
  profile: {
    rule: 'A profile runs from end to end of its section, forward, with the bore inside the outside.',
    says: {
      faults: (p) => ({
        title: `${p.section}: the profile does not hold`,
        detail: `${profileFaultText(p.first)}${p.more ? `, and ${p.more} more` : ''}.`,
        remedy: 'Drag or type the point to where it belongs.',
      }),
    },
  },
  sameKey: {
    rule: 'Two screws that take the same key, or one that goes into both, one of them not for the client, will be mixed up unless the client is told.',
    says: {
      dummy: (p) => worded(p, 'A dummy'),
      key: (p) =>
        worded(
          p,
          keyMm(p.keys[0]) === keyMm(p.keys[1])
            ? `Both take ${p.keys[0]}`
            : `A key of ${p.keys[0]} goes into one of ${p.keys[1]}`,
        ),
    },
  },
  screwPlace: {
    rule: 'A screw has a place of its own in the wall: a client finds it by the screw map.',
    says: {
      off: (p) => ({
        title: `${p.screw} is not on the hilt`,
        detail: `It is at ${mm(p.at)}; the hilt is ${mm(p.length)} long.`,
        remedy: 'Correct its place.',
      }),
      meet: (p) => ({
        title: `${p.a} and ${p.b} are in one place`,
        detail: 'Their threads cut into each other.',
        remedy: 'Correct the place of one of them, or remove the one that is not there.',
      }),
      inHole: (p) => ({
        title: `${p.screw} stands in ${p.opening}`,
        detail: 'Where an opening is cut no thread holds.',
        remedy: 'Correct the place of one of them.',
      }),
      nowhere: (p) => ({
        title: `${p.screw}: where is it?`,
        detail: 'Its distance from the pommel or its clock angle is not recorded; it is missing on the screw map.',
        remedy: 'Measure it, or set it on the drawing.',
      }),
    },
  },
  takenScrew: {
    rule: 'What the program took as usual when a screw was clicked in is told to nobody until somebody has looked.',
    says: {
      usual: (p) => ({
        title: `${p.screw}: ${listed(p.taken.map((t) => TAKEN[t]))} assumed, not checked`,
        detail: 'It was placed with a click, and nobody has checked the screw itself; none of it is printed.',
        remedy: 'Check it, and change it or confirm it.',
      }),
    },
  },
  unmeasured: {
    rule: 'Sections need a length, an outside and a bore before anything inside can be judged.',
    says: {
      noHilt: () => ({
        title: 'No hilt yet',
        detail: 'The drawing is empty: no section has been entered.',
        remedy: 'Add the sections from the pommel to the emitter.',
      }),
      section: (p) => ({
        title: `${p.section}: not measured`,
        detail: `${p.missing.join(', ')} not recorded; drawn dotted with an assumed size.`,
        remedy: 'Measure it, or enter the client’s or the drawing’s figure as such.',
      }),
    },
  },
  unusual: {
    rule: 'A figure far from what is met of its kind is looked at again: a comma, a unit or a digit may have slipped.',
    says: {
      range: (p) => ({
        title: `${p.owner}: ${keyWords(p.field.replace(/Ms$/, ''))} ${formatNumber(MAKER, p.value)}${unitText(p.unit)}`,
        detail: `Usually from ${formatNumber(MAKER, p.low)} to ${formatNumber(MAKER, p.high)}${unitText(p.unit)}.`,
        remedy: 'Check it, and correct it if a comma or a unit has slipped.',
      }),
      cell: (p) => ({
        title: `${p.cell}: ${mm(p.length)} long at ${mm(p.diameter)}`,
        detail: `${p.protected ? 'A protected cell' : 'A cell'} of this diameter is ${p.usual.map(([lo, hi]) => `${formatNumber(MAKER, lo)} to ${formatNumber(MAKER, hi)}`).join(', or ')} mm long.`,
        remedy: 'Measure it again; a cell that is too short does not touch.',
      }),
    },
  },
  wrongKey: {
    rule: 'A standard screw takes the key its standard names.',
    says: {
      other: (p) => ({
        title: `${p.screw}: key ${p.key}?`,
        detail: detail(p),
        remedy: `Is it ${p.should}? Try it on the bench.`,
      }),
      missing: (p) => ({
        title: `${p.screw}: key not recorded`,
        detail: detail(p),
        remedy: `Probably ${p.should}; try it and write it down.`,
      }),
    },
  },
}
