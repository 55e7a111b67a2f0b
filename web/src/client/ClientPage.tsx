import { readerOfHandoff } from '@nubrin/core/handoff'
import type { ReplyBody } from '@nubrin/core/record'
import { MAKER } from '@nubrin/core/units'
import { say } from '@nubrin/core/words'
import { useCallback, useEffect, useMemo, useState } from 'react'
import { useParams, useSearchParams } from 'react-router'
import { languagesFor } from '../base/languages'
import { call, refusalText, urlOf, useClientPage, whichRecord } from '../data'
import { ClientView } from './ClientView'

/** What the client opens, on a phone first: the saber in hand, what to do first, and the record behind it. */
export default function ClientPage() {
  const token = useParams().token!
  const [asked] = useSearchParams()
  const query = useMemo(() => whichRecord(asked), [asked])
  const own = query.record === 'own'
  const { data: page, error } = useClientPage(token, query)
  const d = page?.document
  const [, learnt] = useState(false)
  const reader = useMemo(() => (d ? readerOfHandoff(d) : MAKER), [d])
  const language = d?.language
  useEffect(() => {
    if (language) void languagesFor(language)?.then(() => learnt(true))
  }, [language])
  useEffect(() => {
    if (d) document.title = say(reader, 'page.title', { title: d.title, client: d.client })
  }, [d, reader])
  const mediaUrl = useCallback((hash: string) => urlOf('clientFile', { params: { token, hash } }), [token])
  const way = useMemo(
    () => ({ send: async (body: ReplyBody) => void (await call('clientReply', { params: { token }, query, body })) }),
    [token, query],
  )
  if (error) return <p className="p-6">{refusalText(error)}</p>
  if (!page || !d) return <p className="text-quiet p-6">{say(reader, 'page.waiting')}</p>
  return (
    <ClientView
      page={page}
      keep={own ? `${token} own` : token}
      mediaUrl={mediaUrl}
      way={way}
      along={{
        pdf: (extent) => urlOf('clientPdf', { params: { token }, query: { ...query, extent } }),
        file: urlOf('clientHtml', { params: { token }, query }),
        ...{ given: page.given, newest: page.newest, changed: page.changed },
        other: own ? `/c/${token}` : `/c/${token}?record=own`,
      }}
    />
  )
}
