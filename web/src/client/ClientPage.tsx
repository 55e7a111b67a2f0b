import { alwaysSpeaking, dayText } from '@nubrin/core/units'
import { say, speaks, whether } from '@nubrin/core/words'
import { useEffect, useState } from 'react'
import { useParams } from 'react-router'
import { refusalText, urlOf, useClientPage } from '../data'
import { BlockView } from './BlockView'
import { Drawing } from './Drawing'

/** What the client opens, on a phone as well: the same record as the PDF, with the walkthrough pointing at the drawing. */
export default function ClientPage() {
  const token = useParams().token!
  const { data: page, error } = useClientPage(token)
  const [lit, setLit] = useState<string>()
  const d = page?.document
  const [, learnt] = useState(false)
  // All of this page is for one reader. In the shop's own window it is left again.
  if (d) alwaysSpeaking({ language: d.language })
  useEffect(() => () => alwaysSpeaking({}), [])
  const strange = d && !speaks(d.language)
  useEffect(() => {
    if (strange)
      void import('@nubrin/core/tongues').then(
        (m) => {
          m.learnAll()
          learnt(true)
        },
        () => undefined,
      )
  }, [strange])
  useEffect(() => {
    if (d) document.title = say('page.title', { title: d.title, client: d.client })
  }, [d])
  if (error) return <p className="p-6">{refusalText(error)}</p>
  if (!page || !d) return <p className="text-quiet p-6">{say('page.waiting')}</p>
  return (
    <main lang={d.language} className="mx-auto max-w-3xl px-5 pb-16 text-[1.08rem]">
      <header className="pt-8">
        <p className="text-quiet">{say('cover.line', { shop: d.shop, number: d.number, date: dayText(d.date) })}</p>
        <h1 className="text-[2.3rem] leading-tight">{d.title}</h1>
        <p className="text-[1.2rem]">{say('cover.for', { client: d.client })}</p>
      </header>
      <div className="bg-paper sticky top-0 z-10 -mx-5 px-5">
        <Drawing saber={page.sabers[0]!} which="section" lit={lit} />
      </div>
      <p className="text-quiet">
        {say('cover.legend', { own: whether(d.ownWords) })}{' '}
        <a className="text-brass underline" href={urlOf('clientPdf', { params: { token } })}>
          {say('page.pdf')}
        </a>
      </p>
      <nav aria-label={say('page.contents')} className="border-rule my-4 border-y py-2">
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
            src={urlOf('clientFile', { params: { token, hash: m.hash } })}
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
      {d.from ? (
        <footer className="border-rule mt-10 border-t pt-4 whitespace-pre-line">
          {d.from.closing ? <p className="mb-3">{d.from.closing}</p> : null}
          <p className="text-quiet">{[d.shop, d.from.address, d.from.contact].filter(Boolean).join('\n')}</p>
        </footer>
      ) : null}
    </main>
  )
}
