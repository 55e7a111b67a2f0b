import { type Calculated, missingText } from '../../facts'
import { FLASH_LIMIT_HZ, SAME_COLOUR } from '../../light'
import type { Unmet } from '../../looks'
import { hueText, keyWords } from '../../record'
import { formatNumber, MAKER } from '../../units'
import { HIGHEST_PEAK } from '../../voice'
import type { WordsOf } from '../check'
import type * as rules from '../checks/voice'
import type { Times } from '../checks/voice/ignition-time'
import { listed } from '../text'

const rest = (p: Times) => ({
  detail: `The ${p.way === 'extend' ? 'ignite' : 'retract'} sound has arrived after ${formatNumber(MAKER, p.sound)} s, the blade after ${formatNumber(MAKER, p.blade)} s.`,
  remedy: `Set the blade to about ${formatNumber(MAKER, p.sound, 1)} s, or enter why it differs.`,
})

const highest = (safe: Calculated) => (safe.ok ? `The highest safe setting is ${safe.value}.` : missingText(safe))

/** Of which event something is said; nothing while the blade only shines. */
const ofEvent = (event: string) => (event ? `, ${keyWords(event)}` : '')
const TAKES: Record<Unmet, string> = {
  ...{ blade: 'another blade', length: 'a longer lit blade', tip: 'a lit tip', plug: 'a plug' },
}

const signed = (db: number) => `${db > 0 ? '+' : db < 0 ? '−' : ''}${formatNumber(MAKER, Math.abs(db), 1)}`

/** What the checks of voice say, in the order of their names. */
export const voiceWords: WordsOf<typeof rules> = {
  alikeColours: {
    rule: `Two presets closer than ΔE00 ${SAME_COLOUR} are hard to tell apart.`,
    says: {
      alike: (p) => ({
        title: `${p.a} and ${p.b} look alike`,
        detail: `ΔE00 ${formatNumber(MAKER, p.difference, 1)}: ${p.a} is ${hueText(MAKER, p.colours[0], p.colours)}, ${p.b} ${hueText(MAKER, p.colours[1], p.colours)}.`,
        remedy: 'Change one, or tell the client which is which.',
      }),
    },
  },
  askedColour: {
    rule: 'A light is set to the colour that was asked for.',
    says: {
      differs: (p) => ({
        title: `${p.preset}${ofEvent(p.event)}: not the colour that was asked for`,
        detail: `Asked for ${hueText(MAKER, p.asked, [p.asked, p.set])}, set to ${hueText(MAKER, p.set, [p.asked, p.set])}: ΔE00 ${formatNumber(MAKER, p.apart, 1)}.`,
        remedy: 'Set the one that was asked for, or have the client agree to the other.',
      }),
      unset: (p) => ({
        title: `${p.preset}${ofEvent(p.event)}: a colour was asked for and none is set`,
        detail: `Asked for ${hueText(MAKER, p.asked)}.`,
        remedy: 'Set it.',
      }),
    },
  },
  behindTint: {
    rule: 'What a light shows is seen through the tint before it.',
    says: {
      dark: (p) => ({
        title: `${p.preset}: ${p.light} is nearly dark behind ${p.tint}`,
        detail: `${formatNumber(MAKER, p.share * 100, 0)} % of the ${p.hue} gets through, and looks ${hueText(MAKER, p.seen)}.`,
        remedy: 'Give it a colour that the tint lets through, or a clear one before it.',
      }),
      turned: (p) => ({
        title: `${p.preset}: ${p.light} looks ${p.reads}, not ${p.asked}`,
        detail: `It is seen through ${p.tint}.`,
        remedy: 'Tell the client, or choose its colour by what is seen.',
      }),
    },
  },
  bleached: {
    rule: 'Makers have seen thin bright events lose their colour over some strong bases.',
    says: {
      bleaches: (p) => ({
        title:
          p.says === 'white'
            ? `${p.preset}: the ${p.asked} ${keyWords(p.effect)} may look white`
            : `${p.preset}: the ${p.asked} ${keyWords(p.effect)} may hardly be seen`,
        detail: `So makers report of ${p.asked} on a strong ${p.base}. It cannot be computed.`,
        remedy: 'Look at it yourself in the dark, and choose a deeper colour where it is so.',
      }),
    },
  },
  clipped: {
    rule: 'A sound peaks below full scale.',
    says: {
      full: (p) => ({
        title: `${p.sound} is at full scale`,
        detail: `Peak ${formatNumber(MAKER, p.peakDb, 1)} dBFS in ${p.font}${p.runs ? `, cut off in ${p.runs} ${p.runs === 1 ? 'place' : 'places'}` : ': it probably clips'}.`,
        remedy: 'Lower its gain by a decibel or two and put it back.',
      }),
      over: (p) => ({
        title: `${p.font} is turned up too far`,
        detail: `With ${signed(p.gain)} dB, ${p.sound} peaks at ${formatNumber(MAKER, p.peakDb, 1)} dBTP.`,
        remedy: `Keep its peaks below ${formatNumber(MAKER, HIGHEST_PEAK)} dBTP.`,
      }),
    },
  },
  fontOffer: {
    rule: 'A font that costs extra is offered by a wish, and is played once the client has accepted it.',
    says: {
      unoffered: (p) => ({
        title: `${p.font} has a price and is not offered`,
        detail: 'No wish offers it, so the client is never asked.',
        remedy: 'Offer it, or remove the price.',
      }),
      unaccepted: (p) => ({
        title: `${p.font} is not accepted yet`,
        detail: `${p.presets.join(', ')} ${p.presets.length === 1 ? 'plays' : 'play'} it.`,
        remedy: 'Ask the client, or play another font there.',
      }),
    },
  },
  flashing: {
    rule: `More than ${FLASH_LIMIT_HZ} general or red flashes a second is the usual photosensitive threshold; the caution must be printed.`,
    says: {
      fast: (p) => ({
        title: `${p.preset}${ofEvent(p.event)}${p.light ? `, ${p.light},` : ''} flashes ${p.counted ? '' : 'up to '}${formatNumber(MAKER, p.hz)} times a second${p.red ? ', with red in it' : ''}`,
        detail:
          'Usual threshold: three a second, whatever the size and brightness. The caution is printed in the handoff and told on film.',
        remedy: 'Ask whether anyone who will see it is sensitive to flashing; if so, choose a calmer style.',
      }),
    },
  },
  ignitionTime: {
    rule: 'The blade is out, and in again, when its sound has arrived, within half a second; or a reason says why not.',
    says: {
      early: (p) => ({
        title: `${p.preset}: the blade is ${p.way === 'extend' ? 'out' : 'in'} before its sound`,
        ...rest(p),
      }),
      late: (p) => ({ title: `${p.preset}: the blade is slower than its sound`, ...rest(p) }),
    },
  },
  lostEffect: {
    rule: 'An event looks unlike the base that it comes over, and like the colour that it is set to.',
    says: {
      lost: (p) => ({
        title: `${p.preset}: ${keyWords(p.effect)} hardly shows on ${p.light}`,
        detail: `One sees ${hueText(MAKER, p.seen[0], p.seen)} over ${hueText(MAKER, p.seen[1], p.seen)}${p.through ? ', through its tint' : ''}: ΔE00 ${formatNumber(MAKER, p.apart, 1)}.`,
        remedy: 'Give it a colour further from the base.',
      }),
      mixed: (p) => ({
        title: `${p.preset}: the ${p.asked} ${keyWords(p.effect)} will look ${p.reads} on ${p.light}`,
        detail: 'Its dies light one tube: the event is added to the base.',
        remedy: 'Have the base go out for the event, or choose it by what the sum looks like.',
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
      possible: (p) => ({
        title: 'Highest volume not recorded',
        detail: `It ships at ${p.volume}. ${highest(p.safe)}`,
        remedy: `Record the highest that the client may set, up to ${p.most}.`,
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
      trackless: (p) => ({
        title: `No track in ${p.presets.join(', ')}`,
        detail: 'A control plays tracks there, and none is listed.',
        remedy: 'List a track, or say which presets have that control.',
      }),
      board: (p) => ({
        title: `The voice pack has no ${p.events.map(keyWords).join(', no ')}`,
        detail: 'The controls call for it and the board stays silent.',
        remedy: 'Add the sound to the voice pack.',
      }),
      unrecorded: (p) => ({
        title: `Sounds not recorded: ${p.presets.join(', ')}`,
        detail: 'The font lists no sound, so nothing says whether one is missing.',
        remedy: 'Bring its files in, or take the font from the library.',
      }),
    },
  },
  noFont: {
    rule: 'Every preset names the font that it plays.',
    says: {
      blank: (p) => ({
        title: `${p.preset}: no font`,
        detail: 'Nothing says what it sounds like.',
        remedy: 'Choose the font.',
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
  unmetLook: {
    rule: 'A look is seen whole on a blade that the client has.',
    says: {
      nowhere: (p) => ({
        title: `${p.preset}: no blade shows it whole`,
        detail: `It takes ${listed(p.lacks.map((u) => TAKES[u]))}.`,
        remedy: 'Correct what the look takes, or add the blade: shipped, or to be bought.',
      }),
      partly: (p) => ({
        title: `${p.preset}: ${p.blade} shows a part of it`,
        detail: `To be seen whole the look takes ${listed(p.lacks.map((u) => TAKES[u]))}.`,
        remedy: 'Tell the client which blade it takes.',
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
  soundFiles: {
    rule: 'Each sound can be heard, begins at once where a hand calls for it, loops without a click, and is in its font once.',
    says: {
      quiet: (p) => ({
        title: `${p.font}: ${p.sounds.join(', ')} can hardly be heard`,
        detail: 'Its energy is more than 50 dB under full scale.',
        remedy: 'Bring in another recording, or remove it.',
      }),
      seam: (p) => ({
        title: `${p.font}: a click at the seam of ${p.sounds.join(', ')}`,
        detail: 'Its end does not meet its beginning, and it is played in a loop.',
        remedy: 'Listen to the seam; cut the file where the wave crosses zero, or fade it over.',
      }),
      offset: (p) => ({
        title: `${p.font}: DC offset in ${p.sounds.join(', ')}`,
        detail: 'The mean is off by more than a hundredth of full scale: the speaker thumps where it begins.',
        remedy: 'Remove the DC offset in a sound editor.',
      }),
      late: (p) => ({
        title: `${p.font}: silence at the beginning of ${p.sounds.join(', ')}`,
        detail: 'More than 0.05 s pass before it is heard, so it seems late to the hand.',
        remedy: 'Cut the silence off its beginning.',
      }),
      rates: (p) => ({
        title: `${p.font}: another sample rate in ${p.sounds.join(', ')}`,
        detail: `The others have ${formatNumber(MAKER, p.usual / 1000, 2)} kHz; some boards play such a file too fast or too slow.`,
        remedy: 'Convert it to the rate of the others.',
      }),
      doubled: (p) => ({
        title: `${p.font}: the same recording more than once: ${p.sounds.join(', ')}`,
        detail: 'The files hold the very same samples.',
        remedy: 'Remove one, or replace it by the recording that was meant.',
      }),
    },
  },
  unevenFonts: {
    rule: 'Fonts are as loud as each other in like events, within 3 dB.',
    says: {
      louder: (p) => ({
        title: `${p.font} is ${formatNumber(MAKER, p.by, 1)} dB louder than the other fonts`,
        detail: 'Compared sound for sound, hum with hum, at the gains that are set.',
        remedy: `Set its gain to ${signed(p.gain)} dB.`,
      }),
      softer: (p) => ({
        title: `${p.font} is ${formatNumber(MAKER, p.by, 1)} dB softer than the other fonts`,
        detail: 'Compared sound for sound, hum with hum, at the gains that are set.',
        remedy: `Set its gain to ${signed(p.gain)} dB, and the others’ to theirs.`,
      }),
    },
  },
}
