import type { LayoutWish } from '@nubrin/core/fit'
import type { Saber } from '@nubrin/core/record'
import { parseFaultText, parseMeasure } from '@nubrin/core/units'
import { useState } from 'react'
import { Labelled, Refused, SelectCell, TextCell } from '../../kit'
import type { Search } from './useLayouts'

/** What the search may choose and what it has to keep to. */
export function WhatMayVary({ saber, search }: { saber: Saber; search: Search }) {
  const { wish, setWish } = search
  const set = (change: Partial<LayoutWish>) => setWish((w) => ({ ...w, ...change }))
  return (
    <div className="grid grid-cols-2 gap-x-3 gap-y-1">
      <SelectCell
        title="cell"
        label="Cell"
        value={wish.cell}
        options={['strong', 'any', 'keep'] as const}
        words={(v) => ({ strong: 'strong enough', any: 'any', keep: 'as fitted' })[v]}
        onCommit={(cell) => set({ cell })}
      />
      <SelectCell
        title="speaker"
        label="Speaker"
        value={wish.speaker}
        options={['any', 'keep'] as const}
        words={(v) => (v === 'any' ? 'any' : 'as fitted')}
        onCommit={(speaker) => set({ speaker })}
      />
      <SelectCell
        title="board lies"
        label="Board lies"
        value={wish.beside && wish.inLine ? 'either' : wish.beside ? 'beside' : 'inLine'}
        options={['either', 'beside', 'inLine'] as const}
        words={(v) => ({ either: 'either way', beside: 'on the cell', inLine: 'in line' })[v]}
        onCommit={(v) => set({ beside: v !== 'inLine', inLine: v !== 'beside' })}
      />
      <SelectCell
        title="speaker faces"
        label="Speaker faces"
        value={wish.faces.length > 1 ? 'either' : wish.faces[0]!}
        options={['pommel', 'emitter', 'either'] as const}
        words={(v) => (v === 'either' ? 'either way' : v)}
        onCommit={(v) => set({ faces: v === 'either' ? ['pommel', 'emitter'] : [v] })}
      />
      <WishedLength
        label="chamber of at least"
        value={wish.chamber}
        hint={saber.parts.some((p) => p.kind === 'chamber') ? 'it stays' : 'none'}
        onCommit={(chamber) => setWish(({ chamber: _c, ...w }) => (chamber === undefined ? w : { ...w, chamber }))}
      />
      <WishedLength
        label="target balance"
        value={wish.balance}
        hint="any"
        onCommit={(balance) => setWish(({ balance: _b, ...w }) => (balance === undefined ? w : { ...w, balance }))}
      />
    </div>
  )
}

const MOST = 400
/** A length in mm, or nothing; what is neither stays in the field with the rule beside it. */
function WishedLength({
  label,
  value,
  hint,
  onCommit,
}: {
  label: string
  value: number | undefined
  hint: string
  onCommit: (mm: number | undefined) => void
}) {
  const [wrong, setWrong] = useState('')
  const commit = (text: string) => {
    if (text.trim() === '') {
      setWrong('')
      return onCommit(undefined)
    }
    const read = parseMeasure(text, 'length')
    const fine = read.ok && read.value <= MOST
    setWrong(fine ? '' : `“${text}” ${read.ok ? `is more than ${MOST} mm` : parseFaultText(read)}.`)
    if (fine) onCommit(read.value)
  }
  return (
    <Labelled label={label}>
      <TextCell label={label} value={value === undefined ? '' : String(value)} placeholder={hint} onCommit={commit} />
      <Refused why={wrong} className="text-[0.9rem]" />
    </Labelled>
  )
}
