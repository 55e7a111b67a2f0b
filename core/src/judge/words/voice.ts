import { type Calculated, missingText } from '../../facts'
import { FLASH_LIMIT_HZ, SAME_COLOUR } from '../../light'
import { keyWords } from '../../record'
import { formatNumber, MAKER } from '../../units'
import type { WordsOf } from '../check'
import type * as rules from '../checks/voice'
import type { Times } from '../checks/voice/ignition-time'

const rest = (p: Times) => ({
  detail: `Ignite sound ${formatNumber(MAKER, p.sound)} s, extension ${formatNumber(MAKER, p.extend)} s.`,
  remedy: `Set the extension to about ${formatNumber(MAKER, p.sound, 1)} s.`,
})

const highest = (safe: Calculated) => (safe.ok ? `The highest safe setting is ${safe.value}.` : missingText(safe))

/** What the checks of voice say, in the order of their names. */
export const voiceWords: WordsOf<typeof rules> = {
  alikeColours: {
    rule: `Two presets closer than ΔE00 ${SAME_COLOUR} are hard to tell apart.`,
    says: {
      alike: (p) => ({
        title: `${p.a} and ${p.b} look alike`,
        detail: `ΔE00 ${formatNumber(MAKER, p.difference, 1)} between ${p.colours[0]} and ${p.colours[1]}.`,
        remedy: 'Change one, or tell the client which is which.',
      }),
    },
  },
  clipped: {
    rule: 'A sound peaks below full scale.',
    says: {
      full: (p) => ({
        title: `${p.sound} is at full scale`,
        detail: `Peak ${formatNumber(MAKER, p.peakDb, 1)} dBFS in ${p.preset}: it probably clips.`,
        remedy: 'Lower its gain by a decibel or two and put it back.',
      }),
    },
  },
  flashing: {
    rule: `More than ${FLASH_LIMIT_HZ} general flashes a second is the usual photosensitive threshold; the caution must be printed.`,
    says: {
      fast: (p) => ({
        title: `${p.preset} flashes ${formatNumber(MAKER, p.hz)} times a second`,
        detail: 'Usual threshold: three a second. The caution is printed in the handoff and told on film.',
        remedy: 'Ask whether anyone who will see it is sensitive to flashing; if so, choose a calmer style.',
      }),
    },
  },
  ignitionTime: {
    rule: 'The blade extends as long as its ignite sound carries, within half a second.',
    says: {
      early: (p) => ({ title: `${p.preset}: the blade is out before its sound`, ...rest(p) }),
      late: (p) => ({ title: `${p.preset}: the blade is slower than its sound`, ...rest(p) }),
    },
  },
  lostEffect: {
    rule: 'An effect that adds light to its base reads as its own colour.',
    says: {
      lost: (p) => ({
        title: `${p.preset}: the ${p.asked} ${p.effect} will read ${p.reads}`,
        detail: `${p.colour} added to ${p.base} gives ${p.sum}.`,
        remedy: 'Replace the base colour for the effect instead of adding, or darken the effect.',
      }),
    },
  },
  loudVolume: {
    rule: 'The shipped volume can be heard, stays within the highest, and both within the speaker’s rating.',
    says: {
      unknown: (p) => ({
        title: 'Shipped volume not recorded',
        detail: highest(p.safe),
        remedy: 'Read it off the board.',
      }),
      faint: (p) => ({
        title: p.volume ? `Volume ${p.volume} is hardly heard` : 'It is shipped silent',
        detail: `The shipped volume is recorded as ${p.volume} %.`,
        remedy: 'Correct it, or write down as a decision that the client wants it so.',
      }),
      above: (p) => ({
        title: `Shipped at volume ${p.volume}, above its highest of ${p.highest}`,
        detail: 'The highest volume is what the client may set.',
        remedy: 'Correct one of the two.',
      }),
      highest: (p) => ({
        title: `The highest volume of ${p.highest} drives the speaker past its rating`,
        detail: highest(p.safe),
        remedy: `Set the highest to ${p.most} or below.`,
      }),
      loud: (p) => ({
        title: `Volume ${p.volume} drives the speaker past its rating`,
        detail: highest(p.safe),
        remedy: `Set it to ${p.most} or below.`,
      }),
    },
  },
  missingSound: {
    rule: 'A font has a sound for every event that the controls can reach.',
    says: {
      silent: (p) => ({
        title: `${p.preset}: no sound for ${p.events.map(keyWords).join(', ')}`,
        detail: 'The controls can reach it and the font stays silent there.',
        remedy: 'Add the sound, or remove the control from this preset.',
      }),
    },
  },
  noFont: {
    rule: 'Every preset names the font that it plays.',
    says: {
      blank: (p) => ({
        title: `${p.preset}: no font`,
        detail: 'Nothing says what it sounds like.',
        remedy: 'Enter the font.',
      }),
    },
  },
  sensitivity: {
    rule: 'How readily the board answers is set and tried with the plug and with the blade: each weighs another.',
    says: {
      unset: (p) => ({
        title: `Sensitivity of the ${p.sense}: not recorded`,
        detail: 'It is listed without a value.',
        remedy: 'Enter what the board is set to.',
      }),
      untried: (p) => ({
        title: `Sensitivity of the ${p.sense}: not tried with the ${p.without.join(' and the ')}`,
        detail: 'With another weight in the socket the same value answers differently.',
        remedy: 'Try it, and tick what it was tried with.',
      }),
    },
  },
  unsurePreset: {
    rule: 'A preset marked “not sure” is seen and heard before it is told or printed.',
    says: {
      unsure: (p) => ({
        title: `Not sure: preset ${p.preset}`,
        detail: 'The handoff and the film would tell it as a fact.',
        remedy: 'Play it on the saber, then mark it configured or remove it.',
      }),
    },
  },
}
