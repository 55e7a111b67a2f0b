import type { Block } from '@nubrin/core/handoff'
import { say } from '@nubrin/core/words'
import { useRef, useState } from 'react'
import { useReader } from '../base/reader'

const clock = (s: number) => `${Math.floor(s / 60)}:${String(s % 60).padStart(2, '0')}`

/** The film: played where its file lies beside the page, else a way to where it is; its chapters lead into it. */
export function FilmView({ block: b }: { block: Extract<Block, { kind: 'film' }> }) {
  const reader = useReader()
  const video = useRef<HTMLVideoElement>(null)
  // Beside a page that came from a server lies nothing.
  const beside = b.file && location.protocol === 'file:' ? b.file : undefined
  const [gone, setGone] = useState(false)
  const plays = beside && !gone
  const toChapter = (at: number) => {
    if (!video.current) return
    video.current.currentTime = at
    void video.current.play().catch(() => undefined)
  }
  return (
    <div className="mt-3">
      {plays ? (
        // biome-ignore lint/a11y/useMediaCaption: captions come beside it, as its file does
        <video
          ref={video}
          controls
          preload="metadata"
          className="w-full bg-black"
          src={encodeURIComponent(beside)}
          aria-label={b.title}
          onError={() => setGone(true)}
        />
      ) : null}
      {b.address ? (
        <a className="btn mt-2 inline-block" href={b.address} target="_blank" rel="noreferrer noopener">
          {say(reader, 'page.film')}
        </a>
      ) : null}
      {!plays && b.file ? <p className="mt-2">{say(reader, 'page.filmFile', { file: b.file })}</p> : null}
      <ol className="mt-2">
        {b.chapters.map((c) => (
          <li key={c.at} className="border-rule flex gap-3 border-b py-1">
            <span className="text-quiet w-12 shrink-0 text-right tabular-nums">{clock(c.at)}</span>
            {plays ? (
              <button type="button" className="text-left underline decoration-dotted" onClick={() => toChapter(c.at)}>
                {c.title}
              </button>
            ) : (
              <span>{c.title}</span>
            )}
          </li>
        ))}
      </ol>
    </div>
  )
}
