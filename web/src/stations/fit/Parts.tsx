import { type Alternative, axialSlack, exchanged, fitParts, seatOf } from '@nubrin/core/fit'
import { socketSpan, spanOf } from '@nubrin/core/hilt'
import { type CataloguePart, fitFrom, KINDS, kindRule, type PartKind, SPECS, type SpecKey } from '@nubrin/core/parts'
import { CARRIES, type FittedPart, fact, HOLDS, known, type Saber, words } from '@nubrin/core/record'
import { formatNumber, quantityOf } from '@nubrin/core/units'
import { useEffect, useMemo, useRef, useState } from 'react'
import { freshId, todayIso } from '../../api'
import { useBench, useEditSaber } from '../../store/commission'
import { FactField } from '../../ui/FactField'
import { Empty, Labelled, Refused, RemoveButton, SelectCell, setText, TextCell } from '../../ui/fields'
import { useWorker } from '../../workers/useWorker'

/** The shelf beside what goes in: every row of the shelf says whether it would go in instead, and what it costs. */
export function Parts({ saber, rows, refused }: { saber: Saber; rows: CataloguePart[]; refused: string }) {
  const editSaber = useEditSaber()
  const lit = useBench((b) => b.lit)
  const light = useBench((b) => b.light)
  const [kind, setKind] = useState<PartKind>('cell')
  const fits = useMemo(() => fitParts(saber), [saber])
  const chosen = saber.parts.findIndex((p) => lit === `part:${p.id}`)
  const add = (row: CataloguePart) => {
    const id = freshId()
    const rule = kindRule(row.kind)
    const last = Math.max(0, ...saber.parts.filter((p) => kindRule(p.kind).inside).map((p) => spanOf(p)?.x1 ?? 0))
    const seat = saber.hilt.sockets.map((k) => socketSpan(saber, k.id)?.x0).find((v) => v !== undefined)
    const start =
      row.kind === 'connector' && seat !== undefined ? seat - (known(row.specs.length) ?? 0) : last ? last + 1 : 4
    const behind: Partial<FittedPart> =
      rule.inside && rule.glyph !== 'dot'
        ? {
            at: fact(Number(Math.max(0, start).toFixed(1)), 'mm', 'assumed', {
              with: 'set on the drawing',
              on: todayIso(),
            }),
            ...(row.kind === 'speaker' ? { faces: 'pommel' } : {}),
            ...(row.kind === 'cell' ? { removable: true, faces: 'emitter' } : {}),
          }
        : {}
    // A button, display or port goes to its opening; what lies inside goes behind the last.
    const place = seatOf(saber, row, todayIso()) ?? behind
    editSaber(`add ${row.name}`, (s) => void s.parts.push(fitFrom(row, id, place)))
    light(`part:${id}`)
  }
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
  // The fitted row stands at the top of the list: what is smaller lies above, what is larger below. Verdicts make rows taller.
  const told = tried !== undefined
  const list = useRef<HTMLUListElement>(null)
  const rowId = fitted?.catalogue
  useEffect(() => {
    const row = list.current?.querySelector<HTMLElement>('[data-fitted]')
    if (row && list.current) list.current.scrollTop = row.offsetTop - list.current.offsetTop
  }, [rowId, shelf, told])
  return (
    <div className="grid grid-cols-[200px_minmax(0,1fr)] gap-4">
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
                <button type="button" className="hover:bg-card w-full text-left" onClick={() => add(r)}>
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
      <section aria-label="What goes in">
        <div className="flex items-baseline gap-3">
          <h2 className="h2">What goes in</h2>
          <span className="text-quiet">drag on the drawing, or type the rear face</span>
        </div>
        {!saber.parts.length ? (
          <Empty title="Nothing chosen yet">
            Take a cell, a speaker and a board off the shelf; each is placed behind the last and can be dragged on the
            drawing.
          </Empty>
        ) : null}
        {[...fits]
          .sort((a, b) => (known(a.part.at) ?? 999) - (known(b.part.at) ?? 999))
          .map((f) => {
            const i = saber.parts.findIndex((p) => p.id === f.part.id)
            return (
              <div
                key={f.part.id}
                className={`border-rule grid grid-cols-[minmax(0,1fr)_74px_118px_auto] items-center gap-2 border-b ${lit === `part:${f.part.id}` ? 'bg-card' : ''}`}
              >
                <button
                  type="button"
                  className="text-left leading-tight font-medium"
                  onClick={() => light(`part:${f.part.id}`)}
                >
                  {f.part.name}
                </button>
                <FactField
                  hideLabel
                  compact
                  label={`${f.part.name}, rear face from the pommel`}
                  value={f.part.at}
                  unit="mm"
                  quantity="length"
                  onCommit={(v) => editSaber('place', (s) => void (s.parts[i]!.at = v))}
                />
                <span
                  className={`text-[0.9rem] ${f.spareMm !== undefined && f.spareMm < 0 ? 'text-stop font-semibold' : 'text-quiet'}`}
                >
                  {f.needs.length
                    ? 'not judged'
                    : f.spareMm === undefined
                      ? ''
                      : f.spareMm < 0
                        ? `✕ ${formatNumber(-f.spareMm)} mm too big`
                        : `✓ ${formatNumber(f.spareMm)} mm to spare`}
                </span>
                <RemoveButton what={f.part.name} onClick={() => removePart(editSaber, f.part.id)} />
              </div>
            )
          })}
        {saber.parts
          .filter((p) => !fits.some((f) => f.part.id === p.id))
          .map((p) => (
            <div key={p.id} className="border-rule flex items-center border-b">
              <button type="button" className="flex-1 truncate py-1 text-left" onClick={() => light(`part:${p.id}`)}>
                {p.name} <span className="text-quiet">{KINDS[p.kind].label}</span>
              </button>
              <RemoveButton what={p.name} onClick={() => removePart(editSaber, p.id)} />
            </div>
          ))}
        {chosen >= 0 ? <PartSheet saber={saber} index={chosen} /> : null}
      </section>
    </div>
  )
}

/** Whether a part of the shelf would go in where one is fitted, and what it costs. */
function Verdict({
  alt,
  here,
  slack,
  swap,
}: {
  alt: Alternative
  /** The row is the one fitted now. */
  here: boolean
  /** Axial slack as it is, mm. */
  slack: number | undefined
  swap: () => void
}) {
  const shorter = slack !== undefined && alt.slackMm !== undefined ? alt.slackMm - slack : 0
  const costs = [
    alt.overlapMm > 0 ? `shares ${formatNumber(alt.overlapMm, 1)} mm` : '',
    alt.runtimeMin !== undefined && Math.abs(alt.runtimeMin) >= 1
      ? `${alt.runtimeMin > 0 ? '+' : ''}${formatNumber(alt.runtimeMin, 0)} min`
      : '',
    alt.fits && Math.abs(shorter) >= 0.1 ? `slack ${shorter > 0 ? '+' : '−'}${formatNumber(Math.abs(shorter), 1)}` : '',
  ].filter(Boolean)
  return (
    <span className="flex items-baseline gap-2 text-[0.85rem]">
      <span className={alt.fits === false ? 'text-stop' : alt.fits ? 'text-fine' : 'text-quiet'}>
        {alt.spareMm === undefined
          ? 'cannot be judged yet'
          : alt.spareMm < 0
            ? `✕ ${formatNumber(-alt.spareMm)} mm too big at ${formatNumber(alt.at?.x ?? 0, 0)}`
            : `${alt.fits ? '✓' : '✕'} ${formatNumber(alt.spareMm)} mm to spare`}
        {costs.length ? `, ${costs.join(', ')}` : ''}
      </span>
      {here ? (
        <span className="text-quiet ml-auto shrink-0">in now</span>
      ) : (
        <button
          type="button"
          className="text-brass ml-auto shrink-0"
          onClick={swap}
          aria-label={`Swap in ${alt.row.name}`}
        >
          swap in
        </button>
      )}
    </span>
  )
}

const sizeText = (s: CataloguePart['specs']) => {
  const v = (k: SpecKey) => known(s[k])
  const d = v('diameter')
  const size =
    d !== undefined
      ? `Ø ${formatNumber(d)}${v('length') ? ` × ${formatNumber(v('length')!)}` : ''}`
      : v('length')
        ? [v('length'), v('width'), v('height')]
            .filter((x) => x !== undefined)
            .map((x) => formatNumber(x!))
            .join(' × ')
        : ''
  return [size, v('capacity') ? `${v('capacity')} mAh` : '', v('impedance') ? `${v('impedance')} Ω` : '']
    .filter(Boolean)
    .join(', ')
}

function removePart(editSaber: ReturnType<typeof useEditSaber>, id: string) {
  editSaber('remove part', (s) => {
    s.parts = s.parts.filter((p) => p.id !== id)
    for (const p of s.parts) if (p.beside === id) delete p.beside
    for (const n of s.inputs) if (n.part === id) delete n.part
  })
}

function PartSheet({ saber, index }: { saber: Saber; index: number }) {
  const p = saber.parts[index]!
  const editSaber = useEditSaber()
  const rule = kindRule(p.kind)
  const set = (run: (p: Saber['parts'][number]) => void) => editSaber('part', (s) => run(s.parts[index]!))
  return (
    <div className="bg-card border-brassline mt-3 border-t-2 p-3">
      <div className="grid grid-cols-4 gap-x-3 gap-y-1">
        <Labelled label={rule.label} className="col-span-2">
          <TextCell
            label="Part name"
            className="font-semibold"
            value={p.name}
            onCommit={(v) => set((x) => void (x.name = v || x.name))}
          />
        </Labelled>
        {p.kind === 'cell' ? null : (
          <Labelled label="lies beside">
            <select
              className="cell"
              aria-label="Lies beside"
              value={p.beside ?? ''}
              onChange={(e) => set((x) => void (e.target.value ? (x.beside = e.target.value) : delete x.beside))}
            >
              <option value="">on the axis</option>
              {saber.parts
                .filter((q) => q.id !== p.id && q.kind === 'cell')
                .map((q) => (
                  <option key={q.id} value={q.id}>
                    {q.name}
                  </option>
                ))}
            </select>
          </Labelled>
        )}
        <Labelled label="its front faces">
          <SelectCell
            label="Faces"
            value={p.faces ?? 'emitter'}
            options={['emitter', 'pommel'] as const}
            onCommit={(v) => set((x) => void (x.faces = v))}
          />
        </Labelled>
        {p.kind === 'chassis' ? (
          <Labelled label="held by">
            <SelectCell
              label="Held by"
              value={p.heldBy ?? ''}
              options={['', ...HOLDS]}
              words={(v) => (v ? words(v) : 'not said')}
              onCommit={(v) => set((x) => void (v ? (x.heldBy = v as (typeof HOLDS)[number]) : delete x.heldBy))}
            />
          </Labelled>
        ) : null}
        {p.kind === 'wire' ? (
          <Labelled label="carries">
            <SelectCell
              label="Carries"
              value={p.carries ?? ''}
              options={['', ...CARRIES]}
              words={(v) => v || 'everything'}
              onCommit={(v) => set((x) => void (v ? (x.carries = v as (typeof CARRIES)[number]) : delete x.carries))}
            />
          </Labelled>
        ) : null}
        {p.kind === 'cell' && saber.parts.filter((q) => q.kind === 'cell').length > 1 ? (
          <Labelled label="joined">
            <SelectCell
              label="Joined"
              value={p.wiring ?? 'parallel'}
              options={['parallel', 'series'] as const}
              onCommit={(v) =>
                editSaber('wiring of the cells', (s) => {
                  for (const q of s.parts) if (q.kind === 'cell') q.wiring = v
                })
              }
            />
          </Labelled>
        ) : null}
        {['switch', 'display', 'chargePort', 'killSwitch'].includes(p.kind) ? (
          <FactField
            label="clock angle"
            value={p.clock}
            unit="deg"
            quantity="angle"
            onCommit={(v) => set((x) => void (x.clock = v))}
          />
        ) : null}
        <Labelled label="lot">
          <TextCell label="Lot" value={p.lot ?? ''} onCommit={(v) => set((x) => setText(x, 'lot', v))} />
        </Labelled>
        {[...rule.needs, ...rule.extras].map((k) => (
          <FactField
            key={k}
            label={SPECS[k].label}
            value={p.specs[k]}
            unit={SPECS[k].unit}
            quantity={quantityOf(SPECS[k].unit)}
            source="datasheet"
            onCommit={(v) => set((x) => void (x.specs[k] = v))}
          />
        ))}
        {p.kind === 'cell' ? (
          <>
            <Labelled label="which way round: the landmarks on this saber" className="col-span-3">
              <TextCell
                label="Landmark"
                value={p.landmark ?? ''}
                placeholder="minus pole first; a plus is cut into the groove"
                onCommit={(v) => set((x) => setText(x, 'landmark', v))}
              />
            </Labelled>
            <label className="flex items-center gap-1.5">
              <input
                type="checkbox"
                checked={!!p.removable}
                onChange={(e) => set((x) => void (x.removable = e.target.checked))}
              />{' '}
              can be taken out
            </label>
          </>
        ) : null}
      </div>
    </div>
  )
}
