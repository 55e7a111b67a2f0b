import { judgedSeats, SOCKET_WORDS, type SocketFit } from '@nubrin/core/fit'
import type { Blade, Saber } from '@nubrin/core/record'
import { formatNumber, MAKER } from '@nubrin/core/units'
import { useState } from 'react'
import { freshId } from '../../data'
import { Empty } from '../../kit'
import { useBench, useEditSaber } from '../../store/commission'
import { BladeSheet } from './BladeSheet'
import { bladeFor } from './bladeFor'
import { Shopping } from './Shopping'

/** The blades: each against its socket, its arithmetic, what is left to do on it, and what the client has to buy. */
export function Blades({ saber }: { saber: Saber }) {
  const editSaber = useEditSaber()
  const lit = useBench((b) => b.lit)
  const light = useBench((b) => b.light)
  const [last, setLast] = useState(saber.blades[0]?.id)
  const open = saber.blades.find((b) => lit === `blade:${b.id}`) ?? saber.blades.find((b) => b.id === last)
  const add = (socketId: string) => {
    const id = freshId()
    editSaber('add blade', (s) => void s.blades.push(bladeFor(s, id, socketId)))
    setLast(id)
    light(`blade:${id}`)
  }
  if (!saber.hilt.sockets.length)
    return <Empty title="No socket yet">A blade needs a socket: add the emitter under Hilt.</Empty>
  return (
    <div className="grid grid-cols-[190px_minmax(0,1fr)] gap-5">
      <section aria-label="Blades of this saber">
        <h2 className="h2">Blades</h2>
        {saber.blades.map((b) => (
          <BladeLine
            key={b.id}
            saber={saber}
            blade={b}
            open={open?.id === b.id}
            onOpen={() => {
              setLast(b.id)
              light(`blade:${b.id}`)
            }}
          />
        ))}
        {saber.hilt.sockets.map((k) => (
          <button key={k.id} type="button" className="text-brass block py-1 text-left" onClick={() => add(k.id)}>
            + a blade for the {k.name}
          </button>
        ))}
        <Shopping saber={saber} />
      </section>
      {open ? (
        <BladeSheet key={open.id} saber={saber} blade={open} />
      ) : (
        <Empty title="No blade yet">Add one for a socket; its fit is judged as soon as both are measured.</Empty>
      )}
    </div>
  )
}

const BAD: ReadonlySet<SocketFit['kind']> = new Set(['willNotEnter', 'wrongSize'])
const WORSE: readonly SocketFit['kind'][] = ['willNotEnter', 'wrongSize', 'loose', 'tight', 'snug']
const worstOf = (fits: readonly SocketFit[]) =>
  fits.toSorted((a, b) => WORSE.indexOf(a.kind) - WORSE.indexOf(b.kind))[0]

function BladeLine({
  saber,
  blade: b,
  open,
  onOpen,
}: {
  saber: Saber
  blade: Blade
  open: boolean
  onOpen: () => void
}) {
  const k = saber.hilt.sockets.find((q) => q.id === b.socket)
  const seats = judgedSeats(saber, b)
  // Of a tube in its adapter the seat that fits worse is said.
  const fit = seats.some((x) => !x.fit) ? undefined : worstOf(seats.flatMap((x) => x.fit ?? []))
  const bad = fit && BAD.has(fit.kind)
  return (
    <button
      type="button"
      aria-pressed={open}
      className={`border-rule w-full border-b py-1 text-left leading-tight ${open ? 'bg-card' : ''}`}
      onClick={onOpen}
    >
      <span className="font-medium">{b.name}</span>
      <span className={`block text-[0.9rem] ${bad ? 'text-stop font-semibold' : 'text-quiet'}`}>
        {k?.name}: {fit ? `${SOCKET_WORDS[fit.kind]}, ${formatNumber(MAKER, fit.clearanceMm)} mm` : 'not measured'}
      </span>
    </button>
  )
}
