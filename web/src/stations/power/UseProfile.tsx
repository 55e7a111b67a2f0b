import { Saber } from '@nubrin/core/record'
import { FactField, SelectCell, TextFactField } from '../../kit'
import { useEditSaber } from '../../store/commission'

const CUT_WORDS: Record<Saber['cutPower'], string> = {
  killSwitch: 'a kill switch',
  killKey: 'a kill key',
  cellOut: 'taking the cell out',
  deepSleep: 'deep sleep only',
  none: 'nothing',
}
/** Figures of its use, each with its words and what changing it is called. */
const FACTS = [
  ['litShare', 'lit share', 'use'],
  ['brightness', 'brightness', 'use'],
  ['volume', 'shipped volume', 'volume'],
  ['highestVolume', 'highest volume', 'volume'],
] as const
/** What the circuit does while the key is in each of its places. */
const KEY_PLACES = [
  ['out', 'with the key out'],
  ['in', 'with the key in'],
  ['turned', 'with the key turned'],
] as const
const CIRCUIT_WORDS = { '': 'not said', closed: 'has power', open: 'no power' } as const
function KeyCircuit({ saber }: { saber: Saber }) {
  const editSaber = useEditSaber()
  const set = (at: 'out' | 'in' | 'turned', v: keyof typeof CIRCUIT_WORDS) =>
    editSaber('what the key does', (s) => {
      const { [at]: _, ...rest } = s.keyDoes ?? {}
      const next = { ...rest, ...(v ? { [at]: v } : {}) }
      if (Object.keys(next).length) s.keyDoes = next
      else delete s.keyDoes
    })
  return KEY_PLACES.map(([at, words]) => (
    <SelectCell
      key={at}
      field={`keyDoes/${at}`}
      title={words}
      label={words}
      value={saber.keyDoes?.[at] ?? ''}
      options={['', 'closed', 'open']}
      words={(v) => (at === 'turned' && !v ? 'not turned' : CIRCUIT_WORDS[v])}
      onCommit={(v) => set(at, v)}
    />
  ))
}

/** How the saber is used: what runtime and loudness are worked out from. */
export function UseProfile({ saber }: { saber: Saber }) {
  const editSaber = useEditSaber()
  return (
    <div className="grid grid-cols-3 gap-3">
      {FACTS.map(([key, label, deed]) => (
        <FactField
          key={key}
          field={`use/${key}`}
          label={label}
          value={saber.use[key]}
          of={Saber.properties.use.properties[key]}
          source="configured"
          onCommit={(f) => editSaber(deed, (s) => void (s.use[key] = f))}
        />
      ))}
      <TextFactField
        label="firmware"
        field="firmware"
        placeholder="as the board shows it"
        value={saber.firmware}
        onCommit={(f) => editSaber('firmware', (s) => void (s.firmware = f))}
      />
      <SelectCell
        title="power is cut by"
        label="Power is cut by"
        field="cutPower"
        value={saber.cutPower}
        options={Object.keys(CUT_WORDS) as Saber['cutPower'][]}
        words={(v) => CUT_WORDS[v]}
        onCommit={(v) => editSaber('cut-off', (s) => void (s.cutPower = v))}
      />
      {(saber.cutPower === 'killKey' || saber.keyDoes) && <KeyCircuit saber={saber} />}
    </div>
  )
}
