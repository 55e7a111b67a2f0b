import { secondsInWords } from '../controls'
import { MAKER } from '../units'
import type { RehearsalFault } from './rehearse'

/** What was said beside what it is, by what it is about. */
const SAID: Record<Extract<RehearsalFault, { code: 'saidDiffers' }>['about'], (said: string, is: string) => string> = {
  count: (said, is) => `It says ${said}; the control wants ${is}.`,
  beeps: (said, is) => `It says ${said}; the control counts ${is}.`,
  pose: (said, is) => `It says ${said}; the control wants ${is}.`,
  input: (said, is) => `It names the ${said}; the control is on the ${is}.`,
  doing: (said, is) => `It says “${said}”; the control ${is}.`,
  direction: (said, is) => `It says ${said}; the steps turn ${is}.`,
  screw: (said, is) => `It names the ${said}; the steps are about the ${is}.`,
}

/** A trouble as a sentence for the maker. */
export function troubleText(t: RehearsalFault): string {
  switch (t.code) {
    case 'gone':
      return 'It shows a control or task that is no longer in the record.'
    case 'wrongState':
      return `It needs the saber ${t.needs}; here it is ${t.is}.`
    case 'noPower':
      return 'The power has not been switched on yet.'
    case 'dead':
      return `It is dead here: ${t.out} is out.`
    case 'open':
      return t.off ? `${t.off} is off: nobody lights an open saber.` : 'The hilt is open: nobody lights an open saber.'
    case 'looseBlade':
      return `${t.screw} was never tightened again: the blade would fly out.`
    case 'otherPreset':
      return `${t.preset} is before it here, and has no such control.`
    case 'refused':
      return `“${t.step}” cannot be done here: ${t.why}.`
    case 'endsOpen':
      return t.off ? `The script ends with the ${t.off} off.` : 'The script ends with the hilt open.'
    case 'endsLoose':
      return `The script ends with ${t.screw} loose.`
    case 'endsPreset':
      return `The script ends in ${t.preset || 'a preset'}, number ${t.n}${t.back ? `: ${t.back.gesture}${t.back.times > 1 ? `, ${t.back.times} times over` : ''}, and it is back at the first` : ', and no control leads back to the first'}.`
    case 'saidDiffers':
      return SAID[t.about](t.said, t.is)
    case 'notConfigured':
      return 'The control it shows is marked "not sure": it may not be set up.'
    case 'holdDiffers':
      return `It says ${secondsInWords(MAKER, t.said)}; the board is set to ${secondsInWords(MAKER, t.is)}.`
    case 'bladeMissing':
      return 'It lights the saber before the blade has been put in.'
    case 'noBladeHere':
      return `No blade for the ${t.socket} is on the bench: it cannot be shown going in.`
    case 'willNotEnter':
      return `${t.blade} does not go into the ${t.socket}.`
    case 'unreached':
      return `It shows the ${t.input}, and nothing in the controls uses it.`
    case 'hidden':
      return `${t.what} cannot be seen here: ${t.behind} is closed before it.`
    case 'litWhile':
      return 'It handles the blade or opens the hilt while the saber is still lit.'
    case 'afterFarewell':
      return 'It follows the farewell: nothing does.'
    case 'toldLate':
      return `It tells of ${t.part} too late: it mattered in beat ${t.used}.`
    case 'endsLit':
      return 'The script ends with the saber lit and never tells how to turn it off.'
  }
}
