import { missingText } from '../../facts'
import { brokenText, CLAMP, changeText, duelReasonText, GRILLE_AIR, shoppingNeedText } from '../../fit'
import { LEAST_WALL } from '../../geometry'
import { SPECS } from '../../record'
import { formatNumber, MAKER, mmAndInch } from '../../units'
import { large } from '../../words'
import type { WordsOf } from '../check'
import type * as rules from '../checks/fit'
import type { Held } from '../checks/fit/clamp'
import type { Lies } from '../checks/fit/front-heavy'
import type { Air } from '../checks/fit/grille-air'
import type { Reviewed } from '../checks/fit/layout-broke'
import type { Seat } from '../checks/fit/socket-fit'
import { VENT_LIMIT } from '../checks/fit/vents'
import { listed, mm } from '../text'

const held = (p: Held) => ({
  detail: `Held by length it wants ${CLAMP.least} to ${CLAMP.most} mm.`,
  remedy: p.change > 0 ? `Add a spacer of ${mm(p.change)}.` : `Take ${mm(-p.change)} off.`,
})

const lies = (title: string) => (p: Lies) => ({
  title,
  detail: `The balance is ${formatNumber(MAKER, p.centre, 0)} mm from the pommel, ${formatNumber(MAKER, p.share * 100, 0)} % of the hilt.`,
  remedy: 'Move the cell, or say so to the client.',
})

const looksAt = (p: Air) => p.before ?? 'end of the pommel'
const forward = (p: Air) => ({
  detail: `Its face is ${mm(p.air)} from it; the cone moves by more than that.`,
  remedy: `Move it forward by ${mm(GRILLE_AIR - p.air)}, or put a ring before it.`,
})

const changes = (p: Reviewed) => {
  const shown = p.changed.slice(0, 3).map(changeText)
  return `${shown.join('; ')}${p.changed.length > 3 ? `; ${p.changed.length - 3} more` : ''}.`
}

const numbers = (p: Seat) =>
  `${p.what === 'tubeInSleeve' ? 'Adapter' : 'Socket'} ${mmAndInch(MAKER, p.bore)}, ${p.what === 'sleeve' ? 'adapter' : 'tube'} ${mmAndInch(MAKER, p.tube)}: clearance ${mm(p.fit.clearanceMm)}.`

/** What of a blade stands in what. */
const standing = (p: { blade: string; what: Seat['what'] }) =>
  p.what === 'tube' ? p.blade : p.what === 'sleeve' ? `The adapter of ${p.blade}` : `${p.blade}, in its adapter,`

const SIZES: Record<Seat['what'], Record<'hole' | 'rod', string>> = {
  tube: { hole: 'the bore of the socket', rod: 'the tube’s outside' },
  sleeve: { hole: 'the bore of the socket', rod: 'the outside of the adapter' },
  tubeInSleeve: { hole: 'the bore of the adapter', rod: 'the tube’s outside' },
}

/** How a blade goes into a socket that is too narrow: by opening that only as far as a wall is left. */
function opened({ what, fit: { removePerSideMm: off }, left }: Seat): string {
  if (what === 'tubeInSleeve') return `Open the adapter by ${mm(off)} per side, or take another one.`
  if (left === undefined)
    return `Take another tube; or ${mm(off)} off the socket per side, once its outside is measured.`
  return left < LEAST_WALL - 1e-6
    ? `Take another tube: opened by ${mm(off)} per side the socket would keep ${left > 0 ? `${mm(left)} of wall` : 'no wall'}, and ${mm(LEAST_WALL)} is the least.`
    : `Take ${mm(off)} off the socket per side, which leaves ${mm(left)} of wall, or take another tube.`
}

/** How what does not go in may: never by boring away the wall, nor by boring at all where something else is in the way. */
function wayIn({ spare, under, left }: { spare: number; under?: string; left?: number }): string {
  if (under) return `Move it from under the ${under}, fit a ${under} that reaches in less, or take the next size down.`
  if (left === undefined)
    return 'Measure the outside there before anything is bored; else move it, or take the next size down.'
  return left < LEAST_WALL - 1e-6
    ? `It cannot be bored out: ${left > 0 ? `${mm(left)} of wall` : 'no wall'} would be left, and ${mm(LEAST_WALL)} is the least. Move it, or take the next size down.`
    : `Bore it out by ${mm(-spare)}, which leaves ${mm(left)} of wall; or move it, or take the next size down.`
}

/** What the checks of fit say, in the order of their names. */
export const fitWords: WordsOf<typeof rules> = {
  sleeveFit: {
    rule: 'A sleeve goes over what it covers.',
    says: {
      tight: (p) => ({
        title: `${p.sleeve} does not go over the ${p.section}`,
        detail: `Inside it measures ${formatNumber(MAKER, p.inner)} mm; the ${p.section} is ${formatNumber(MAKER, p.outer)} mm across.`,
        remedy: 'Bore the sleeve, turn the section down, or correct the figures.',
      }),
    },
  },
  atItsHole: {
    rule: 'A button stands in its hole and a port behind its hole.',
    says: {
      beside: (p) => ({
        title: `${p.part} is ${mm(Math.abs(p.off))} off its hole, ${p.hole}`,
        detail: `Hole at ${formatNumber(MAKER, p.at, 1)}, its middle at ${formatNumber(MAKER, p.middle, 1)}.`,
        remedy: `Move it ${p.off > 0 ? 'back' : 'forward'} by ${mm(Math.abs(p.off))}, or correct the hole.`,
      }),
    },
  },
  bladeSeat: {
    rule: 'A plug is no wider than its socket; a string blade goes in straight and is never twisted.',
    says: {
      plug: (p) => ({
        title: `${p.plug} does not go into the ${p.socket}`,
        detail: `It is ${mm(p.by)} wider than the socket.`,
        remedy: 'Turn it down, or take another.',
      }),
      twisted: (p) => ({
        title: `${p.blade} must not be twisted, and the ${p.socket} turns it in`,
        detail: 'Its pins or wires shear when it is turned.',
        remedy: 'Change how the blade goes in, or take a blade made for it.',
      }),
    },
  },
  clamp: {
    rule: `A chassis held by length is ${CLAMP.least} to ${CLAMP.most} mm longer than its room.`,
    says: {
      play: (p) => ({ title: `${p.chassis} is not held: ${mm(-p.clamp)} of play`, ...held(p) }),
      off: (p) => ({ title: `${p.chassis} is clamped by ${mm(p.clamp)}`, ...held(p) }),
    },
  },
  displayWindow: {
    rule: 'A display stands behind a window and looks at it.',
    says: {
      none: (p) => ({
        title: `${p.display}: no window over it`,
        detail: `Its middle is at ${formatNumber(MAKER, p.middle, 1)} mm.`,
        remedy: 'Move the display, or record the window.',
      }),
      turned: (p) => ({
        title: `${p.display} looks past its window`,
        detail: `The window is at ${formatNumber(MAKER, p.window, 0)}°, the display at ${formatNumber(MAKER, p.clock, 0)}°: ${formatNumber(MAKER, p.by, 0)}° apart.`,
        remedy: 'Turn the chassis, or correct one of the two angles.',
      }),
      off: (p) => ({
        title: `${p.display} sits ${formatNumber(MAKER, p.off, 1)} mm off its window`,
        detail: `Window at ${formatNumber(MAKER, p.window, 1)}, display at ${formatNumber(MAKER, p.middle, 1)}.`,
        remedy: `Move the display by ${formatNumber(MAKER, p.off, 1)} mm.`,
      }),
    },
  },
  duel: {
    rule: 'A saber meant for duelling has nothing recorded against contact; it is a judgement with reasons, not a certificate.',
    says: {
      notMadeFor: (p) => ({
        title: `Ordered for duelling: is contact among what ${p.saber} is not made for?`,
        detail: `Not made for: ${listed(p.limits)}.`,
        remedy: 'If contact is among these, agree with the client what it is for; if not, waive this.',
      }),
      notForContact: (p) => ({
        title: `${p.blade}: not for contact`,
        detail: `${large(p.against.map(duelReasonText).join('; '))}.`,
        remedy: 'Fix what is named, or agree with the client that it is for display.',
      }),
    },
  },
  frontHeavy: {
    rule: 'Without a blade the balance lies within the middle third of the hilt.',
    says: { front: lies('Front-heavy'), tail: lies('Tail-heavy') },
  },
  grilleAir: {
    rule: `A speaker's face keeps ${GRILLE_AIR} mm of air before what it looks at.`,
    says: {
      inside: (p) => ({ title: `${p.speaker} lies ${mm(-p.air)} inside the ${looksAt(p)}`, ...forward(p) }),
      touches: (p) => ({ title: `${p.speaker} touches the ${looksAt(p)}`, ...forward(p) }),
    },
  },
  layoutBroke: {
    rule: 'A chosen layout is held against every later fact.',
    says: {
      broke: (p) => ({
        title: 'The chosen layout no longer holds',
        detail: `${changes(p)} Now: ${p.broke.map(brokenText).join('; ')}.`,
        remedy: `Search again. It was chosen for: “${p.why}”.`,
      }),
      holds: (p) => ({
        title: 'The chosen layout holds after a change',
        detail: changes(p),
        remedy: 'Look it over, and choose it again to settle it.',
      }),
    },
  },
  overlap: {
    rule: 'Two parts do not share the same length, unless one carries the other; none stands in the seat of the blade or in the closed end of the pommel.',
    says: {
      endWall: (p) => ({
        title: `${p.part} stands in the end wall of the pommel`,
        detail: `It reaches ${mm(p.mm)} into it.`,
        remedy: `Move it forward by ${mm(p.mm)}, or measure the wall again.`,
      }),
      seat: (p) => ({
        title: `${p.part} stands in the seat of the blade`,
        detail: `It reaches ${mm(p.mm)} into the ${p.socket}.`,
        remedy: `Move it back by ${mm(p.mm)}, or make the seat shallower.`,
      }),
      share: (p) => ({
        title: `${p.a} and ${p.b} overlap`,
        detail: `They share ${mm(p.mm)} of length.`,
        remedy: `Move one by ${mm(p.mm)}, or lay one beside the other.`,
      }),
    },
  },
  shopping: {
    rule: 'What the client has to buy is said so that a shop can cut it.',
    says: {
      unsaid: (p) => ({
        title: `${p.blade}: the client cannot order it yet`,
        detail: `Not said: ${p.needs.map(shoppingNeedText).join(', ')}.`,
        remedy: 'Enter it under the blade.',
      }),
    },
  },
  slack: {
    rule: 'What lies in line is no longer than the cavity.',
    says: {
      unknown: (p) => ({
        title: 'Axial slack',
        detail: missingText({ ok: false, needs: p.needs }),
        remedy: 'Enter what is missing.',
      }),
      tooLong: (p) => ({
        title: `It does not close: ${mm(p.by)} too long`,
        detail: `The parts in line take ${mm(p.taken)}.`,
        remedy: 'Lay the board beside the cell, take a shorter part, or lengthen the hilt.',
      }),
      tolerances: (p) => ({
        title: `Slack ${mm(p.slack)}, worst case ${mm(p.slack - p.worst)}`,
        detail: `Tolerances add up to ±${mm(p.worst)}, ±${mm(p.rss)} by root sum of squares.`,
        remedy: 'Measure the longest parts, or leave room.',
      }),
    },
  },
  socketFit: {
    rule: 'Diametral clearance: below 0 will not enter, to 0.05 tight, to 0.20 snug, to 0.40 loose, beyond it the wrong size.',
    says: {
      unknown: (p) => ({
        title: `${p.what === 'sleeve' ? `The adapter of ${p.blade}` : p.blade}: fit in ${p.what === 'tubeInSleeve' ? 'its adapter' : `the ${p.socket}`} unknown`,
        detail: `Cannot be calculated without ${SIZES[p.what][p.needs]}.`,
        remedy: 'Measure it.',
      }),
      willNotEnter: (p) => ({
        title: `${standing(p)} will not enter`,
        detail: numbers(p),
        remedy: opened(p),
      }),
      wrongSize: (p) => ({
        title: p.what === 'tube' ? `${p.blade}: wrong size, or needs an adapter` : `${standing(p)} has the wrong size`,
        detail: numbers(p),
        remedy: `${p.what === 'tube' ? 'An adapter or the right tube' : 'Another adapter'}; a shim would be ${mm(p.fit.shimPerSideMm)} per side.`,
      }),
      loose: (p) => ({
        title: `${standing(p)} sits loose`,
        detail: `${numbers(p)} ${p.fit.tipPlayMm === undefined ? '' : `The tip moves by ${mm(p.fit.tipPlayMm)}; the first pixels may flicker.`}`,
        remedy: `Shim ${mm(p.fit.shimPerSideMm)} per side.`,
      }),
      tight: (p) => ({
        title: `${standing(p)} is tight`,
        detail: numbers(p),
        remedy: 'Polish, or tell the client to turn it in.',
      }),
    },
  },
  specs: {
    rule: 'A fitted part has the sizes and ratings its kind needs, and a place.',
    says: {
      odd: (p) => ({
        title: `${p.part}: ${p.values.map((v) => SPECS[v.key].label).join(', ')}?`,
        detail: p.values
          .map(
            ({ key, value }) =>
              `${SPECS[key].label} ${formatNumber(MAKER, value)} ${SPECS[key].unit}; usual ${SPECS[key].min} to ${SPECS[key].max}`,
          )
          .join('. '),
        remedy: 'Check the figure and its unit.',
      }),
      incomplete: (p) => ({
        title: `${p.part}: not judged`,
        detail: `Needs ${[...p.missing.map((k) => SPECS[k].label), ...(p.unplaced ? ['its place'] : [])].join(', ')}.`,
        remedy: 'Enter it; until then nothing is computed with this part.',
      }),
    },
  },
  stringSums: {
    rule: 'The LEDs of a string blade are groups times LEDs in each, and that is the stated total.',
    says: {
      differ: (p) => ({
        title: `${p.blade}: the LEDs do not add up`,
        detail: `${formatNumber(MAKER, p.groups)} groups of ${formatNumber(MAKER, p.each)} are ${formatNumber(MAKER, p.sum)}, stated are ${formatNumber(MAKER, p.stated)}.`,
        remedy: 'Count again, and correct the one that is wrong.',
      }),
    },
  },
  tooWide: {
    rule: 'A part, its clearance and the chassis wall round it are no wider than the bore they lie in.',
    says: {
      outside: (p) => ({
        title: `${p.part} sticks out of the hilt`,
        detail: `${mm(p.mm)} of it lies outside.`,
        remedy: 'Move it, or take a shorter one.',
      }),
      blocked: (p) => ({
        title: `${p.part} does not go in`,
        detail: `The bore of the ${p.section} is ${mm(p.bore)} at ${formatNumber(MAKER, p.at, 1)}: ${mm(-p.spare)} too small${p.beside ? ' for it beside the cell' : ''}${p.under ? ` under the ${p.under}` : ''}.`,
        remedy: wayIn(p),
      }),
      tight: (p) => ({
        title: `${p.part} goes in with ${mm(p.spare)} to spare`,
        detail: `Bore ${mm(p.bore)} in the ${p.section}. Tolerances may eat it.`,
        remedy: 'Try the part itself before printing.',
      }),
    },
  },
  vents: {
    rule: `Vents smaller than ${VENT_LIMIT} % of the speaker's cone muffle the sound.`,
    says: {
      none: () => ({
        title: 'No vent or grille is recorded',
        detail: 'A speaker is fitted, and nothing is known of where its sound goes out.',
        remedy: 'Record the vents under Hilt, and how large they are.',
      }),
      muffled: (p) => ({
        title: 'The speaker will sound muffled',
        detail: `The vents are ${formatNumber(MAKER, p.share, 0)} % of the cone.`,
        remedy: 'Open the vents, or seal the back and say so.',
      }),
    },
  },
  wayIn: {
    rule: 'Every part can be brought to its place: from a joint that comes apart, or through the emitter, past every bore between.',
    says: {
      barred: (p) => ({
        title: `${p.part} cannot be brought to its place`,
        detail: `It fits where it lies, but on the widest way there it meets a bore of ${mm(p.bore)} in the ${p.section}: ${mm(p.short)} too small.`,
        remedy: 'Bore that out, open another joint, or place it elsewhere.',
      }),
    },
  },
  wires: {
    rule: 'The wires that pass a cut find room there: in one bundle, in two, or laid singly.',
    says: {
      blocked: (p) => ({
        title: `${p.count} wires do not pass at ${formatNumber(MAKER, p.at, 0)} mm`,
        detail: `The largest free circle is ${mm(p.circle)}, a bundle needs ${mm(p.bundle)}, and laid singly only ${p.laid} find room.`,
        remedy: 'Thinner wire where the current allows, a flatter board, or another order.',
      }),
    },
  },
}
