import { Value } from '@sinclair/typebox/value'
import { Configuration } from '../record'

/** Longest file of a configuration that is read, letters. */
const LONGEST = 2_000_000

/** What such a file says that it is. */
const [FORMAT, VERSION] = ['nubrin-configuration', 1]

/** A configuration as its file stands on a card. */
export const writeConfiguration = (c: Configuration): string =>
  `${JSON.stringify({ format: FORMAT, version: VERSION, ...c }, null, 2)}\n`

/**
 * A configuration out of the text of its file; or what is wrong with it, naming the field and the rule. What belongs to the file and not
 * to the board (its format and version) is left out.
 */
export function readConfiguration(
  text: string,
): { ok: true; configuration: Configuration } | { ok: false; why: string } {
  if (text.length > LONGEST) return { ok: false, why: 'it is longer than two million letters' }
  let said: unknown
  try {
    said = JSON.parse(text)
  } catch {
    return { ok: false, why: 'it is no JSON' }
  }
  if (typeof said !== 'object' || said === null || Array.isArray(said)) return { ok: false, why: 'it is no object' }
  const { format, version, ...rest } = said as Record<string, unknown>
  if (format !== undefined && format !== FORMAT)
    return { ok: false, why: `format: must be "${FORMAT}", is "${String(format).slice(0, 40)}"` }
  if (version !== undefined && version !== VERSION)
    return { ok: false, why: `version: must be ${VERSION}, is ${String(version).slice(0, 12)}` }
  const first = Value.Errors(Configuration, rest).First()
  if (first) return { ok: false, why: `${first.path.slice(1) || 'the whole'}: ${first.message}` }
  return { ok: true, configuration: rest as Configuration }
}
