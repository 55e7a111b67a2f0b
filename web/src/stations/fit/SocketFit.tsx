import { known } from '@nubrin/core/facts'
import { adapterFor, adapterText, exposed, judgeSocket, SOCKET_WORDS, stringSums, swingRoom } from '@nubrin/core/fit'
import { pixels } from '@nubrin/core/power'
import type { Blade, Saber } from '@nubrin/core/record'
import { formatNumber, MAKER, mmAndInch } from '@nubrin/core/units'
import { FigureView } from '../../kit'

/** A blade against its socket, the remedy, and its arithmetic. */
export function SocketFit({ saber, blade: b }: { saber: Saber; blade: Blade }) {
  const k = saber.hilt.sockets.find((q) => q.id === b.socket)
  const [bore, d] = [known(k?.bore), known(b.outside)]
  const fit = bore !== undefined && d !== undefined ? judgeSocket(bore, d, known(k?.depth), known(b.length)) : undefined
  const adapter = adapterFor(saber, b)
  const sums = b.kind === 'string' ? stringSums(b) : undefined
  const remedy = !fit
    ? 'The fit is judged when socket and tube are measured.'
    : fit.removePerSideMm > 0
      ? `Take ${formatNumber(MAKER, fit.removePerSideMm)} mm off per side.`
      : adapter
        ? `An adapter: ${adapterText(adapter)}.`
        : fit.shimPerSideMm > 0
          ? `Shim ${formatNumber(MAKER, fit.shimPerSideMm)} mm per side.`
          : ''
  return (
    <div>
      <p className="font-semibold">
        {fit
          ? `${k?.name}: ${SOCKET_WORDS[fit.kind]}, ${formatNumber(MAKER, fit.clearanceMm)} mm`
          : `${k?.name ?? 'socket'} not measured`}
      </p>
      {bore !== undefined && d !== undefined ? (
        <p className="text-quiet text-[0.92rem]">
          socket {mmAndInch(MAKER, bore)}, tube {mmAndInch(MAKER, d)}
          {fit?.tipPlayMm !== undefined ? `; the tip moves by ${formatNumber(MAKER, fit.tipPlayMm, 1)} mm` : ''}
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
