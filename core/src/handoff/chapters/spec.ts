import { formatFact } from '../../facts'
import { balance } from '../../fit'
import type { PartKind, Saber } from '../../record'
import { layOut } from '../../room'
import { mmAndInch } from '../../units'
import { say, whether } from '../../words'
import type { FactRow, SaberChapter } from '../block'
import { asText, bothWays, orNotRecorded, wordsOf } from '../values'

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
  const shape = layOut(s.hilt)
  const about = shape.sections.some((p) => p.certainty === 'assumed')
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
  const length = about ? say('about', { what: mmAndInch(shape.length) }) : mmAndInch(shape.length)
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
    { name: name('length'), value: shape.complete ? length : say('notRecorded'), about },
    { name: name('mass'), ...asText(b.mass) },
    { name: name('balance'), ...asText(b.centre) },
    { name: name('cell'), value: fitted('cell') },
    { name: name('speaker'), value: fitted('speaker') },
    { name: name('board'), value: fitted('board') },
    { name: name('firmware'), value: orNotRecorded(wordsOf(s.firmware)) },
    ...s.hilt.sockets.map((k) => ({
      name: say('spec.socket', { socket: k.name }),
      value: say('spec.socketSize', { bore: bothWays(k.bore), depth: formatFact(k.depth, 1) }),
    })),
    { name: name('cutPower'), value: say('spec.cutPower', { way: s.cutPower }) },
  ]
}
