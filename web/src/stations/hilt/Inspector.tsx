import { known } from '@nubrin/core/facts'
import { partsOfRef, type Ref, type Saber, keyWords as words } from '@nubrin/core/record'
import { useBench } from '../../store/commission'
import { FastenerSheet } from './FastenerSheet'
import { OpeningSheet } from './OpeningSheet'
import { SectionSheet } from './SectionSheet'
import { SocketSheet } from './SocketSheet'
import { WholeHilt } from './WholeHilt'

/** What is lit, in figures; with nothing lit, the list of what could be. */
export function Inspector({ saber }: { saber: Saber }) {
  const lit = useBench((b) => b.lit)
  const h = saber.hilt
  const at = lit ? partsOfRef(lit) : undefined
  const section = at?.kind === 'section' ? h.sections.find((x) => x.id === at.id) : undefined
  const fastener = at?.kind === 'fastener' ? h.fasteners.find((x) => x.id === at.id) : undefined
  const opening = at?.kind === 'opening' ? h.openings.find((x) => x.id === at.id) : undefined
  const socket = at?.kind === 'socket' ? h.sockets.find((x) => x.id === at.id) : undefined
  if (section) return <SectionSheet key={section.id} section={section} />
  if (fastener) return <FastenerSheet key={fastener.id} saber={saber} fastener={fastener} />
  if (opening) return <OpeningSheet key={opening.id} opening={opening} />
  if (socket) return <SocketSheet key={socket.id} socket={socket} />
  const place = (mm: number | undefined) => (mm === undefined ? 'place ?' : `${mm} mm`)
  return (
    <section aria-label="Screws, openings and sockets" className="relative max-h-[230px] overflow-y-auto">
      <WholeHilt />
      {h.sockets.map((x) => (
        <Item
          key={x.id}
          to={`socket:${x.id}`}
          name={x.name}
          detail={known(x.bore) === undefined ? 'socket, not measured' : `socket Ø ${known(x.bore)}`}
        />
      ))}
      {h.fasteners.map((x) => (
        <Item
          key={x.id}
          to={`fastener:${x.id}`}
          name={x.name}
          detail={`${x.thread}, ${place(known(x.at))}${x.clientMay === 'never' ? ', hands off' : ''}`}
        />
      ))}
      {h.openings.map((x) => (
        <Item
          key={x.id}
          to={`opening:${x.id}`}
          name={x.name}
          detail={`${words(x.kind)}, ${x.face === 'rear' ? 'rear face' : place(known(x.at))}`}
        />
      ))}
    </section>
  )
}

function Item({ to, name, detail }: { to: Ref; name: string; detail: string }) {
  const light = useBench((b) => b.light)
  return (
    <button
      type="button"
      className="border-rule hover:bg-card flex w-full justify-between gap-2 border-b py-1 text-left"
      onClick={() => light(to)}
    >
      <span className="font-medium">{name}</span>
      <span className="text-quiet">{detail}</span>
    </button>
  )
}
