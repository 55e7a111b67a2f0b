import { known } from '../../../facts'
import { type HiltShape, layOut, outerAt, roundApart, sideOpenings } from '../../../geometry'
import type { Opening } from '../../../record'
import { check } from '../../check'

export const openingPlace = check<{
  off: { opening: string; from: number; to: number; length: number }
  offFace: { opening: string; reach: number; radius: number }
  meet: { a: string; b: string; along: number; round: number }
}>({
  id: 'openingPlace',
  station: 'hilt',
  scope: 'saber',
  source: 'geometry',
  reads: ['hilt'],
  run: ({ saber }) => {
    const shape = layOut(saber.hilt)
    if (!shape.complete) return []
    const boxes = sideOpenings(saber.hilt).flatMap(boxOf)
    const off = boxes
      .filter((b) => b.x0 < -0.05 || b.x1 > shape.length + 0.05)
      .map((b) => ({
        code: 'off' as const,
        subject: `${b.o.id}-out`,
        level: 'stop' as const,
        params: { opening: b.o.name, from: b.x0, to: b.x1, length: shape.length },
        refs: [`opening:${b.o.id}` as const],
      }))
    const face = (outerAt(shape, 0) ?? 0) / 2
    const offFace = saber.hilt.openings
      .filter((o) => o.face === 'rear')
      .map((o) => ({ o, reach: Math.abs(known(o.fromAxis) ?? 0) + (known(o.length) ?? 0) / 2 }))
      .filter((b) => b.reach > face + 0.05)
      .map((b) => ({
        code: 'offFace' as const,
        subject: `${b.o.id}-out`,
        level: 'stop' as const,
        params: { opening: b.o.name, reach: b.reach, radius: face },
        refs: [`opening:${b.o.id}` as const],
      }))
    const meeting = boxes.flatMap((a, i) =>
      boxes.slice(i + 1).flatMap((b) => {
        const shared = sharedBy(shape, a, b)
        return shared
          ? [
              {
                code: 'meet' as const,
                subject: `${a.o.id}-${b.o.id}`,
                level: 'stop' as const,
                params: { a: a.o.name, b: b.o.name, ...shared },
                refs: [`opening:${b.o.id}` as const, `opening:${a.o.id}` as const],
              },
            ]
          : []
      }),
    )
    return [...off, ...offFace, ...meeting]
  },
})

interface Box {
  o: Opening
  x0: number
  x1: number
  at: number
  width: number | undefined
  clock: number | undefined
}

function boxOf(o: Opening): Box[] {
  const [at, length] = [known(o.at), known(o.length)]
  if (at === undefined || length === undefined) return []
  return [{ o, x0: at - length / 2, x1: at + length / 2, at, width: known(o.width), clock: known(o.clock) }]
}

/** Length and arc that two openings share, mm; undefined when they keep apart or a size is not known. */
function sharedBy(shape: HiltShape, a: Box, b: Box): { along: number; round: number } | undefined {
  const along = Math.min(a.x1, b.x1) - Math.max(a.x0, b.x0)
  if (along <= 0 || a.width === undefined || b.width === undefined) return undefined
  if (a.clock === undefined || b.clock === undefined) return undefined
  const [from, to] = [
    { at: a.at, clock: a.clock },
    { at: b.at, clock: b.clock },
  ]
  const round = (a.width + b.width) / 2 - roundApart(shape, from, to)
  return round > 0 ? { along, round } : undefined
}
