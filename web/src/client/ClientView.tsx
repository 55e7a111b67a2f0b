import { type FrozenProcedure, type HandoffChapter, type HandoffDocument, readerOfHandoff } from '@nubrin/core/handoff'
import type { Commission, PdfExtent, Saber } from '@nubrin/core/record'
import { dayText } from '@nubrin/core/units'
import { say, whether } from '@nubrin/core/words'
import { useEffect, useMemo, useState } from 'react'
import { lazyView } from '../base/lazy'
import { ReaderOfPage, useReader } from '../base/reader'
import { todayIso } from '../data/local'
import { BlockView } from './BlockView'
import { Lost } from './Lost'
import { useReplies, type Way } from './replies'

/** What is in hand, opened and practised comes a moment after the words. */
const InHand = lazyView(() => import('./InHand').then((m) => m.InHand), { lost: <Lost /> })
const Disassembly = lazyView(() => import('./Disassembly').then((m) => m.Disassembly), { lost: <Lost /> })
const FirstThings = lazyView(() => import('./FirstThings').then((m) => m.FirstThings), { lost: <Lost /> })
const Ask = lazyView(() => import('./Ask').then((m) => m.Ask), { lost: <Lost /> })
const Practise = lazyView(() => import('./Practise').then((m) => m.Practise), { lost: <Lost /> })

// Its code comes while the record does.
void InHand.fetch().catch(() => undefined)

/** Chapters that stand open, in this order; all others are folded. */
const OPEN = ['words', 'visits', 'requests', 'troubles', 'cautions', 'film'] as const
const startsWith = (id: string, of: string) => id === of || id.startsWith(`${of}-`)

/** A record as its client has it: the document, the sabers to take in hand, and the photos. */
export interface ClientRecord {
  document: HandoffDocument
  sabers: Saber[]
  media: Pick<Commission['media'][number], 'id' | 'hash' | 'type' | 'name' | 'caption'>[]
}

interface Along {
  pdf: (extent: PdfExtent) => string
  file: string
  /** The number of the record that the address came with, and of the newest; what they say otherwise, by chapter. */
  given: number
  newest: number
  changed: readonly string[]
  /** Where that one of the two is that is not shown. */
  other: string
}

interface Shown {
  page: ClientRecord
  /** What is remembered is remembered under this. */
  keep: string
  mediaUrl: (hash: string) => string
  /** The same to take along, where there is a server to fetch it from, and the other record that its address leads to. */
  along?: Along | undefined
  /** How what the client says reaches the shop. */
  way: Way
}

/** The saber in hand, what to do first, and the record behind it, for its reader; knows neither a server nor an address. */
export function ClientView(shown: Shown) {
  const reader = useMemo(() => readerOfHandoff(shown.page.document), [shown.page.document])
  return (
    <ReaderOfPage value={reader}>
      <Record {...shown} />
    </ReaderOfPage>
  )
}

interface Doing {
  what: 'open' | 'practise'
  start?: FrozenProcedure
}

function Record({ page, keep, mediaUrl, along, way }: Shown) {
  const d = page.document
  const [which, setWhich] = useWhich(keep, page.sabers.length)
  const [doing, setDoing] = useState<Doing>()
  usePrint()
  // The saber comes first; what lies below it is written once it is in hand.
  const below = useSoon()
  const saber: Saber = page.sabers[which] ?? page.sabers[0]!
  const procedures = useMemo(() => d.procedures.filter((p) => p.saber === saber.id), [d, saber])
  return (
    <main lang={d.language} className="text-[1.08rem] wrap-anywhere">
      <div className="bg-[#141a1a] text-[#efe6d2] print:hidden">
        <div className="mx-auto max-w-3xl">
          <Head page={page} which={which} onChoose={setWhich} />
          <InHand
            key={saber.id}
            saber={saber}
            urlOf={mediaUrl}
            onOpen={() => setDoing({ what: 'open' })}
            onPractise={() => setDoing({ what: 'practise' })}
          />
        </div>
      </div>
      {below ? (
        <div className="mx-auto max-w-3xl px-5 pb-16">
          <h1 className="hidden text-[2rem] print:block">{saber.name}</h1>
          {along && along.given !== along.newest ? <TwoRecords document={d} along={along} /> : null}
          <FirstThings saber={saber} procedures={procedures} onOpen={(start) => setDoing({ what: 'open', start })} />
          <Chapters page={page} saber={saber} keep={keep} mediaUrl={mediaUrl} way={way} />
          <Foot document={d} along={along} />
        </div>
      ) : null}
      {doing?.what === 'open' ? (
        <Disassembly
          saber={saber}
          procedures={procedures}
          keep={`nubrin-open-${keep}-${saber.id}`}
          start={doing.start}
          onLeave={() => setDoing(undefined)}
        />
      ) : null}
      {doing?.what === 'practise' ? <Practise saber={saber} onLeave={() => setDoing(undefined)} /> : null}
    </main>
  )
}

/** Ownership, and which of several is in hand. */
function Head({ page, which, onChoose }: { page: ClientRecord; which: number; onChoose: (i: number) => void }) {
  const reader = useReader()
  const { document: d, sabers } = page
  return (
    <header className="px-5 pt-5">
      <p className="text-[#a59d88]">
        {d.shop} · {say(reader, 'cover.for', { client: d.client })}
      </p>
      <h1 className="text-[2.1rem] leading-tight">{(sabers[which] ?? sabers[0]!).name}</h1>
      {sabers.length > 1 ? (
        <div className="mt-1 flex flex-wrap gap-x-4">
          {sabers.map((s, i) => (
            <button
              key={s.id}
              type="button"
              aria-pressed={i === which}
              className={i === which ? 'font-semibold underline' : 'text-[#a59d88]'}
              onClick={() => onChoose(i)}
            >
              {s.name}
            </button>
          ))}
        </div>
      ) : null}
    </header>
  )
}

/** The record: what is read at once stands open, all else is folded. What the client asks stands between. */
function Chapters({ page, saber, keep, mediaUrl, way }: Omit<Shown, 'along'> & { saber: Saber }) {
  const reader = useReader()
  const d = page.document
  const replies = useReplies(`nubrin-said-${keep}`, way)
  const [lit, setLit] = useState<string>()
  const mine = d.chapters.filter((c) => !c.saber || c.saber === saber.id)
  const open = OPEN.flatMap((id) => mine.filter((c) => startsWith(c.id, id)))
  const photos = page.media.filter((m) => m.type.startsWith('image/'))
  const block = (c: HandoffChapter) =>
    c.blocks.map((b, i) => (
      <BlockView key={i} block={b} sabers={page.sabers} procedures={d.procedures} lit={lit} setLit={setLit} />
    ))
  return (
    <>
      {open.map((c) => (
        <section key={c.id} id={c.id} className="mt-8">
          <h2 className="border-ink border-b pb-1 text-[1.35rem]">{c.title}</h2>
          {block(c)}
          {startsWith(c.id, 'cautions') ? (
            <Read keep={`nubrin-read-${keep}-${c.id}`} onRead={() => replies.say({ read: c.id })} />
          ) : null}
        </section>
      ))}
      {photos.map((m) => (
        <img key={m.id} src={mediaUrl(m.hash)} alt={m.caption ?? m.name} className="border-rule my-3 w-full border" />
      ))}
      <Ask replies={replies} asFile={'file' in way} contact={d.from?.contact ?? ''} />
      <h2 className="border-ink mt-10 border-b pb-1 text-[1.35rem]">{say(reader, 'page.more')}</h2>
      {mine
        .filter((c) => !open.includes(c))
        .map((c) => (
          <details key={c.id} id={c.id} className="border-rule border-b">
            <summary className="cursor-pointer py-2.5 text-[1.15rem]">{c.title}</summary>
            <div className="pb-4">{block(c)}</div>
          </details>
        ))}
    </>
  )
}

/** Which of two records is shown: the newest or the one whose address was followed; what is otherwise, and the way to the other. */
function TwoRecords({ document: d, along }: { document: HandoffDocument; along: Along }) {
  const reader = useReader()
  const { given, newest, changed } = along
  const shown = { number: d.number, date: dayText(reader, d.date) }
  const older = d.number !== newest
  return (
    <p className={`mt-4 ${older ? 'text-brass' : 'text-quiet'}`} data-newer>
      {older ? say(reader, 'page.older', { ...shown, newest }) : say(reader, 'page.newer', { ...shown, given })}{' '}
      {changed.length ? `${say(reader, 'page.changed', { what: changed.join(', ') })} ` : ''}
      <a className="text-brass underline" href={along.other}>
        {say(reader, 'page.showOther', { number: older ? newest : given })}
      </a>
    </p>
  )
}

/** Who made it and how they are reached, which revision it is, and the same to take along. */
function Foot({ document: d, along }: { document: HandoffDocument; along: Shown['along'] }) {
  const reader = useReader()
  return (
    <footer className="mt-10 whitespace-pre-line">
      {d.from?.closing ? <p className="mb-3">{d.from.closing}</p> : null}
      <p className="text-quiet">{[d.shop, d.from?.address, d.from?.contact].filter(Boolean).join('\n')}</p>
      <p className="text-quiet mt-3">
        {say(reader, 'page.revision', { number: d.number, date: dayText(reader, d.date) })}
        {along ? (
          <>
            {' · '}
            {(['full', 'short', 'sheet'] as const).map((extent) => (
              <span key={extent}>
                <a className="text-brass underline" href={along.pdf(extent)}>
                  {say(reader, 'page.pdf', { extent })}
                </a>
                {' · '}
              </span>
            ))}
            <a className="text-brass underline" href={along.file} download>
              {say(reader, 'page.file')}
            </a>
          </>
        ) : null}
      </p>
      <p className="text-quiet mt-1">{say(reader, 'cover.legend', { own: whether(d.ownWords) })}</p>
    </footer>
  )
}

/** False with the first picture, true right after it. */
function useSoon(): boolean {
  const [soon, setSoon] = useState(false)
  useEffect(() => {
    const timer = setTimeout(() => setSoon(true), 60)
    return () => clearTimeout(timer)
  }, [])
  return soon
}

/** Which saber was in hand last; it is taken up again. */
function useWhich(keep: string, count: number): [number, (i: number) => void] {
  const key = `nubrin-which-${keep}`
  const [which, setWhich] = useState(() => Math.min(count - 1, Math.max(0, Number(localStorage.getItem(key)) || 0)))
  return [
    which,
    (i) => {
      localStorage.setItem(key, String(i))
      setWhich(i)
    },
  ]
}

/** What is folded is on paper, too. */
function usePrint() {
  useEffect(() => {
    const unfold = () => {
      for (const x of document.querySelectorAll('details')) x.open = true
    }
    window.addEventListener('beforeprint', unfold)
    return () => window.removeEventListener('beforeprint', unfold)
  }, [])
}

/** That the cautions were read, and when; kept in this browser, and told to the shop. */
function Read({ keep, onRead }: { keep: string; onRead: () => void }) {
  const reader = useReader()
  const [on, setOn] = useState(() => localStorage.getItem(keep))
  if (on) return <p className="text-fine mt-3">✓ {say(reader, 'page.readOn', { on: dayText(reader, on) })}</p>
  return (
    <button
      type="button"
      className="btn mt-3 print:hidden"
      onClick={() => {
        const day = todayIso()
        localStorage.setItem(keep, day)
        setOn(day)
        onRead()
      }}
    >
      {say(reader, 'page.read')}
    </button>
  )
}
