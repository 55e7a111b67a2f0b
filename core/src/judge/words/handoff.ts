import { refusalWords } from '../../shipping'
import { LANGUAGE_NAME } from '../../units'
import type { WordsOf } from '../check'
import type * as rules from '../checks/handoff'
import { listed } from '../text'

/** What the checks of handoff say, in the order of their names. */
export const handoffWords: WordsOf<typeof rules> = {
  afterwards: {
    rule: 'What went has its record; a client is answered; a saber that came back goes back with what was found and done.',
    says: {
      asks: (p) => ({
        title: 'The client asks',
        detail: p.text,
        remedy: 'Answer it, and write the answer down at Brief.',
      }),
      here: (p) => ({
        title: `${p.saber} has been back for ${p.days} days`,
        detail: 'It came back to the shop and is not recorded as gone again.',
        remedy: 'Say when it goes back.',
      }),
      unsaid: (p) => ({
        title: `${p.saber} went back: ${p.what} is not recorded`,
        detail: 'Whoever opens it next reads this.',
        remedy: 'Write it down at the visit.',
      }),
      outdated: (p) => ({
        title: `Handoff ${p.number} is out of date`,
        detail: [
          ...(p.changed.length
            ? [
                `Changed: ${listed(p.changed.slice(0, 6))}${p.changed.length > 6 ? ` and ${p.changed.length - 6} more` : ''}.`,
              ]
            : []),
          ...(p.fresh.length
            ? [`New: ${listed(p.fresh.slice(0, 6))}${p.fresh.length > 6 ? ` and ${p.fresh.length - 6} more` : ''}.`]
            : []),
          ...(p.gone ? [`Gone: ${p.gone}.`] : []),
        ].join(' '),
        remedy: 'Issue it again; the address that the client has goes on to the newest.',
      }),
      noRecord: () => ({
        title: 'Shipped without a record',
        detail: 'A shipping date is entered, but no handoff was issued.',
        remedy: 'Issue the handoff, or remove the date.',
      }),
    },
  },
  bladesToBuy: {
    rule: 'A socket without a shipped blade is told to the client.',
    says: {
      none: (p) => ({
        title: `${p.socket}: no blade ships for it`,
        detail: 'Only a bench blade, or none, is recorded.',
        remedy: 'Add the blade the client gets or must buy, with its length.',
      }),
    },
  },
  goesWith: {
    rule: 'What the client has to buy is said by type and size; what the film shows is what ships; what it is not made for has its reason.',
    says: {
      unsaid: (p) => ({
        title: `${p.what}: the client cannot buy it yet`,
        detail: `Not said: ${p.missing.join(', ')}.`,
        remedy: 'Enter it under what goes with the saber.',
      }),
      unprotected: (p) => ({
        title: `${p.what}: protected or bare?`,
        detail: 'The client buys the cell; a bare one where a protected one belongs has no cut-off of its own.',
        remedy: 'Say that it has to be protected, or waive this with the reason.',
      }),
      shown: (p) => ({
        title: `${p.what} is in the film and does not ship`,
        detail: 'The client will expect to get what the film shows.',
        remedy: 'Ship it, leave it out of the film, or say so in the film.',
      }),
      noReason: (p) => ({
        title: `Not made for ${p.what}: why?`,
        detail: 'People respect a limit when they know the reason.',
        remedy: 'Say the reason.',
      }),
    },
  },
  letters: {
    rule: 'What is handed over is in letters that the paper can print.',
    says: {
      unprinted: (p) => ({
        title: `${p.letters}${p.more ? ` and ${p.more} more` : ''} will not print`,
        detail: `“${p.text}”${p.texts > 1 ? ` and ${p.texts - 1} more` : ''}: on paper an empty frame stands for each of these letters. The client's page shows them.`,
        remedy: 'Write it in other letters, or waive this and hand over the page.',
      }),
    },
  },
  lithium: {
    rule: 'Cells travel as the carrier takes them, and who must confirm it has.',
    says: {
      noCarrier: (p) => ({
        title: `Parcel to ${p.to}: who carries ${p.count} ${p.count === 1 ? 'cell' : 'cells'}?`,
        detail: 'Whether lithium cells are taken depends on the carrier and the border.',
        remedy: 'Choose the carrier of the parcel.',
      }),
      refused: (p) => ({
        title: `${p.carrier} does not take ${p.cell}`,
        detail: `Parcel to ${p.to}: ${refusalWords(p.why)}.`,
        remedy: 'Take the cell out and say which one the client has to buy, or choose another carrier.',
      }),
      confirm: (p) => ({
        title:
          p.was === 'none'
            ? `${p.cell}: not confirmed for the parcel to ${p.to}`
            : `${p.cell}: the confirmation no longer fits the parcel to ${p.to}`,
        detail: `${p.damaged === 'yes' ? 'It is damaged. ' : ''}${
          p.was === 'other'
            ? 'Its cells, carrier or border have changed since. '
            : p.was === 'year'
              ? 'It was confirmed in another year. '
              : ''
        }To be confirmed by ${p.by}.`,
        remedy: 'Ask, and enter who confirmed it.',
      }),
      unknown: (p) => ({
        title: `${p.cell}: its ${p.needs === 'energy' ? 'energy' : 'charge'} is not known`,
        detail:
          p.needs === 'energy'
            ? `The parcel to ${p.to} is judged by watt hours: voltage times capacity.`
            : `The carrier of the parcel to ${p.to} takes such cells only up to a charge.`,
        remedy:
          p.needs === 'energy'
            ? 'Enter nominal voltage and capacity of the cell.'
            : 'Enter how full it is shipped, at Fit.',
      }),
      noParcel: (p) => ({
        title: p.count === 1 ? 'How does the cell travel?' : `How do the ${p.count} cells travel?`,
        detail: 'No parcel is named, so no carrier has been asked about lithium cells.',
        remedy: 'Name the parcel and who carries it, also when it is handed over in person.',
      }),
      unsecured: (p) => ({
        title: `Parcel to ${p.to}: ${[...(p.poles === 'yes' ? ['are the poles of loose cells covered'] : []), ...(p.wake === 'yes' ? ['can it wake on the way'] : [])].join(', ')}?`,
        detail: [
          ...(p.poles === 'yes' ? ['Bare poles that touch metal burn.'] : []),
          ...(p.wake === 'yes' ? ['What is lit in a closed box gets hot and empties its cell.'] : []),
        ].join(' '),
        remedy: 'Secure it, and tick that at the parcel.',
      }),
    },
  },
  parcels: {
    rule: 'A parcel weighs what lies in it weighs, and no more than its carrier takes.',
    says: {
      apart: (p) => ({
        title: `Parcel to ${p.to}: ${Math.abs(Math.round(p.weighs - p.expected))} g too ${p.weighs < p.expected ? 'light' : 'heavy'}`,
        detail: `On the scale ${Math.round(p.weighs)} g; what is on its list comes to ${Math.round(p.expected)} g.`,
        remedy:
          p.weighs < p.expected
            ? 'Check what is missing from the box.'
            : 'Check what is in it that is not on the list.',
      }),
      heavy: (p) => ({
        title: `Parcel to ${p.to}: too heavy for ${p.carrier}`,
        detail: `${Math.round(p.weighs)} g; ${p.most} g are taken.`,
        remedy: 'Send it in two, or with another carrier.',
      }),
      unweighed: (p) => ({
        title: `Parcel to ${p.to}: its weight cannot be judged`,
        detail: `Nobody has weighed: ${listed(p.things)}.`,
        remedy: 'Weigh it, where the weight matters.',
      }),
      empty: (p) => ({
        title: `Parcel to ${p.to}: nothing is in it`,
        detail: 'No line of the packing list goes into it.',
        remedy: 'Put something into it, or remove the parcel.',
      }),
    },
  },
  translated: {
    rule: 'What reaches a client is in the language he reads, with the same numbers and names, or is quoted because you chose that.',
    says: {
      missing: (p) => ({
        title: `${p.n === 1 ? 'One text' : `${p.n} texts`} not yet in ${LANGUAGE_NAME[p.language]}`,
        detail: `The client reads ${LANGUAGE_NAME[p.language]}; “${p.text}”${p.n > 1 ? ` and ${p.n - 1} more` : ''} reaches him in ${LANGUAGE_NAME[p.written]}${p.quoted ? ', in quotes, as you chose' : ''}.`,
        remedy: 'Translate at the translation desk, or choose there to print what is missing in quotes.',
      }),
      departs: (p) => ({
        title: `Translation ${p.way === 'lost' ? 'leaves out' : 'adds'} ${p.kind === 'name' ? 'the name ' : ''}${p.what}`,
        detail: `“${p.text}” is translated as “${p.says}”.`,
        remedy: 'Correct the translation, or the original, at the translation desk.',
      }),
    },
  },
  unpacked: {
    rule: 'What the record says must go is on the packing list, and everything on the list is in the box.',
    says: {
      noList: () => ({
        title: 'No packing list',
        detail: 'Nothing says what goes into the box.',
        remedy: 'Draft it from the record.',
      }),
      open: ({ items }) => ({
        title: `${items.length} ${items.length === 1 ? 'item' : 'items'} not packed`,
        detail: items.join('; '),
        remedy: `Pack ${items.length === 1 ? 'it' : 'them'} and tick ${items.length === 1 ? 'it' : 'them'} off.`,
      }),
      missing: ({ items }) => ({
        title: `${items.length} ${items.length === 1 ? 'item' : 'items'} not on the packing list`,
        detail: items.join('; '),
        remedy: `Add ${items.length === 1 ? 'it' : 'them'} from the record, or waive this with the reason.`,
      }),
    },
  },
}
