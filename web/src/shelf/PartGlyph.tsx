import { known } from '@nubrin/core/facts'
import { type CataloguePart, kindRule } from '@nubrin/core/parts'

/** A part seen from the side, to one scale for all on the shelf: its outline, and a mark of its kind. Nothing for what has no size. */
export function PartGlyph({ part, scale = 1.5 }: { part: CataloguePart; scale?: number }) {
  const d = known(part.specs.diameter)
  const [l, h] = [known(part.specs.length) ?? d, d ?? known(part.specs.height) ?? known(part.specs.width)]
  if (l === undefined || h === undefined) return <span className="text-quiet text-[0.85rem]">no size</span>
  const w = Math.min(l * scale, 150)
  const cut = l * scale > 150
  const tall = Math.min(h * scale, 58)
  const glyph = kindRule(part.kind).glyph
  return (
    <svg width={w + 6} height={tall + 4} viewBox={`-1 -2 ${w + 6} ${tall + 4}`} aria-hidden="true">
      <rect
        x="0"
        y="0"
        width={glyph === 'cell' ? w - 3 : w}
        height={tall}
        fill={
          glyph === 'cell'
            ? '#d5e0d6'
            : part.kind === 'connector' || part.kind === 'contactBoard'
              ? '#dcc48c'
              : glyph === 'window'
                ? '#1e2a2b'
                : '#dcdccf'
        }
        stroke="#1e2a2b"
        strokeWidth="1.2"
        strokeDasharray={glyph === 'chamber' || glyph === 'frame' ? '4 3' : undefined}
      />
      {glyph === 'cell' ? <rect x={w - 3} y={tall * 0.34} width="4" height={tall * 0.32} fill="#1e2a2b" /> : null}
      {glyph === 'speaker' ? (
        <path
          d={`M${w * 0.14} ${tall * 0.06}L${w * 0.62} ${tall * 0.34}V${tall * 0.66}L${w * 0.14} ${tall * 0.94}`}
          fill="none"
          stroke="#1e2a2b"
        />
      ) : null}
      {cut ? <path d={`M${w - 12} -2l4 ${tall + 4}m3 0l-4 -${tall + 4}`} stroke="#f4efe4" strokeWidth="2.4" /> : null}
    </svg>
  )
}
