import { known } from '../../../facts'
import type { Ref } from '../../../record'
import { type SizeKind, type Suggestion, suggestCode, suggestNominal } from '../../../units'
import { type Context, check } from '../../check'

export const oddSize = check<{
  size: { name: string; field: 'length' | 'outside' | 'bore'; asked: Suggestion }
  thread: { name: string; asked: Suggestion }
}>({
  id: 'oddSize',
  station: 'hilt',
  scope: 'saber',
  source: 'nominal sizes',
  reads: ['hilt', 'blades'],
  run: ({ saber }) => {
    const sizes = sizesOf(saber).flatMap(([subject, ref, name, value, kind, field]) => {
      const asked = value === undefined ? undefined : suggestNominal(value, kind)
      return asked
        ? [{ code: 'size' as const, subject, level: 'caution' as const, params: { name, field, asked }, refs: [ref] }]
        : []
    })
    const threads = saber.hilt.fasteners.flatMap((f) => {
      const asked = f.thread && f.head !== 'dummy' ? suggestCode(f.thread, 'screw') : undefined
      return asked
        ? [
            {
              code: 'thread' as const,
              subject: f.id,
              level: 'caution' as const,
              params: { name: f.name, asked },
              refs: [`fastener:${f.id}` as const],
            },
          ]
        : []
    })
    return [...sizes, ...threads]
  },
})

type Size = [
  subject: string,
  ref: Ref,
  name: string,
  value: number | undefined,
  kind: SizeKind,
  field: 'length' | 'outside' | 'bore',
]

const sizesOf = (s: Context['saber']): Size[] => [
  ...s.hilt.sections.flatMap((x): Size[] => {
    const ref: Ref = `section:${x.id}`
    return [
      [`${x.id}-l`, ref, `${x.name} length`, known(x.length), 'sectionLength', 'length'],
      [`${x.id}-o`, ref, `${x.name} outside`, known(x.outside), 'outside', 'outside'],
      [`${x.id}-b`, ref, `${x.name} bore`, known(x.bore), 'bore', 'bore'],
    ]
  }),
  ...s.blades
    .filter((b) => b.kind !== 'plug')
    .flatMap((b): Size[] => {
      const socket = s.hilt.sockets.find((k) => k.id === b.socket)
      const arm = s.hilt.sections.find((x) => x.id === socket?.section)?.role === 'quillon'
      return [
        [`${b.id}-d`, `blade:${b.id}`, `${b.name} tube`, known(b.outside), 'tube', 'outside'],
        [`${b.id}-l`, `blade:${b.id}`, `${b.name} length`, known(b.length), arm ? 'armTube' : 'bladeTube', 'length'],
      ]
    }),
]
