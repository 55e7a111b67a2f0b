import type { Ref } from '@nubrin/core/record'
import { GroupedSelect } from '../kit'
import { useOrder, useSaber } from '../store/commission'
import { placesOfOrder } from './places'

/** Ties something to a thing of the saber on the bench, or to nothing in particular. */
export function PlaceCell({
  label,
  value,
  none,
  onCommit,
}: {
  label: string
  value: Ref | undefined
  /** What is said where it is tied to nothing. */
  none: string
  onCommit: (place: Ref | undefined) => void
}) {
  const order = useOrder()
  const saber = useSaber()
  return (
    <GroupedSelect
      label={label}
      value={value ?? ''}
      groups={[{ title: '', choices: [{ value: '', words: none }] }, ...placesOfOrder({ ...order, sabers: [saber] })]}
      onCommit={(v) => onCommit((v || undefined) as Ref | undefined)}
    />
  )
}
