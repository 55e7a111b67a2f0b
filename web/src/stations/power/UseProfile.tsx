import { Saber } from '@nubrin/core/record'
import { FactField, SelectCell, TextFactField } from '../../kit'
import { useEditSaber } from '../../store/commission'

const CUT_WORDS: Record<Saber['cutPower'], string> = {
  killSwitch: 'a kill switch',
  killKeyPull: 'a kill key, pull to run',
  killKeyTurn: 'a kill key, turn to run',
  cellOut: 'taking the cell out',
  deepSleep: 'deep sleep only',
  none: 'nothing',
}
/** Figures of its use, each with its words and what changing it is called. */
const FACTS = [
  ['litShare', 'share of time lit', 'use'],
  ['brightness', 'brightness', 'use'],
  ['volume', 'shipped volume', 'volume'],
  ['highestVolume', 'highest volume', 'volume'],
] as const
/** How the saber is used: what runtime and loudness are worked out from. */
export function UseProfile({ saber }: { saber: Saber }) {
  const editSaber = useEditSaber()
  return (
    <div className="grid grid-cols-3 gap-3">
      {FACTS.map(([key, label, deed]) => (
        <FactField
          key={key}
          label={label}
          value={saber.use[key]}
          of={Saber.properties.use.properties[key]}
          source="configured"
          onCommit={(f) => editSaber(deed, (s) => void (s.use[key] = f))}
        />
      ))}
      <TextFactField
        label="Firmware"
        placeholder="as the board names it"
        value={saber.firmware}
        onCommit={(f) => editSaber('firmware', (s) => void (s.firmware = f))}
      />
      <SelectCell
        title="power is cut by"
        label="Power is cut by"
        value={saber.cutPower}
        options={Object.keys(CUT_WORDS) as Saber['cutPower'][]}
        words={(v) => CUT_WORDS[v]}
        onCommit={(v) => editSaber('cut-off', (s) => void (s.cutPower = v))}
      />
    </div>
  )
}
