import { known } from '@nubrin/core/facts'
import {
  type Adapter,
  adapterFor,
  adapterText,
  exposed,
  type JudgedSeat,
  judgedSeats,
  SOCKET_WORDS,
  stringSums,
  swingRoom,
} from '@nubrin/core/fit'
import { pixels } from '@nubrin/core/power'
import type { Blade, Saber } from '@nubrin/core/record'
import { formatNumber, MAKER, mmAndInch } from '@nubrin/core/units'
import { FigureView } from '../../kit'

const HOLE = { tube: 'socket', sleeve: 'socket', tubeInSleeve: 'adapter' } as const
const ROD = { tube: 'tube', sleeve: 'adapter', tubeInSleeve: 'tube' } as const

/** One thing in another: how it sits, its sizes, and what helps. */
function OneSeat({ seat: x, socket, adapter }: { seat: JudgedSeat; socket: string; adapter: Adapter | undefined }) {
  const { fit } = x
  const name = x.what === 'tubeInSleeve' ? 'in the adapter' : x.what === 'sleeve' ? `${socket}, adapter` : socket
  const remedy = !fit
    ? `The fit is judged when ${HOLE[x.what]} and ${ROD[x.what]} are measured.`
    : fit.removePerSideMm > 0
      ? `Take ${formatNumber(MAKER, fit.removePerSideMm)} mm off per side.`
      : adapter
        ? `An adapter: ${adapterText(adapter)}.`
        : fit.shimPerSideMm > 0
          ? `Shim ${formatNumber(MAKER, fit.shimPerSideMm)} mm per side.`
          : ''
  return (
    <>
      <p className="font-semibold">
        {fit
          ? `${name}: ${SOCKET_WORDS[fit.kind]}, ${formatNumber(MAKER, fit.clearanceMm)} mm`
          : `${name}: not measured`}
      </p>
      {fit ? (
        <p className="text-quiet text-[0.92rem]">
          {HOLE[x.what]} {mmAndInch(MAKER, known(x.hole)!)}, {ROD[x.what]} {mmAndInch(MAKER, known(x.rod)!)}
          {fit.tipPlayMm !== undefined ? `; the tip moves by ${formatNumber(MAKER, fit.tipPlayMm, 1)} mm` : ''}
        </p>
      ) : null}
      {remedy ? <p className="text-brass font-medium">{remedy}</p> : null}
    </>
  )
}

/** A blade against its socket, the remedy, and its arithmetic. */
export function SocketFit({ saber, blade: b }: { saber: Saber; blade: Blade }) {
  const k = saber.hilt.sockets.find((q) => q.id === b.socket)
  const seats = judgedSeats(saber, b)
  const adapter = adapterFor(saber, b)
  const sums = b.kind === 'string' ? stringSums(b) : undefined
  return (
    <div>
      {seats.map((x) => (
        <OneSeat key={x.what} seat={x} socket={k?.name ?? 'socket'} adapter={adapter} />
      ))}
      {seats.length ? null : <p className="font-semibold">no socket</p>}
      <FigureView name="outside the hilt" figure={exposed(saber, b)} digits={0} />
      {b.kind === 'pixel' ? <FigureView name="pixels" figure={pixels(saber, b)} digits={0} unit="" /> : null}
      {sums ? (
        <>
          <FigureView name="LEDs" figure={sums.total} digits={0} unit="" />
          {sums.agrees === undefined ? null : (
            <p className={sums.agrees ? 'text-fine' : 'text-stop font-semibold'}>
              {sums.agrees ? '✓ agrees with the stated total' : `✕ stated ${formatNumber(MAKER, known(b.ledsTotal)!)}`}
            </p>
          )}
          <FigureView name="all groups lit" figure={sums.current} digits={2} />
        </>
      ) : null}
      <FigureView
        name="room to swing it, all round"
        figure={swingRoom(saber, b)}
        as={(v) => `${formatNumber(MAKER, v / 1000, 1)} m`}
      />
    </div>
  )
}
