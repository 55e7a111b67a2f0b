import { DayPicker } from 'react-day-picker'
import 'react-day-picker/style.css'

/** A month to choose a day from; its code comes when one is opened. */
export default function Calendar({
  day,
  onSelect,
}: {
  day: Date | undefined
  onSelect: (day: Date | undefined) => void
}) {
  return (
    <DayPicker
      mode="single"
      autoFocus
      weekStartsOn={1}
      {...(day ? { selected: day, defaultMonth: day } : {})}
      onSelect={onSelect}
    />
  )
}
