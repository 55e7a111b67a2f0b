import { GripVertical } from 'lucide-react'
import { type ComponentType, useEffect, useRef, useState } from 'react'
import { once } from '../base/once'
import type { SortableProps } from './sortable-list'

type Sorting = ComponentType<SortableProps<{ id: string }>>
const SORTING = once(() => import('./sortable-list').then((m) => m.SortingList as unknown as Sorting))

/**
 * A list whose items are moved by a handle, with the pointer or with space and arrow keys. It stands at once; what moves it
 * comes after, and takes over while nobody is at work in it, so that nothing half typed is lost.
 */
export function SortableList<T extends { id: string }>(props: SortableProps<T>) {
  const [Sorts, setSorts] = useState<Sorting | undefined>(SORTING.now)
  const list = useRef<HTMLDivElement>(null)
  useEffect(() => {
    if (Sorts) return
    let here = true
    const takeOver = () => {
      const el = list.current
      if (!here || !SORTING.now()) return
      if (el?.contains(document.activeElement))
        el.addEventListener('focusout', () => setTimeout(takeOver), { once: true })
      else setSorts(SORTING.now)
    }
    SORTING.fetch().then(takeOver, () => {
      // Without it the list is only not moved.
    })
    return () => {
      here = false
    }
  }, [Sorts])
  const { items, name, children } = props
  if (Sorts) return <Sorts {...(props as unknown as SortableProps<{ id: string }>)} />
  return (
    <div ref={list}>
      {items.map((t, i) => (
        <div key={t.id} className="border-rule flex items-center border-b">
          <Grip name={name(t)} />
          <div className="min-w-0 flex-1">{children(t, i)}</div>
        </div>
      ))}
    </div>
  )
}

function Grip({ name }: { name: string }) {
  return (
    <button type="button" disabled aria-label={`Move ${name}`} className="text-quiet shrink-0 px-0.5 py-1.5">
      <GripVertical size={15} aria-hidden />
    </button>
  )
}
