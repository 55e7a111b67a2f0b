import { missingText } from '@nubrin/core/facts'
import { zoneBudget } from '@nubrin/core/power'
import { type Preset, type Saber, keyWords as words } from '@nubrin/core/record'
import { formatNumber, MAKER } from '@nubrin/core/units'
import { useMemo } from 'react'
import { SelectCell } from '../../kit'
import { useBench } from '../../store/commission'

/** What every light draws in every look of a preset, in amperes, each with the colour it shows. */
export function Looks({
  saber,
  preset,
  onPreset,
}: {
  saber: Saber
  preset: Preset | undefined
  onPreset: (id: string) => void
}) {
  const light = useBench((b) => b.light)
  const budget = useMemo(() => zoneBudget(saber, preset), [saber, preset])
  if (!budget.length) return null
  const looks = budget[0]!.looks
  return (
    <section aria-label="Currents by light and look" className="mt-2">
      <div className="flex items-baseline gap-2">
        <h2 className="h2 whitespace-nowrap">Every light, in every look</h2>
        {saber.presets.length > 1 ? (
          <span className="ml-auto w-40">
            <SelectCell
              label="Preset"
              value={preset?.id ?? ''}
              options={saber.presets.map((p) => p.id)}
              words={(id) => saber.presets.find((p) => p.id === id)?.name ?? id}
              onCommit={onPreset}
            />
          </span>
        ) : null}
      </div>
      <table className="w-full text-[0.92rem]">
        <thead>
          <tr className="text-quiet">
            <th className="text-left font-normal">A</th>
            {looks.map((l) => (
              <th key={l.look} className="px-1 text-right font-normal">
                <span
                  className="mr-1 inline-block h-2.5 w-2.5 border border-[#1e2a2b]"
                  style={{ background: l.colour }}
                  aria-hidden="true"
                />
                {words(l.look)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {budget.map((z) => (
            <tr key={z.ref} className="border-rule border-t">
              <th className="py-0.5 text-left font-medium">
                <button type="button" className="text-left" onClick={() => light(z.ref)}>
                  {z.name}
                </button>
              </th>
              {z.looks.map((l) => (
                <td
                  key={l.look}
                  className="px-1 text-right"
                  title={l.current.ok ? l.current.formula : missingText(l.current)}
                >
                  {l.current.ok ? formatNumber(MAKER, l.current.value, 2) : '–'}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
}
