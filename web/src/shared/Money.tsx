import { NumberCell, TextCell } from '../kit'

interface Money {
  amount: number
  currency: string
}
const plain = (text: string) => text.trim().toUpperCase().slice(0, 3)

/** An amount in a currency; without an amount there is none. */
export function MoneyCell({
  label,
  value,
  usual,
  onCommit,
}: {
  label: string
  value: Money | undefined
  /** The currency that was used last in this order. */
  usual: string
  onCommit: (v: Money | undefined) => void
}) {
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_3.2rem] gap-1">
      <NumberCell
        label={label}
        max={1e7}
        placeholder="price"
        value={value?.amount}
        onCommit={(amount) =>
          onCommit(amount === undefined ? undefined : { amount, currency: value?.currency ?? usual })
        }
      />
      <TextCell
        label={`${label}, currency`}
        value={value?.currency ?? usual}
        onCommit={(v) => {
          if (value && /^[A-Z]{3}$/.test(plain(v))) onCommit({ ...value, currency: plain(v) })
        }}
      />
    </div>
  )
}
