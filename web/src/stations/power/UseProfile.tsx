import { Saber } from '@nubrin/core/record'
import { FactField, Labelled, SelectCell, setText, TextCell } from '../../kit'
import { useEditSaber } from '../../store/commission'

const CUT_WORDS: Record<Saber['cutPower'], string> = {
  killSwitch: 'a kill switch',
  killKeyPull: 'a kill key, pull to run',
  killKeyTurn: 'a kill key, turn to run',
  cellOut: 'taking the cell out',
  deepSleep: 'deep sleep only',
  none: 'nothing',
}
/** How the saber is used: what runtime and loudness are worked out from. */
export function UseProfile({ saber }: { saber: Saber }) {
  const editSaber = useEditSaber()
  return (
    <div className="grid grid-cols-3 gap-3">
      <FactField
        label="share of time lit"
        value={saber.use.litShare}
        of={Saber.properties.use.properties.litShare}
        source="configured"
        onCommit={(f) => editSaber('use', (s) => void (s.use.litShare = f))}
      />
      <FactField
        label="brightness"
        value={saber.use.brightness}
        of={Saber.properties.use.properties.brightness}
        source="configured"
        onCommit={(f) => editSaber('use', (s) => void (s.use.brightness = f))}
      />
      <FactField
        label="shipped volume"
        value={saber.use.volume}
        of={Saber.properties.use.properties.volume}
        source="configured"
        onCommit={(f) => editSaber('volume', (s) => void (s.use.volume = f))}
      />
      <FactField
        label="highest volume"
        value={saber.use.highestVolume}
        of={Saber.properties.use.properties.highestVolume}
        source="configured"
        onCommit={(f) => editSaber('volume', (s) => void (s.use.highestVolume = f))}
      />
      <Labelled label="firmware">
        <TextCell
          label="Firmware"
          placeholder="as the board names it"
          value={saber.firmware ?? ''}
          onCommit={(v) => editSaber('firmware', (s) => setText(s, 'firmware', v))}
        />
      </Labelled>
      <Labelled label="power is cut by">
        <SelectCell
          label="Power is cut by"
          value={saber.cutPower}
          options={Object.keys(CUT_WORDS) as Saber['cutPower'][]}
          words={(v) => CUT_WORDS[v]}
          onCommit={(v) => editSaber('cut-off', (s) => void (s.cutPower = v))}
        />
      </Labelled>
    </div>
  )
}
