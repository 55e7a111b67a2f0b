import { type Balance as BalanceOf, balance, balanceWhatIfs, changeWords, gripMiddle } from '@nubrin/core/fit'
import { layOut } from '@nubrin/core/geometry'
import type { Blade, FittedPart, Saber } from '@nubrin/core/record'
import { formatNumber, MAKER } from '@nubrin/core/units'
import { useMemo, useState } from 'react'
import { FigureView } from '../../kit'
import { DuelNote } from './DuelNote'
import { Weights } from './Weights'

/** A way to hold the saber: bare, with a plug, a blade, or all its blades. */
interface Held {
  id: string
  name: string
  blades: Blade[]
  plug?: FittedPart
}

function waysToHold(saber: Saber): Held[] {
  const shipped = saber.blades.filter((b) => b.use !== 'demo')
  const plugs = saber.parts.filter((p) => p.kind === 'plug')
  return [
    { id: '', name: 'hilt alone', blades: [] },
    ...plugs.map((plug) => ({ id: plug.id, name: `with ${plug.name}`, blades: [], plug })),
    ...saber.blades.map((b) => ({ id: b.id, name: `with ${b.name}`, blades: [b] })),
    ...(shipped.length > 1 ? [{ id: 'all', name: 'with all its blades', blades: shipped }] : []),
  ]
}
type Balanced = Held & { of: BalanceOf }

/** Where the saber balances, bare and with each blade, what pulls at the hand, and what small changes would do. */
export function BalanceBench({ saber }: { saber: Saber }) {
  const [held, setHeld] = useState('')
  const all = useMemo(
    (): Balanced[] => waysToHold(saber).map((h) => ({ ...h, of: balance(saber, h.blades, h.plug) })),
    [saber],
  )
  const now = all.find((a) => a.id === held) ?? all[0]!
  const length = layOut(saber.hilt).length
  const grip = gripMiddle(saber)
  const most = Math.max(length, ...all.map((a) => (a.of.centre.ok ? a.of.centre.value : 0)))
  const x = (mm: number) => 8 + (mm / most) * 582
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_280px] gap-6">
      <section aria-label="Balance">
        <h2 className="h2">What weighs where, {now.name}</h2>
        <Weights of={now.of} grip={grip} hilt={length} />
        <p className="text-quiet text-[0.87rem]">
          Faint: not weighed. Dashed: the middle of the grip at {formatNumber(MAKER, grip, 0)} mm. Wedge: where it
          balances. Drag a part on the drawing and it follows.
        </p>
        <h2 className="h2 mt-2">Where it balances</h2>
        <ul>
          {all.map((a) => (
            <li key={a.id} className="border-rule border-b">
              <button
                type="button"
                aria-pressed={a === now}
                className={`w-full py-1 text-left ${a === now ? 'bg-card' : ''}`}
                onClick={() => setHeld(a.id)}
              >
                <Where held={a} x={x} length={length} grip={grip} />
              </button>
            </li>
          ))}
        </ul>
      </section>
      <Figures saber={saber} now={now} />
    </div>
  )
}

/** One way to hold it, with its balance along the hilt. */
const Where = ({
  held: { name, of },
  x,
  length,
  grip,
}: {
  held: Balanced
  x: (mm: number) => number
  length: number
  grip: number
}) => (
  <>
    <span className="flex justify-between gap-2">
      <span className="font-medium">{name}</span>
      <span className="text-quiet">
        {of.mass.ok && of.centre.ok
          ? `${of.mass.about ? 'about ' : ''}${formatNumber(MAKER, of.mass.value, 0)} g at ${formatNumber(MAKER, of.centre.value, 0)} mm`
          : 'cannot be calculated yet'}
      </span>
    </span>
    {of.centre.ok ? (
      <svg viewBox="0 0 600 18" className="w-full" aria-hidden="true">
        <path d={`M${x(0)} 9H${x(length)}`} stroke="#1e2a2b" strokeWidth="5" opacity="0.28" />
        <path d={`M${x(grip)} 2v14`} stroke="#8a5f17" strokeWidth="1.5" strokeDasharray="3 2" />
        <path d={`M${x(of.centre.value)} 2l6 7l-6 7l-6 -7z`} fill="#1e2a2b" stroke="#f4efe4" strokeWidth="1" />
      </svg>
    ) : null}
  </>
)

/** Its figures, opened to what they come from, and what small changes would do to the balance. */
function Figures({ saber, now }: { saber: Saber; now: Balanced }) {
  const { of } = now
  const whatIfs = useMemo(() => balanceWhatIfs(saber, now.blades, now.plug), [saber, now])
  return (
    <section aria-label="Figures of the balance">
      <FigureView name="mass" figure={of.mass} digits={0} />
      <FigureView name="centre from the pommel" figure={of.centre} digits={0} />
      <FigureView
        name={of.moment.ok && of.moment.value < 0 ? 'pulls the pommel down' : 'pulls the blade down'}
        figure={of.moment}
        as={(v) => `${formatNumber(MAKER, Math.abs(v), 1)} N·cm`}
      />
      {whatIfs.length ? (
        <>
          <h2 className="h2 mt-3">What would shift it</h2>
          <ul>
            {whatIfs.map((w) => (
              <li key={changeWords(w.what)} className="border-rule flex justify-between gap-2 border-b py-1">
                <span className="text-quiet">{changeWords(w.what)}</span>
                <span className="font-semibold whitespace-nowrap">
                  {Math.abs(w.moves) < 0.05
                    ? 'hardly'
                    : `${w.moves > 0 ? '+' : ''}${formatNumber(MAKER, w.moves, 1)} mm`}
                </span>
              </li>
            ))}
          </ul>
        </>
      ) : null}
      {now.blades.length === 1 ? <DuelNote saber={saber} blade={now.blades[0]!} /> : null}
    </section>
  )
}
