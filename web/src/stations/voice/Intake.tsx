import { EVENTS, type Saber, type SoundEvent } from '@nubrin/core/record'
import { USUAL_RULES } from '@nubrin/core/voice'
import { useEffect, useMemo, useState } from 'react'
import { afterPaint } from '../../base/afterPaint'
import { freshId, useSoundRules } from '../../data'
import { CheckBox, SelectCell } from '../../kit'
import { useEditSaber, useOrder, useSaber } from '../../store/commission'
import { type Arrived, useIntake } from '../../store/intake'
import { DropSounds } from './DropSounds'
import { eventWords, secondsOf } from './words'

/** Puts sounds into the font that they are for; where none is named, into that of their folder, which is made where it is not there. */
function put(s: Saber, all: readonly Arrived[], font: string | undefined, as: (a: Arrived) => SoundEvent | undefined) {
  for (const a of all) {
    const event = as(a)
    if (!event) continue
    let home = s.fonts.find((f) => (font ? f.id === font : f.name === a.font))
    if (!home) {
      home = { id: freshId(), name: a.font || 'New font', is: 'font', sounds: [] }
      s.fonts.push(home)
    }
    home.sounds.push({ ...a.sound, event })
  }
}
/** So many sounds are one change of the record: each change has a cost of its own, and a large one takes the page too long. */
const AT_ONCE = 100
const minutes = (s: number): string => (s < 90 ? `${Math.ceil(s)} s` : `${Math.ceil(s / 60)} min`)

/** Where sounds are dropped for a font, or for a font of each folder, and what becomes of them. */
export function SoundsIn({ label, font }: { label: string; font?: string }) {
  const saber = useSaber()
  const order = useOrder()
  const begin = useIntake((x) => x.begin)
  const rules = useSoundRules().rules.data ?? USUAL_RULES
  const into = { saber: saber.id, ...(font === undefined ? {} : { font }) }
  return (
    <>
      <DropSounds label={label} onFiles={(files) => void begin(files, into, order.id, rules)} />
      <Intake {...(font === undefined ? {} : { font })} />
    </>
  )
}

/** Sounds on their way in: how far they are, those that find no event by their name, and those that cannot be taken. */
function Intake({ font }: { font?: string }) {
  const saber = useSaber()
  const editSaber = useEditSaber()
  const intake = useIntake()
  const mine = intake.into?.saber === saber.id && intake.into.font === font
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set())
  // What says by its name what it is goes where it belongs, so many at a time that the page goes on meanwhile.
  useEffect(() => {
    if (!mine || intake.state !== 'done') return
    const known = intake.arrived.filter((a) => a.event).slice(0, AT_ONCE)
    if (!known.length) return
    let gone = false
    void afterPaint().then(async () => {
      if (gone) return
      editSaber(`bring in ${known.length} ${known.length === 1 ? 'sound' : 'sounds'}`, (s) =>
        put(s, known, font, (a) => a.event),
      )
      // What was put in is shown before the list of what is to come grows shorter: each is a task of its own.
      await afterPaint()
      intake.place(new Set(known.map((a) => a.sound.id)))
    })
    return () => {
      gone = true
    }
  }, [mine, intake.state, intake.arrived])
  const left = useMemo(() => intake.arrived.filter((a) => !a.event), [intake.arrived])
  if (!mine || intake.state === 'idle') return null
  const place = (ids: ReadonlySet<string>, as: (a: Arrived) => SoundEvent | undefined) => {
    const these = left.filter((a) => ids.has(a.sound.id) && as(a))
    editSaber('place sounds', (s) => put(s, these, font, as))
    intake.place(new Set(these.map((a) => a.sound.id)))
    setChosen(new Set())
  }
  const busy = intake.state !== 'done'
  const guessed = left.filter((a) => a.guess)
  return (
    <section aria-label="Sounds coming in" className="border-rule mt-3 border-t pt-2">
      {busy ? <Progress /> : null}
      {!busy && left.length ? (
        <>
          <h3 className="font-semibold">
            {left.length === 1 ? '1 sound does' : `${left.length} sounds do`} not say what{' '}
            {left.length === 1 ? 'it is' : 'they are'} for
          </h3>
          <ul className="max-h-56 overflow-y-auto">
            {left.map((a) => (
              <li key={a.sound.id} className="flex items-center gap-2 text-[0.92rem]">
                <CheckBox
                  checked={chosen.has(a.sound.id)}
                  onChange={(on) => {
                    const next = new Set(chosen)
                    if (on) next.add(a.sound.id)
                    else next.delete(a.sound.id)
                    setChosen(next)
                  }}
                >
                  {a.sound.name}
                </CheckBox>
                <span className="text-quiet ml-auto whitespace-nowrap">
                  {secondsOf(a.sound.seconds ?? 0)}
                  {a.guess ? `, may be ${eventWords(a.guess)}` : ''}
                </span>
              </li>
            ))}
          </ul>
          <div className="mt-1 flex items-end gap-2">
            <SelectCell
              label="Place the chosen sounds as"
              title={chosen.size ? `place ${chosen.size} as` : 'choose some, then place them as'}
              value={undefined}
              options={EVENTS}
              words={eventWords}
              onCommit={(event) => place(chosen, () => event)}
            />
            {guessed.length ? (
              <button
                type="button"
                className="btn whitespace-nowrap"
                onClick={() => place(new Set(guessed.map((a) => a.sound.id)), (a) => a.guess)}
              >
                place {guessed.length} as guessed
              </button>
            ) : null}
          </div>
        </>
      ) : null}
      {intake.refused.length ? (
        <div className="mt-2">
          <h3 className="text-stop font-semibold">Not taken: {intake.refused.length}</h3>
          <ul className="max-h-40 overflow-y-auto text-[0.92rem]">
            {intake.refused.map((r) => (
              <li key={`${r.path} ${r.why}`} className="wrap-anywhere">
                <span className="font-medium">{r.path}</span>: {r.why}
              </li>
            ))}
          </ul>
        </div>
      ) : null}
      {busy ? null : (
        <div className="mt-1 flex items-center gap-3">
          {intake.passedOver ? (
            <p className="text-quiet text-[0.92rem]">
              {intake.passedOver} {intake.passedOver === 1 ? 'file is not a sound' : 'files are not sounds'} and{' '}
              {intake.passedOver === 1 ? 'was' : 'were'} left out.
            </p>
          ) : null}
          <button type="button" className="btn-plain btn ml-auto" onClick={intake.dismiss}>
            {left.length ? 'leave these out' : 'done'}
          </button>
        </div>
      )}
    </section>
  )
}

function Progress() {
  const { state, files, read, bytes, readBytes, began, cancel } = useIntake()
  const share = bytes ? readBytes / bytes : 0
  const [, tick] = useState(0)
  useEffect(() => {
    const timer = setInterval(() => tick((n) => n + 1), 1000)
    return () => clearInterval(timer)
  }, [])
  const spent = (Date.now() - began) / 1000
  const rest = share > 0.02 && spent > 2 ? (spent / share) * (1 - share) : undefined
  return (
    <div className="flex items-center gap-3">
      <div className="flex-1">
        <p aria-live="polite">
          {state === 'looking'
            ? 'Looking through the files …'
            : `${read} of ${files} read and stored${rest === undefined ? '' : `, about ${minutes(rest)} left`}`}
        </p>
        <progress className="w-full accent-[#8a6a2f]" value={share} max={1} aria-label="Sounds read" />
      </div>
      <button type="button" className="btn" onClick={cancel}>
        stop here
      </button>
    </div>
  )
}
