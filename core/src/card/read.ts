import { Value } from '@sinclair/typebox/value'
import { Configuration } from '../record'

/** Longest file of a configuration that is read, letters. */
const LONGEST = 2_000_000

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
  if (format !== undefined && format !== 'nubrin-configuration')
    return { ok: false, why: `format: must be "nubrin-configuration", is "${String(format).slice(0, 40)}"` }
  if (version !== undefined && version !== 1)
    return { ok: false, why: `version: must be 1, is ${String(version).slice(0, 12)}` }
  const first = Value.Errors(Configuration, rest).First()
  if (first) return { ok: false, why: `${first.path.slice(1) || 'the whole'}: ${first.message}` }
  return { ok: true, configuration: rest as Configuration }
}
