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

const volts = (v: number) => formatNumber(MAKER, v, 2)

const title = (p: { days: number }) => `Asleep in a drawer: empty in ${formatNumber(MAKER, p.days, 0)} days`

/** What the checks of power say, in the order of their names. */
export const powerWords: WordsOf<typeof rules> = {
  chargeEnd: {
    rule: 'A charge ends by itself, at the full voltage of a cell times those in series, with cells in series kept level.',
    says: {
      over: (p) => ({
        title: `${p.charger} charges to ${volts(p.ends)} V; ${volts(p.wanted)} V is full`,
        detail: `${p.series > 1 ? `${p.series} × ` : ''}${p.cell}. A lithium cell that is charged further can burn.`,
        remedy: 'Fit one that ends at the right voltage, or correct the figure.',
      }),
      other: (p) => ({
        title: `${p.charger} ends at ${volts(p.ends)} V; these cells are full at ${volts(p.wanted)} V`,
        detail: `${p.series > 1 ? `${p.series} × ` : ''}${p.cell}. It is made for other cells, or for another number of them.`,
        remedy: 'Fit one made for these cells, or correct the figure.',
      }),
      gentle: (p) => ({
        title: `${p.charger} ends at ${volts(p.ends)} V, a little before full`,
        detail: `${p.cell} is full at ${volts(p.wanted)} V. That is easy on the cell, but the runtime is shorter.`,
        remedy: 'Nothing needs to be done.',
      }),
      unbalanced: (p) => ({
        title: `${p.charger} does not keep ${p.series} cells in series level`,
        detail: 'One of them is charged too far while another is still filling.',
        remedy: 'Fit a charge circuit that balances, or charge each cell outside.',
      }),
      balanceUnsaid: (p) => ({
        title: `Does ${p.charger} keep ${p.series} cells in series level?`,
        detail: 'Without that, one of them is charged too far while another is still filling.',
        remedy: 'Check its datasheet, and say so at Fit.',
      }),
      endless: (p) => ({
        title: `${p.charger} does not end its charge`,
        detail: 'A lithium cell that stays on the charger can burn.',
        remedy: 'Fit a charger that ends the charge by itself.',
      }),
    },
  },
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
        title: 'Deep sleep is named as the way to cut power',
        detail: `What ${p.board} draws in deep sleep is not recorded, so it may have none.`,
        remedy: 'Enter its deep-sleep current, or choose another way.',
      }),
      keyUnsaid: (p) => ({
        title: `${p.key}: does it cut the power in, out or turned?`,
        detail: 'What the circuit does with the key is not recorded, so no step can say how to switch off.',
        remedy: 'Say what the circuit does with it out, in and turned.',
      }),
      keyNever: (p) => ({
        title: `${p.key} cuts nothing`,
        detail: `The record says that the circuit is ${p.runs === 'yes' ? 'closed' : 'open'} wherever the key is.`,
        remedy: 'Correct what the circuit does, or choose another way to cut the power.',
      }),
      unused: (p) => ({
        title: 'A way to cut power is fitted but not named',
        detail: `The record says: ${p.way === 'none' ? 'nothing cuts the power' : keyWords(p.way)}.`,
        remedy: 'Choose it under Power.',
      }),
    },
  },
  dies: {
    rule: 'Each die of an LED gets what it takes for good, whatever limits it, and its heat goes somewhere.',
    says: {
      unlike: (p) => ({
        title: `${p.led}: unlike dies side by side on one resistor`,
        detail: `${listed(p.dies.map((d, i) => `${d} ${volts(p.volts[i]!)} V`))}. The die with the lowest forward voltage takes nearly all of the current.`,
        remedy: 'Give each its own resistor, or feed it by a driver.',
      }),
      unlimited: (p) => ({
        title: `${p.led}: nothing limits its current`,
        detail: 'It is said to be fed through a resistor, and none is named.',
        remedy: 'Name the resistor, or say that a driver feeds it.',
      }),
      over: (p) => ({
        title: `${p.die}: ${formatNumber(MAKER, p.amps, 2)} A, rated ${formatNumber(MAKER, p.takes, 2)} A`,
        detail: `${p.led} with a full cell behind ${formatNumber(MAKER, p.ohms)} Ω.`,
        remedy: 'Use the resistor that Power computes, or a driver.',
      }),
      dark: (p) => ({
        title: `${p.led} stays dark`,
        detail: `Its dies in series need ${volts(p.wants)} V; a full pack has ${volts(p.pack)} V.`,
        remedy: 'Join fewer in series, or raise the voltage with a driver.',
      }),
      howFed: (p) => ({
        title: `${p.led}: what limits its current?`,
        detail: 'Neither a resistor nor a driver is recorded.',
        remedy: 'Say how it is fed, at Fit.',
      }),
      unsaid: (p) => ({
        title: `${p.led}: what are its dies?`,
        detail: 'It has several, and each has a forward voltage and a rating of its own.',
        remedy: 'Enter them at Fit, from the datasheet.',
      }),
      hot: (p) => ({
        title: `${p.led}: ${formatNumber(MAKER, p.watts, 1)} W of heat, ${formatNumber(MAKER, p.takes, 1)} W carried off`,
        detail: `By ${p.sink}. Heat that is not carried off damages the dies and what holds them.`,
        remedy: 'A larger heatsink, or less current.',
      }),
      noSink: (p) => ({
        title: `${p.led}: where does its heat go?`,
        detail: `${formatNumber(MAKER, p.watts, 1)} W with every die on, and no heatsink is recorded.`,
        remedy: 'Add the heatsink.',
      }),
    },
  },
  farLed: {
    rule: `The last pixel keeps ${FAR_LED_VOLTS} V with a half-charged cell in every preset whose colour has green or blue in it.`,
    says: {
      sags: (p) => ({
        title: `${p.blade}: ${formatNumber(MAKER, p.volts)} V at the last pixel`,
        detail: `In ${listed(p.presets)}, half charged; its ${p.dies.join(' and ')} dies need ${FAR_LED_VOLTS} V, so the colour shifts at the tip.`,
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
      passes: (p) => ({
        title: `Does the blade’s current pass ${p.port}?`,
        detail:
          'It is rated to switch it: with a plug in, or a key, the contact opens. Then it is held against that rating.',
        remedy: 'Say so at Fit, or that it only charges.',
      }),
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
        title: 'Cannot be calculated yet',
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
        detail: 'With the power cut, only self-discharge drains it, over years.',
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
    rule: 'A zone has the LEDs of its strip, every strip is in a zone, and of each it is known what it follows; none follows itself.',
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
      unsaid: (p) => ({
        title: `What ${p.zone} follows is not recorded`,
        detail: 'Nobody has said whether it has a light of its own.',
        remedy: 'Look at it with the blade lit and while it sleeps, and say so under Power.',
      }),
      whom: (p) => ({
        title: `${p.zone} follows another light, and nobody says which`,
        detail: 'So its colour is not known.',
        remedy: 'Name the light that it follows.',
      }),
    },
  },
}
