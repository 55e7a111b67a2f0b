import { formatFact, known } from '../../../facts'
import { balance } from '../../../fit'
import type { PartKind, Saber, SpecKey } from '../../../record'
import { say, whether } from '../../../words'
import type { FactRow, SaberChapter } from '../../block'
import { asText, bothWays, hiltLength, orNotRecorded, wordsOf } from '../../values'

export const spec: SaberChapter = (s) => ({
  id: 'spec',
  title: say('chapter.spec'),
  blocks: [
    { kind: 'drawing', saber: s.id, which: 'section' },
    { kind: 'facts', rows: rows(s) },
    ...(s.hilt.story ? [{ kind: 'para' as const, text: s.hilt.story }] : []),
  ],
})

function rows(s: Saber): FactRow[] {
  const materials = [...new Set(s.hilt.sections.map((x) => x.material))]
  const b = balance(s)
  const name = (row: string) => say('spec.name', { row })
  const fitted = (kind: PartKind) =>
    orNotRecorded(
      s.parts
        .filter((p) => p.kind === kind)
        .map((p) =>
          say('spec.part', {
            ...{ name: p.name, lot: p.lot ?? '', hasLot: whether(p.lot) },
            ...{ type: wordsOf(p.type) ?? '', typed: whether(p.type && wordsOf(p.type)) },
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
          return f && known(f) !== undefined ? [say('spec.figure', { of: k, value: formatFact(f) })] : []
        }),
      )
    const told = [...new Set(each.map((list) => list.join(', ')))].filter(Boolean)
    return told.length ? [{ name: name(`${kind}Figures`), value: told.join('; ') }] : []
  }
  return [
    {
      name: name('hilt'),
      value: say('spec.hilt', {
        origin: s.hilt.origin,
        materials: materials.map((m) => say('material', { material: m })).join(', '),
        known: whether(materials.length),
      }),
    },
    ...(s.edition ? [{ name: name('edition'), value: s.edition }] : []),
    ...(s.recipient?.name ? [{ name: name('recipient'), value: s.recipient.name }] : []),
    { name: name('length'), ...hiltLength(s) },
    { name: name('mass'), ...asText(b.mass) },
    { name: name('balance'), ...asText(b.centre) },
    { name: name('cell'), value: fitted('cell') },
    ...figures('cell', ['diameter', 'length', 'capacity', 'nominalVolts', 'contCurrent']),
    { name: name('speaker'), value: fitted('speaker') },
    ...figures('speaker', ['diameter', 'height', 'impedance', 'ratedWatts']),
    { name: name('board'), value: fitted('board') },
    { name: name('firmware'), value: orNotRecorded(wordsOf(s.firmware)) },
    ...s.hilt.sockets.map((k) => ({
      name: say('spec.socket', { socket: k.name }),
      value: say('spec.socketSize', { bore: bothWays(k.bore), depth: formatFact(k.depth, 1) }),
    })),
    { name: name('cutPower'), value: say('spec.cutPower', { way: s.cutPower }) },
  ]
}
