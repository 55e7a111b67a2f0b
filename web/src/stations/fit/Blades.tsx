import {
  adapterFor,
  demoAgainstShipped,
  exposed,
  judgeSocket,
  SOCKET_WORDS,
  shoppingList,
  stringSums,
  swingRoom,
} from '@nubrin/core/fit'
import { inArm, layOut } from '@nubrin/core/hilt'
import { pixels } from '@nubrin/core/power'
import { type Blade, fact, known, type Saber } from '@nubrin/core/record'
import { formatNumber, mmAndInch, quantityOf, type SizeKind, type Unit } from '@nubrin/core/units'
import { useState } from 'react'
import { freshId } from '../../api'
import { useBench, useEditSaber } from '../../store/commission'
import { FactField } from '../../ui/FactField'
import { FigureView } from '../../ui/FigureView'
import { AddLine, Empty, Labelled, RemoveButton, SelectCell, setText, TextCell } from '../../ui/fields'
import { DuelNote } from './Balance'

type FactKey = {
  [K in keyof Blade]-?: NonNullable<Blade[K]> extends Blade['outside'] ? K : never
}[keyof Blade]
const COMMON: [FactKey, string, Unit, SizeKind?][] = [
  ['outside', 'tube outside', 'mm', 'tube'],
  ['wall', 'wall', 'mm', 'wall'],
  ['length', 'tube length', 'mm', 'bladeTube'],
  ['mass', 'mass', 'g'],
]
const OWN: Record<Blade['kind'], [FactKey, string, Unit][]> = {
  pixel: [
    ['strips', 'strips', '×'],
    ['density', 'pixels per metre', '1/m'],
    ['channelCurrent', 'per channel', 'mA'],
    ['idleCurrent', 'idle, per pixel', 'mA'],
  ],
  string: [
    ['groups', 'groups', '×'],
    ['ledsPerGroup', 'LEDs in each', '×'],
    ['ledsTotal', 'LEDs, as stated', '×'],
    ['groupCurrent', 'a group draws', 'mA'],
    ['forwardVolts', 'forward voltage', 'V'],
  ],
  inHilt: [],
  plug: [],
}
const DATASHEET = new Set<FactKey>(['density', 'channelCurrent', 'idleCurrent', 'groupCurrent', 'forwardVolts'])

/** The blades: each against its socket, its arithmetic, what is left to do on it, and what the client has to buy. */
export function Blades({ saber }: { saber: Saber }) {
  const editSaber = useEditSaber()
  const lit = useBench((b) => b.lit)
  const light = useBench((b) => b.light)
  const [last, setLast] = useState(saber.blades[0]?.id)
  const open = saber.blades.find((b) => lit === `blade:${b.id}`) ?? saber.blades.find((b) => b.id === last)
  const add = (socketId: string) => {
    const id = freshId()
    const bore = known(saber.hilt.sockets.find((k) => k.id === socketId)?.bore) ?? 25.5
    const d = bore < 20.5 ? 19.05 : bore < 23.5 ? 22.225 : 25.4
    editSaber(
      'add blade',
      (s) =>
        void s.blades.push({
          id,
          name: `blade ${s.blades.length + 1}`,
          socket: socketId,
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
    setLast(id)
    light(`blade:${id}`)
  }
  const shopping = shoppingList(saber)
  const shown = demoAgainstShipped(saber).filter((d) => d.differs.length)
  if (!saber.hilt.sockets.length)
    return <Empty title="No socket yet">A blade needs a socket: add the emitter under Hilt.</Empty>
  return (
    <div className="grid grid-cols-[190px_minmax(0,1fr)] gap-5">
      <section aria-label="Blades of this saber">
        <h2 className="h2">Blades</h2>
        {saber.blades.map((b) => {
          const k = saber.hilt.sockets.find((q) => q.id === b.socket)
          const [bore, d] = [known(k?.bore), known(b.outside)]
          const fit = bore !== undefined && d !== undefined ? judgeSocket(bore, d) : undefined
          const bad = fit && ['willNotEnter', 'wrongSize'].includes(fit.kind)
          return (
            <button
              key={b.id}
              type="button"
              aria-pressed={open?.id === b.id}
              className={`border-rule w-full border-b py-1 text-left leading-tight ${open?.id === b.id ? 'bg-card' : ''}`}
              onClick={() => {
                setLast(b.id)
                light(`blade:${b.id}`)
              }}
            >
              <span className="font-medium">{b.name}</span>
              <span className={`block text-[0.9rem] ${bad ? 'text-stop font-semibold' : 'text-quiet'}`}>
                {k?.name}: {fit ? `${SOCKET_WORDS[fit.kind]}, ${formatNumber(fit.clearanceMm)} mm` : 'not measured'}
              </span>
            </button>
          )
        })}
        {saber.hilt.sockets.map((k) => (
          <button key={k.id} type="button" className="text-brass block py-1 text-left" onClick={() => add(k.id)}>
            + a blade for the {k.name}
          </button>
        ))}
        {shopping.length ? (
          <>
            <h2 className="h2 mt-3">The client buys</h2>
            {shopping.map((s) => (
              <div key={s.blade.id} className="border-rule border-b py-1 text-[0.92rem] leading-tight">
                <p className="font-medium">
                  {s.blade.name}, for the {s.socket}
                </p>
                <p className="text-quiet">{s.lines.join('; ')}</p>
                {s.needs.length ? <p className="text-stop">not said yet: {s.needs.join(', ')}</p> : null}
              </div>
            ))}
          </>
        ) : null}
        {shown.map((d) => (
          <p key={d.demo.id} className="text-brass mt-2 text-[0.92rem]">
            {d.demo.name} is the bench’s: {d.differs.join('; ')}.
          </p>
        ))}
      </section>
      {open ? (
        <BladeSheet key={open.id} saber={saber} blade={open} />
      ) : (
        <Empty title="No blade yet">Add one for a socket; its fit is judged as soon as both are measured.</Empty>
      )}
    </div>
  )
}

function BladeSheet({ saber, blade: b }: { saber: Saber; blade: Blade }) {
  const editSaber = useEditSaber()
  const light = useBench((x) => x.light)
  const set = (run: (x: Blade) => void) =>
    editSaber('blade', (s) => {
      const x = s.blades.find((q) => q.id === b.id)
      if (x) run(x)
    })
  const k = saber.hilt.sockets.find((q) => q.id === b.socket)
  const across = inArm(layOut(saber.hilt), k)
  const [bore, d] = [known(k?.bore), known(b.outside)]
  const fit = bore !== undefined && d !== undefined ? judgeSocket(bore, d, known(k?.depth), known(b.length)) : undefined
  const adapter = adapterFor(saber, b)
  const sums = b.kind === 'string' ? stringSums(b) : undefined
  const remedy = !fit
    ? 'The fit is judged when socket and tube are measured.'
    : fit.removePerSideMm > 0
      ? `Take ${formatNumber(fit.removePerSideMm)} mm off per side.`
      : adapter
        ? `An adapter: ${adapter.words}.`
        : fit.shimPerSideMm > 0
          ? `Shim ${formatNumber(fit.shimPerSideMm)} mm per side.`
          : ''
  return (
    <section aria-label={`Blade ${b.name}`}>
      <div className="flex items-center gap-2">
        <TextCell
          label="Blade name"
          className="font-semibold"
          value={b.name}
          onCommit={(v) => set((x) => void (x.name = v || x.name))}
        />
        <RemoveButton
          what={b.name}
          onClick={() => {
            editSaber('remove blade', (s) => {
              s.blades = s.blades.filter((x) => x.id !== b.id)
              for (const z of s.zones) if (z.blade === b.id) delete z.blade
            })
            light(undefined)
          }}
        />
      </div>
      <div className="grid grid-cols-5 gap-x-3 gap-y-0.5">
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
            words={(v) => ({ pixel: 'pixel', string: 'string', inHilt: 'hollow tube', plug: 'plug' })[v]}
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
        <Labelled label="tip">
          <TextCell label="Tip" value={b.tip ?? ''} onCommit={(v) => set((x) => setText(x, 'tip', v))} />
        </Labelled>
        <Labelled label="diffusion">
          <TextCell
            label="Diffusion"
            value={b.diffusion ?? ''}
            onCommit={(v) => set((x) => setText(x, 'diffusion', v))}
          />
        </Labelled>
        {[...COMMON, ...OWN[b.kind]].map(([key, label, unit, kind]) => (
          <FactField
            key={key}
            compact
            label={label}
            {...(kind ? { kind: kind === 'bladeTube' && across ? 'armTube' : kind } : {})}
            value={b[key]}
            unit={unit}
            quantity={quantityOf(unit)}
            {...(DATASHEET.has(key) ? { source: 'datasheet' as const } : {})}
            onCommit={(v) => set((x) => void (x[key] = v))}
          />
        ))}
      </div>
      <div className="mt-2 grid grid-cols-2 gap-5">
        <div>
          <p className="font-semibold">
            {fit
              ? `${k?.name}: ${SOCKET_WORDS[fit.kind]}, ${formatNumber(fit.clearanceMm)} mm`
              : `${k?.name ?? 'socket'} not measured`}
          </p>
          {bore !== undefined && d !== undefined ? (
            <p className="text-quiet text-[0.92rem]">
              socket {mmAndInch(bore)}, tube {mmAndInch(d)}
              {fit?.tipPlayMm !== undefined ? `; the tip moves by ${formatNumber(fit.tipPlayMm, 1)} mm` : ''}
            </p>
          ) : null}
          {remedy ? <p className="text-brass font-medium">{remedy}</p> : null}
          <FigureView name="outside the hilt" figure={exposed(saber, b)} digits={0} />
          {b.kind === 'pixel' ? <FigureView name="pixels" figure={pixels(saber, b)} digits={0} unit="" /> : null}
          {sums ? (
            <>
              <FigureView name="LEDs" figure={sums.total} digits={0} unit="" />
              {sums.agrees === undefined ? null : (
                <p className={sums.agrees ? 'text-fine' : 'text-stop font-semibold'}>
                  {sums.agrees ? '✓ agrees with the stated total' : `✕ stated ${formatNumber(known(b.ledsTotal)!)}`}
                </p>
              )}
              <FigureView name="all groups lit" figure={sums.current} digits={2} />
            </>
          ) : null}
          <FigureView
            name="room to swing it, all round"
            figure={swingRoom(saber, b)}
            as={(v) => `${formatNumber(v / 1000, 1)} m`}
          />
        </div>
        <div>
          <p className="font-semibold">Left to do on it</p>
          {(b.toDo ?? []).map((t, i) => (
            <div key={t.id} className="flex items-center gap-2">
              <label className="flex flex-1 items-center gap-2 py-0.5">
                <input
                  type="checkbox"
                  checked={t.done}
                  onChange={(e) => set((x) => void (x.toDo![i]!.done = e.target.checked))}
                />
                <span className={t.done ? 'text-quiet line-through' : ''}>{t.text}</span>
              </label>
              <RemoveButton what={t.text} onClick={() => set((x) => void x.toDo!.splice(i, 1))} />
            </div>
          ))}
          <AddLine
            label="drill the tip, roll in the film…"
            onAdd={(text) =>
              set((x) => {
                x.toDo = [...(x.toDo ?? []), { id: freshId(), text: text.slice(0, 240), done: false }]
              })
            }
          />
          <DuelNote saber={saber} blade={b} />
        </div>
      </div>
    </section>
  )
}
