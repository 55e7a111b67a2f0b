import { type AnyFact, stated } from '@nubrin/core/facts'
import type { Preset } from '@nubrin/core/record'
import { CheckBox, ColourFactField } from '../../kit'

const EFFECTS = ['clash', 'lock', 'deflect', 'drag', 'melt', 'surge'] as const

/** The effects that have a colour of their own. */
export function Effects({ preset: p, onEdit }: { preset: Preset; onEdit: (run: (x: Preset) => void) => void }) {
  const put = (e: (typeof EFFECTS)[number], colour: AnyFact<string> | undefined) =>
    onEdit((x) => {
      x.effects ??= {}
      if (colour) x.effects[e] = colour
      else delete x.effects[e]
    })
  return (
    <div className="mt-2 flex flex-wrap items-center gap-3 text-[0.9rem]">
      {EFFECTS.map((e) => {
        const colour = p.effects?.[e]
        return (
          <span key={e} className="flex items-center gap-1">
            <CheckBox checked={!!colour} onChange={(on) => put(e, on ? stated('#ffffff', 'assumed') : undefined)}>
              {e}
            </CheckBox>
            {colour ? (
              <ColourFactField label={`${e} colour`} className="h-5 w-7" value={colour} onCommit={(f) => put(e, f)} />
            ) : null}
          </span>
        )
      })}
    </div>
  )
}
