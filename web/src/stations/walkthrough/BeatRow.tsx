import type { Beat, Saber } from '@nubrin/core/record'
import { guessSeconds, liveText } from '@nubrin/core/script'
import { Mark, RemoveButton } from '../../kit'
import { useClient, useEditThing, useRemove } from '../../store/commission'

const LEFT = { paper: 'on paper', picture: 'on a picture' } as const

/** One beat as it is spoken, whole. */
export function BeatRow({
  saber,
  beat: b,
  n,
  open,
  troubles,
  stray,
  now,
  onOpen,
}: {
  saber: Saber
  beat: Beat
  n: number
  open: boolean
  troubles: readonly string[]
  stray: boolean
  /** What the record would have it say now. */
  now: string | undefined
  onOpen: () => void
}) {
  const remove = useRemove()
  const client = useClient()
  const edit = useEditThing('beats')
  return (
    <div className={open ? 'bg-card' : ''}>
      <div className="flex items-start gap-2">
        <span className={`w-6 pt-1 text-right ${b.by === 'composed' ? 'text-quiet' : 'text-brass font-semibold'}`}>
          {n}
        </span>
        <button
          type="button"
          aria-expanded={open}
          className={`min-w-0 flex-1 py-1 text-left leading-snug ${b.leftTo ? 'text-quiet italic' : ''} ${open ? 'text-quiet truncate' : ''}`}
          onClick={onOpen}
        >
          {liveText(client, saber, b.say)}
        </button>
        {troubles.length || stray ? (
          <span className="pt-1" title={troubles.join(' ') || 'out of place'}>
            <Mark level={troubles.length ? 'caution' : 'note'} size={16} />
          </span>
        ) : null}
        <span className="text-quiet w-20 shrink-0 pt-1 text-right whitespace-nowrap">
          {b.leftTo ? LEFT[b.leftTo] : `${Math.round(b.seconds)} s`}
        </span>
        <RemoveButton what={`beat ${n}`} onClick={() => remove(`beat:${b.id}`)} />
      </div>
      {now ? (
        <p className="text-brass flex items-start gap-3 pl-8">
          <span className="min-w-0 flex-1">Out of date. The record now: “{now}”</span>
          <button
            type="button"
            className="btn-plain btn shrink-0"
            onClick={() =>
              edit('say it anew', b.id, (x) => {
                x.say = now
                x.seconds = guessSeconds(now)
              })
            }
          >
            say that
          </button>
        </p>
      ) : null}
      {troubles.map((t) => (
        <p key={t} className="text-stop pl-8 font-medium">
          {t}
        </p>
      ))}
    </div>
  )
}
