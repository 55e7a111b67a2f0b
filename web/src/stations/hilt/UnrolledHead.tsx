import { certainty, layOut } from '@nubrin/core/geometry'
import type { Saber } from '@nubrin/core/record'
import { formatNumber, MAKER } from '@nubrin/core/units'
import { useMemo } from 'react'
import { TOOLS, type Tool } from './putOn'

/** Above the unrolled surface: how long the hilt is, how large it is shown, and the tools. */
export function UnrolledHead({
  saber,
  zoom,
  onZoom,
  tool,
  onTool,
}: {
  saber: Saber
  zoom: number
  onZoom: (zoom: number) => void
  tool: Tool | undefined
  onTool: (tool: Tool | undefined) => void
}) {
  const shape = useMemo(() => layOut(saber.hilt), [saber])
  return (
    <div className="flex items-center gap-2" title="To scale both ways; 0° is the switch line, figures from the pommel">
      <h2 className="h2">Unrolled</h2>
      {shape.sections.length ? (
        <span className="text-quiet whitespace-nowrap">
          {shape.sections.every((s) => certainty(s.section.length) === 'known') ? '' : 'about '}
          {formatNumber(MAKER, shape.length, 1)} mm overall
        </span>
      ) : null}
      <span className="flex gap-1">
        <button
          type="button"
          className="btn min-h-7! px-2! py-0.5!"
          aria-label="Smaller surface"
          disabled={zoom <= 1}
          onClick={() => onZoom(Math.max(1, zoom / 1.5))}
        >
          −
        </button>
        <button
          type="button"
          className="btn min-h-7! px-2! py-0.5!"
          aria-label="Larger surface"
          disabled={zoom >= 5}
          onClick={() => onZoom(Math.min(5.1, zoom * 1.5))}
        >
          +
        </button>
      </span>
      <span className="ml-auto flex gap-1">
        {TOOLS.map((t) => (
          <button
            key={t}
            type="button"
            aria-pressed={tool === t}
            className={`btn min-h-7! px-2! py-0.5! text-[0.87rem] ${tool === t ? 'btn-main' : ''}`}
            onClick={() => onTool(tool === t ? undefined : t)}
          >
            {t}
          </button>
        ))}
      </span>
    </div>
  )
}
