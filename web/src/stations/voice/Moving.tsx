import { STYLE_KINDS, STYLE_USES, type StyleKind } from '@nubrin/core/light'
import { Moves } from '@nubrin/core/record'
import { bound, ColourFactField, FactField, Labelled, SelectCell } from '../../kit'

const WORDS: Record<StyleKind, string> = {
  ...{ steady: 'steady', breathing: 'breathes', flicker: 'flickers', unstable: 'unstable', flame: 'like a flame' },
  ...{ cycle: 'round all colours', gradient: 'one end to the other', level: 'like a gauge', spark: 'single sparks' },
  wave: 'in waves',
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
        title="moves"
        field="moves/is"
        label={`How ${what} moves`}
        value={m?.is ?? ''}
        options={['', ...STYLE_KINDS]}
        words={(v) => (v ? WORDS[v] : 'not recorded')}
        onCommit={(v) => onEdit(v ? { ...structuredClone(m ?? {}), is: v } : undefined)}
      />
      {uses.includes('second') ? (
        <Labelled label="into">
          <ColourFactField label={`Second colour of ${what}`} className="h-7 w-12" {...given('second')} />
        </Labelled>
      ) : null}
      {uses.includes('hz') ? (
        <FactField label={`times a second, ${what}`} of={OF.rate} source="configured" {...given('rate')} />
      ) : null}
      {uses.includes('depth') ? (
        <FactField label={`how deep, ${what}`} of={OF.depth} source="configured" {...given('depth')} />
      ) : null}
      {uses.includes('width') ? (
        <FactField label={`how wide, ${what}`} of={OF.width} source="configured" {...given('width')} />
      ) : null}
    </>
  )
}
