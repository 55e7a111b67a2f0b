import type { Beat, Saber } from '@nubrin/core/record'
import { guessSeconds, type Trouble, troubleText } from '@nubrin/core/script'
import { Mark, RemoveButton, TextCell } from '../../kit'
import { later } from '../../later'
import { useEditThing, useLight, useRemove } from '../../store/commission'

const BeatDetails = later(() => import('./BeatDetails').then((m) => m.BeatDetails))

/** One beat in a line; open, it is put into the maker's words and told what it shows, does and performs. */
export function BeatRow({
  saber,
  beat: b,
  n,
  open,
  troubles,
  onOpen,
}: {
  saber: Saber
  beat: Beat
  n: number
  open: boolean
  troubles: Trouble[]
  onOpen: () => void
}) {
  const edit = useEditThing('beats')
  const light = useLight()
  const remove = useRemove()
  const set = (run: (x: Beat) => void) =>
    edit('beat', b.id, (x) => {
      run(x)
      if (x.by === 'composed') x.by = 'edited'
    })
  const say = (v: string) =>
    set((x) => {
      x.say = v
      x.seconds = guessSeconds(v)
    })
  return (
    <div className={open ? 'bg-card px-1 pb-2' : ''}>
      <div className="flex items-start gap-2">
        <span className="text-brass w-6 pt-1.5 text-right font-semibold">{n}</span>
        {open ? (
          <TextCell
            label={`Say, beat ${n}`}
            lines={Math.min(6, 1 + Math.ceil(b.say.length / 75))}
            value={b.say}
            className="text-[1.05rem]"
            onCommit={say}
          />
        ) : (
          <button
            type="button"
            className="min-w-0 flex-1 truncate py-1.5 text-left"
            onClick={() => {
              onOpen()
              light(b.show)
            }}
          >
            {b.say}
          </button>
        )}
        {troubles.length ? (
          <span className="pt-1.5" title={troubles.map(troubleText).join(' ')}>
            <Mark level="caution" size={16} />
          </span>
        ) : null}
        <span className="text-quiet w-9 shrink-0 pt-1.5 text-right">{b.seconds} s</span>
        <RemoveButton what={`beat ${n}`} onClick={() => remove(`beat:${b.id}`)} />
      </div>
      {troubles.map((t) => (
        <p key={t.code} className="text-stop pl-8 font-medium">
          {troubleText(t)}
        </p>
      ))}
      {open ? <BeatDetails saber={saber} beat={b} n={n} onEdit={set} /> : null}
    </div>
  )
}
