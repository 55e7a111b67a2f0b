import { type Possible, procedureIn, stepFor } from '@nubrin/core/access'
import type { Choice } from '@nubrin/core/machine'
import type { Saber } from '@nubrin/core/record'
import { freshId } from '../../data'
import { useEditSaber } from '../../store/commission'

/** What could go wrong on a way that has more risk than another. */
const RISK: Record<Choice['way']['how'], string> = {
  unscrew: 'a thread can be crossed',
  pull: 'wires can be strained',
  pressPull: 'a catch can slip',
  turnPull: 'what it holds can turn with it',
  slide: 'what it slides past can be scraped',
  lift: 'what is lifted out can drop or short',
  turn: 'it can be turned too far',
}
const BY = {
  unscrew: 'unscrewing',
  pull: 'pulling',
  pressPull: 'pressing and pulling',
  turnPull: 'turning and pulling',
  slide: 'sliding',
  lift: 'lifting',
  turn: 'turning',
} as const

/** Why a way stands where it does among the others. */
function whyBehind(best: Choice, c: Choice): string {
  if (c === best) return 'least risk, fewest acts'
  const [risk, acts] = [c.errand.risk - best.errand.risk, c.errand.acts.length - best.errand.acts.length]
  const more = `${Math.abs(acts)} ${Math.abs(acts) === 1 ? 'act' : 'acts'} ${acts < 0 ? 'fewer' : 'more'}`
  const reasons = [risk > 0 ? RISK[c.way.how] : '', acts ? more : ''].filter(Boolean)
  return reasons.join(', ') || 'as good'
}

/** The ways in which it comes out, and why each stands where it does; the one that is chosen is told everywhere. */
export function Ways({ saber, told: p, choices }: { saber: Saber; told: Possible; choices: readonly Choice[] }) {
  const editSaber = useEditSaber()
  const key = `takeOff ${p.goal.at}`
  const now = p.acts.find((x) => x.key === key)?.does[0]
  const take = (c: Choice) =>
    editSaber('way', (s) => {
      const x = stepFor(procedureIn(s, p, freshId), p, key, freshId)
      x.act = { do: 'takeOff', at: p.goal.at!, how: c.way.how, towards: c.way.towards }
    })
  return (
    <div className="mb-1 flex flex-wrap items-center gap-x-3 gap-y-1" data-of={saber.id}>
      <span className="label">by</span>
      {choices.map((c) => {
        const here = now?.how === c.way.how && now.towards === c.way.towards
        return (
          <button
            key={`${c.way.how} ${c.way.towards} ${c.way.after.join()}`}
            type="button"
            aria-pressed={here}
            className={here ? 'font-semibold' : 'text-brass hover:underline'}
            onClick={() => take(c)}
          >
            {BY[c.way.how]}
            {c.way.towards === 'aside' ? '' : ` at the ${c.way.towards}`}
            <span className="text-quiet font-normal"> ({whyBehind(choices[0]!, c)})</span>
          </button>
        )
      })}
    </div>
  )
}
