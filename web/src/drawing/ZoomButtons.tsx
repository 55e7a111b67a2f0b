import { MOST_ZOOM } from './useZoom'

/** Smaller, larger, whole. */
export function ZoomButtons({ zoom, by, whole }: { zoom: number; by: (factor: number) => void; whole: () => void }) {
  const buttons = [
    ['−', 'Smaller drawing (−)', () => by(1 / 1.5), zoom <= 1],
    ['+', 'Larger drawing (+)', () => by(1.5), zoom >= MOST_ZOOM],
    ['whole', 'The whole drawing', whole, zoom <= 1],
  ] as const
  return (
    <div className="absolute right-3 bottom-2 flex gap-1">
      {buttons.map(([text, label, run, off]) => (
        <button
          key={text}
          type="button"
          className="bg-card border-ink min-h-6 min-w-6 border px-1.5 text-[0.87rem] disabled:opacity-40"
          aria-label={label}
          title={label}
          disabled={off}
          onClick={run}
        >
          {text}
        </button>
      ))}
    </div>
  )
}
