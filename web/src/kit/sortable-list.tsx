import { closestCenter, DndContext, KeyboardSensor, PointerSensor, useSensor, useSensors } from '@dnd-kit/core'
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable'
import { CSS } from '@dnd-kit/utilities'
import { GripVertical } from 'lucide-react'
import type { ReactNode } from 'react'

export interface SortableProps<T extends { id: string }> {
  items: T[]
  onMove: (next: T[]) => void
  name: (t: T) => string
  children: (t: T, index: number) => ReactNode
}

/** A list whose items are moved by a handle, with the pointer or with space and arrow keys. */
export function SortingList<T extends { id: string }>({ items, onMove, name, children }: SortableProps<T>) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  )
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={({ active, over }) => {
        if (!over || active.id === over.id) return
        const at = (id: unknown) => items.findIndex((i) => i.id === id)
        onMove(arrayMove(items, at(active.id), at(over.id)))
      }}
    >
      <SortableContext items={items.map((i) => i.id)} strategy={verticalListSortingStrategy}>
        {items.map((t, i) => (
          <Item key={t.id} id={t.id} name={name(t)}>
            {children(t, i)}
          </Item>
        ))}
      </SortableContext>
    </DndContext>
  )
}

function Item({ id, name, children }: { id: string; name: string; children: ReactNode }) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } = useSortable({
    id,
  })
  return (
    <div
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={`border-rule flex items-center border-b ${isDragging ? 'bg-card relative z-10 shadow' : ''}`}
    >
      <button
        type="button"
        ref={setActivatorNodeRef}
        {...attributes}
        {...listeners}
        aria-label={`Move ${name}`}
        className="text-quiet shrink-0 cursor-grab px-0.5 py-1.5"
      >
        <GripVertical size={15} aria-hidden />
      </button>
      <div className="min-w-0 flex-1">{children}</div>
    </div>
  )
}
