import type { Commission, Saber } from '@nubrin/core/record'
import { beatFor, uncovered } from '@nubrin/core/script'
import { useMemo } from 'react'
import { todayIso } from '../../data'
import { SetAside } from '../../kit'
import { useEditSaber } from '../../store/commission'
import { useSession } from '../../store/session'

/** What the script does not say yet; each gets a beat or is left out by name. */
export function NotTold({ order, saber }: { order: Commission; saber: Saber }) {
  const editSaber = useEditSaber()
  const me = useSession((s) => s.person?.name ?? '')
  const gaps = useMemo(() => uncovered(order, saber), [order, saber])
  return (
    <section aria-label="Not told yet">
      <h2 className="h2">{gaps.length ? `Not told yet: ${gaps.length}` : 'Everything is told'}</h2>
      {gaps.map((g) => (
        <div key={g.key} className="border-rule border-b py-1 leading-tight">
          <p className={g.must ? 'font-medium' : 'text-quiet'}>{g.what}</p>
          <button
            type="button"
            className="text-brass mr-3"
            onClick={() => editSaber('add beat', (s) => void s.beats.push(beatFor(saber, g)))}
          >
            add a beat
          </button>
          <SetAside
            by={me}
            onSet={(who, reason) =>
              editSaber('set aside', (s) => void s.leftOut.push({ key: g.key, who, reason, on: todayIso() }))
            }
          />
        </div>
      ))}
    </section>
  )
}
