import type { Commission, Saber } from '@nubrin/core/record'
import { readinessOf } from '@nubrin/core/script'
import { useMemo, useState } from 'react'
import { CheckBox, Mark, ToThing } from '../../kit'

/** What has to be ready before the lamp goes on; ticked off at the bench, not in the record. */
export function Readiness({ order, saber }: { order: Commission; saber: Saber }) {
  const list = useMemo(() => readinessOf(order, saber), [order, saber])
  const [ready, setReady] = useState<ReadonlySet<string>>(new Set())
  if (!list.length) return null
  const tick = (what: string, on: boolean) =>
    setReady((r) => {
      const next = new Set(r)
      if (on) next.add(what)
      else next.delete(what)
      return next
    })
  return (
    <section aria-label="Filming checklist" className="mt-5">
      <h2 className="h2">Filming checklist</h2>
      <ul>
        {list.map((x) => (
          <li key={`${x.key} ${x.what}`} className="border-rule border-b py-1">
            {x.missing ? (
              <span className="flex items-start gap-2">
                <Mark level="caution" size={14} />
                <span className="min-w-0 flex-1">
                  {x.what}
                  <span className="text-brass block">{x.missing}</span>
                </span>
                {x.ref ? <ToThing to={x.ref}>see</ToThing> : null}
              </span>
            ) : (
              <CheckBox checked={ready.has(x.what)} onChange={(on) => tick(x.what, on)}>
                {x.what}
              </CheckBox>
            )}
          </li>
        ))}
      </ul>
    </section>
  )
}
