import { after, doingOf, gestureText, isException, modeName, secondsInWords, timeOutOf } from '@nubrin/core/controls'
import type { Mode, Saber } from '@nubrin/core/record'
import { MAKER } from '@nubrin/core/units'
import { Mark } from '../../kit'
import { useLight } from '../../store/commission'
import { AddRow } from './AddRow'

/** Everything that can be done in one mode, with where each leads; its head opens what is said of the mode itself. */
export function ModeColumn({
  saber,
  mode,
  wrong,
  chosen,
  open,
  onOpen,
  onChoose,
}: {
  saber: Saber
  mode: Mode
  /** Ids of the rows that something is wrong with. */
  wrong: ReadonlySet<string>
  chosen: string | undefined
  open: boolean
  onOpen: () => void
  onChoose: (id: string) => void
}) {
  const light = useLight()
  const out = timeOutOf(saber, mode.id)
  const said = [
    mode.chooses ? `chooses ${mode.chooses}${mode.by === 'turning' ? ' by turning' : ''}` : '',
    mode.on ? `over ${modeName(saber, mode.on)}` : '',
    out ? `${modeName(saber, out.to)} after ${secondsInWords(MAKER, out.s)}` : '',
  ].filter(Boolean)
  return (
    <section aria-label={mode.name} className="min-w-[215px] flex-1">
      <h3 className="border-ink border-b-2 pb-0.5">
        <button
          type="button"
          aria-expanded={open}
          className="w-full text-left font-semibold hover:underline"
          onClick={onOpen}
        >
          {mode.name}
          <span className="text-quiet ml-2 font-normal">
            {said.join(' · ')} <span className="text-brass">edit</span>
          </span>
        </button>
      </h3>
      {saber.controls
        .filter((r) => r.mode === mode.id)
        .map((r) => {
          const to = after(saber, r)
          return (
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
                {wrong.has(r.id) ? (
                  <Mark level="stop" size={14} />
                ) : r.status === 'unsure' ? (
                  <Mark level="caution" size={14} />
                ) : null}
                {doingOf(MAKER, r)}
                {to !== r.mode ? <span className="text-brass ml-auto font-normal">→ {modeName(saber, to)}</span> : null}
              </span>
              <span className="text-quiet">
                {gestureText(MAKER, saber, r)}
                {saber.mapFrom && isException(saber, r) ? (
                  <span className="text-brass"> · {r.standard ? 'changed here' : 'only here'}</span>
                ) : null}
              </span>
            </button>
          )
        })}
      {saber.inputs.length ? <AddRow saber={saber} mode={mode} onDone={onChoose} /> : null}
    </section>
  )
}
