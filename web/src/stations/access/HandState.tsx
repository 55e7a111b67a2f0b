import { type Assembly, powered, type State } from '@nubrin/core/machine'
import { nameOf, type Saber } from '@nubrin/core/record'

/** What one would see with this saber in hand now. */
export function HandState({ saber, assembly, state }: { saber: Saber; assembly: Assembly; state: State }) {
  const off = state.off.filter((b) => !assembly.spare.includes(b))
  const inSockets = Object.values(assembly.joints).filter((j) => j.place && !state.off.includes(j.body))
  const power = powered(assembly, state)
    ? 'on'
    : state.cut
      ? 'cut'
      : assembly.cells
        ? 'none: a cell is out'
        : 'none: no cell'
  // Two things may have one name: what they are is told by their reference.
  const lines: { ref: string; what: string; how: string }[] = [
    { ref: 'power', what: 'power', how: power },
    ...off.map((b) => ({ ref: b, what: nameOf(saber, b) ?? b, how: 'off' })),
    ...Object.entries(state.screws).map(([id, how]) => ({
      ref: `fastener:${id}`,
      what: assembly.screws[id]?.name ?? id,
      how,
    })),
    ...inSockets.map((j) => ({ ref: j.body, what: j.name, how: 'in' })),
  ]
  return (
    <section aria-label="As it lies on the bench" aria-live="polite">
      <h2 className="h2">As it lies on the bench</h2>
      <ul className="mt-1 space-y-0.5">
        {lines.map(({ ref, what, how }) => (
          <li key={ref}>
            {what} <b className="font-semibold">{how}</b>
          </li>
        ))}
        {off.length ? null : <li>everything else closed</li>}
      </ul>
    </section>
  )
}
