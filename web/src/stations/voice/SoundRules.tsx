import { EVENTS, type SoundEvent } from '@nubrin/core/record'
import { type NameRule, placeByName } from '@nubrin/core/voice'
import { useState } from 'react'
import { refusalText, useSoundRules } from '../../data'
import { Modal, Refused, TextCell } from '../../kit'
import { eventWords } from './words'

/** The words by which files find their event: an event in each line, its words in any language; a name can be tried. */
export function SoundRules({ close }: { close: () => void }) {
  const { rules, set } = useSoundRules()
  const [name, setName] = useState('')
  const all = rules.data ?? []
  const put = (event: SoundEvent, words: string[]) => {
    const next: NameRule[] = EVENTS.map((e) => ({
      event: e,
      words: e === event ? words : (all.find((r) => r.event === e)?.words ?? []),
    }))
    set.mutate(next.filter((r) => r.words.length))
  }
  const found = name.trim() ? placeByName([name], all)[0]?.event : undefined
  return (
    <Modal title="How files find their event" wide="max-w-3xl" close={close}>
      <p className="text-quiet">
        Words that stand in the name of a file or of its folder, in any language; the longer one counts. Capital
        letters, accents and numbers do not matter.
      </p>
      <Refused why={rules.error ? refusalText(rules.error) : set.error ? refusalText(set.error) : ''} />
      <div className="mt-2 grid max-h-[50vh] grid-cols-[7rem_minmax(0,1fr)] items-center gap-x-3 overflow-y-auto">
        {rules.data
          ? EVENTS.map((e) => (
              <div key={e} className="contents">
                <span className="font-medium">{eventWords(e)}</span>
                <TextCell
                  label={`Words for ${eventWords(e)}`}
                  value={(all.find((r) => r.event === e)?.words ?? []).join(', ')}
                  onCommit={(v) =>
                    put(
                      e,
                      v
                        .split(',')
                        .map((w) => w.trim())
                        .filter(Boolean),
                    )
                  }
                />
              </div>
            ))
          : null}
      </div>
      <div className="mt-3 flex items-end gap-4">
        <label className="flex-1">
          <span className="label">try a name</span>
          <input
            className="cell"
            aria-label="A name to try"
            value={name}
            onChange={(e) => setName(e.target.value)}
            placeholder="Blade hit 3.wav"
          />
        </label>
        <p className="w-44 pb-1 font-medium" aria-live="polite">
          {name.trim() ? (found ? `→ ${eventWords(found)}` : 'finds no event') : ''}
        </p>
        <button type="button" className="btn-plain btn" onClick={() => set.mutate([])}>
          back to the usual words
        </button>
      </div>
    </Modal>
  )
}
