import { standardKey } from '@nubrin/core/fit'
import { drawUnrolled } from '@nubrin/core/hilt'
import {
  CLIENT_MAY,
  fact,
  JOINTS,
  known,
  MATERIALS,
  OPENINGS,
  ROLES,
  type Saber,
  SCREW_PURPOSES,
  words,
} from '@nubrin/core/record'
import { type MouseEvent, useMemo, useState } from 'react'
import { freshId, todayIso } from '../api'
import { SceneView } from '../drawing/SceneView'
import { useWidth } from '../drawing/useWidth'
import { useBench, useEditSaber, useSaber } from '../store/commission'
import { FactField } from '../ui/FactField'
import { Empty, Labelled, RemoveButton, SelectCell, setText, TextCell } from '../ui/fields'

const TOOLS = ['screw', 'button hole', 'window', 'vent', 'port'] as const
type Tool = (typeof TOOLS)[number]
const none = (unit: 'mm' | 'deg') => fact(null, unit)

export default function Hilt() {
  const saber = useSaber()
  const editSaber = useEditSaber()
  const lit = useBench((b) => b.lit)
  const light = useBench((b) => b.light)
  const addSection = (role: (typeof ROLES)[number], name = role as string) =>
    editSaber('add section', (s) => {
      const id = freshId()
      const end = s.hilt.sections.findIndex((x) => x.role === 'emitter')
      const item = {
        id,
        name,
        role,
        material: 'aluminium' as const,
        length: none('mm'),
        outside: none('mm'),
        bore: none('mm'),
        joint: { kind: 'none' as const },
      }
      if (role === 'emitter' || end < 0 || role === 'quillon') s.hilt.sections.push(item)
      else s.hilt.sections.splice(role === 'pommel' ? 0 : end, 0, item)
      if (role === 'emitter')
        s.hilt.sockets.push({
          id: freshId(),
          name: 'emitter',
          section: id,
          bore: none('mm'),
          depth: none('mm'),
          insertion: 'straight',
          retention: [],
        })
    })
  if (!saber.hilt.sections.length)
    return (
      <Empty
        title="A bare bench"
        action={
          <>
            <button
              type="button"
              className="btn btn-main"
              onClick={() => {
                for (const r of ['pommel', 'grip', 'neck', 'emitter'] as const) addSection(r)
              }}
            >
              Lay out pommel, grip, neck and emitter
            </button>
            {ROLES.map((r) => (
              <button key={r} type="button" className="btn" onClick={() => addSection(r)}>
                {r}
              </button>
            ))}
          </>
        }
      >
        Begin at the pommel and work forward. Sizes can come later: what nobody measured is drawn dotted.
      </Empty>
    )
  return (
    <div className="space-y-4">
      <section aria-label="Sections, from the pommel forward" className="flex gap-2 overflow-x-auto pb-1">
        {saber.hilt.sections.map((x, i) => (
          // biome-ignore lint/a11y/noStaticElementInteractions: focusing any field inside lights the section
          <div
            key={x.id}
            className={`border-t-[3px] bg-card w-[168px] min-w-[150px] flex-1 px-2 pb-2 ${lit === `section:${x.id}` ? 'border-brassline' : 'border-ink'}`}
            onFocus={() => light(`section:${x.id}`)}
          >
            <div className="flex items-center">
              <TextCell
                label={`Name of section ${i + 1}`}
                value={x.name}
                className="font-semibold"
                onCommit={(v) => editSaber('section name', (s) => void (s.hilt.sections[i]!.name = v || x.role))}
              />
              <RemoveButton
                what={x.name}
                onClick={() =>
                  editSaber('remove section', (s) => {
                    s.hilt.sections.splice(i, 1)
                    const gone = s.hilt.sockets.filter((k) => k.section === x.id).map((k) => k.id)
                    s.blades = s.blades.filter((b) => !gone.includes(b.socket))
                    s.hilt.sockets = s.hilt.sockets.filter((k) => k.section !== x.id)
                    for (const z of s.zones) if (z.blade && !s.blades.some((b) => b.id === z.blade)) delete z.blade
                  })
                }
              />
            </div>
            <div className="grid grid-cols-3 gap-1.5">
              <FactField
                compact
                label="length"
                kind="sectionLength"
                value={x.length}
                unit="mm"
                quantity="length"
                onCommit={(f) => editSaber('section length', (s) => void (s.hilt.sections[i]!.length = f))}
              />
              <FactField
                compact
                label="outside"
                kind="outside"
                value={x.outside}
                unit="mm"
                quantity="length"
                onCommit={(f) => editSaber('section outside', (s) => void (s.hilt.sections[i]!.outside = f))}
              />
              <FactField
                compact
                label="bore"
                kind="bore"
                value={x.bore}
                unit="mm"
                quantity="length"
                onCommit={(f) => editSaber('section bore', (s) => void (s.hilt.sections[i]!.bore = f))}
              />
            </div>
            <div className="mt-1 grid grid-cols-2 gap-1.5">
              <SelectCell
                label={`Material of ${x.name}`}
                value={x.material}
                options={MATERIALS}
                onCommit={(v) => editSaber('material', (s) => void (s.hilt.sections[i]!.material = v))}
              />
              <SelectCell
                label={`Joint of ${x.name} to the next`}
                value={x.joint.kind}
                options={JOINTS}
                words={(j) => (j === 'none' ? 'no joint' : words(j))}
                onCommit={(v) =>
                  editSaber(
                    'joint',
                    (s) => void (s.hilt.sections[i]!.joint = { ...s.hilt.sections[i]!.joint, kind: v }),
                  )
                }
              />
            </div>
          </div>
        ))}
        <div className="flex w-24 shrink-0 flex-col gap-1">
          <span className="label">add a section</span>
          {(['pommel', 'grip', 'neck', 'shroud', 'emitter', 'quillon'] as const).map((r) => (
            <button key={r} type="button" className="text-brass text-left leading-tight" onClick={() => addSection(r)}>
              + {r}
            </button>
          ))}
        </div>
      </section>
      <div className="grid grid-cols-[minmax(0,1fr)_300px] gap-5">
        <Unrolled saber={saber} />
        <Inspector saber={saber} />
      </div>
    </div>
  )
}

/** The outside of the hilt unrolled; a tool in hand puts a screw or an opening where it is pressed. */
function Unrolled({ saber }: { saber: Saber }) {
  const [ref, width] = useWidth<HTMLDivElement>()
  const [tool, setTool] = useState<Tool>()
  const editSaber = useEditSaber()
  const lit = useBench((b) => b.lit)
  const light = useBench((b) => b.light)
  const scene = useMemo(() => drawUnrolled(saber, { width: Math.max(300, width), height: 190 }), [saber, width])
  const place = (e: MouseEvent) => {
    if (!tool) return
    const box = e.currentTarget.getBoundingClientRect()
    const x = Number(scene.mm(e.clientX - box.left).toFixed(1))
    const clock = Math.round(((((e.clientY - box.top - 8) / (scene.height - 24)) * 360 - 45 + 360) % 360) / 5) * 5
    const at = fact(x, 'mm', 'assumed', { with: 'set on the drawing', on: todayIso() })
    const angle = fact(clock % 360, 'deg', 'assumed', { with: 'set on the drawing', on: todayIso() })
    const id = freshId()
    editSaber(`add ${tool}`, (s) => {
      if (tool === 'screw')
        s.hilt.fasteners.push({
          id,
          name: `screw ${s.hilt.fasteners.length + 1}`,
          thread: 'M4',
          key: '2 mm',
          head: 'set',
          purpose: 'other',
          at,
          clock: angle,
          clientMay: 'loosen',
        })
      else {
        const kind = ({ 'button hole': 'switch', window: 'window', vent: 'vent', port: 'port' } as const)[tool]
        const [l, w] = { switch: [12, 12], window: [24, 12], vent: [8, 24], port: [10, 10] }[kind] as [number, number]
        s.hilt.openings.push({
          id,
          name: `${tool} ${s.hilt.openings.length + 1}`,
          kind,
          at,
          clock: angle,
          length: fact(l, 'mm', 'assumed'),
          width: fact(w, 'mm', 'assumed'),
        })
      }
    })
    light(tool === 'screw' ? `fastener:${id}` : `opening:${id}`)
    setTool(undefined)
  }
  return (
    <section aria-label="Unrolled surface">
      <div className="flex flex-wrap items-center gap-2">
        <h2 className="h2">Unrolled</h2>
        <span className="text-quiet">length across, clock angle down; 0° is the switch line</span>
        <span className="ml-auto flex gap-1">
          {TOOLS.map((t) => (
            <button
              key={t}
              type="button"
              aria-pressed={tool === t}
              className={`btn min-h-7! px-2! py-0.5! text-[0.87rem] ${tool === t ? 'btn-main' : ''}`}
              onClick={() => setTool(tool === t ? undefined : t)}
            >
              {t}
            </button>
          ))}
        </span>
      </div>
      {/* biome-ignore lint/a11y/useKeyWithClickEvents: the same is done with the keyboard in the list beside it */}
      {/* biome-ignore lint/a11y/noStaticElementInteractions: see above */}
      <div ref={ref} onClick={place} className={tool ? 'cursor-crosshair' : ''}>
        <SceneView
          scene={scene}
          title="Unrolled surface"
          onPick={tool ? () => undefined : light}
          lit={lit}
          className="block"
        />
      </div>
      {tool ? <p className="text-brass">Press where the {tool} sits; correct the figures at the side.</p> : null}
    </section>
  )
}

/** What is lit, in figures; with nothing lit, the list of what could be. */
function Inspector({ saber }: { saber: Saber }) {
  const lit = useBench((b) => b.lit)
  const light = useBench((b) => b.light)
  const editSaber = useEditSaber()
  const [kind, id] = (lit ?? ':').split(':')
  const h = saber.hilt
  const f = kind === 'fastener' ? h.fasteners.findIndex((x) => x.id === id) : -1
  const o = kind === 'opening' ? h.openings.findIndex((x) => x.id === id) : -1
  const k = kind === 'socket' ? h.sockets.findIndex((x) => x.id === id) : -1
  const back = (
    <button type="button" className="text-brass" onClick={() => light(undefined)}>
      ← all screws and openings
    </button>
  )
  if (f >= 0) {
    const x = h.fasteners[f]!
    const set = (run: (x: Saber['hilt']['fasteners'][number]) => void) =>
      editSaber('screw', (s) => run(s.hilt.fasteners[f]!))
    return (
      <section aria-label="Screw" className="space-y-1.5">
        {back}
        <div className="flex">
          <TextCell
            label="Screw name"
            className="font-semibold"
            value={x.name}
            onCommit={(v) => set((y) => void (y.name = v || y.name))}
          />
          <RemoveButton
            what={x.name}
            onClick={() =>
              editSaber('remove screw', (s) => {
                s.hilt.fasteners.splice(f, 1)
                for (const q of s.hilt.sockets) q.retention = q.retention.filter((r) => r !== x.id)
              })
            }
          />
        </div>
        <div className="grid grid-cols-3 gap-2">
          <Labelled label="thread">
            <TextCell
              label="Thread"
              value={x.thread}
              onCommit={(v) =>
                set((y) => {
                  y.thread = v
                  const std = standardKey(v, y.head)
                  if (std && !y.key) y.key = std
                })
              }
            />
          </Labelled>
          <Labelled label="key">
            <TextCell
              label="Key"
              value={x.key}
              placeholder={standardKey(x.thread, x.head) ?? ''}
              onCommit={(v) => set((y) => void (y.key = v))}
            />
          </Labelled>
          <Labelled label="head">
            <SelectCell
              label="Head"
              value={x.head}
              options={['set', 'cap', 'button', 'thumb', 'dummy'] as const}
              onCommit={(v) => set((y) => void (y.head = v))}
            />
          </Labelled>
          <FactField
            label="from pommel"
            value={x.at}
            unit="mm"
            quantity="length"
            onCommit={(v) => set((y) => void (y.at = v))}
          />
          <FactField
            label="clock angle"
            value={x.clock}
            unit="deg"
            quantity="angle"
            onCommit={(v) => set((y) => void (y.clock = v))}
          />
          <Labelled label="holds">
            <SelectCell
              label="Holds"
              value={x.purpose}
              options={SCREW_PURPOSES}
              words={words}
              onCommit={(v) => set((y) => void (y.purpose = v))}
            />
          </Labelled>
        </div>
        <Labelled label="the client may">
          <SelectCell
            label="The client may"
            value={x.clientMay}
            options={CLIENT_MAY}
            words={(v) => (v === 'never' ? 'NOT touch it' : v === 'loosen' ? 'loosen, not remove' : 'remove')}
            onCommit={(v) => set((y) => void (y.clientMay = v))}
          />
        </Labelled>
        <div className="flex flex-wrap gap-4">
          {h.sockets.map((q, i) => (
            <label key={q.id} className="flex items-center gap-1.5">
              <input
                type="checkbox"
                checked={q.retention.includes(x.id)}
                onChange={(e) =>
                  editSaber(
                    'what holds the blade',
                    (s) =>
                      void (s.hilt.sockets[i]!.retention = e.target.checked
                        ? [...s.hilt.sockets[i]!.retention, x.id]
                        : s.hilt.sockets[i]!.retention.filter((r) => r !== x.id)),
                  )
                }
              />
              holds the blade in the {q.name}
            </label>
          ))}
          <label className="flex items-center gap-1.5">
            <input
              type="checkbox"
              checked={!!x.looseNow}
              onChange={(e) => set((y) => void (e.target.checked ? (y.looseNow = true) : delete y.looseNow))}
            />{' '}
            loose at the moment
          </label>
        </div>
      </section>
    )
  }
  if (o >= 0) {
    const x = h.openings[o]!
    const set = (run: (x: Saber['hilt']['openings'][number]) => void) =>
      editSaber('opening', (s) => run(s.hilt.openings[o]!))
    return (
      <section aria-label="Opening" className="space-y-1.5">
        {back}
        <div className="flex">
          <TextCell
            label="Opening name"
            className="font-semibold"
            value={x.name}
            onCommit={(v) => set((y) => void (y.name = v || y.name))}
          />
          <RemoveButton
            what={x.name}
            onClick={() => editSaber('remove opening', (s) => void s.hilt.openings.splice(o, 1))}
          />
        </div>
        <SelectCell
          label="Kind of opening"
          value={x.kind}
          options={OPENINGS}
          words={words}
          onCommit={(v) => set((y) => void (y.kind = v))}
        />
        <div className="grid grid-cols-2 gap-2">
          <FactField
            label="middle, from pommel"
            value={x.at}
            unit="mm"
            quantity="length"
            onCommit={(v) => set((y) => void (y.at = v))}
          />
          <FactField
            label="clock angle"
            value={x.clock}
            unit="deg"
            quantity="angle"
            onCommit={(v) => set((y) => void (y.clock = v))}
          />
          <FactField
            label="length"
            value={x.length}
            unit="mm"
            quantity="length"
            onCommit={(v) => set((y) => void (y.length = v))}
          />
          <FactField
            label="width"
            value={x.width}
            unit="mm"
            quantity="length"
            onCommit={(v) => set((y) => void (y.width = v))}
          />
        </div>
      </section>
    )
  }
  if (k >= 0) {
    const x = h.sockets[k]!
    return (
      <section aria-label="Socket" className="space-y-1.5">
        {back}
        <TextCell
          label="Socket name"
          className="font-semibold"
          value={x.name}
          onCommit={(v) => editSaber('socket', (s) => void (s.hilt.sockets[k]!.name = v || x.name))}
        />
        <div className="grid grid-cols-2 gap-2">
          <FactField
            label="socket bore"
            kind="bore"
            value={x.bore}
            unit="mm"
            quantity="length"
            onCommit={(v) => editSaber('socket bore', (s) => void (s.hilt.sockets[k]!.bore = v))}
          />
          <FactField
            label="depth"
            value={x.depth}
            unit="mm"
            quantity="length"
            onCommit={(v) => editSaber('socket depth', (s) => void (s.hilt.sockets[k]!.depth = v))}
          />
        </div>
        <Labelled label="the blade goes in">
          <SelectCell
            label="The blade goes in"
            value={x.insertion}
            options={['straight', 'clockwise', 'pushAndHold'] as const}
            words={(v) =>
              ({ straight: 'straight, never twisted', clockwise: 'turned clockwise', pushAndHold: 'pushed and held' })[
                v
              ]
            }
            onCommit={(v) => editSaber('insertion', (s) => void (s.hilt.sockets[k]!.insertion = v))}
          />
        </Labelled>
        <Labelled label="note">
          <TextCell
            label="Socket note"
            value={x.note ?? ''}
            onCommit={(v) => editSaber('socket note', (s) => setText(s.hilt.sockets[k]!, 'note', v))}
          />
        </Labelled>
      </section>
    )
  }
  const item = (ref: string, name: string, detail: string) => (
    <button
      key={ref}
      type="button"
      className="border-rule hover:bg-card flex w-full justify-between gap-2 border-b py-1 text-left"
      onClick={() => light(ref)}
    >
      <span className="font-medium">{name}</span>
      <span className="text-quiet">{detail}</span>
    </button>
  )
  const at = (f2: { value: number | null }) => (f2.value === null ? 'place ?' : `${f2.value} mm`)
  return (
    <section aria-label="Screws, openings and sockets" className="max-h-[230px] overflow-y-auto">
      {h.sockets.map((x) =>
        item(
          `socket:${x.id}`,
          x.name,
          known(x.bore) === undefined ? 'socket, not measured' : `socket Ø ${known(x.bore)}`,
        ),
      )}
      {h.fasteners.map((x) =>
        item(`fastener:${x.id}`, x.name, `${x.thread}, ${at(x.at)}${x.clientMay === 'never' ? ', hands off' : ''}`),
      )}
      {h.openings.map((x) => item(`opening:${x.id}`, x.name, `${words(x.kind)}, ${at(x.at)}`))}
    </section>
  )
}
