import { fact, JOINTS, known, MATERIALS, type NumberFact, ROLES, type Saber, words } from '@nubrin/core/record'
import { freshId, todayIso } from '../api'
import { useBench, useEditSaber, useSaber } from '../store/commission'
import { FactField } from '../ui/FactField'
import { Empty, RemoveButton, SelectCell, TextCell } from '../ui/fields'
import { FastenerSheet } from './hilt/FastenerSheet'
import { OpeningSheet } from './hilt/OpeningSheet'
import { SectionSheet } from './hilt/SectionSheet'
import { SocketSheet } from './hilt/SocketSheet'
import { Unrolled } from './hilt/Unrolled'

const none = (unit: 'mm' | 'deg') => fact(null, unit)

/** A size that came with a model sheet and was not looked at on this hilt. */
const fromModel = (f: NumberFact) => f.source === 'assumed' && f.with === 'model sheet' && f.value !== null

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
      <section aria-label="Sections, from the pommel forward" className="flex items-start gap-2 overflow-x-auto pb-1">
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
            {[x.length, x.outside, x.bore].some(fromModel) ? (
              <button
                type="button"
                className="btn mt-1 min-h-7! w-full px-2! py-0.5! text-[0.87rem]"
                onClick={() =>
                  editSaber('confirm sizes', (s) => {
                    const y = s.hilt.sections[i]!
                    for (const key of ['length', 'outside', 'bore'] as const)
                      if (fromModel(y[key]))
                        y[key] = { ...y[key], source: 'measured', with: 'checked on this hilt', on: todayIso() }
                  })
                }
              >
                checked: they hold here
              </button>
            ) : null}
            <div className="mt-1 grid grid-cols-2 gap-1.5">
              <SelectCell
                className="text-[0.88rem] [font-stretch:70%]"
                label={`Material of ${x.name}`}
                value={x.material}
                options={MATERIALS}
                onCommit={(v) => editSaber('material', (s) => void (s.hilt.sections[i]!.material = v))}
              />
              <SelectCell
                className="text-[0.88rem] [font-stretch:70%]"
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

/** What is lit, in figures; with nothing lit, the list of what could be. */
function Inspector({ saber }: { saber: Saber }) {
  const lit = useBench((b) => b.lit)
  const light = useBench((b) => b.light)
  const [kind, id] = (lit ?? ':').split(':')
  const h = saber.hilt
  const section = kind === 'section' ? h.sections.find((x) => x.id === id) : undefined
  const fastener = kind === 'fastener' ? h.fasteners.find((x) => x.id === id) : undefined
  const opening = kind === 'opening' ? h.openings.find((x) => x.id === id) : undefined
  const socket = kind === 'socket' ? h.sockets.find((x) => x.id === id) : undefined
  if (section) return <SectionSheet key={section.id} section={section} />
  if (fastener) return <FastenerSheet key={fastener.id} saber={saber} fastener={fastener} />
  if (opening) return <OpeningSheet key={opening.id} opening={opening} />
  if (socket) return <SocketSheet key={socket.id} socket={socket} />
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
    <section aria-label="Screws, openings and sockets" className="relative max-h-[230px] overflow-y-auto">
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
