import type { Lost } from '../../controls'
import { keyWords } from '../../record'
import type { WordsOf } from '../check'
import type * as rules from '../checks/controls'
import { listed } from '../text'

const LOST: Record<Lost, string> = {
  preset: 'Nothing leads to another preset',
  track: 'Nothing plays its tracks',
  volume: 'Nothing sets the volume',
  effect: 'Nothing calls it up',
}

/** What the checks of controls say, in the order of their names. */
export const controlsWords: WordsOf<typeof rules> = {
  boardSpace: {
    rule: 'Every control can be made by a hand and carried out, every mode reached and left, and whatever is set up called up.',
    says: {
      narrow: (p) => ({
        title: `A hand cannot keep “${p.row}”`,
        detail: `${p.presets.length ? `In ${listed(p.presets)}: it` : 'It'} counts between ${p.from} and ${p.to} ms; a hand needs ${p.hand} ms.`,
        remedy: 'Widen the time between it and the next.',
      }),
      never: (p) => ({
        title: `“${p.row}” can never be held right`,
        detail: `It counts from ${p.from} ms on, and has to be let go before ${p.to} ms.`,
        remedy: 'Correct one of the two times.',
      }),
      holdInTap: (p) => ({
        title: `The hold of “${p.row}” is still a tap`,
        detail: `It counts from ${p.from} ms on; a press is a tap up to ${p.tap} ms.`,
        remedy: 'Hold longer, or make the tap shorter.',
      }),
      overruled: (p) => ({
        title: `“${p.row}” is never carried out`,
        detail: p.by.length
          ? `Wherever it could be, ${listed(p.by.map((x) => `“${x}”`))} stands before it.`
          : 'Wherever it could be, another control stands before it.',
        remedy: 'Remove it, or limit the other one to a pose or a preset.',
      }),
      cutOff: (p) => ({
        title: `“${p.row}” is never reached`,
        detail: `The shorter hold of ${listed(p.by.map((x) => `“${x}”`))} has led elsewhere before.`,
        remedy: 'Let the shorter one be carried out when it is let go.',
      }),
      unreached: (p) => ({
        title: `Nothing leads to ${p.mode}`,
        detail: p.rows.length
          ? `What is said of it cannot be done: ${listed(p.rows)}.`
          : 'No control and no time-out leads there.',
        remedy: 'Record how to get there, or remove it.',
      }),
      noOff: () => ({
        title: 'No mode is off',
        detail: 'None of the recorded modes has the blade off.',
        remedy: 'Say which one it is.',
      }),
      round: (p) => ({
        title: 'It never comes to rest by itself',
        detail: `Left alone it goes round: ${[...p.modes, p.modes[0]].join(' → ')}.`,
        remedy: 'Correct where one of them leads.',
      }),
      choosesWhat: (p) => ({
        title: `What does ${p.mode} choose?`,
        detail: 'It is a menu, and nobody has said what is chosen in it.',
        remedy: 'Say it at the mode.',
      }),
      choosing: (p) => ({
        title: `How do you step through ${p.mode}?`,
        detail: 'No control steps through it, and it is not turned.',
        remedy: 'Record the control, or that it chooses by turning.',
      }),
      keeping: (p) => ({
        title: `How is a choice in ${p.mode} kept?`,
        detail: 'No control keeps it or closes the menu, and no time-out does.',
        remedy: 'Record the control that keeps it.',
      }),
      noWayTo: (p) => ({
        title: `${p.effects.length ? `${p.effects.map(keyWords).join(', ')}: nothing calls it up` : LOST[p.what]}${p.presets.length && !p.all ? ` in ${listed(p.presets)}` : ''}`,
        detail: 'It is recorded, and no control that can be reached leads to it.',
        remedy: 'Record the control, or remove what nobody can reach.',
      }),
      behind: (p) => ({
        title: p.why === 'gone' ? `“${p.row}” cannot be made` : `On the way to “${p.row}”: “${p.by}”`,
        detail:
          p.why === 'gone'
            ? `Held for ${p.from} ms, “${p.by}” has led elsewhere before a hand could go on.`
            : `It begins after ${p.from} ms of the same hold, and lasts as long as it is held.`,
        remedy:
          p.why === 'gone'
            ? `Hold longer for “${p.by}”, or give one of them another button.`
            : 'Give one of them another button, or another count.',
      }),
      ordered: (p) => ({
        title: `“${p.row}” and “${p.by}” are one chord`,
        detail: 'The same two buttons: pressed in the order that one of them asks for, both are meant.',
        remedy: 'Give both an order, or another gesture to one of them.',
      }),
      gapShort: (p) => ({
        title: `No hand taps again within ${p.gap} ms`,
        detail: `It is asked for by ${listed(p.rows.map((x) => `“${x}”`))}.`,
        remedy: 'Lengthen the pause between taps on the board, or correct what is recorded of it.',
      }),
      otherPreset: (p) => ({
        title: `“${p.row}” is never reached in its preset`,
        detail: `It is for ${listed(p.presets)}, and nothing leads to its mode there.`,
        remedy: 'Record how to get there, or give it to all presets.',
      }),
      bag: (p) => ({
        title: 'It can light in a bag',
        detail: `A motion alone is enough: ${listed(p.rows)}.`,
        remedy: 'Ask for a button with it, or tell the client how to keep it dark.',
      }),
    },
  },
  collision: {
    rule: 'No two controls share a mode, input, gesture and pose in one preset; holds on one button are as far apart as a hand keeps them, 0.4 s where nothing else is set.',
    says: {
      same: (p) => ({
        title: 'Two controls collide',
        detail: `${p.state}: “${p.gesture}” is both “${p.a}” and “${p.b}”.`,
        remedy: 'Give one of them another gesture, pose or count.',
      }),
      close: (p) => ({
        title: 'Two holds cannot be told apart',
        detail: `${p.state}: “${p.gesture}” is both “${p.a}” and “${p.b}” at ${p.holds[0]} s and ${p.holds[1]} s.`,
        remedy: `Move the holds at least ${p.hand} s apart.`,
      }),
    },
  },
  holdUnknown: {
    rule: 'A hold has a time read off the configuration.',
    says: {
      unknown: (p) => ({
        title: `How long is the hold for “${p.does}”?`,
        detail: `${p.state}: ${p.gesture}.`,
        remedy: 'Read it off the board’s configuration.',
      }),
    },
  },
  inputKind: {
    rule: 'What is pressed is a button, what is slid a slide, what is plugged a key.',
    says: {
      cannot: (p) => ({
        title: `${p.input} is a ${p.kind}, yet it is worked otherwise`,
        detail: `The control map says: ${p.gestures.join(', ')}.`,
        remedy: 'Correct its kind, or the gesture.',
      }),
    },
  },
  manyHolds: {
    rule: 'One button whose hold means four things or more needs its list in writing.',
    says: {
      many: (p) => ({
        title: `Holding the ${p.input.toLowerCase()} means ${p.count} things`,
        detail: 'They differ by state and time.',
        remedy: 'Print the controls card; show each in its own beat.',
      }),
    },
  },
  noIgnite: {
    rule: 'A saber with a board and a light has a control that lights it.',
    says: {
      nothing: () => ({
        title: 'Nothing ignites it yet',
        detail: 'The control map has no row that ignites.',
        remedy: 'Record the control.',
      }),
    },
  },
  noOff: {
    rule: 'Every mode leads back to off, in every preset; what sleeps can be woken.',
    says: {
      trap: (p) => ({
        title:
          (p.is === 'lit'
            ? 'Nothing turns it off'
            : p.is === 'asleep'
              ? 'Nothing wakes it'
              : `No way out of ${p.state}`) + (p.only.length ? ` in ${listed(p.only)}` : ''),
        detail: `No sequence of controls leads from ${p.state} back to off.`,
        remedy: 'Record the control that does it.',
      }),
    },
  },
  unsureControl: {
    rule: 'A control marked “not sure” is tried before it is shown or printed.',
    says: {
      unsure: (p) => ({
        title: `Not sure: ${p.does}`,
        detail: p.gesture,
        remedy: 'Try it on the saber, then mark it configured or remove it.',
      }),
    },
  },
}
