import type { Commission, Saber } from '@nubrin/core/record'
import { chaptersOf } from '@nubrin/core/script'
import { urlOf } from '../../data'

/** The script as files: Markdown, subtitles as planned and as taken, chapters. */
export function TakeAlong({ order, saber }: { order: Commission; saber: Saber }) {
  const vtt = (take?: string) =>
    urlOf('scriptVtt', { params: { id: order.id }, query: { saber: saber.id, ...(take ? { take } : {}) } })
  return (
    <div className="mt-4 space-y-1">
      <h3 className="label">take it along</h3>
      <a className="text-brass block" href={urlOf('scriptMarkdown', { params: { id: order.id } })}>
        script as Markdown
      </a>
      <a className="text-brass block" href={vtt()}>
        subtitles, planned times (WebVTT)
      </a>
      {saber.takes.map((t, i) => (
        <span key={t.id} className="block">
          <a className="text-brass" href={vtt(t.id)}>
            subtitles of take {i + 1} ({t.marks.length} marks)
          </a>
          {', '}
          <a
            className="text-brass"
            download={`chapters-take-${i + 1}.txt`}
            href={`data:text/plain;charset=utf-8,${encodeURIComponent(chaptersOf(saber, t))}`}
          >
            its chapters
          </a>
        </span>
      ))}
    </div>
  )
}
