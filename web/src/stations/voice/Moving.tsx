import { STYLE_KINDS, STYLE_USES, type StyleKind } from '@nubrin/core/light'
import { Moves } from '@nubrin/core/record'
import { bound, ColourFactField, FactField, Labelled, SelectCell } from '../../kit'

const WORDS: Record<StyleKind, string> = {
  ...{ steady: 'steady', breathing: 'breathes', flicker: 'flickers', unstable: 'unstable', flame: 'flame' },
  ...{ cycle: 'cycles colours', gradient: 'gradient', level: 'level meter', spark: 'local sparks' },
  wave: 'waves',
}
export const movesWords = (is: StyleKind): string => WORDS[is]

/** How a light moves: one of our ways, and the figures that this way uses. */
export function Moving({
  of: m,
  what,
  onEdit,
}: {
  of: Moves | undefined
  what: string
  onEdit: (next: Moves | undefined) => void
}) {
  const set = (run: (x: Moves) => void) => {
    const next = structuredClone(m ?? { is: 'steady' as const })
    run(next)
    onEdit(next)
  }
  const { given } = bound(m ?? { is: 'steady' as const }, set)
  const uses = m ? STYLE_USES[m.is] : []
  const { properties: OF } = Moves
  return (
    <>
      <SelectCell
        title="animation"
        field="moves/is"
        label={`Animation of ${what}`}
        value={m?.is ?? ''}
        options={['', ...STYLE_KINDS]}
        words={(v) => (v ? WORDS[v] : 'not recorded')}
        onCommit={(v) => onEdit(v ? { ...structuredClone(m ?? {}), is: v } : undefined)}
      />
      {uses.includes('second') ? (
        <Labelled label="second colour">
          <ColourFactField label={`Second colour of ${what}`} className="h-7 w-12" {...given('second')} />
        </Labelled>
      ) : null}
      {uses.includes('hz') ? (
        <FactField label={`rate, ${what}`} of={OF.rate} source="configured" {...given('rate')} />
      ) : null}
      {uses.includes('depth') ? (
        <FactField label={`depth, ${what}`} of={OF.depth} source="configured" {...given('depth')} />
      ) : null}
      {uses.includes('width') ? (
        <FactField label={`width, ${what}`} of={OF.width} source="configured" {...given('width')} />
      ) : null}
    </>
  )
}
