import { secondsInWords } from '../controls'
import type { Trouble } from './rehearse'

/** A trouble as a sentence for the maker. */
export function troubleText(t: Trouble): string {
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
    case 'notConfigured':
      return 'The control it shows is marked "not sure": it may not be set up.'
    case 'holdDiffers':
      return `It says ${secondsInWords(t.said)}; the board is set to ${secondsInWords(t.is)}.`
    case 'bladeMissing':
      return 'It lights the saber before the blade has been put in.'
    case 'litWhile':
      return 'It handles the blade or opens the hilt while the saber is still lit.'
    case 'endsLit':
      return 'The script ends with the saber lit and never tells how to turn it off.'
  }
}
