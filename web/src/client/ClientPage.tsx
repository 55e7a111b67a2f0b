import type { Block, HandoffDocument } from '@nubrin/core/handoff'
import { drawSection, drawUnrolled } from '@nubrin/core/hilt'
import type { Commission, Saber } from '@nubrin/core/record'
import { useEffect, useState } from 'react'
import { useParams } from 'react-router'
import { api } from '../api'
import { SceneView } from '../drawing/SceneView'

interface Page {
  document: HandoffDocument
  sabers: Saber[]
  media: Commission['media']
}

/** What the client opens, on a phone as well: the same record as the PDF, with the walkthrough pointing at the drawing. */
export default function ClientPage() {
  const { token } = useParams()
  const [page, setPage] = useState<Page>()
  const [failed, setFailed] = useState('')
  const [lit, setLit] = useState<string>()
  useEffect(() => {
    api<Page>('GET', `/client/${token}`).then(
      (p) => {
        setPage(p)
        document.title = `${p.document.title}, for ${p.document.client}`
      },
      (e: Error) => setFailed(e.message),
    )
  }, [token])
  if (failed) return <p className="p-6">{failed}</p>
  if (!page) return <p className="text-quiet p-6">One moment…</p>
  const d = page.document
  const first = page.sabers[0]!
  return (
    <main className="mx-auto max-w-3xl px-5 pb-16 text-[1.08rem]">
      <header className="pt-8">
        <p className="text-quiet">
          {d.shop}, {d.date}
        </p>
        <h1 className="text-[2.3rem] leading-tight">{d.title}</h1>
        <p className="text-[1.2rem]">for {d.client}</p>
      </header>
      <div className="bg-paper sticky top-0 z-10 -mx-5 px-5">
        <Drawing saber={first} which="section" lit={lit} />
      </div>
      <p className="text-quiet">
        “About” marks a value that was not measured; “not recorded” is what it says.{' '}
        <a className="text-brass underline" href={`/api/client/${token}/handoff.pdf`}>
          The same as a PDF
        </a>
      </p>
      <nav aria-label="Contents" className="border-rule my-4 border-y py-2">
        {d.chapters.map((c) => (
          <a key={c.id} href={`#${c.id}`} className="text-brass mr-4 inline-block py-1.5">
            {c.title}
          </a>
        ))}
      </nav>
      {page.media
        .filter((m) => m.type.startsWith('image/'))
        .map((m) => (
          <img
            key={m.id}
            src={`/api/client/${token}/media/${m.hash}`}
            alt={m.caption ?? m.name}
            className="border-rule my-2 w-full border"
          />
        ))}
      {d.chapters.map((c) => (
        <section key={c.id} id={c.id} className="mt-8 scroll-mt-40">
          <h2 className="border-ink border-b pb-1 text-[1.35rem]">{c.title}</h2>
          {c.blocks.map((b, i) => (
            <BlockView key={i} block={b} sabers={page.sabers} lit={lit} setLit={setLit} />
          ))}
        </section>
      ))}
    </main>
  )
}

function Drawing({ saber, which, lit }: { saber: Saber; which: 'section' | 'unrolled'; lit: string | undefined }) {
  const scene =
    which === 'section'
      ? drawSection(saber, { width: 760, height: 190, ...(saber.presets[0] ? { blade: saber.presets[0].colour } : {}) })
      : drawUnrolled(saber, { width: 760, height: 200 })
  return <SceneView scene={scene} title={`Drawing of ${saber.name}`} lit={lit} className="h-auto w-full" />
}

function BlockView({
  block: b,
  sabers,
  lit,
  setLit,
}: {
  block: Block
  sabers: Saber[]
  lit: string | undefined
  setLit: (ref: string | undefined) => void
}) {
  switch (b.kind) {
    case 'para':
      return <p className="mt-3">{b.text}</p>
    case 'facts':
      return (
        <dl className="mt-3">
          {b.rows.map((r) => (
            <div key={r.name} className="border-rule grid grid-cols-[42%_1fr] gap-3 border-b py-1">
              <dt className="text-quiet">{r.name}</dt>
              <dd>{r.value}</dd>
            </div>
          ))}
        </dl>
      )
    case 'table':
      return (
        <section className="mt-3 overflow-x-auto" tabIndex={0} aria-label={b.head.join(', ')}>
          <table className="w-full text-left">
            <thead className="text-quiet text-[0.92rem]">
              <tr>
                {b.head.map((h) => (
                  <th key={h} className="pr-3 font-medium">
                    {h}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {b.rows.map((row, r) => (
                <tr key={row.join('|')} className="border-rule border-b align-top">
                  {row.map((cell, i) => (
                    <td key={i} className="py-1 pr-3">
                      {b.swatch?.[r] && i === 2 ? (
                        <span
                          className="border-ink mr-1.5 inline-block h-3 w-3 border"
                          style={{ background: b.swatch[r] }}
                        />
                      ) : null}
                      {cell}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </section>
      )
    case 'steps':
      return (
        <div className="mt-4">
          <h3 className="text-[1.1rem]">{b.title}</h3>
          <ol className="mt-1 list-decimal space-y-1.5 pl-6">
            {b.steps.map((s) => (
              <li key={s.text}>
                {s.text}
                {s.tool ? ` (${s.tool})` : ''}
                {s.place ? <span className="text-quiet"> – {s.place}</span> : null}
                {s.caution ? <span className="text-brass block font-semibold">Caution: {s.caution}</span> : null}
              </li>
            ))}
          </ol>
        </div>
      )
    case 'caution':
      return (
        <div className="border-brassline mt-3 border-l-4 pl-3">
          <p className="font-semibold">{b.title}</p>
          <p>{b.text}</p>
        </div>
      )
    case 'drawing': {
      const saber = sabers.find((s) => s.id === b.saber)
      return saber && (b.which === 'unrolled' || sabers.length > 1) ? (
        <Drawing saber={saber} which={b.which} lit={lit} />
      ) : null
    }
    case 'script':
      return (
        <ol className="mt-3 space-y-1">
          {b.beats.map((t) => (
            <li key={t.n}>
              <button
                type="button"
                className={`flex w-full gap-3 py-1.5 text-left ${lit && lit === t.ref ? 'bg-card' : ''}`}
                onClick={() => setLit(t.ref)}
              >
                <span className="text-brass w-7 shrink-0 text-right font-semibold">{t.n}</span>
                <span>{t.say}</span>
              </button>
            </li>
          ))}
        </ol>
      )
  }
}
