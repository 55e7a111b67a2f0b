import { digitsOf, parseMoney } from '@nubrin/core/quote'
import { useState } from 'react'
import { TextCell } from '../../kit'

interface Props {
  label: string
  title?: string
  value: number
  currency: string
  /** Less than nothing is an amount, too. */
  signed?: boolean
  onCommit: (minor: number) => void
}
/** An amount in whole minor units, typed and shown in major ones. What is no amount is said, and nothing is changed. */
export function MoneyCell({ label, title, value, currency, signed, onCommit }: Props) {
  const [wrong, setWrong] = useState(false)
  const digits = digitsOf(currency)
  const commit = (text: string) => {
    const minor = parseMoney(text, currency)
    const bad = minor === undefined || (!signed && minor < 0)
    setWrong(bad)
    if (!bad) onCommit(minor)
  }
  return (
    <div>
      <TextCell
        {...(title ? { title } : {})}
        label={label}
        className="text-right tabular-nums"
        value={(value / 10 ** digits).toFixed(digits)}
        onCommit={commit}
      />
      {wrong ? (
        <p role="alert" className="text-stop text-[0.87rem]">
          {signed ? 'An amount, as 12.50.' : 'An amount of nothing or more, as 12.50.'}
        </p>
      ) : null}
    </div>
  )
}
