import { type ProfilePoint, profileFaults } from '@nubrin/core/hilt'
import { known, type Section } from '@nubrin/core/record'
import { formatNumber, parseMeasure } from '@nubrin/core/units'
import { useState } from 'react'
import { useEditSaber } from '../../store/commission'
import { FactField } from '../../ui/FactField'
import { Labelled, RemoveButton, SelectCell, setText, TextCell } from '../../ui/fields'
import { Sheet } from './Sheet'

/** The shape of one section: its profiles point by point, its joint, its weight. */
export function SectionSheet({ section: x }: { section: Section }) {
  const editSaber = useEditSaber()
  const set = (run: (y: Section) => void) =>
    editSaber('section', (s) => {
      const y = s.hilt.sections.find((q) => q.id === x.id)
      if (y) run(y)
    })
  return (
    <Sheet what="Section" name={x.name} onName={(v) => set((y) => void (y.name = v))}>
      <div className="grid grid-cols-2 gap-3">
        <Profile section={x} which="outer" />
        <Profile section={x} which="bore" />
      </div>
      {x.joint.kind === 'thread' ? (
        <div className="grid grid-cols-3 gap-2">
          <FactField
            label="thread length"
            value={x.joint.length}
            unit="mm"
            quantity="length"
            onCommit={(v) => set((y) => void (y.joint.length = v))}
          />
          <Labelled label="hand">
            <SelectCell
              label="Hand of the thread"
              value={x.joint.hand ?? 'right'}
              options={['right', 'left'] as const}
              onCommit={(v) => set((y) => void (y.joint.hand = v))}
            />
          </Labelled>
          <Labelled label="it is stopped by">
            <SelectCell
              label="What stops the thread"
              value={x.joint.lockedForLife ? 'locked' : x.joint.stop === false ? 'nothing' : 'shoulder'}
              options={['shoulder', 'nothing', 'locked'] as const}
              words={(v) => ({ shoulder: 'a shoulder', nothing: 'nothing', locked: 'locked for life' })[v]}
              onCommit={(v) =>
                set((y) => {
                  if (v === 'nothing') y.joint.stop = false
                  else delete y.joint.stop
                  if (v === 'locked') y.joint.lockedForLife = true
                  else delete y.joint.lockedForLife
                })
              }
            />
          </Labelled>
          {x.joint.stop === false ? (
            <FactField
              label="closes too far by"
              value={x.joint.overTravel}
              unit="mm"
              quantity="length"
              onCommit={(v) => set((y) => void (y.joint.overTravel = v))}
            />
          ) : null}
        </div>
      ) : null}
      <div className="grid grid-cols-[90px_minmax(0,1fr)] gap-2">
        <FactField
          label="weighed"
          value={x.mass}
          unit="g"
          quantity="mass"
          onCommit={(v) => set((y) => void (y.mass = v))}
        />
        <Labelled label="note">
          <TextCell label="Section note" value={x.note ?? ''} onCommit={(v) => set((y) => setText(y, 'note', v))} />
        </Labelled>
      </div>
    </Sheet>
  )
}

const KEY = { outer: 'outerProfile', bore: 'boreProfile' } as const
const WORD = { outer: 'outside', bore: 'bore' } as const

/** One profile as its points, x from the section's rear and diameter; a wrong one stays in its field with the rule beside it. */
function Profile({ section, which }: { section: Section; which: 'outer' | 'bore' }) {
  const editSaber = useEditSaber()
  const [wrong, setWrong] = useState('')
  const length = known(section.length)
  const points = section[KEY[which]]
  const commit = (next: ProfilePoint[] | undefined) => {
    const fault = next && length !== undefined ? profileFaults(next, length, which)[0] : undefined
    if (fault) {
      setWrong(fault.text)
      return
    }
    setWrong('')
    editSaber(`${WORD[which]} profile`, (s) => {
      const y = s.hilt.sections.find((q) => q.id === section.id)
      if (!y) return
      if (next) y[KEY[which]] = next
      else delete y[KEY[which]]
    })
  }
  const whole = known(which === 'outer' ? section.outside : section.bore)
  if (!points)
    return (
      <div>
        <div className="label">{WORD[which]} profile</div>
        {length !== undefined && whole !== undefined ? (
          <button
            type="button"
            className="text-brass py-1 text-left"
            onClick={() =>
              commit([
                { x: 0, d: whole },
                { x: Number((length / 2).toFixed(1)), d: whole },
                { x: length, d: whole },
              ])
            }
          >
            + step or taper it
          </button>
        ) : (
          <p className="text-quiet text-[0.87rem]">straight; measure it first</p>
        )}
      </div>
    )
  const number = (i: number, key: 'x' | 'd', text: string) => {
    const read = parseMeasure(text, 'length')
    if (!read.ok) {
      setWrong(`“${text}” is not a length`)
      return
    }
    commit(points.map((p, k) => (k === i ? { ...p, [key]: read.value } : p)))
  }
  return (
    <div>
      <div className="label">{WORD[which]}: from rear, Ø</div>
      <ul className="max-h-[150px] overflow-y-auto">
        {points.map((p, i) => (
          <li key={`${i}-${p.x}-${p.d}`} className="flex items-center gap-1">
            <TextCell
              label={`${WORD[which]} point ${i + 1}, from the rear`}
              value={formatNumber(p.x)}
              onCommit={(v) => number(i, 'x', v)}
            />
            <TextCell
              label={`${WORD[which]} point ${i + 1}, diameter`}
              value={formatNumber(p.d)}
              onCommit={(v) => number(i, 'd', v)}
            />
            <RemoveButton
              what={`${WORD[which]} point ${i + 1}`}
              onClick={() =>
                points.length <= 2
                  ? commit(undefined)
                  : i === 0 || i === points.length - 1
                    ? setWrong('the ends stay; take the points between them away first')
                    : commit(points.filter((_, k) => k !== i))
              }
            />
          </li>
        ))}
      </ul>
      <button
        type="button"
        className="text-brass text-[0.92rem]"
        onClick={() => {
          // A new point in the middle of the longest stretch changes nothing until it is moved.
          const gap = points
            .slice(1)
            .map((p, i) => ({ i: i + 1, w: p.x - points[i]!.x }))
            .sort((a, b) => b.w - a.w)[0]!
          const [a, b] = [points[gap.i - 1]!, points[gap.i]!]
          commit(
            points.toSpliced(gap.i, 0, {
              x: Number(((a.x + b.x) / 2).toFixed(2)),
              d: Number(((a.d + b.d) / 2).toFixed(2)),
            }),
          )
        }}
      >
        + point
      </button>
      <button type="button" className="text-brass ml-3 text-[0.92rem]" onClick={() => commit(undefined)}>
        straight
      </button>
      {wrong ? (
        <p role="alert" className="text-stop text-[0.87rem]">
          {wrong}
        </p>
      ) : null}
    </div>
  )
}
