import { formatFact, known } from '../../../facts'
import { balance } from '../../../fit'
import { keyWays } from '../../../machine'
import type { PartKind, Saber, SpecKey } from '../../../record'
import type { Reader } from '../../../units'
import { say, whether } from '../../../words'
import type { FactRow, SaberChapter } from '../../block'
import { asText, bothWays, hiltLength, orNotRecorded, wordsOf } from '../../values'

export const spec: SaberChapter = (reader, s) => ({
  id: 'spec',
  title: say(reader, 'chapter.spec'),
  blocks: [
    { kind: 'drawing', saber: s.id, which: 'section' },
    { kind: 'facts', rows: rows(reader, s) },
    ...(s.hilt.story ? [{ kind: 'para' as const, text: s.hilt.story }] : []),
  ],
})

/** The lights in the hilt with what cools and feeds them, each name once with how many there are; none where there are none. */
function lit(reader: Reader, s: Saber): string[] {
  const by = new Map<string, number>()
  for (const kind of ['inHiltLed', 'accentLed', 'strip', 'heatsink', 'resistor'] as const)
    for (const p of s.parts) if (p.kind === kind) by.set(p.name, (by.get(p.name) ?? 0) + 1)
  const all = [...by].map(([what, quantity]) => say(reader, 'arrival.what', { quantity, what }))
  return all.length ? [all.join(', ')] : []
}

function rows(reader: Reader, s: Saber): FactRow[] {
  const materials = [...new Set(s.hilt.sections.map((x) => x.material))]
  const b = balance(s)
  const name = (row: string) => say(reader, 'spec.name', { row })
  const fitted = (kind: PartKind) =>
    orNotRecorded(
      reader,
      s.parts
        .filter((p) => p.kind === kind)
        .map((p) =>
          say(reader, 'spec.part', {
            ...{ name: p.name, lot: p.lot ?? '', hasLot: whether(p.lot) },
            ...{ type: wordsOf(reader, p.type) ?? '', typed: whether(p.type && wordsOf(reader, p.type)) },
          }),
        )
        .join(', '),
    )
  /** What has to be asked for when one of a kind is to be replaced: its figures, as far as they are known. */
  const figures = (kind: 'cell' | 'speaker', keys: readonly SpecKey[]): FactRow[] => {
    const each = s.parts
      .filter((p) => p.kind === kind)
      .map((p) =>
        keys.flatMap((k) => {
          const f = p.specs[k]
          return f && known(f) !== undefined
            ? [say(reader, 'spec.figure', { of: k, value: formatFact(reader, f) })]
            : []
        }),
      )
    const told = [...new Set(each.map((list) => list.join(', ')))].filter(Boolean)
    return told.length ? [{ name: name(`${kind}Figures`), value: told.join('; ') }] : []
  }
  return [
    {
      name: name('hilt'),
      value: say(reader, 'spec.hilt', {
        origin: s.hilt.origin,
        materials: materials.map((m) => say(reader, 'material', { material: m })).join(', '),
        known: whether(materials.length),
      }),
    },
    ...(s.edition ? [{ name: name('edition'), value: s.edition }] : []),
    ...(s.recipient?.name ? [{ name: name('recipient'), value: s.recipient.name }] : []),
    { name: name('length'), ...hiltLength(reader, s) },
    { name: name('mass'), ...asText(reader, b.mass) },
    { name: name('balance'), ...asText(reader, b.centre) },
    { name: name('cell'), value: fitted('cell') },
    ...figures('cell', ['diameter', 'length', 'capacity', 'nominalVolts', 'contCurrent']),
    { name: name('speaker'), value: fitted('speaker') },
    ...figures('speaker', ['diameter', 'height', 'impedance', 'ratedWatts']),
    { name: name('board'), value: fitted('board') },
    ...lit(reader, s).map((value) => ({ name: name('lights'), value })),
    { name: name('firmware'), value: orNotRecorded(reader, wordsOf(reader, s.firmware)) },
    ...s.hilt.sockets.map((k) => ({
      name: say(reader, 'spec.socket', { socket: k.name }),
      value: say(reader, 'spec.socketSize', { bore: bothWays(reader, k.bore), depth: formatFact(reader, k.depth, 1) }),
    })),
    {
      name: name('cutPower'),
      value: say(reader, 'spec.cutPower', { way: s.cutPower, move: keyWays(s)?.cut ?? 'unsaid' }),
    },
  ]
}
