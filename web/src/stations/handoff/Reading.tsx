import { buildHandoff, type HandoffDocument, type Rest, type RestedLine } from '@nubrin/core/handoff'
import type { Commission, Ref } from '@nubrin/core/record'
import { idOfStep, stepsOf } from '@nubrin/core/record/ops'
import { useEffect, useMemo, useState } from 'react'
import { todayIso } from '../../data'
import { Empty, ToThing } from '../../kit'
import { useOrder } from '../../store/commission'

/** The lines of a chapter with what each rests on; worked out beside the page, anew when the record changes. */
function useRests(record: Commission, chapter: string | undefined) {
  const [found, setFound] = useState<{ chapter: string; lines: RestedLine[] }>()
  const [failed, setFailed] = useState('')
  useEffect(() => {
    if (!chapter) return
    setFailed('')
    const worker = new Worker(new URL('../../workers/rests.worker.ts', import.meta.url), { type: 'module' })
    worker.onmessage = (e: MessageEvent<{ chapter: string; lines: RestedLine[] }>) => setFound(e.data)
    worker.onerror = () => setFailed('What it rests on could not be worked out. Choose the chapter again.')
    const timer = setTimeout(() => worker.postMessage({ record, chapter }), 80)
    return () => {
      clearTimeout(timer)
      worker.terminate()
    }
  }, [record, chapter])
  return { lines: found?.chapter === chapter ? found?.lines : undefined, failed }
}

/** The record as the client reads it, chapter by chapter; a line that is touched says what it rests on. */
export function Reading() {
  const order = useOrder()
  const doc = useMemo((): HandoffDocument => buildHandoff(order, '', todayIso()), [order])
  const [chapter, setChapter] = useState<string>()
  const at = doc.chapters.find((c) => c.id === chapter) ?? doc.chapters[0]
  const { lines, failed } = useRests(order, at?.id)
  const [line, setLine] = useState(0)
  const chosen = lines?.[line]
  if (!at) return <Empty title="Nothing to read yet">The record fills as you write it.</Empty>
  return (
    <div className="grid grid-cols-[200px_minmax(0,1fr)_minmax(0,0.8fr)] gap-6">
      <nav aria-label="Chapters">
        {doc.chapters.map((c) => (
          <button
            key={c.id}
            type="button"
            aria-current={c === at}
            className="aria-[current=true]:bg-ink aria-[current=true]:text-paper block w-full px-2 py-0.5 text-left leading-tight"
            onClick={() => {
              setChapter(c.id)
              setLine(0)
            }}
          >
            {c.title}
          </button>
        ))}
      </nav>
      <section aria-label={at.title}>
        <h2 className="h2">{at.title}</h2>
        {failed ? <p className="text-stop">{failed}</p> : null}
        {lines ? (
          <ol>
            {lines.map((l, i) => (
              <li key={i}>
                <button
                  type="button"
                  aria-pressed={i === line}
                  className="border-rule aria-[pressed=true]:bg-card aria-[pressed=true]:border-l-brass w-full border-b border-l-4 border-l-transparent px-2 py-1 text-left leading-snug"
                  onClick={() => setLine(i)}
                >
                  {l.line.replaceAll(' | ', ' · ')}
                </button>
              </li>
            ))}
          </ol>
        ) : (
          <p className="text-quiet">Working out what each line rests on …</p>
        )}
        {lines && !lines.length ? (
          <p className="text-quiet">Only a drawing: it is made from the record itself.</p>
        ) : null}
      </section>
      <section aria-label="What it rests on" aria-live="polite">
        <h2 className="h2">What it rests on</h2>
        {chosen && !chosen.rests.length ? (
          <p className="text-quiet">Nothing recorded: these words are in every record.</p>
        ) : null}
        {chosen?.rests.map((r) => (
          <RestRow key={r.path} rest={r} />
        ))}
      </section>
    </div>
  )
}

/** A recorded thing behind a sentence: what it says, where it comes from, and the way there. */
function RestRow({ rest: r }: { rest: Rest }) {
  const ref = refOf(r.path)
  return (
    <div className="border-rule border-b py-1 leading-tight">
      <div className="flex items-baseline gap-2">
        <span className="flex-1">
          {ref ? <ToThing to={ref}>{r.owner}</ToThing> : r.owner}{' '}
          <span className="text-quiet">{r.field.replace(/([A-Z])/g, ' $1').toLowerCase()}</span>
        </span>
        <span className="max-w-[60%] truncate font-semibold" title={r.value}>
          {r.value}
        </span>
      </div>
      {r.source ? <span className="text-quiet text-[0.87rem]">{r.source}</span> : null}
    </div>
  )
}

/** Lists of a saber that are drawn, and what one of them is. */
const KIND_OF: Readonly<Record<string, Ref extends `${infer K}:${string}` ? K : never>> = {
  ...{ sections: 'section', fasteners: 'fastener', openings: 'opening', sockets: 'socket' },
  ...{ parts: 'part', blades: 'blade', zones: 'zone' },
}
/** The drawn thing that a path lies in. */
function refOf(path: string): Ref | undefined {
  const steps = stepsOf(path)
  for (let i = steps.length - 1; i > 0; i--) {
    const kind = KIND_OF[steps[i - 1]!]
    const id = idOfStep(steps[i]!)
    if (kind && id) return `${kind}:${id}` as Ref
  }
  return undefined
}
