import { known } from '@nubrin/core/facts'
import { type ProfilePoint, profileFaults, profileFaultText } from '@nubrin/core/geometry'
import type { Section } from '@nubrin/core/record'
import { formatNumber, MAKER, parseFaultText, parseMeasure } from '@nubrin/core/units'
import { useState } from 'react'
import { Refused, RemoveButton, TextCell } from '../../kit'
import { useEditHilt } from '../../store/commission'

type Which = 'outer' | 'bore'
const KEY = { outer: 'outerProfile', bore: 'boreProfile' } as const
const WORD = { outer: 'outside', bore: 'bore' } as const

/** One point more, in the middle of the longest stretch, where it changes nothing until it is moved. */
function withPoint(points: readonly ProfilePoint[]): ProfilePoint[] {
  const gap = points
    .slice(1)
    .map((p, i) => ({ i: i + 1, w: p.x - points[i]!.x }))
    .sort((a, b) => b.w - a.w)[0]!
  const [a, b] = [points[gap.i - 1]!, points[gap.i]!]
  const mean = (p: number, q: number) => Number(((p + q) / 2).toFixed(2))
  return points.toSpliced(gap.i, 0, { x: mean(a.x, b.x), d: mean(a.d, b.d) })
}

/** Writes a profile down, or says which rule it breaks. */
function useProfile(section: Section, which: Which) {
  const edit = useEditHilt('sections')
  const [wrong, setWrong] = useState('')
  const length = known(section.length)
  const commit = (next: ProfilePoint[] | undefined) => {
    const fault = next && length !== undefined ? profileFaults(next, length, which)[0] : undefined
    setWrong(fault ? profileFaultText(fault) : '')
    if (fault) return
    edit(`${WORD[which]} profile`, section.id, (y) => {
      if (next) y[KEY[which]] = next
      else delete y[KEY[which]]
    })
  }
  return { wrong, setWrong, commit }
}

/** One profile as its points, x from the section’s rear and diameter; a wrong one stays in its field with the rule beside it. */
export function Profile({ section, which }: { section: Section; which: Which }) {
  const { wrong, setWrong, commit } = useProfile(section, which)
  const points = section[KEY[which]]
  if (!points) return <Straight section={section} which={which} onShape={commit} />
  const number = (i: number, key: 'x' | 'd', text: string) => {
    const read = parseMeasure(text, 'length')
    if (read.ok) commit(points.with(i, { ...points[i]!, [key]: read.value }))
    else setWrong(`“${text}” ${parseFaultText(read)}`)
  }
  const takeOut = (i: number) => {
    if (points.length <= 2) commit(undefined)
    else if (i === 0 || i === points.length - 1) setWrong('the ends stay; remove the points between them first')
    else commit(points.toSpliced(i, 1))
  }
  return (
    <div>
      <div className="label">{WORD[which]}: from rear, Ø</div>
      <ul className="max-h-[150px] overflow-y-auto">
        {points.map((p, i) => (
          <li key={`${i}-${p.x}-${p.d}`} className="flex items-center gap-1">
            <TextCell
              label={`${WORD[which]} point ${i + 1}, from the rear`}
              value={formatNumber(MAKER, p.x)}
              onCommit={(v) => number(i, 'x', v)}
            />
            <TextCell
              label={`${WORD[which]} point ${i + 1}, diameter`}
              value={formatNumber(MAKER, p.d)}
              onCommit={(v) => number(i, 'd', v)}
            />
            <RemoveButton what={`${WORD[which]} point ${i + 1}`} onClick={() => takeOut(i)} />
          </li>
        ))}
      </ul>
      <button type="button" className="text-brass text-[0.92rem]" onClick={() => commit(withPoint(points))}>
        + point
      </button>
      <button type="button" className="text-brass ml-3 text-[0.92rem]" onClick={() => commit(undefined)}>
        straight
      </button>
      <Refused why={wrong} className="text-[0.87rem]" />
    </div>
  )
}

/** A profile that nobody has drawn yet: it can be begun once length and diameter are known. */
function Straight({
  section,
  which,
  onShape,
}: {
  section: Section
  which: Which
  onShape: (points: ProfilePoint[]) => void
}) {
  const length = known(section.length)
  const d = known(which === 'outer' ? section.outside : section.bore)
  const begin = (long: number, whole: number) =>
    onShape([0, Number((long / 2).toFixed(1)), long].map((x) => ({ x, d: whole })))
  return (
    <div>
      <div className="label">{WORD[which]} profile</div>
      {length !== undefined && d !== undefined ? (
        <button type="button" className="text-brass py-1 text-left" onClick={() => begin(length, d)}>
          + step or taper it
        </button>
      ) : (
        <p className="text-quiet text-[0.87rem]">straight; measure it first</p>
      )}
    </div>
  )
}
