import {
  type Alternative,
  alternatives,
  axialSlack,
  balance,
  chassisWall,
  exchanged,
  fitParts,
  judgeSocket,
  SOCKET_WORDS,
} from '@nubrin/core/fit'
import { boreAt, layOut, outerAt, socketSpan, spanOf } from '@nubrin/core/hilt'
import { type CataloguePart, fitFrom, KINDS, kindRule, type PartKind, SPECS, type SpecKey } from '@nubrin/core/parts'
import { type Blade, fact, known, type Saber } from '@nubrin/core/record'
import { formatNumber, mmAndInch, quantityOf } from '@nubrin/core/units'
import { useEffect, useMemo, useState } from 'react'
import { catalogue, freshId, todayIso } from '../api'
import { useBench, useEditSaber, useSaber } from '../store/commission'
import { FactField } from '../ui/FactField'
import { FigureView } from '../ui/FigureView'
import { Empty, Labelled, RemoveButton, SelectCell, setText, TextCell } from '../ui/fields'
import type { StationProps } from './Bench'

export default function Fit({ cut }: StationProps) {
  const saber = useSaber()
  const editSaber = useEditSaber()
  const lit = useBench((b) => b.lit)
  const light = useBench((b) => b.light)
  const [rows, setRows] = useState<CataloguePart[]>([])
  const [kind, setKind] = useState<PartKind | 'blade'>('cell')
  const [refused, setRefused] = useState('')
  useEffect(() => {
    catalogue().then(setRows, (e: Error) => setRefused(e.message))
  }, [])
  const fits = useMemo(() => fitParts(saber), [saber])
  const slack = useMemo(() => axialSlack(saber), [saber])
  const bal = useMemo(() => balance(saber), [saber])
  const chosen = saber.parts.findIndex((p) => lit === `part:${p.id}`)
  const add = (row: CataloguePart) => {
    const id = freshId()
    const rule = kindRule(row.kind)
    const last = Math.max(0, ...saber.parts.filter((p) => kindRule(p.kind).inside).map((p) => spanOf(p)?.x1 ?? 0))
    const seat = saber.hilt.sockets.map((k) => socketSpan(saber, k.id)?.x0).find((v) => v !== undefined)
    const start =
      row.kind === 'connector' && seat !== undefined ? seat - (known(row.specs.length) ?? 0) : last ? last + 1 : 4
    editSaber(
      `add ${row.name}`,
      (s) =>
        void s.parts.push(
          fitFrom(
            row,
            id,
            rule.inside && rule.glyph !== 'dot'
              ? {
                  at: fact(Number(Math.max(0, start).toFixed(1)), 'mm', 'assumed', {
                    with: 'set on the drawing',
                    on: todayIso(),
                  }),
                  ...(row.kind === 'speaker' ? { faces: 'pommel' } : {}),
                  ...(row.kind === 'cell' ? { removable: true, faces: 'emitter' } : {}),
                }
              : {},
          ),
        ),
    )
    light(`part:${id}`)
  }
  const addBlade = () => {
    const socket = saber.hilt.sockets[0]
    if (!socket) return
    const id = freshId()
    const d = (known(socket.bore) ?? 25.5) < 23.5 ? 22.225 : 25.4
    editSaber(
      'add blade',
      (s) =>
        void s.blades.push({
          id,
          name: `blade ${s.blades.length + 1}`,
          socket: socket.id,
          use: 'ship',
          kind: 'pixel',
          outside: fact(d, 'mm', 'assumed'),
          wall: fact(2, 'mm', 'assumed'),
          length: fact(null, 'mm'),
          strips: fact(2, '×', 'assumed'),
          density: fact(144, '1/m', 'datasheet'),
          channelCurrent: fact(12, 'mA', 'datasheet'),
          idleCurrent: fact(0.6, 'mA', 'datasheet'),
        }),
    )
    light(`blade:${id}`)
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
  const tried = useMemo(
    () => (fitted && rows.length ? alternatives(saber, fitted.id, rows) : []),
    [saber, fitted, rows],
  )
  return (
    <div className="grid grid-cols-[190px_minmax(0,1fr)_220px] gap-4">
      <section aria-label="Catalogue">
        <h2 className="h2">Off the shelf</h2>
        <SelectCell
          label="Kind of part"
          value={kind}
          options={['blade', ...kinds] as (PartKind | 'blade')[]}
          words={(k) => (k === 'blade' ? 'blade' : KINDS[k].label)}
          onCommit={setKind}
        />
        {refused ? (
          <p role="alert" className="text-stop">
            {refused}
          </p>
        ) : null}
        <ul className="mt-1 max-h-[300px] overflow-y-auto">
          {kind === 'blade' ? (
            <li>
              {saber.hilt.sockets.length ? (
                <button
                  type="button"
                  className="hover:bg-card border-rule w-full border-b py-1.5 text-left"
                  onClick={addBlade}
                >
                  + a pixel blade for the {saber.hilt.sockets[0]!.name}
                </button>
              ) : (
                <p className="text-quiet py-2">A blade needs a socket: add the emitter under Hilt.</p>
              )}
            </li>
          ) : (
            rows
              .filter((r) => r.kind === kind)
              .map((r) => {
                const alt = tried.find((t) => t.row.id === r.id)
                return (
                  <li key={r.id} className="border-rule border-b py-1 leading-tight">
                    <button type="button" className="hover:bg-card w-full text-left" onClick={() => add(r)}>
                      <span className="font-medium">+ {r.name}</span>
                      <span className="text-quiet block text-[0.85rem]">{sizeText(r.specs)}</span>
                    </button>
                    {alt && fitted ? (
                      <Verdict
                        alt={alt}
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
              })
          )}
        </ul>
      </section>
      <section aria-label="What goes in">
        <div className="flex items-baseline gap-3">
          <h2 className="h2">What goes in</h2>
          <span className="text-quiet">drag on the drawing, or type the rear face</span>
        </div>
        {!saber.parts.length && !saber.blades.length ? (
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
        {saber.blades.map((b, i) => (
          <BladeRow key={b.id} blade={b} index={i} saber={saber} />
        ))}
        {chosen >= 0 ? <PartSheet saber={saber} index={chosen} /> : null}
      </section>
      <section aria-label="Cross-section">
        <h2 className="h2">Cut at {formatNumber(cut, 1)} mm</h2>
        <CrossSection saber={saber} cut={cut} />
        <FigureView name="axial slack" figure={slack.nominal} digits={1} />
        {slack.nominal.ok ? (
          <p className="text-quiet text-[0.87rem]">
            worst case ±{formatNumber(slack.worst, 1)}, root sum of squares ±{formatNumber(slack.rss, 1)}
          </p>
        ) : null}
        <FigureView name="mass" figure={bal.mass} digits={0} />
        <FigureView name="balance from the pommel" figure={bal.centre} digits={0} />
      </section>
    </div>
  )
}

/** Whether a part of the shelf would go in where one is fitted, and what it costs. */
function Verdict({ alt, swap }: { alt: Alternative; swap: () => void }) {
  const costs = [
    alt.overlapMm > 0 ? `shares ${formatNumber(alt.overlapMm, 1)} mm` : '',
    alt.runtimeMin !== undefined && Math.abs(alt.runtimeMin) >= 1
      ? `${alt.runtimeMin > 0 ? '+' : ''}${formatNumber(alt.runtimeMin, 0)} min`
      : '',
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
      <button
        type="button"
        className="text-brass ml-auto shrink-0"
        onClick={swap}
        aria-label={`Swap in ${alt.row.name}`}
      >
        swap in
      </button>
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

function BladeRow({ blade: b, index, saber }: { blade: Blade; index: number; saber: Saber }) {
  const editSaber = useEditSaber()
  const lit = useBench((x) => x.lit)
  const light = useBench((x) => x.light)
  const k = saber.hilt.sockets.find((q) => q.id === b.socket)
  const [bore, d] = [known(k?.bore), known(b.outside)]
  const fit = bore !== undefined && d !== undefined ? judgeSocket(bore, d, known(k?.depth), known(b.length)) : undefined
  const set = (run: (x: Blade) => void) => editSaber('blade', (s) => run(s.blades[index]!))
  const open = lit === `blade:${b.id}`
  return (
    <div className={`border-rule border-b ${open ? 'bg-card' : ''}`}>
      <div className="flex items-center gap-2">
        <button
          type="button"
          className="flex-1 truncate py-1.5 text-left font-medium"
          onClick={() => light(`blade:${b.id}`)}
        >
          {b.name} <span className="text-quiet font-normal">{d === undefined ? '' : `tube ${mmAndInch(d)}`}</span>
        </button>
        <span
          className={fit && ['willNotEnter', 'wrongSize'].includes(fit.kind) ? 'text-stop font-semibold' : 'text-quiet'}
        >
          {fit ? `${SOCKET_WORDS[fit.kind]}, ${formatNumber(fit.clearanceMm)} mm` : 'socket not measured'}
        </span>
        <RemoveButton
          what={b.name}
          onClick={() =>
            editSaber('remove blade', (s) => {
              s.blades.splice(index, 1)
              for (const z of s.zones) if (z.blade === b.id) delete z.blade
            })
          }
        />
      </div>
      {open ? (
        <div className="grid grid-cols-4 gap-x-3 gap-y-1 px-3 pb-3">
          <Labelled label="name">
            <TextCell label="Blade name" value={b.name} onCommit={(v) => set((x) => void (x.name = v || x.name))} />
          </Labelled>
          <Labelled label="this one">
            <SelectCell
              label="Use of the blade"
              value={b.use}
              options={['ship', 'demo', 'toBuy'] as const}
              words={(u) => ({ ship: 'ships', demo: 'is the bench’s', toBuy: 'client buys it' })[u]}
              onCommit={(v) => set((x) => void (x.use = v))}
            />
          </Labelled>
          <Labelled label="kind">
            <SelectCell
              label="Kind of blade"
              value={b.kind}
              options={['pixel', 'string', 'inHilt', 'plug'] as const}
              onCommit={(v) => set((x) => void (x.kind = v))}
            />
          </Labelled>
          <Labelled label="socket">
            <SelectCell
              label="Socket of the blade"
              value={b.socket}
              options={saber.hilt.sockets.map((q) => q.id)}
              words={(v) => saber.hilt.sockets.find((q) => q.id === v)?.name ?? '?'}
              onCommit={(v) => set((x) => void (x.socket = v))}
            />
          </Labelled>
          <FactField
            label="tube outside"
            kind="tube"
            value={b.outside}
            unit="mm"
            quantity="length"
            onCommit={(v) => set((x) => void (x.outside = v))}
          />
          <FactField
            label="wall"
            kind="wall"
            value={b.wall}
            unit="mm"
            quantity="length"
            onCommit={(v) => set((x) => void (x.wall = v))}
          />
          <FactField
            label="tube length"
            kind="bladeTube"
            value={b.length}
            unit="mm"
            quantity="length"
            onCommit={(v) => set((x) => void (x.length = v))}
          />
          <FactField
            label="strips"
            value={b.strips}
            unit="×"
            quantity="count"
            onCommit={(v) => set((x) => void (x.strips = v))}
          />
          <FactField
            label="pixels per metre"
            value={b.density}
            unit="1/m"
            quantity="density"
            source="datasheet"
            onCommit={(v) => set((x) => void (x.density = v))}
          />
          <FactField
            label="per channel"
            value={b.channelCurrent}
            unit="mA"
            quantity="current"
            source="datasheet"
            onCommit={(v) => set((x) => void (x.channelCurrent = v))}
          />
        </div>
      ) : null}
    </div>
  )
}

/** The hilt cut across at x, to scale: wall, chassis, cell, what lies beside it. */
function CrossSection({ saber, cut }: { saber: Saber; cut: number }) {
  const shape = layOut(saber.hilt)
  const [outer, bore] = [outerAt(shape, cut), boreAt(shape, cut)]
  if (outer === undefined || bore === undefined)
    return <p className="text-quiet">Drag the mark under the drawing onto the hilt.</p>
  const clearance = known(saber.hilt.clearance) ?? 0.3
  const wall = chassisWall(saber, cut, cut + 0.1)
  const R = bore / 2 - wall - clearance
  const here = saber.parts.filter((p) => {
    const s = spanOf(p)
    return s && s.x0 <= cut && s.x1 >= cut && !['frame', 'knob', 'dot'].includes(kindRule(p.kind).glyph)
  })
  const scale = 168 / Math.max(40, outer)
  const at = (v: number) => 92 + v * scale
  return (
    <svg
      viewBox="0 0 250 184"
      className="w-full"
      role="img"
      aria-label={`Cross-section at ${cut} mm: bore ${formatNumber(bore)} mm, ${here.map((p) => p.name).join(', ') || 'empty'}`}
    >
      <defs>
        <pattern id="cut-hatch" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0V5" stroke="#8a8371" strokeWidth="1" />
        </pattern>
      </defs>
      <circle cx={at(0)} cy={at(0)} r={(outer / 2) * scale} fill="#efe6d4" stroke="#1e2a2b" strokeWidth="1.4" />
      <circle cx={at(0)} cy={at(0)} r={(outer / 2) * scale} fill="url(#cut-hatch)" />
      <circle cx={at(0)} cy={at(0)} r={(bore / 2) * scale} fill="#fbf8f1" stroke="#1e2a2b" strokeWidth="1.4" />
      {wall > 0 ? (
        <circle
          cx={at(0)}
          cy={at(0)}
          r={(R + clearance * 0) * scale}
          fill="none"
          stroke="#6b6556"
          strokeDasharray="4 3"
        />
      ) : null}
      {here.map((p) => {
        const d = known(p.specs.diameter)
        const paired = saber.parts.some((q) => q.beside === p.id) || p.beside
        if (d !== undefined) {
          const cy = paired && p.kind === 'cell' ? R - d / 2 : 0
          return (
            <g key={p.id}>
              <circle
                cx={at(0)}
                cy={at(cy)}
                r={(d / 2) * scale}
                fill={p.kind === 'cell' ? '#d5e0d6' : '#dcdccf'}
                fillOpacity="0.85"
                stroke={d / 2 > R + 0.001 ? '#a63a2b' : '#1e2a2b'}
                strokeWidth={d / 2 > R + 0.001 ? 2.4 : 1.1}
              />
              <text x={at(0)} y={at(cy) + 4} textAnchor="middle" fontSize="12" fontWeight="620">
                {formatNumber(d, 1)}
              </text>
            </g>
          )
        }
        const [w, h] = [known(p.specs.width) ?? 6, known(p.specs.height) ?? 3]
        const cell = saber.parts.find((q) => q.id === p.beside)
        const cd = known(cell?.specs.diameter)
        const top = cd === undefined ? -h / 2 : R - cd - 0.5 - h
        return (
          <g key={p.id}>
            <rect x={at(-w / 2)} y={at(top)} width={w * scale} height={h * scale} fill="#c9cfcd" stroke="#1e2a2b" />
            <text x={at(0)} y={at(top + h / 2) + 4} textAnchor="middle" fontSize="11" fontWeight="600">
              {formatNumber(w, 1)} × {formatNumber(h, 1)}
            </text>
          </g>
        )
      })}
      <text x="186" y="24" fontSize="12" fill="#5f594b">
        bore {formatNumber(bore, 1)}
      </text>
      <text x="186" y="40" fontSize="12" fill="#5f594b">
        wall {formatNumber((outer - bore) / 2, 1)}
      </text>
      {wall ? (
        <text x="186" y="56" fontSize="12" fill="#5f594b">
          free Ø {formatNumber(R * 2, 1)}
        </text>
      ) : null}
    </svg>
  )
}
