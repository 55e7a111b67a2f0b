import { verdictWords } from '@nubrin/core/fit'
import { formatNumber, MAKER } from '@nubrin/core/units'
import { useMemo } from 'react'
import type { Search } from './useLayouts'

interface Out {
  id: string
  name: string
  /** Why it stays out, in words. */
  why: string
  /** Where a cell would stand on the axis of runtime; absent for the others. */
  x?: number
}

/** What of the shelf goes in nowhere, and the cells that give less than full white draws. */
export function useStaysOut({ found, ready, wish }: Search) {
  return useMemo(() => {
    const weak = new Set(ready?.weak.map((w) => w.id))
    if (!found || !ready) return { list: [] as Out[], crosses: [], weak }
    const of = (what: 'cells' | 'speakers'): Out[] =>
      ready.problem[what].flatMap((c, i) => {
        const v = found.verdicts[what][i]!
        return v.ok
          ? []
          : [{ id: c.id, name: c.name, why: verdictWords(v), ...(what === 'cells' ? { x: c.score } : {}) }]
      })
    const left: Out[] = ready.weak.map((w) => ({
      id: w.id,
      name: w.name,
      why: `gives ${formatNumber(MAKER, w.gives, 1)} A, full white draws ${formatNumber(MAKER, w.draws, 1)}`,
    }))
    const list = [...of('speakers'), ...of('cells'), ...(wish.cell === 'strong' ? left : [])]
    const crosses = list.flatMap((o) => (o.x === undefined ? [] : [{ x: o.x, name: o.name, why: o.why }]))
    return { list, crosses, weak }
  }, [found, ready, wish.cell])
}

export function DoesNotFit({ list, open }: { list: readonly Out[]; open: boolean }) {
  if (!list.length) return null
  return (
    <details className="border-rule border-t pt-1" open={open}>
      <summary className="cursor-pointer">
        <span className="text-stop font-semibold">✕</span> {list.length} on the shelf left out, and why
      </summary>
      <ul className="mt-1 max-h-[150px] overflow-y-auto text-[0.92rem]">
        {list.map((r) => (
          <li key={r.id} className="border-rule border-b py-0.5">
            <span className="font-medium">{r.name}</span>: <span className="text-stop">{r.why}</span>
          </li>
        ))}
      </ul>
    </details>
  )
}
