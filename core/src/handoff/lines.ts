import type { Block, Chapter } from './block'

/** What a block says, a line for each sentence, row, fact or step, as one reads it from above. */
function linesOf(b: Block): string[] {
  switch (b.kind) {
    case 'para':
      return [b.text]
    case 'facts':
      return b.rows.map((r) => `${r.name}: ${r.value}`)
    case 'table':
      return b.rows.map((r) => r.join(' | '))
    case 'steps':
      return [b.lead, ...b.steps.map((x) => stepLine(b.title, x)), b.tail].filter((t) => t !== undefined)
    case 'apart':
      return [...b.out, ...b.back].map((x) => [x.text, x.tool].filter((t) => t).join(' | '))
    case 'caution':
      return [`${b.title}: ${b.text}`]
    case 'drawing':
      return []
    case 'script':
      return b.beats.map((x) => x.say)
    case 'film':
      return [
        [b.title, b.address, b.file].filter((t) => t).join(' | '),
        ...b.chapters.map((x) => `${x.at} s: ${x.title}`),
      ]
  }
}

const stepLine = (title: string, x: Extract<Block, { kind: 'steps' }>['steps'][number]) =>
  [`${title}: ${x.text}`, x.tool, x.caution, x.cue, x.place].filter((t) => t).join(' | ')

export const chapterLines = (c: Chapter): string[] => c.blocks.flatMap(linesOf)

/** Where lines of one list stand that the other has not, counted: what stands there twice and in the other once is missing once. */
export function missingFrom(lines: readonly string[], other: readonly string[]): number[] {
  const left = new Map<string, number>()
  for (const x of other) left.set(x, (left.get(x) ?? 0) + 1)
  return lines.flatMap((x, i) => {
    const n = left.get(x) ?? 0
    if (n) left.set(x, n - 1)
    return n ? [] : [i]
  })
}
