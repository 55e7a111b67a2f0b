import { missingText } from '../../facts'
import { FAR_LED_VOLTS } from '../../power'
import { keyWords } from '../../record'
import { formatNumber, MAKER } from '../../units'
import type { WordsOf } from '../check'
import type * as rules from '../checks/power'
import type { Over } from '../checks/power/over-rating'
import { MOST_VOLTS } from '../checks/power/wire-drop'
import { amps, listed, mm } from '../text'

const REMEDY = 'Fit the next size, or limit the brightness on the board and enter it as configured.'

const worded = (p: Over, how: string) => ({
  title: `${p.name}: ${amps(p.share * p.rated)}${how}, rated ${amps(p.rated)}`,
  detail: `${formatNumber(MAKER, p.share * 100, 0)} % of its rating${p.looks.length ? ` in ${listed(p.looks)}` : ''}.`,
})

const title = (p: { days: number }) => `Asleep in a drawer: empty in ${formatNumber(MAKER, p.days, 0)} days`

/** What the checks of power say, in the order of their names. */
export const powerWords: WordsOf<typeof rules> = {
  configuredPixels: {
    rule: 'The board is set to as many pixels as the blade has along its length.',
    says: {
      differs: (p) => ({
        title: `${p.blade}: set to ${formatNumber(MAKER, p.set, 0)} pixels, it has ${formatNumber(MAKER, p.has, 0)}`,
        detail:
          p.set < p.has
            ? 'The tip stays dark.'
            : 'The blade fills too late, and retracts as if it were longer than it is.',
        remedy: 'Set the board to the blade, or correct what is recorded of it.',
      }),
    },
  },
  cutOff: {
    rule: 'How the power is cut agrees with what is fitted.',
    says: {
      missing: (p) => ({
        title: `No ${keyWords(p.needs)} is fitted`,
        detail: `The record cuts power by ${keyWords(p.way)}.`,
        remedy: 'Add the part, or choose another way.',
      }),
      noSleep: (p) => ({
        title: 'Power is said to be cut by deep sleep',
        detail: `What ${p.board} draws in deep sleep is not recorded: it is not known to have one.`,
        remedy: 'Enter its deep-sleep current, or choose another way.',
      }),
      unused: (p) => ({
        title: 'A way to cut power is fitted but not named',
        detail: `The record says: ${p.way === 'none' ? 'nothing cuts the power' : keyWords(p.way)}.`,
        remedy: 'Choose it under Power.',
      }),
    },
  },
  farLed: {
    rule: `The last pixel keeps ${FAR_LED_VOLTS} V with a half-charged cell in every preset whose colour has green or blue in it.`,
    says: {
      sags: (p) => ({
        title: `${p.blade}: ${formatNumber(MAKER, p.volts)} V at the last pixel`,
        detail: `In ${listed(p.presets)}, half charged; its ${p.dies.join(' and ')} dies want ${FAR_LED_VOLTS} V, so the tip shifts in colour.`,
        remedy: 'Feed the strip at both ends, thicker wire, or less brightness.',
      }),
    },
  },
  fittedResistor: {
    rule: 'A fitted resistor has the value that one of the LEDs wants, or the next higher ones; none lets more through than its LED takes.',
    says: {
      wrong: (p) => ({
        title: `${p.resistor}: ${formatNumber(MAKER, p.ohms)} Ω suits none of the LEDs`,
        detail: `Wanted: ${listed(p.wanted)}.`,
        remedy: 'Fit the right one, or correct its value.',
      }),
      over: (p) => ({
        title: `${p.resistor}: ${formatNumber(MAKER, p.ohms)} Ω lets too much through`,
        detail: `With a full cell ${formatNumber(MAKER, p.times)} times what ${p.led} takes. Wanted: ${listed(p.wanted)}.`,
        remedy: 'Fit the right one, or correct its value; do not switch it on before.',
      }),
    },
  },
  chargeCurrent: {
    rule: 'No cell is charged with more current than it takes: what the charge circuit gives, whatever supply feeds it.',
    says: {
      over: (p) => ({
        title: `${p.charger} gives ${p.cell} more than it takes`,
        detail: `${formatNumber(MAKER, p.amps)} A reach a cell that takes ${formatNumber(MAKER, p.most)} A: it heats, ages, and may vent.`,
        remedy: 'Set the charge circuit lower, take a weaker charger, or a cell whose datasheet allows it.',
      }),
      unsaid: (p) => ({
        title: `${p.cell} is charged in less than an hour`,
        detail: `${formatNumber(MAKER, p.amps)} A from ${p.charger} on ${formatNumber(MAKER, p.most * 1000)} mAh; what the cell takes is not recorded.`,
        remedy: 'Read the charge current off the cell’s datasheet, or charge with less.',
      }),
    },
  },
  landmark: {
    rule: 'Polarity is told by landmarks on this saber, not in general.',
    says: {
      unsaid: (p) => ({
        title: 'Which way round does the cell go?',
        detail: `${p.cell} can be taken out and no landmark says which pole goes where.`,
        remedy: 'Name two landmarks: which end first, and the mark in the hilt.',
      }),
    },
  },
  noFirmware: {
    rule: 'Which program runs on the board is written down: controls and menus depend on it.',
    says: {
      blank: (p) => ({
        title: 'Firmware not recorded',
        detail: `Nothing says which program runs on ${p.board}.`,
        remedy: 'Read it off the board and enter it.',
      }),
    },
  },
  overRating: {
    rule: 'Every look of every preset stays within the rating of all its current passes: cell, pins, switch, port, wire.',
    says: {
      lasting: (p) => ({ ...worded(p, ''), remedy: REMEDY }),
      flash: (p) => ({
        ...worded(p, ' for a flash'),
        remedy: `A flash is short, but a low cell may let the board start anew. ${REMEDY}`,
      }),
      unknown: (p) => ({
        ...worded(p, ' at full white'),
        remedy: 'Record the presets: their colours are what is judged.',
      }),
    },
  },
  packVolts: {
    rule: 'Pixels take 5 V: a pack above that feeds them through a converter. A string takes what its LEDs drop.',
    says: {
      burns: (p) => ({
        title: `${formatNumber(MAKER, p.pack)} V would burn the pixels`,
        detail: `They take 5 V at most; the pack gives ${formatNumber(MAKER, p.pack)} V and no converter is fitted.`,
        remedy: 'Fit a voltage converter, or join the cells in parallel.',
      }),
      dark: (p) => ({
        title: `${p.blade} stays dark`,
        detail: `A group drops ${formatNumber(MAKER, p.forward)} V, the pack gives ${formatNumber(MAKER, p.pack)} V.`,
        remedy: 'More cells in series, or a string made for this voltage.',
      }),
      fades: (p) => ({
        title: `${p.blade} fades before the cell is empty`,
        detail: `A group drops ${formatNumber(MAKER, p.forward)} V; at the cut-off the pack gives ${formatNumber(MAKER, p.pack)} V.`,
        remedy: 'Tell the client to charge when it dims.',
      }),
    },
  },
  portEnd: {
    rule: 'What a port needs at its other end is said: without the lead and the supply nobody can use it.',
    says: {
      blank: (p) => ({
        title: `${p.port}: with which lead, from what?`,
        detail: 'The client has to know what goes into it, and what that lead is plugged into.',
        remedy: 'Enter the lead and the supply under the part.',
      }),
    },
  },
  powerNeeds: {
    rule: 'A figure with a missing input is not calculated.',
    says: {
      missing: (p) => ({
        title: 'Not calculable yet',
        detail: missingText({ ok: false, needs: p.needs }),
        remedy: 'Enter what is missing.',
      }),
    },
  },
  protectedCell: {
    rule: 'A removable cell is protected, for a beginner always, and long enough to touch both contacts.',
    says: {
      bare: (p) => ({
        title: `${p.cell} is bare and can be taken out`,
        detail: 'A bare cell has no protection against short circuit or deep discharge.',
        remedy: 'Take a protected cell of the same size code, and mark it as protected.',
      }),
      short: (p) => ({
        title: `${p.cell} is ${mm(p.short)} too short to make contact`,
        detail: `It is ${mm(p.length)} long; the ${p.place} needs ${mm(p.least)}.`,
        remedy: p.bare
          ? 'Take a protected cell of the same size code: it is 3 to 6 mm longer. Never fill the gap with loose metal.'
          : 'Take a longer cell, or move the contacts. Never fill the gap with loose metal.',
      }),
    },
  },
  standby: {
    rule: 'Left in a drawer, a saber does not empty its cell in under four weeks, or the client is told.',
    says: {
      cut: (p) => ({
        title: title(p),
        detail: 'With the power cut it keeps for years of self-discharge.',
        remedy: 'Tell the client to cut the power for storage.',
      }),
      uncut: (p) => ({
        title: title(p),
        detail: 'Nothing cuts the power.',
        remedy: 'Fit a kill switch or key, or tell the client to take the cell out.',
      }),
    },
  },
  wireDrop: {
    rule: `The wire takes no more than ${MOST_VOLTS} V in any look that lasts.`,
    says: {
      lost: (p) => ({
        title: `${formatNumber(MAKER, p.volts)} V lost in the wire`,
        detail: `In ${p.look}, both ways. The far pixels turn yellow.`,
        remedy: 'Thicker wire, or two in parallel.',
      }),
    },
  },
  zones: {
    rule: 'A zone has the LEDs of its strip, every strip is in a zone, and no zone follows itself.',
    says: {
      ring: (p) => ({
        title: `${p.zones[0]} follows itself`,
        detail: `${listed(p.zones)}: each follows the next, and the last the first.`,
        remedy: 'Let one of them have a colour of its own.',
      }),
      count: (p) => ({
        title: `${p.zone}: ${p.leds} LEDs, its strip has ${p.has}`,
        detail: `${p.strip} is recorded with ${p.has}.`,
        remedy: 'Count them, and correct the one that is wrong.',
      }),
      alone: (p) => ({
        title: `${p.strip} is in no zone`,
        detail: 'What it draws and how it shines is told nowhere.',
        remedy: 'Add its zone under Power.',
      }),
    },
  },
}
