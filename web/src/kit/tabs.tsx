import { Tab, TabGroup, TabList, TabPanel, TabPanels } from '@headlessui/react'
import type { ReactNode } from 'react'

/** A row of tabs walked with the arrow keys. With `panels` the chosen one is shown below. */
export function Tabs({
  label,
  tabs,
  at,
  onChange,
  panels,
  className = '',
}: {
  label: string
  tabs: readonly string[]
  at: number
  onChange: (i: number) => void
  panels?: (i: number) => ReactNode
  className?: string
}) {
  return (
    <TabGroup selectedIndex={at} onChange={onChange} className={className}>
      <TabList aria-label={label} className={`flex gap-1 ${panels ? 'border-rule -mt-1 mb-2 border-b' : ''}`}>
        {tabs.map((t) => (
          <Tab
            key={t}
            className="text-quiet data-selected:border-ink data-selected:text-ink border-b-2 border-transparent px-3 py-1 whitespace-nowrap data-selected:font-semibold"
          >
            {t}
          </Tab>
        ))}
      </TabList>
      {panels ? (
        <TabPanels>
          {tabs.map((t, i) => (
            <TabPanel key={t} tabIndex={-1}>
              {panels(i)}
            </TabPanel>
          ))}
        </TabPanels>
      ) : null}
    </TabGroup>
  )
}
