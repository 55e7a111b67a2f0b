import {
  configurationDifferences,
  configurationOf,
  readConfiguration,
  takeIn,
  type UnusedWhy,
  unusedFiles,
  verifyCard,
} from '@nubrin/core/card'
import type { Saber } from '@nubrin/core/record'
import { formatNumber, MAKER } from '@nubrin/core/units'
import { useEffect, useRef, useState } from 'react'
import { freshId, todayIso, urlOf } from '../../data'
import { dayText, FileButton, FolderButton, Opens, RemoveButton, saveFile, tell } from '../../kit'
import { useEditSaber, useEditThing, useOrder } from '../../store/commission'
import { useSession } from '../../store/session'
import { type CardAsk, type CardRead, readCard } from '../../workers/readCard'
import { ConfigurationSheet } from './ConfigurationSheet'

type CardOf = Saber['cards'][number]
type Reading = CardOf['readings'][number]
/** So many readings of one card are kept. */
const MOST = 12
const WHY: Record<UnusedWhy, string> = {
  litter: 'left there by a computer',
  noFont: 'its folder is no font of this saber',
  noPreset: 'no preset plays its font',
  notRecorded: 'its font knows no such sound',
}
const files = (n: number) => (n === 1 ? '1 file' : `${n} files`)

/** What was found on a card and when; it is written, or read again, here. */
export function CardReads({ saber, card: c }: { saber: Saber; card: CardOf }) {
  const edit = useEditThing('cards')
  const me = useSession((s) => s.person?.name)
  const order = useOrder()
  const [at, setAt] = useState<number>()
  const [refused, setRefused] = useState<string>()
  const going = useRef<(() => void) | undefined>(undefined)
  useEffect(() => () => going.current?.(), [])
  const take = async (ask: CardAsk, was: Reading['was']) => {
    setRefused(undefined)
    setAt(0)
    try {
      const { read, cancel } = readCard(ask, setAt)
      going.current = cancel
      const reading = readingOf(await read, was)
      if (!reading.ok) setRefused(reading.why)
      const kept = { ...reading.of, on: todayIso(), ...(me ? { by: me } : {}) }
      edit(`card ${was}`, c.id, (x) => void (x.readings = [...x.readings, kept].slice(-MOST)))
    } catch (e) {
      setRefused((e as Error).message)
    }
    setAt(undefined)
  }
  const write = async () => {
    setRefused(undefined)
    setAt(0)
    try {
      const answer = await fetch(urlOf('cardZip', { params: { id: order.id, saber: saber.id } }))
      if (!answer.ok) throw new Error(`The card could not be written: ${answer.statusText || answer.status}.`)
      const zip = await answer.blob()
      saveFile(zip, `${saber.name} card.zip`)
      await take({ zip }, 'written')
    } catch (e) {
      setRefused((e as Error).message)
      setAt(undefined)
    }
  }
  const last = c.readings.at(-1)
  return (
    <section aria-label="What is on it" className="mt-3">
      <div className="flex flex-wrap items-center gap-2">
        <button type="button" className="btn" disabled={at !== undefined} onClick={() => void write()}>
          write as a ZIP
        </button>
        <FileButton
          label="read a ZIP"
          accept=".zip,application/zip"
          onFiles={([zip]) => zip && void take({ zip }, 'read')}
        />
        <FolderButton label="read a folder" onFiles={(list) => void take({ files: inFolder(list) }, 'read')} />
        {at === undefined ? null : (
          <span role="status">
            {files(at)} looked at…{' '}
            <button
              type="button"
              className="text-brass hover:underline"
              onClick={() => {
                going.current?.()
                setAt(undefined)
              }}
            >
              stop
            </button>
          </span>
        )}
      </div>
      {refused ? (
        <p role="alert" className="text-stop mt-1 font-semibold">
          ✕ {refused}
        </p>
      ) : null}
      {last ? <Found saber={saber} card={c} last={last} /> : null}
    </section>
  )
}

/** What was read as it is kept; a configuration that is none is refused by its field, and the files are kept all the same. */
function readingOf({ files: found, unreadable, configuration }: CardRead, was: Reading['was']) {
  const said = configuration === undefined ? undefined : readConfiguration(configuration)
  const of = {
    ...{ id: freshId() as Reading['id'], was, unreadable: unreadable.map((p) => p.slice(0, 240)).slice(0, 300) },
    files: found.map((f) => ({ ...f, path: f.path.slice(0, 240) })),
    ...(said?.ok ? { configuration: said.configuration } : {}),
  }
  if (said && !said.ok) return { ok: false as const, why: `configuration.json: ${said.why}`, of }
  return { ok: true as const, of }
}

/** The folder that was chosen is the card itself. */
const inFolder = (files: readonly File[]) =>
  files.map((f) => ({ path: f.webkitRelativePath.replace(/^[^/]*\//, '') || f.name, file: f }))

/** The last reading against what was written before it, against the record, and against what the presets play. */
function Found({ saber, card: c, last }: { saber: Saber; card: CardOf; last: Reading }) {
  const editSaber = useEditSaber()
  const edit = useEditThing('cards')
  const before = c.readings.findLast((r) => r.was === 'written' && r !== last) ?? c.readings.at(-2)
  const seen = before ? verifyCard(before, last) : undefined
  const moved =
    before?.configuration && last.configuration
      ? configurationDifferences(before.configuration, last.configuration)
      : []
  const unused = unusedFiles(saber, last.files)
  const differing = last.configuration ? configurationDifferences(configurationOf(saber), last.configuration) : []
  const kept = seen && !seen.changed.length && !seen.added.length && !seen.gone.length && !seen.unreadable.length
  return (
    <>
      <p className="mt-2">
        {last.was === 'written' ? 'Written' : 'Read'} {dayText(last.on)}
        {last.by ? ` by ${last.by}` : ''}: {files(last.files.length)}
        {last.unreadable.length ? (
          <strong className="text-stop">, {files(last.unreadable.length)} unreadable</strong>
        ) : null}
        {last.configuration ? ', with its configuration' : ', without a configuration'}.
      </p>
      {seen ? (
        <p className={kept ? 'text-fine font-semibold' : 'text-stop font-semibold'}>
          {kept
            ? `✓ as it was ${before!.was} ${dayText(before!.on)}`
            : `✕ since ${dayText(before!.on)}: ${[
                seen.changed.length && `${files(seen.changed.length)} changed`,
                seen.added.length && `${files(seen.added.length)} added`,
                seen.gone.length && `${files(seen.gone.length)} gone`,
                seen.unreadable.length && `${files(seen.unreadable.length)} unreadable`,
              ]
                .filter(Boolean)
                .join(', ')}`}
        </p>
      ) : null}
      {seen && !kept ? (
        <Opens name="which files" shows={null}>
          <ul className="max-h-40 overflow-y-auto text-[0.9rem]">
            {(['changed', 'added', 'gone', 'unreadable'] as const).flatMap((k) =>
              seen[k].map((p) => (
                <li key={`${k} ${p}`}>
                  {p}: {k}
                </li>
              )),
            )}
          </ul>
        </Opens>
      ) : null}
      {moved.length ? (
        <Opens
          name={`${moved.length === 1 ? '1 setting' : `${moved.length} settings`} changed since then`}
          shows={null}
        >
          <ul className="max-h-40 overflow-y-auto text-[0.9rem]">
            {moved.map((d) => (
              <li key={d.at}>
                {d.at}: {d.was ?? 'nothing'}, now {d.is ?? 'nothing'}
              </li>
            ))}
          </ul>
        </Opens>
      ) : null}
      {unused.length ? (
        <Opens name={`${files(unused.length)} that nothing uses`} shows={null}>
          <ul className="max-h-40 overflow-y-auto text-[0.9rem]">
            {unused.map((u) => (
              <li key={u.path}>
                {u.path}: {WHY[u.why]}
              </li>
            ))}
          </ul>
        </Opens>
      ) : null}
      {differing.length ? (
        <section aria-label="Card against record" className="mt-2">
          <h3 className="font-semibold">
            {differing.length === 1 ? '1 setting' : `${differing.length} settings`} not as in the record
          </h3>
          <ul className="text-[0.92rem]">
            {differing.slice(0, 8).map((d) => (
              <li key={d.at}>
                {d.at}: {d.was ?? 'nothing'} in the record, <strong>{d.is ?? 'nothing'}</strong> on the card
              </li>
            ))}
          </ul>
          <button
            type="button"
            className="btn mt-1"
            onClick={() =>
              editSaber('what the card says', (s) => {
                const n = takeIn(s, last.configuration!, { source: 'configured', with: c.name, on: last.on })
                tell(
                  n
                    ? `${n === 1 ? '1 value stands' : `${n} values stand`} beside the record’s until you settle which is so.`
                    : 'What differs are no single values: correct the presets or the controls by hand.',
                )
              })
            }
          >
            enter the card’s values, to be settled
          </button>
        </section>
      ) : null}
      {last.files.length ? (
        <Opens name="every file, with the beginning of its sum" shows={null}>
          <ul className="max-h-56 overflow-y-auto text-[0.88rem] tabular-nums">
            {last.files.map((f) => (
              <li key={f.path} className="flex gap-3">
                <span className="min-w-0 flex-1 truncate">{f.path}</span>
                <span>{formatNumber(MAKER, f.bytes / 1000, 1)} kB</span>
                <span className="text-quiet w-24 truncate" title={f.sum}>
                  {f.sum.slice(0, 12)}
                </span>
              </li>
            ))}
          </ul>
        </Opens>
      ) : null}
      {last.configuration ? (
        <Opens name="its configuration" shows={null}>
          <ConfigurationSheet title="Configuration on the card" configuration={last.configuration} />
        </Opens>
      ) : null}
      <ul className="mt-2 text-[0.88rem]">
        {c.readings.map((r) => (
          <li key={r.id} className="text-quiet flex items-center gap-2">
            {r.was} {dayText(r.on)}: {files(r.files.length)}
            <RemoveButton
              what={`the reading of ${dayText(r.on)}`}
              onClick={() => edit('card', c.id, (x) => void (x.readings = x.readings.filter((y) => y.id !== r.id)))}
            />
          </li>
        ))}
      </ul>
    </>
  )
}
