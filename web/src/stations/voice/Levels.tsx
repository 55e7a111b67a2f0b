import { fact } from '@nubrin/core/facts'
import { EVENTS, fontOf, type Saber, type SoundEvent, soundsOf, tracksOf } from '@nubrin/core/record'
import { formatNumber, MAKER } from '@nubrin/core/units'
import { BOARD_EVENTS, evened, gainOf, HIGHEST_PEAK, reachableEvents } from '@nubrin/core/voice'
import { scaleLinear } from 'd3'
import { Empty } from '../../kit'
import { useEditSaber, useSaber } from '../../store/commission'
import { eventWords, signed } from './words'

/** What is missing for what this map can reach, preset by preset, and how loud the fonts are beside each other. */
export function Levels({ onFont }: { onFont: (id: string) => void }) {
  const saber = useSaber()
  return (
    <div className="grid grid-cols-[minmax(0,7fr)_minmax(0,5fr)] gap-8">
      <Missing saber={saber} onFont={onFont} />
      <Evening saber={saber} onFont={onFont} />
    </div>
  )
}

/** Each preset against each event that some preset can reach or has: how many sounds, or that one is missing. */
function Missing({ saber, onFont }: { saber: Saber; onFont: (id: string) => void }) {
  const rows = saber.presets.map((p) => {
    const reached = new Set(reachableEvents(saber, p))
    const count = new Map<SoundEvent, number>()
    for (const x of soundsOf(saber, p)) count.set(x.event, (count.get(x.event) ?? 0) + 1)
    if (tracksOf(saber, p).length) count.set('track', tracksOf(saber, p).length)
    return { p, reached, count, font: fontOf(saber, p) }
  })
  const packs = saber.fonts.some((f) => f.is === 'voicePack')
  const events = EVENTS.filter((e) =>
    rows.some((r) => r.count.has(e) || (r.reached.has(e) && (packs || !BOARD_EVENTS.has(e)))),
  )
  if (!saber.presets.length)
    return <Empty title="No preset yet">What is missing follows from presets and controls.</Empty>
  return (
    <section aria-label="What is missing">
      <h2 className="h2">What is missing</h2>
      <table className="w-full table-fixed border-collapse text-[0.92rem]">
        <thead>
          <tr>
            <th className="w-[8.5rem]" />
            {events.map((e) => (
              <th key={e} scope="col" className="h-[5.2rem] align-bottom font-normal">
                <span className="text-quiet inline-block rotate-180 whitespace-nowrap [writing-mode:vertical-rl]">
                  {eventWords(e)}
                </span>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(({ p, reached, count, font }) => (
            <tr key={p.id} className="border-rule border-t">
              <th scope="row" className="truncate py-1 pr-2 text-left font-medium">
                {font ? (
                  <button
                    type="button"
                    className="block w-full truncate text-left hover:underline"
                    onClick={() => onFont(font.id)}
                  >
                    {p.name}
                    <span className="text-quiet block truncate text-[0.87rem] font-normal">{font.name}</span>
                  </button>
                ) : (
                  <>
                    {p.name}
                    <span className="text-stop block text-[0.87rem] font-normal">no font</span>
                  </>
                )}
              </th>
              {events.map((e) => (
                <Cell key={e} n={count.get(e)} reached={reached.has(e)} recorded={!!font?.sounds.length} />
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="text-quiet mt-2 text-[0.88rem]">
        A number: so many sounds. <span className="text-stop font-semibold">✕</span> reached and silent. ? reached,
        sounds not recorded. · not reached.
      </p>
    </section>
  )
}
function Cell({ n, reached, recorded }: { n: number | undefined; reached: boolean; recorded: boolean }) {
  if (n) return <td className={`text-center ${reached ? 'font-semibold' : 'text-quiet'}`}>{n}</td>
  if (!reached) return <td className="text-quiet text-center">·</td>
  return recorded ? (
    <td className="text-stop text-center font-semibold">
      ✕<span className="sr-only">missing</span>
    </td>
  ) : (
    <td className="text-quiet text-center">?</td>
  )
}

/** How loud each font is beside the others with the gain that is set, and the gains that even them out. */
function Evening({ saber, onFont }: { saber: Saber; onFont: (id: string) => void }) {
  const editSaber = useEditSaber()
  const all = evened(saber.fonts)
  const measured = all.filter((e) => e.louder !== undefined)
  const span = Math.max(6, ...measured.map((e) => Math.abs(e.louder!) + 1))
  const x = scaleLinear([-span, span], [6, 234])
  const apply = () =>
    editSaber('even out the fonts', (s) => {
      for (const e of evened(s.fonts)) {
        const f = s.fonts.find((y) => y.id === e.font.id)
        if (f) f.gain = fact(e.gain, 'dB', 'computed', { with: 'loudness of like events' })
      }
    })
  const even = measured.every((e) => Math.abs(gainOf(e.font) - e.gain) < 0.05)
  return (
    <section aria-label="How loud the fonts are">
      <h2 className="h2">Loudness</h2>
      {measured.length < 2 ? (
        <p className="text-quiet">Two fonts with measured sounds of the same event are compared here.</p>
      ) : (
        <>
          <ul>
            {all.map((e) => (
              <li key={e.font.id} className="border-rule border-b py-1.5">
                <div className="flex items-baseline gap-2">
                  <button
                    type="button"
                    className="truncate font-medium hover:underline"
                    onClick={() => onFont(e.font.id)}
                  >
                    {e.font.name}
                  </button>
                  <span className="text-quiet ml-auto whitespace-nowrap text-[0.92rem]">
                    {e.louder === undefined
                      ? 'nothing to compare'
                      : `${signed(e.louder)} with gain ${signed(gainOf(e.font))}`}
                  </span>
                </div>
                <svg
                  viewBox="0 0 240 20"
                  className="w-full"
                  role="img"
                  aria-label={`${e.font.name}: ${e.louder === undefined ? 'not compared' : signed(e.louder)}`}
                >
                  <path d="M6 10H234" stroke="#cfc4a8" />
                  <path d={`M${x(0)} 3v14`} stroke="#5f594b" />
                  {e.louder === undefined ? null : (
                    <circle cx={x(e.louder)} cy="10" r="4.5" fill={Math.abs(e.louder) > 3 ? '#a63a2b' : '#1e2a2b'} />
                  )}
                </svg>
                {e.peak !== undefined && e.peak > HIGHEST_PEAK ? (
                  <p className="text-stop text-[0.92rem]">
                    peaks at {formatNumber(MAKER, e.peak, 1)} dBTP, above {HIGHEST_PEAK}
                  </p>
                ) : null}
              </li>
            ))}
          </ul>
          <button type="button" className="btn mt-2" onClick={apply} disabled={even}>
            {even ? 'these gains are set' : 'set the gains that even them out'}
          </button>
          <p className="text-quiet mt-1 text-[0.88rem]">
            Gated loudness of like events, hum with hum; no peak above {formatNumber(MAKER, HIGHEST_PEAK)} dBTP. Files
            stay as they are: the gain goes onto the card.
          </p>
        </>
      )}
    </section>
  )
}
