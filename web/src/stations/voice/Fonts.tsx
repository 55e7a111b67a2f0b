import type { Font, Saber } from '@nubrin/core/record'
import { formatNumber, MAKER } from '@nubrin/core/units'
import { missingSounds } from '@nubrin/core/voice'
import { Library } from 'lucide-react'
import { useState } from 'react'
import { freshId } from '../../data'
import { AddLine, Empty } from '../../kit'
import { useBench, useEditSaber, useSaber } from '../../store/commission'
import { FontLibrary } from './FontLibrary'
import { FontSheet } from './FontSheet'
import { SoundsIn } from './Intake'
import { SoundRules } from './SoundRules'
import { eventWords, KIND_WORDS } from './words'

/** What is on the card to be heard: fonts, voice packs and music, each with its sounds. */
export function Fonts({ chosen, onChoose }: { chosen: string | undefined; onChoose: (id: string) => void }) {
  const saber = useSaber()
  const editSaber = useEditSaber()
  const light = useBench((b) => b.light)
  const [sheet, setSheet] = useState<'library' | 'rules'>()
  const open = saber.fonts.find((f) => f.id === chosen) ?? saber.fonts[0]
  const choose = (id: string) => {
    onChoose(id)
    light(`font:${id}`)
  }
  const add = (name: string) => {
    const id = freshId()
    editSaber('add font', (s) => void s.fonts.push({ id, name, is: 'font', sounds: [] }))
    choose(id)
  }
  return (
    <div className="grid grid-cols-[minmax(0,4fr)_minmax(0,7fr)] gap-7">
      <section aria-label="Fonts on the card">
        <h2 className="h2">On the card</h2>
        {saber.fonts.length ? null : (
          <Empty title="No font yet">
            A font is a set of sounds that presets play. Name one, or drop its folder below.
          </Empty>
        )}
        <ul>
          {saber.fonts.map((f) => (
            <li key={f.id} className="border-rule border-b">
              <button
                type="button"
                aria-pressed={open?.id === f.id}
                className={`w-full py-1.5 text-left ${open?.id === f.id ? 'bg-card' : ''}`}
                onClick={() => choose(f.id)}
              >
                <span className="flex items-baseline gap-2">
                  <span className="truncate font-semibold">{f.name}</span>
                  <span className="text-quiet ml-auto shrink-0 text-[0.88rem]">{sizeOf(f)}</span>
                </span>
                <EventDots font={f} saber={saber} />
              </button>
            </li>
          ))}
        </ul>
        <AddLine label="name of a font" onAdd={add} />
        <div className="mt-2 flex flex-wrap gap-x-2">
          <button type="button" className="btn" onClick={() => setSheet('library')}>
            <Library size={15} aria-hidden /> from the library
          </button>
          <button type="button" className="btn-plain btn" onClick={() => setSheet('rules')}>
            how files are placed
          </button>
        </div>
        <SoundsIn label="Drop folders or a ZIP here: each folder becomes a font" />
        {sheet === 'library' ? <FontLibrary close={() => setSheet(undefined)} onTaken={choose} /> : null}
        {sheet === 'rules' ? <SoundRules close={() => setSheet(undefined)} /> : null}
      </section>
      {open ? <FontSheet key={open.id} font={open} saber={saber} onRemoved={() => onChoose('')} /> : null}
    </div>
  )
}

const sizeOf = (f: Font): string => {
  const seconds = f.sounds.reduce((sum, x) => sum + (x.seconds ?? 0), 0)
  const kind = f.is === 'font' ? '' : `${KIND_WORDS[f.is]}, `
  if (!f.sounds.length) return `${kind}no sounds`
  return `${kind}${f.sounds.length} ${f.sounds.length === 1 ? 'sound' : 'sounds'}${seconds ? `, ${formatNumber(MAKER, seconds, 0)} s` : ''}`
}

/** A dot for each event that can be reached in the presets of a font: full where it has a sound, a ring where it has none. */
function EventDots({ font, saber }: { font: Font; saber: Saber }) {
  const missing = saber.presets.filter((p) => p.font === font.id).flatMap((p) => missingSounds(saber, p))
  const has = new Set(font.sounds.map((x) => x.event))
  const events = [...new Set([...has, ...missing.filter((e) => e !== 'track')])]
  if (font.is !== 'font' || !events.length) return null
  return (
    <span className="mt-0.5 flex gap-1" aria-hidden>
      {events.map((e) => (
        <svg key={e} width="9" height="9">
          <title>{eventWords(e)}</title>
          <circle
            cx="4.5"
            cy="4.5"
            r="3.4"
            fill={has.has(e) ? '#1e2a2b' : 'none'}
            stroke={has.has(e) ? '#1e2a2b' : '#a63a2b'}
            strokeWidth="1.4"
          />
        </svg>
      ))}
    </span>
  )
}
