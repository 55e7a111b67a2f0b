import { MAKER } from '@nubrin/core/units'
import { useMemo } from 'react'
import { lazyView, useCode } from '../../base/lazy'
import { once } from '../../base/once'
import { freshId } from '../../data'
import { AddLine, Empty } from '../../kit'
import { useEditSaber, useSaber } from '../../store/commission'
import { TestRow } from './TestRow'

const Repairs = lazyView(() => import('./Repairs').then((m) => m.Repairs))
const History = lazyView(() => import('./charts').then((m) => m.History))
const PasteReadings = lazyView(() => import('./PasteReadings').then((m) => m.PasteReadings))

/** What a saber calls for is worked out by code that comes a moment later. */
const PLAN = once(() => import('./test-plan-code'))

/** Tests with limits, readings and repairs. */
export default function Proof() {
  const saber = useSaber()
  const editSaber = useEditSaber()
  const have = new Set(saber.tests.map((t) => t.key))
  const { now: plan } = useCode(PLAN)
  const planned = useMemo(
    () => new Map((plan?.plannedTests(MAKER, saber) ?? []).map((p) => [p.test.key, p])),
    [saber, plan],
  )
  const proposed = [...planned.values()].filter((p) => !have.has(p.test.key))
  const takeUp = () =>
    editSaber('take up tests', (s) => {
      // Limits are computed now, of the saber as it is.
      const fresh = (plan?.proposeTests(MAKER, saber) ?? []).filter((p) => !have.has(p.key))
      s.tests.push(...fresh.map((p) => ({ ...p, id: freshId(), readings: [] })))
    })
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_230px] gap-7">
      <section aria-label="Tests">
        <div className="flex items-center gap-3">
          <h2 className="h2">Tests</h2>
          {proposed.length ? (
            <button type="button" className="btn btn-main ml-auto" onClick={takeUp}>
              add {proposed.length} suggested tests
            </button>
          ) : null}
        </div>
        {saber.tests.length ? null : (
          <Empty title="Nothing proved yet">
            {proposed.length
              ? 'The tests below follow from what is fitted and set up. Add them, then enter what you find.'
              : 'Fit parts and record controls; the tests follow from them.'}
          </Empty>
        )}
        {saber.tests.map((t) => (
          <TestRow key={t.id} saber={saber} test={t} predicts={planned.get(t.key)?.predicts} />
        ))}
        {saber.tests.length ? <PasteReadings /> : null}
        <AddLine
          label="another test, in words"
          onAdd={(what) =>
            editSaber('add test', (s) => {
              const id = freshId()
              s.tests.push({ id, key: `own-${id}`, what, readings: [] })
            })
          }
        />
      </section>
      <Repairs saber={saber} />
      <div className="col-span-2">
        <History />
      </div>
    </div>
  )
}
