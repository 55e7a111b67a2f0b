import { useQuery } from '@tanstack/react-query'
import { format, parseISO } from 'date-fns'
import { useEffect, useState } from 'react'
import { useParams } from 'react-router'
import { call, refusalText } from '../data'
import { Porch } from '../door/SignIn'
import { Refused } from '../kit'

/** What a phone at the bench opens by its one-hour link: take photos, and they are with the commission. */
export default function PhoneUpload() {
  const { token } = useParams()
  const target = useQuery({
    queryKey: ['up', token],
    retry: false,
    queryFn: () => call('phoneTarget', { params: { token: token! } }),
  })
  const [sent, setSent] = useState<string[]>([])
  const [why, setWhy] = useState('')
  const [busy, setBusy] = useState(false)
  useEffect(() => {
    document.title = 'Photos · Nubrin'
  }, [])
  const send = async (files: FileList) => {
    setBusy(true)
    setWhy('')
    for (const file of files)
      try {
        const r = await call('phoneUpload', { params: { token: token! }, file })
        setSent((s) => [...s, r.name])
      } catch (e) {
        setWhy(`${file.name}: ${refusalText(e)}`)
      }
    setBusy(false)
  }
  return (
    <Porch>
      <Refused why={target.error?.message} />
      {target.data ? (
        <>
          <h1 className="text-2xl">{target.data.title}</h1>
          <p className="text-quiet mb-4">{target.data.shop}</p>
          <label className="btn btn-main block py-5 text-center text-lg">
            {busy ? 'Sending…' : 'Take or choose photos'}
            <input
              type="file"
              accept="image/*"
              multiple
              className="sr-only"
              disabled={busy}
              onChange={(e) => e.target.files && void send(e.target.files)}
            />
          </label>
          <p className="text-quiet mt-3">
            They go straight to this commission. This link is good until{' '}
            {format(parseISO(target.data.expires), 'HH:mm')}.
          </p>
          <Refused why={why} className="mt-3" />
          <p className="mt-3" role="status">
            {sent.length ? `${sent.length} ${sent.length === 1 ? 'photo is' : 'photos are'} with the commission.` : ''}
          </p>
        </>
      ) : null}
    </Porch>
  )
}
