import { SOURCE_WORDS } from '../../facts'
import { keyWords } from '../../record'
import { workName } from '../../schedule'
import { dayText, formatNumber, MAKER } from '../../units'
import { large } from '../../words'
import type { WordsOf } from '../check'
import type * as rules from '../checks/record'
import type { DayOf } from '../checks/record/day-order'
import type { Asked } from '../checks/record/open-question'
import type { Unsure } from '../checks/record/recalled'
import { listed, saidText, unitText } from '../text'

const DAYS: Readonly<Record<DayOf, string>> = {
  ...{ ordered: 'ordered', asked: 'asked', answered: 'answered', told: 'told', accepted: 'accepted' },
  ...{ shipped: 'shipped', reported: 'reported', repaired: 'repaired', lost: 'lost', done: 'done' },
  ...{ cameBack: 'received', wentBack: 'sent back', promised: 'promised' },
}
const days = (n: number) => `${n} ${n === 1 ? 'day' : 'days'}`

const remedy = (p: Asked) => (p.askedOn ? 'Write the answer down when it comes.' : 'Ask, and note the day.')

const detail = (p: Asked) =>
  `“${p.text}”${p.askedOn ? ` Asked on ${dayText(MAKER, p.askedOn, 'near')}.` : ' Not asked yet.'}`

const said = (p: Unsure) => p.values.map((v) => `${keyWords(v.field)} about ${saidText(v.value, v.unit)}`).join(', ')

const sentence = (...said: string[]) => `${said.filter(Boolean).join(', ')}.`

/** What the checks of record say, in the order of their names. */
export const recordWords: WordsOf<typeof rules> = {
  arrivals: {
    rule: 'Every part the client sent is used, altered, left over or returned; none is unaccounted.',
    says: {
      unaccounted: (p) => ({
        title: `${p.what}: unaccounted`,
        detail: `${p.quantity} arrived, ${p.condition || 'condition not recorded'}.`,
        remedy: 'Say what became of it.',
      }),
      sum: (p) => ({
        title: `${p.what}: ${p.shared} of ${p.quantity} accounted for`,
        detail: `${p.quantity} came; what became of them adds up to ${p.shared}.`,
        remedy: 'Correct a count, or say what became of the rest.',
      }),
      undated: (p) => ({
        title: `${p.what}: condition without a day`,
        detail: 'How it came is written down before work begins, with the day.',
        remedy: 'Say when its condition was noted.',
      }),
      fault: (p) => ({
        title: `${p.what}: ${p.fault}`,
        detail: 'Noted on arrival; nobody has said what is to become of it.',
        remedy: 'Make it a to-do or a wish, or say why it is left.',
      }),
    },
  },
  before: {
    rule: 'What an older saber could do stays, or something is said to take its place.',
    says: {
      gone: (p) => ({
        title: `It can no longer ${p.what}`,
        detail: 'No replacement is recorded; the client will look for it.',
        remedy: 'Enter what replaces it, or “nothing, as asked”.',
      }),
    },
  },
  client: {
    rule: 'The record names its client.',
    says: {
      nameless: () => ({
        title: 'Whose saber is this?',
        detail: 'The client’s name is empty.',
        remedy: 'Enter it under Brief.',
      }),
    },
  },
  contradiction: {
    rule: 'Two values for one thing are a contradiction to settle.',
    says: {
      twoValues: (p) => ({
        title: `${p.owner}: two values for the ${keyWords(p.field)}`,
        detail: p.claims
          .map((c) => `${saidText(c.value, p.unit)} (${SOURCE_WORDS[c.source]}${c.with ? `, ${c.with}` : ''})`)
          .join(' against '),
        remedy: 'Check, and choose the right one; the other stays in its history.',
      }),
    },
  },
  deadline: {
    rule: 'The day of shipping is near or past.',
    says: {
      past: (p) => ({
        title: `${days(-p.days)} past its date`,
        detail: `Promised for ${dayText(MAKER, p.deadline, 'near')}.`,
        remedy: 'Tell the client a new date.',
      }),
      near: (p) => ({
        title: p.days === 0 ? 'Ships today' : `Ships in ${days(p.days)}`,
        detail: `Promised for ${dayText(MAKER, p.deadline, 'near')}.`,
        remedy: 'Settle the open issues.',
      }),
    },
  },
  impossible: {
    rule: 'A number is one that a saber can have.',
    says: {
      beyond: (p) => ({
        title: `${p.owner}: the ${keyWords(p.field)} cannot be ${Math.abs(p.value) > 1e6 ? p.value.toExponential(0) : formatNumber(MAKER, p.value)}${unitText(p.unit)}`,
        detail: 'No saber has such a value; nothing is computed or drawn from it.',
        remedy: 'Correct it: a sign, a comma or a unit has slipped.',
      }),
    },
  },
  keptAside: {
    rule: 'What an older file held wrongly is kept aside until somebody has looked at it.',
    says: {
      held: (p) => ({
        title: `${p.count} ${p.count === 1 ? 'value of the older file was' : 'values of the older file were'} kept aside`,
        detail: `${p.first} ${p.why}${p.count > 1 ? `, and ${p.count - 1} more` : ''}.`,
        remedy: 'Enter what still holds, then let the rest go under Brief.',
      }),
    },
  },
  losses: {
    rule: 'The client is told when a part was spoilt, made again or replaced.',
    says: {
      notTold: (p) => ({
        title: `The client was not told: ${p.what} ${p.how === 'remade' ? 'made again' : p.how}`,
        detail: 'It is printed once the client knows.',
        remedy: 'Tell the client and note the day.',
      }),
    },
  },
  openQuestion: {
    rule: 'A question to the client that blocks the handoff needs its answer.',
    says: {
      blocking: (p) => ({
        title: p.askedOn ? 'Waiting for the client' : 'The client has not been asked',
        detail: detail(p),
        remedy: remedy(p),
      }),
      open: (p) => ({ title: 'Open question', detail: detail(p), remedy: remedy(p) }),
    },
  },
  openRequest: {
    rule: 'Every wish is met, changed or declined before shipping, and the client is told; what is only offered waits.',
    says: {
      open: (p) => ({
        title: p.own ? 'An idea of your own is still open' : 'A wish is still open',
        detail: `“${p.text}”`,
        remedy: 'Say where it is met, or that it was changed or declined.',
      }),
      notTold: (p) => ({
        title: `The client was not told: wish ${p.status}`,
        detail: `“${p.text}”${p.answer ? `: ${p.answer}` : ''}`,
        remedy: 'Tell the client and note the day.',
      }),
      nowhere: (p) => ({
        title: 'A wish is met, but where?',
        detail: `“${p.text}”`,
        remedy: 'Link it to its place so that it can be shown.',
      }),
    },
  },
  recalled: {
    rule: 'What is remembered, believed or assumed prints as “about” until somebody has made sure.',
    says: {
      fromMemory: (p) => ({
        title: `${p.owner}: from memory`,
        detail: `${said(p)}. It prints as “about”.`,
        remedy: 'Measure it, or read it off a datasheet.',
      }),
      believed: (p) => ({
        title: `${p.owner}: only believed`,
        detail: `${said(p)}. It prints as what is believed.`,
        remedy: 'Find out, or leave it so; the client reads that nobody is sure.',
      }),
      assumed: (p) => ({
        title: `${p.owner}: only assumed`,
        detail: `${said(p)}. Nobody has checked it yet; it prints as assumed.`,
        remedy: 'Measure it, read it off a datasheet, or ask the client.',
      }),
    },
  },
  toDos: {
    rule: 'Work that stands against filming or shipping is done before that; what is promised for a day is done by it.',
    says: {
      open: (p) => ({
        title: p.what ? `${p.what}: ${p.text}` : p.text,
        detail: sentence(p.client ? 'For the client to do' : 'Not done yet', p.person, p.due && `by ${p.due}`),
        remedy: p.client ? 'Tell them, or do it in the shop.' : 'Do it and tick it off, or take it off the list.',
      }),
      late: (p) => ({
        title: `Late: ${p.what ? `${p.what}: ` : ''}${p.text}`,
        detail: sentence(`It was to be done by ${p.due}`, p.person),
        remedy: 'Do it and tick it off, or give it another day.',
      }),
    },
  },
  carried: {
    rule: 'What goes along with another does not carry it.',
    says: {
      circle: (p) => ({
        title: `${p.part} is fastened to itself`,
        detail: 'What it is fastened to is fastened to it.',
        remedy: 'Say which of them carries the other.',
      }),
    },
  },
  dayOrder: {
    rule: 'Nothing is answered before it was asked, told before it was ordered, repaired before it was reported.',
    says: {
      before: (p) => ({
        title: `${large(DAYS[p.then])} on ${dayText(MAKER, p.thenOn)}, before it was ${DAYS[p.first]}`,
        detail: `${p.of}: ${DAYS[p.first]} ${dayText(MAKER, p.firstOn)}.`,
        remedy: 'Correct one of the two days.',
      }),
    },
  },
  sameInOrder: {
    rule: 'People and editions of one order are told apart by name.',
    says: {
      people: (p) => ({
        title: `${p.name} is listed ${p.n} times among the people`,
        detail: 'Are they one person, or two?',
        remedy: 'Remove one, or add a surname.',
      }),
      edition: (p) => ({
        title: `Edition ${p.name} is used ${p.n === 2 ? 'twice' : `${p.n} times`}`,
        detail: listed(p.sabers),
        remedy: 'Give each saber a number of its own.',
      }),
    },
  },
  sameName: {
    rule: 'Presets, screws and inputs of one saber are told apart by name.',
    says: {
      presets: (p) => ({
        title: `${p.n} presets are called ${p.name}`,
        detail: 'Whoever hears the name cannot know which is meant.',
        remedy: 'Rename one of them.',
      }),
      screws: (p) => ({
        title: `${p.n} screws are called ${p.name}`,
        detail: 'Whoever reads the name cannot know which is meant.',
        remedy: 'Rename one of them by where it sits.',
      }),
      controls: (p) => ({
        title: `${p.n} inputs are called ${p.name}`,
        detail: 'Whoever reads the name cannot know which is meant.',
        remedy: 'Rename one of them by where it sits.',
      }),
    },
  },
  wishElsewhere: {
    rule: 'A wish is met at the saber that it was made for.',
    says: {
      elsewhere: (p) => ({
        title: `A wish for ${p.saber} is met at ${p.other}`,
        detail: `“${p.wish}”: ${p.what} of ${p.other}.`,
        remedy: 'Point to where it is met, or say which saber it was for.',
      }),
    },
  },
  uncredited: {
    rule: 'Whoever worked on it is named: who made what stands in the credits.',
    says: {
      work: (p) => ({
        title: `${p.who} worked on it and is not named`,
        detail: listed(p.did),
        remedy: 'Add who did what to the credits.',
      }),
    },
  },
  workLoop: {
    rule: 'Work waits for other work, and in the end for none.',
    says: {
      waits: (p) => ({
        title: p.works.length === 1 ? 'A piece of work waits for itself' : 'Work waits for itself in a circle',
        detail: `${[...p.works, p.works[0]!].map((w) => [w.text ? `“${w.text}”` : workName(w.kind), w.saber].filter(Boolean).join(' of ')).join(' waits for ')}.`,
        remedy: 'Remove one of these waits.',
      }),
    },
  },
  loggedHours: {
    rule: 'The hours that one person logs on a day fit into it.',
    says: {
      day: (p) => ({
        title: `${formatNumber(MAKER, p.hours, 1)} hours on ${dayText(MAKER, p.on, 'near')}${p.by ? ` by ${p.by}` : ''}`,
        detail: `More than ${p.most} hours in one day. Was a clock left running?`,
        remedy: 'Correct the hours in the log.',
      }),
    },
  },
}
