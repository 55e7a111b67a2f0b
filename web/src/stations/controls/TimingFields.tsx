import { USUAL } from '@nubrin/core/controls'
import { type Saber, Timing } from '@nubrin/core/record'
import { formatNumber, MAKER } from '@nubrin/core/units'
import { FactField } from '../../kit'
import { useEditSaber } from '../../store/commission'

const LABEL: Record<keyof Timing, string> = {
  tapMost: 'a tap lasts up to',
  tapGap: 'taps count together within',
  chordGap: 'a chord is within',
  beepEvery: 'beeps come every',
  upFrom: 'up from',
  downFrom: 'down from',
  handKeeps: 'a hand needs',
}

/** How the board reads a hand; what is left open is taken as boards usually have it. */
export function TimingFields({ saber }: { saber: Saber }) {
  const editSaber = useEditSaber()
  return (
    <section aria-label="Gesture timing" className="mt-4">
      <h3 className="label">gesture timing; blanks use what boards usually have</h3>
      <div className="grid grid-cols-7 gap-3">
        {(Object.keys(LABEL) as (keyof Timing)[]).map((key) => (
          <div key={key} className="min-w-0">
            <FactField
              label={LABEL[key]}
              field={key}
              value={saber.timing[key]}
              of={Timing.properties[key] as (typeof Timing.properties)['tapMost']}
              source="configured"
              onCommit={(f) => editSaber('timing', (s) => void Object.assign(s.timing, { [key]: f }))}
            />
            {saber.timing[key] ? null : (
              <span className="label">
                taken as {formatNumber(MAKER, USUAL[key])} {key.endsWith('From') ? '°' : 's'}
              </span>
            )}
          </div>
        ))}
      </div>
    </section>
  )
}
