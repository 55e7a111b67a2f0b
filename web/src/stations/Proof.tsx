import { judge, latest, limitText, proposeTests, standing } from '@nubrin/core/proof'
import type { Test } from '@nubrin/core/record'
import { formatNumber } from '@nubrin/core/units'
import { useState } from 'react'
import { freshId, todayIso } from '../api'
import { useEditSaber, useLight, useOrder, useSaber } from '../store/commission'
import { useSession } from '../store/session'
import { AddLine, Empty, RemoveButton } from '../ui/fields'
import { Mark } from '../ui/marks'

const STAND = {
  none: ['empty', 'no reading'],
  pass: ['fine', 'passed'],
  fail: ['stop', 'failed'],
  retest: ['stop', 'test again'],
} as const

export default function Proof() {
  const order = useOrder()
  const saber = useSaber()
  const editSaber = useEditSaber()
  const light = useLight()
  const proposed = proposeTests(order, saber).filter((p) => !saber.tests.some((t) => t.key === p.key))
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_230px] gap-7">
      <section aria-label="Tests">
        <div className="flex items-center gap-3">
          <h2 className="h2">Tests</h2>
          {proposed.length ? (
            <button
              type="button"
              className="btn btn-main ml-auto"
              onClick={() =>
                editSaber(
                  'take up tests',
                  (s) => void s.tests.push(...proposed.map((p) => ({ ...p, id: freshId(), readings: [] }))),
                )
              }
            >
              take up {proposed.length} proposed
            </button>
          ) : null}
        </div>
        {saber.tests.length ? null : (
          <Empty title="Nothing proved yet">
            {proposed.length
              ? 'The tests below follow from what is fitted and set up. Take them up, then enter what you find.'
              : 'Fit parts and record controls; the tests follow from them.'}
          </Empty>
        )}
        {saber.tests.map((t, i) => {
          const st = standing(saber, t)
          const last = latest(t)
          return (
            <div
              key={t.id}
              className="border-rule grid grid-cols-[20px_minmax(0,1fr)_150px_190px_auto] items-center gap-2 border-b py-0.5"
            >
              <span title={STAND[st][1]}>
                <Mark level={STAND[st][0]} size={16} />
                <span className="sr-only">{STAND[st][1]}</span>
              </span>
              <button type="button" className="text-left leading-tight font-medium" onClick={() => light(t.place)}>
                {t.what}
                <span className="text-quiet block text-[0.87rem] font-normal">wanted: {limitText(t)}</span>
              </button>
              <span
                className={`text-[0.92rem] ${st === 'fail' || st === 'retest' ? 'text-stop font-semibold' : 'text-quiet'}`}
              >
                {last
                  ? `${last.value === undefined ? (last.text ?? '') : `${formatNumber(last.value)} ${t.unit ?? ''}`}, ${last.at.slice(5, 10)} ${last.by}`
                  : 'no reading'}
                {t.readings.length > 1 ? ` (${t.readings.length})` : ''}
              </span>
              <Take test={t} index={i} />
              <RemoveButton what={t.what} onClick={() => editSaber('remove test', (s) => void s.tests.splice(i, 1))} />
            </div>
          )
        })}
        <AddLine
          label="another test, in words"
          onAdd={(what) =>
            editSaber(
              'add test',
              (s) => void s.tests.push({ id: freshId(), key: `own-${freshId()}`, what, readings: [] }),
            )
          }
        />
      </section>
      <section aria-label="Repairs">
        <h2 className="h2">Repairs</h2>
        {saber.fixes.map((f, i) => (
          <div key={f.id} className="border-rule flex gap-1 border-b py-1 leading-tight">
            <p className="flex-1">
              <span className="text-quiet">{f.on}</span> {f.cause}. <span className="font-medium">{f.fix}</span>
              {f.retest.length ? (
                <span className="text-brass block">calls for {f.retest.length} tests again</span>
              ) : null}
            </p>
            <RemoveButton what="repair" onClick={() => editSaber('remove repair', (s) => void s.fixes.splice(i, 1))} />
          </div>
        ))}
        <NewFix />
      </section>
    </div>
  )
}

function Take({ test: t, index }: { test: Test; index: number }) {
  const editSaber = useEditSaber()
  const who = useSession((s) => s.person?.name ?? 'the shop')
  const [text, setText] = useState('')
  const [wrong, setWrong] = useState('')
  const measured = t.min !== undefined || t.max !== undefined
  const take = (own: boolean, value?: number, words?: string) => {
    editSaber(
      'reading',
      (s) =>
        void s.tests[index]!.readings.push({
          id: freshId(),
          at: new Date().toISOString(),
          by: who,
          pass: judge(t, value, own),
          ...(value === undefined ? {} : { value }),
          ...(words ? { text: words } : {}),
        }),
    )
    setText('')
    setWrong('')
  }
  if (!measured)
    return (
      <span className="flex gap-1">
        <button
          type="button"
          className="btn min-h-7! px-2! py-0!"
          onClick={() => take(true, undefined, 'as it should')}
        >
          passes
        </button>
        <button type="button" className="btn min-h-7! px-2! py-0!" onClick={() => take(false, undefined, 'does not')}>
          fails
        </button>
      </span>
    )
  return (
    <span>
      <input
        className="cell"
        aria-label={`Reading of ${t.what}`}
        placeholder={`reading, ${t.unit ?? ''} ↵`}
        inputMode="decimal"
        value={text}
        onChange={(e) => setText(e.target.value)}
        onKeyDown={(e) => {
          if (e.key !== 'Enter') return
          const v = Number(text.trim().replace(',', '.'))
          if (!text.trim() || !Number.isFinite(v)) setWrong(`“${text}” is not a number`)
          else take(true, v)
        }}
      />
      {wrong ? (
        <span role="alert" className="text-stop text-[0.85rem]">
          {wrong}
        </span>
      ) : null}
    </span>
  )
}

function NewFix() {
  const saber = useSaber()
  const editSaber = useEditSaber()
  const [cause, setCause] = useState('')
  const [fix, setFix] = useState('')
  const failed = saber.tests.filter((t) => t.readings.length)
  const [again, setAgain] = useState<string[]>([])
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
        aria-label="Fix"
        placeholder="what was done"
        value={fix}
        onChange={(e) => setFix(e.target.value)}
      />
      {cause && fix ? (
        <>
          <p className="label">which tests does it touch?</p>
          <div className="max-h-28 overflow-y-auto">
            {failed.map((t) => (
              <label key={t.id} className="flex items-start gap-1 text-[0.9rem] leading-tight">
                <input
                  type="checkbox"
                  checked={again.includes(t.id)}
                  onChange={(e) => setAgain(e.target.checked ? [...again, t.id] : again.filter((x) => x !== t.id))}
                />
                {t.what}
              </label>
            ))}
          </div>
          <button
            type="button"
            className="btn"
            onClick={() => {
              editSaber(
                'repair',
                (s) => void s.fixes.push({ id: freshId(), on: todayIso(), cause, fix, retest: again }),
              )
              setCause('')
              setFix('')
              setAgain([])
            }}
          >
            Record the repair
          </button>
        </>
      ) : null}
    </div>
  )
}
