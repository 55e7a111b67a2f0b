import { CARD_PAPERS, type CardPaper, cardSvg, controlsCard } from '@nubrin/core/handoff'
import { MAKER } from '@nubrin/core/units'
import { useMemo, useState } from 'react'
import { urlOf } from '../../data'
import { fileStem, Segments, saveText } from '../../kit'
import { useOrder, useSaber } from '../../store/commission'

const PAPERS = Object.keys(CARD_PAPERS) as CardPaper[]

/** The card that goes into the box, made from the map as it is now: in front the first five things, overleaf all of them. */
export function Card() {
  const saber = useSaber()
  const order = useOrder()
  const [paper, setPaper] = useState<CardPaper>('A5')
  const card = useMemo(() => controlsCard(MAKER, saber, paper), [saber, paper])
  const save = (i: number) =>
    saveText(cardSvg(card, i), 'image/svg+xml', `${fileStem(saber.name)}-controls-${i + 1}.svg`)
  const height = paper === 'A5' ? 520 : 640
  return (
    <div>
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <Segments label="Paper" value={paper} options={PAPERS} onChange={setPaper} />
        <a
          className="btn btn-main"
          href={urlOf('cardPdf', { params: { id: order.id }, query: { saber: saber.id, paper } })}
          target="_blank"
          rel="noreferrer"
        >
          PDF, both sides
        </a>
        <span className="text-quiet">
          made from the map; {card.pages.length} {card.pages.length === 1 ? 'page' : 'pages'}
        </span>
      </div>
      <div className="flex gap-6 overflow-x-auto pb-2">
        {card.pages.map((prims, i) => (
          <figure key={i} className="shrink-0">
            <svg
              role="img"
              aria-label={`${card.title}, page ${i + 1}`}
              viewBox={`0 0 ${card.width} ${card.height}`}
              height={height}
              width={(height * card.width) / card.height}
              className="border-rule border bg-white shadow-sm"
            >
              {prims.map((p, k) =>
                p.t === 'text' ? (
                  <text key={k} x={p.x} y={p.y} fontSize={p.size} fontWeight={p.weight} fill={p.colour}>
                    {p.text}
                  </text>
                ) : (
                  <path
                    key={k}
                    d={p.d}
                    fill={p.fill ?? 'none'}
                    stroke={p.stroke ?? 'none'}
                    strokeWidth={p.width}
                    strokeLinecap="round"
                    strokeLinejoin="round"
                  />
                ),
              )}
            </svg>
            <figcaption className="mt-1 flex items-baseline gap-3">
              <span className="label">{i ? `overleaf, ${i}` : 'front'}</span>
              <button type="button" className="text-brass hover:underline" onClick={() => save(i)}>
                save as SVG
              </button>
            </figcaption>
          </figure>
        ))}
      </div>
    </div>
  )
}
