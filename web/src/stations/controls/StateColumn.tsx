import { after, gestureText } from '@nubrin/core/controls'
import type { ControlRow, Saber } from '@nubrin/core/record'
import { say } from '@nubrin/core/words'
import { Mark } from '../../kit'
import { useLight } from '../../store/commission'
import { AddRow } from './AddRow'
import { STATE_TITLE } from './states'

/** Everything that can be done in one state, with where each leads. */
export function StateColumn({
  saber,
  state,
  clash,
  chosen,
  onChoose,
}: {
  saber: Saber
  state: ControlRow['state']
  /** Ids of the rows that say two things of one gesture. */
  clash: ReadonlySet<string>
  chosen: string | undefined
  onChoose: (id: string) => void
}) {
  const light = useLight()
  return (
    <section aria-label={STATE_TITLE[state]} className="min-w-[215px] flex-1">
      <h3 className="border-ink border-b-2 pb-0.5 font-semibold">{STATE_TITLE[state]}</h3>
      {saber.controls
        .filter((r) => r.state === state)
        .map((r) => (
          <button
            key={r.id}
            type="button"
            aria-pressed={chosen === r.id}
            className={`border-rule block w-full border-b px-1 py-1 text-left leading-tight ${chosen === r.id ? 'bg-card' : 'hover:bg-card'}`}
            onClick={() => {
              onChoose(r.id)
              light(`input:${r.input}`)
            }}
          >
            <span className="flex items-center gap-1.5 font-semibold">
              {clash.has(r.id) ? (
                <Mark level="stop" size={14} />
              ) : r.status === 'unsure' ? (
                <Mark level="caution" size={14} />
              ) : null}
              {r.says ?? say('action', { action: r.does })}
              {after(r) !== r.state ? <span className="text-brass ml-auto font-normal">→ {after(r)}</span> : null}
            </span>
            <span className="text-quiet">{gestureText(saber, r)}</span>
          </button>
        ))}
      <AddRow saber={saber} state={state} onDone={onChoose} />
    </section>
  )
}
