import { known } from '@nubrin/core/facts'
import { touchedBy } from '@nubrin/core/proof'
import type { Ref, Saber } from '@nubrin/core/record'
import { useState } from 'react'
import { lazyView } from '../../base/lazy'
import { freshId, todayIso } from '../../data'
import { CheckBox, dayText, RefPicker, RemoveButton } from '../../kit'
import { useEditSaber, useRemove } from '../../store/commission'
import { SETUP_WORDS } from './setups'

const RepairDetails = lazyView(() => import('./RepairDetails').then((m) => m.RepairDetails))

/** What was mended, and which tests that calls for again. */
export function Repairs({ saber }: { saber: Saber }) {
  const remove = useRemove()
  return (
    <section aria-label="Repairs">
      <h2 className="h2">Repairs</h2>
      {saber.repairs.map((f) => (
        <div key={f.id} className="border-rule border-b py-1">
          <div className="flex gap-1 leading-tight">
            <p className="flex-1">
              <span className="text-quiet">{dayText(f.on)}</span> {f.cause}.{' '}
              <span className="font-medium">{f.fix}</span>
              {f.retest.length ? <span className="text-brass block">{f.retest.length} tests to repeat</span> : null}
            </p>
            <RemoveButton what="repair" onClick={() => remove(`repair:${f.id}`)} />
          </div>
          <details>
            <summary className="text-brass cursor-pointer">
              {[known(f.fault), f.cycles !== undefined && `${f.cycles} cycles`].filter(Boolean).join(', ') ||
                'as reported, proof, charge'}
            </summary>
            <RepairDetails fix={f} />
          </details>
        </div>
      ))}
      <NewRepair saber={saber} />
    </section>
  )
}

function NewRepair({ saber }: { saber: Saber }) {
  const editSaber = useEditSaber()
  const [cause, setCause] = useState('')
  const [fix, setFix] = useState('')
  const [place, setPlace] = useState<Ref>()
  const [again, setAgain] = useState<string[]>([])
  /** Where it was says which tests it touches, with plug and with blade; the maker may still say otherwise. */
  const at = (ref: Ref | undefined) => {
    setPlace(ref)
    setAgain(ref ? touchedBy(saber, ref).map((t) => t.id) : [])
  }
  const record = () => {
    editSaber(
      'repair',
      (s) =>
        void s.repairs.push({
          id: freshId(),
          on: todayIso(),
          at: new Date().toISOString(),
          cause,
          fix,
          ...(place ? { place } : {}),
          retest: again,
        }),
    )
    setPlace(undefined)
    setCause('')
    setFix('')
    setAgain([])
  }
  return (
    <div className="mt-2 space-y-1">
      <input
        className="cell"
        aria-label="Cause"
        placeholder="cause"
        value={cause}
        onChange={(e) => setCause(e.target.value)}
      />
      <input
        className="cell"
        aria-label="Repair"
        placeholder="what was done"
        value={fix}
        onChange={(e) => setFix(e.target.value)}
      />
      {cause && fix ? (
        <>
          <RefPicker label="Where the repair is" saber={saber} value={place} onCommit={at} />
          <p className="label">
            {place ? `affects ${again.length} ${again.length === 1 ? 'test' : 'tests'}` : 'which tests does it affect?'}
          </p>
          <div className="max-h-28 overflow-y-auto text-[0.9rem] leading-tight">
            {saber.tests
              .filter((t) => t.readings.length)
              .map((t) => (
                <CheckBox
                  key={t.id}
                  checked={again.includes(t.id)}
                  onChange={(on) => setAgain(on ? [...again, t.id] : again.filter((x) => x !== t.id))}
                >
                  {t.what}
                  {t.setup && t.setup !== 'any' ? <span className="text-quiet"> ({SETUP_WORDS[t.setup]})</span> : null}
                </CheckBox>
              ))}
          </div>
          <button type="button" className="btn" onClick={record}>
            Record the repair
          </button>
        </>
      ) : null}
    </div>
  )
}
