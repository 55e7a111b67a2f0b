import {
  analyse,
  compile,
  doingOf,
  EVERYDAY,
  gestureText,
  lessonsOf,
  type Matter,
  type Mend,
  mended,
  mendsFor,
  modeName,
  rowOfMap,
  secondsInWords,
  slipsOf,
  startOf,
} from '@nubrin/core/controls'
import type { Finding } from '@nubrin/core/judge'
import type { POSES, Saber } from '@nubrin/core/record'
import { MAKER } from '@nubrin/core/units'
import { say } from '@nubrin/core/words'
import { useMemo } from 'react'
import { Mark, NotJudged } from '../../kit'
import { useBench, useEditSaber, useSaber } from '../../store/commission'

/** The checks that speak of the map as a whole. */
const OF_THE_MAP: ReadonlySet<string> = new Set(['boardSpace', 'collision', 'noOff'])

/** What the walk through the whole map finds, with what would mend it; what waits; where slips lead; what there is to learn. */
export function MapFaults({ onRow }: { onRow: (row: string) => void }) {
  const saber = useSaber()
  const findings = useBench((b) => b.findings).filter((f) => f.saber === saber.id && OF_THE_MAP.has(f.check))
  const judged = useBench((b) => b.judged)
  const { matters, delays } = useMemo(() => analyse(saber), [saber])
  return (
    <div className="grid grid-cols-[minmax(0,1.2fr)_minmax(0,1fr)] gap-8">
      <section aria-label="What could go wrong">
        <h2 className="h2">{findings.length ? 'What is wrong with the map' : 'The map'}</h2>
        {judged === 'yes' ? null : <NotJudged />}
        {judged === 'yes' && !findings.length ? (
          <p className="text-fine mt-1">
            ✓ Every mode can be entered and left, every control can be performed, and everything set up can be reached.
          </p>
        ) : null}
        <ul>
          {findings.map((f) => (
            <Matters key={f.key} saber={saber} finding={f} matter={matterOf(f, matters)} onRow={onRow} />
          ))}
        </ul>
        <Learning saber={saber} />
      </section>
      <div className="space-y-5">
        <Slips saber={saber} />
        <section aria-label="What is delayed">
          <h2 className="h2">What is delayed</h2>
          <ul>
            {delays.map((d) => {
              const [r, why] = [rowOfMap(saber, d.row), rowOfMap(saber, d.because)]
              return r && why ? (
                <li key={d.row} className="border-rule border-b py-1">
                  <button type="button" className="font-semibold hover:underline" onClick={() => onRow(r.id)}>
                    {doingOf(MAKER, r)}
                  </button>{' '}
                  {d.ms === undefined ? 'acts only on release' : `acts ${d.ms} ms later`}, since there is “
                  {doingOf(MAKER, why)}”.
                </li>
              ) : null
            })}
            {delays.length ? null : <li className="text-quiet">Nothing: each acts at once.</li>}
          </ul>
        </section>
      </div>
    </div>
  )
}

/** The matter that a finding speaks of: the one with its rows. */
const matterOf = (f: Finding, matters: readonly Matter[]): Matter | undefined => {
  const rows = f.refs.filter((r) => r.startsWith('row:')).map((r) => r.slice(4))
  if (!rows.length) return undefined
  return matters.find((m) => m.rows.length === rows.length && m.rows.every((r) => rows.includes(r)))
}

function Matters({
  saber,
  finding: f,
  matter,
  onRow,
}: {
  saber: Saber
  finding: Finding
  matter: Matter | undefined
  onRow: (row: string) => void
}) {
  const editSaber = useEditSaber()
  const mends = useMemo(() => (matter ? mendsFor(saber, matter) : []), [saber, matter])
  const mend = (m: Mend) =>
    editSaber('mend a control', (s) => {
      const row = s.controls.find((r) => r.id === m.row)
      const next = rowOfMap(mended(saber, m.row, m.change), m.row)
      if (!row || !next) return
      if (!('beeps' in next)) delete row.beeps
      Object.assign(row, next)
    })
  return (
    <li className="border-rule border-b py-2">
      <p className="flex items-start gap-2 font-semibold">
        <Mark level={f.level} size={16} /> {f.title}
      </p>
      <p className="text-quiet">{f.detail}</p>
      {mends.length ? (
        <ul className="mt-1 space-y-1">
          {mends.map((m) => (
            <li key={`${m.row} ${JSON.stringify(m.change)}`} className="flex flex-wrap items-baseline gap-x-3">
              <button type="button" className="btn" onClick={() => mend(m)}>
                {changeText(saber, m)}
              </button>
              <span className="text-quiet">
                {gestureText(MAKER, saber, rowOfMap(mended(saber, m.row, m.change), m.row)!)}
                {m.gone.length > 1 ? `; ${m.gone.length} matters go with it` : ''}
              </span>
            </li>
          ))}
        </ul>
      ) : (
        <p className="text-brass">{f.remedy}</p>
      )}
      {matter?.rows.map((id) => {
        const r = rowOfMap(saber, id)
        return r ? (
          <button key={id} type="button" className="text-brass mr-3 hover:underline" onClick={() => onRow(id)}>
            to “{doingOf(MAKER, r)}”
          </button>
        ) : null
      })}
    </li>
  )
}

const POSE_WORDS: Record<(typeof POSES)[number], string> = {
  any: 'any way',
  up: 'the blade up',
  level: 'the blade level',
  down: 'the blade down',
}
function changeText(s: Saber, { row, change }: Mend): string {
  const what = `“${doingOf(MAKER, rowOfMap(s, row)!)}”`
  if ('pose' in change) return `${what} with ${POSE_WORDS[change.pose]}`
  if ('times' in change) return `${what} pressed ${say(MAKER, 'times', { n: change.times })}`
  return 'hold' in change ? `${what} held ${secondsInWords(MAKER, change.hold)}` : `${what} when it is let go`
}

const SLIP = {
  longer: 'held on',
  'once more': 'pressed once more',
  lit: 'made while it is lit',
  dark: 'made while it is dark',
} as const

/** What an everyday gesture made a little otherwise leads to, and the way out. */
function Slips({ saber }: { saber: Saber }) {
  const list = useMemo(() => {
    const board = compile(saber)
    const rows = saber.controls.filter((r) => EVERYDAY.includes(r.does) && r.status !== 'unsure')
    return slipsOf(board, startOf(board), rows.slice(0, 60))
  }, [saber])
  const name = (id: string) => {
    const r = rowOfMap(saber, id)
    return r ? doingOf(MAKER, r) : id
  }
  return (
    <section aria-label="Where slips lead">
      <h2 className="h2">Where slips lead</h2>
      <ul>
        {list.map((x) => (
          <li key={`${x.row} ${x.slip} ${x.ends}`} className="border-rule border-b py-1">
            <span className="font-semibold">{name(x.row)}</span>, {SLIP[x.slip]}:{' '}
            {x.did.length ? x.did.map(name).join(', then ') : 'nothing happens'}
            <span className="text-quiet">
              {' '}
              {x.back === undefined
                ? `– ${modeName(saber, x.ends)}, and no way back`
                : x.back.length && x.did.length
                  ? `– back by ${x.back.map(name).join(', ')}`
                  : ''}
            </span>
          </li>
        ))}
        {list.length ? null : <li className="text-quiet">None that a hand is likely to make.</li>}
      </ul>
    </section>
  )
}

/** How much a beginner has to learn, and in which order. */
function Learning({ saber }: { saber: Saber }) {
  const lessons = useMemo(() => lessonsOf(compile(saber)), [saber])
  if (!lessons.length) return null
  const gestures = new Set(lessons.map((l) => gestureText(MAKER, saber, rowOfMap(saber, l.row)!)))
  return (
    <section aria-label="What there is to learn" className="mt-5">
      <h2 className="h2">What there is to learn</h2>
      <p className="text-quiet">
        {lessons.length} controls by {gestures.size} gestures; the first five go on the front of the card.
      </p>
      <ol className="mt-1 list-inside list-decimal columns-2 gap-6">
        {lessons.map((l) => {
          const r = rowOfMap(saber, l.row)!
          return (
            <li key={l.row} className="truncate" title={gestureText(MAKER, saber, r)}>
              {doingOf(MAKER, r)} <span className="text-quiet">{modeName(saber, r.mode)}</span>
            </li>
          )
        })}
      </ol>
    </section>
  )
}
