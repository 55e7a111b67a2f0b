import { axialSlack, exchanged } from '@nubrin/core/fit'
import { type CataloguePart, KINDS, type PartKind } from '@nubrin/core/parts'
import type { Saber } from '@nubrin/core/record'
import { useEffect, useMemo, useRef, useState } from 'react'
import { Refused, SelectCell } from '../../kit'
import { useBench, useEditSaber } from '../../store/commission'
import { useWorker } from '../../workers/useWorker'
import { sizeText } from './sizeText'
import { Verdict } from './Verdict'

/** The fitted row stands at the top of the list: what is smaller lies above, what is larger below. Verdicts make rows taller. */
function useFittedOnTop(rowId: string | undefined, shelf: readonly CataloguePart[], told: boolean) {
  const list = useRef<HTMLUListElement>(null)
  useEffect(() => {
    const row = list.current?.querySelector<HTMLElement>('[data-fitted]')
    if (row && list.current) list.current.scrollTop = row.offsetTop - list.current.offsetTop
  }, [rowId, shelf, told])
  return list
}

/** One kind of the shelf, each row judged against the part fitted now. */
export function OffTheShelf({
  saber,
  rows,
  refused,
  onAdd,
}: {
  saber: Saber
  rows: CataloguePart[]
  refused: string | undefined
  onAdd: (row: CataloguePart) => void
}) {
  const editSaber = useEditSaber()
  const lit = useBench((b) => b.lit)
  const [kind, setKind] = useState<PartKind>('cell')
  const kinds = [...new Set(rows.map((r) => r.kind))]
  // Touching a part opens its shelf, so that "would the bigger one go in?" is answered beside it.
  const litKind = saber.parts.find((p) => lit === `part:${p.id}`)?.kind
  useEffect(() => {
    if (litKind) setKind(litKind)
  }, [litKind])
  // The part that the shelf is compared with: the one lit, else the first of its kind.
  const fitted =
    saber.parts.find((p) => p.kind === kind && lit === `part:${p.id}`) ?? saber.parts.find((p) => p.kind === kind)
  const asked = fitted && rows.length ? fitted.id : undefined
  const shelf = useMemo(() => rows.filter((r) => r.kind === kind), [rows, kind])
  const question = useMemo(
    () => (asked ? ({ kind: 'alternatives', saber, shelf, part: asked } as const) : undefined),
    [saber, asked, shelf],
  )
  const { result } = useWorker<'alternatives'>(question)
  const tried = result?.part === asked ? result?.list : undefined
  const nominal = useMemo(() => axialSlack(saber).nominal, [saber])
  const slack = nominal.ok ? nominal.value : undefined
  const rowId = fitted?.catalogue
  const list = useFittedOnTop(rowId, shelf, tried !== undefined)
  return (
    <section aria-label="Catalogue">
      <h2 className="h2">Off the shelf</h2>
      <SelectCell
        label="Kind of part"
        value={kind}
        options={kinds.length ? kinds : [kind]}
        words={(k) => KINDS[k].label}
        onCommit={setKind}
      />
      <Refused why={refused} />
      <ul ref={list} className="mt-1 max-h-[300px] overflow-y-auto">
        {shelf.map((r) => {
          const alt = tried?.find((t) => t.row.id === r.id)
          return (
            <li
              key={r.id}
              data-fitted={r.id === rowId ? '' : undefined}
              className={`border-rule border-b py-1 leading-tight ${r.id === rowId ? 'bg-card' : ''}`}
            >
              <button type="button" className="hover:bg-card w-full text-left" onClick={() => onAdd(r)}>
                <span className="font-medium">+ {r.name}</span>
                <span className="text-quiet block text-[0.85rem]">{sizeText(r.specs)}</span>
              </button>
              {alt && fitted ? (
                <Verdict
                  alt={alt}
                  here={r.id === rowId}
                  slack={slack}
                  swap={() =>
                    editSaber(
                      `swap in ${r.name}`,
                      (s) => void (s.parts = s.parts.map((p) => (p.id === fitted.id ? exchanged(p, r) : p))),
                    )
                  }
                />
              ) : null}
            </li>
          )
        })}
      </ul>
    </section>
  )
}
