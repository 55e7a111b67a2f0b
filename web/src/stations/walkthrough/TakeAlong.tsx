import type { Commission, Saber } from '@nubrin/core/record'
import { Link } from 'react-router'
import { urlOf } from '../../data'
import { dayText } from '../../kit'

/** What was filmed, each take with what became of it; and the script as files. */
export function TakeAlong({ order, saber }: { order: Commission; saber: Saber }) {
  return (
    <section aria-label="Takes and files" className="mt-5">
      {saber.takes.length ? (
        <>
          <h2 className="h2">Takes</h2>
          {saber.takes.map((t, i) => (
            <Link
              key={t.id}
              className="border-rule text-brass block border-b py-1"
              to={`/film/${order.id}/${saber.id}?take=${t.id}`}
            >
              take {i + 1}, {dayText(t.at.slice(0, 10))}
              {t.slips?.some((x) => !x.done) ? ', marks to look at' : ''}
            </Link>
          ))}
        </>
      ) : null}
      <h3 className="label mt-3">export</h3>
      <a className="text-brass block" href={urlOf('scriptMarkdown', { params: { id: order.id } })}>
        script as Markdown
      </a>
      <a
        className="text-brass block"
        href={urlOf('scriptVtt', { params: { id: order.id }, query: { saber: saber.id } })}
      >
        subtitles, planned times (WebVTT)
      </a>
    </section>
  )
}
