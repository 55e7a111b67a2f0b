import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/react'
import { type Calculated, missingText } from '@nubrin/core/facts'
import { formatNumber, MAKER } from '@nubrin/core/units'
import { ChevronRight } from 'lucide-react'
import type { ReactNode } from 'react'
import { useLight } from '../store/commission'

/** A computed value that opens to its inputs, its formula and where the formula comes from. */
export function FigureView({
  name,
  figure,
  digits = 1,
  as,
  unit,
}: {
  name: string
  figure: Calculated
  digits?: number
  as?: (v: number) => string
  unit?: string
}): ReactNode {
  if (!figure.ok)
    return (
      <div className="border-rule border-b py-1.5">
        <div className="flex items-baseline justify-between gap-3">
          <span className="text-quiet">{name}</span>
        </div>
        <p className="text-quiet text-[0.87rem]">{missingText(figure)}</p>
      </div>
    )
  return (
    <Opens
      name={name}
      shows={
        <span className="ml-auto font-semibold whitespace-nowrap">
          {figure.about ? <span className="text-brass font-medium">about </span> : null}
          {as
            ? as(figure.value)
            : `${formatNumber(MAKER, figure.value, digits)} ${unit ?? (figure.unit === '×' ? '' : figure.unit)}`}
        </span>
      }
    >
      <p className="font-medium">{figure.formula}</p>
      <ul className="mt-1">
        {figure.inputs.map((i) => (
          <li key={`${i.name}${i.text}`} className="flex justify-between gap-3">
            {i.ref ? <ToThing to={i.ref}>{i.name}</ToThing> : <span className="text-quiet">{i.name}</span>}
            <span className={i.about ? 'text-brass' : ''}>{i.text}</span>
          </li>
        ))}
      </ul>
      <p className="text-quiet mt-1">{figure.basis}</p>
    </Opens>
  )
}

/** A line with a name and what it comes to, which opens to how it came about. */
export const Opens = ({ name, shows, children }: { name: string; shows: ReactNode; children: ReactNode }) => (
  <Disclosure as="div" className="border-rule border-b">
    <DisclosureButton className="group flex w-full items-baseline gap-2 py-1.5 text-left">
      <ChevronRight
        size={14}
        className="text-brass shrink-0 self-center transition-transform group-data-open:rotate-90"
        aria-hidden
      />
      <span className="text-quiet">{name}</span>
      {shows}
    </DisclosureButton>
    <DisclosurePanel className="bg-card border-rule mb-2 border-l-2 px-3 py-2 text-[0.87rem]">
      {children}
    </DisclosurePanel>
  </Disclosure>
)

/** Words that light the thing they speak of. */
export function ToThing({ to, children }: { to: string; children: ReactNode }) {
  const light = useLight()
  return (
    <button type="button" className="text-brass text-left underline decoration-dotted" onClick={() => light(to)}>
      {children}
    </button>
  )
}
