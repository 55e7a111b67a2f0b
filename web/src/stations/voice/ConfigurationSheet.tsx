import { configurationSheet } from '@nubrin/core/card'
import type { Configuration } from '@nubrin/core/record'

/** A configuration as a person reads it, in two columns. */
export function ConfigurationSheet({ title, configuration }: { title: string; configuration: Configuration }) {
  const rows = configurationSheet(configuration)
  return (
    <section aria-label={title}>
      <h3 className="font-semibold">{title}</h3>
      <dl className="columns-2 gap-6 text-[0.9rem]">
        {rows.map(([name, value]) => (
          <div key={name} className="border-rule flex justify-between gap-3 border-b py-0.5 break-inside-avoid">
            <dt className="text-quiet">{name}</dt>
            <dd className="text-right">{value}</dd>
          </div>
        ))}
      </dl>
    </section>
  )
}
