import type { Missing } from '../../../facts'
import { litCurrent, ratings, runtime, WHITE } from '../../../power'
import type { Ref } from '../../../record'
import { check } from '../../check'

export const powerNeeds = check<{ missing: { needs: Missing['needs'] } }>({
  id: 'powerNeeds',
  station: 'power',
  scope: 'saber',
  source: 'house rule: never an invented figure',
  reads: ['hilt', 'parts', 'blades', 'zones', 'presets', 'use'],
  run: ({ saber }) => {
    if (!saber.parts.length) return []
    const figures = [litCurrent(saber, WHITE), runtime(saber).minutes]
    const all = [...figures.flatMap((f) => (f.ok ? [] : f.needs)), ...ratings(saber).needs]
    const needs = all.filter((n, i) => all.findIndex((m) => m.name === n.name) === i)
    return needs.length
      ? [
          {
            code: 'missing',
            subject: 'needs',
            level: 'note',
            params: { needs },
            refs: needs.flatMap((n) => (n.ref ? [n.ref as Ref] : [])),
          },
        ]
      : []
  },
})
