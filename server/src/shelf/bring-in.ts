import { MOST_PARTS, type PartRows, readPartsCsv, readPartsJson } from '@nubrin/core/import'
import { Invalid } from '../http/problem'

const SHOWN = 200

/** Reads a list of parts, CSV or JSON by what it is. Refuses it while a row is wrong, unless the good ones are asked for. */
export function readParts(bytes: Uint8Array, name: string, onlyGood: boolean): PartRows {
  const text = new TextDecoder('utf-8').decode(bytes)
  const json = /\.json$/i.test(name) || /^\s*[[{]/.test(text.replace(/^\uFEFF/, ''))
  const read = json ? readPartsJson(text) : readPartsCsv(text)
  if (read.rows > MOST_PARTS)
    throw new Invalid(
      `The file has ${read.rows} parts; a shelf holds at most ${MOST_PARTS}. Nothing was taken in.${
        read.problems.length ? ` ${read.problems.length} cells of the first ${MOST_PARTS} are wrong, too.` : ''
      }`,
      [
        { path: '', rule: 'maxItems', message: `has more than ${MOST_PARTS} rows`, got: String(read.rows) },
        ...read.problems.slice(0, SHOWN),
      ],
      { rows: read.rows, good: 0, faults: read.problems.length + 1 },
    )
  if (read.problems.length && !onlyGood)
    throw new Invalid(
      `${read.problems.length} ${read.problems.length === 1 ? 'cell is' : 'cells are'} wrong; nothing was taken in.`,
      read.problems.slice(0, SHOWN),
      {
        rows: read.rows,
        good: read.parts.length,
        faults: read.problems.length,
        rejected: read.rejected.slice(0, 2_000_000),
      },
    )
  return read
}
