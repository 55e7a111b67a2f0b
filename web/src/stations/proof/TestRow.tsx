import { type Expected, latest, limitText, standing } from '@nubrin/core/proof'
import type { Saber, Test } from '@nubrin/core/record'
import { formatNumber, MAKER } from '@nubrin/core/units'
import { useState } from 'react'
import { lazyView } from '../../base/lazy'
import { dayOfWeeks, dayText, Mark, RemoveButton } from '../../kit'
import { useLight, useRemove } from '../../store/commission'
import { TakeReading } from './TakeReading'

const TestDetails = lazyView(() => import('./TestDetails').then((m) => m.TestDetails))
const LimitBar = lazyView(() => import('./charts').then((m) => m.LimitBar))

const STAND = {
  none: ['empty', 'no reading'],
  pass: ['fine', 'passed'],
  fail: ['stop', 'failed'],
  retest: ['stop', 'test again'],
  notPossible: ['note', 'not possible here'],
  waived: ['note', 'left out by choice'],
} as const

/** One test: where it stands, what is wanted, the last reading, and a place for the next. */
export function TestRow({
  saber,
  test: t,
  predicts,
}: {
  saber: Saber
  test: Test
  predicts: (() => Expected | undefined) | undefined
}) {
  const light = useLight()
  const remove = useRemove()
  const [more, setMore] = useState(false)
  const st = standing(saber, t)
  const last = latest(t)
  const reading = last
    ? [
        last.value === undefined ? last.text : `${formatNumber(MAKER, last.value)} ${t.unit ?? ''}`,
        `${dayOfWeeks(last.at)} ${last.by}`,
      ]
        .filter(Boolean)
        .join(', ')
    : 'no reading'
  return (
    <div className="border-rule border-b py-0.5">
      <div className="grid grid-cols-[20px_minmax(0,1fr)_150px_190px_auto_auto] items-center gap-2">
        <span title={STAND[st][1]}>
          <Mark level={STAND[st][0]} size={16} />
          <span className="sr-only">{STAND[st][1]}</span>
        </span>
        <button type="button" className="text-left leading-tight font-medium" onClick={() => light(t.place)}>
          {t.what}
          <span className="text-quiet block text-[0.87rem] font-normal">should be: {limitText(MAKER, t)}</span>
        </button>
        <span
          className={`text-[0.92rem] ${st === 'fail' || st === 'retest' ? 'text-stop font-semibold' : 'text-quiet'}`}
        >
          {reading}
          {t.readings.length > 1 ? ` (${t.readings.length})` : ''}
          {t.min === undefined && t.max === undefined ? null : <LimitBar test={t} predicts={predicts} />}
        </span>
        <TakeReading test={t} />
        <button
          type="button"
          className="text-brass px-1"
          aria-expanded={more}
          aria-label={`More on ${t.what}`}
          onClick={() => setMore(!more)}
        >
          …
        </button>
        <RemoveButton what={t.what} onClick={() => remove(`test:${t.id}`)} />
      </div>
      {more ? (
        <TestDetails test={t} />
      ) : t.waived ? (
        <p className="text-brass pl-7 text-[0.87rem]">
          left out by {t.waived.who}, {dayText(t.waived.on)}: {t.waived.why}
        </p>
      ) : t.notPossible ? (
        <p className="text-brass pl-7 text-[0.87rem]">not possible here: {t.notPossible}</p>
      ) : null}
    </div>
  )
}
