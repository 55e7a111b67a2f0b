import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { call, refusalText, urlOf, useIssued } from '../../data'
import { dayText, Refused } from '../../kit'

/** The handoffs issued so far; the link of each can be withdrawn. */
export function IssuedList({ id }: { id: string }) {
  const { data: issued = [] } = useIssued(id)
  const asked = useQueryClient()
  const [wrong, setWrong] = useState('')
  const withdraw = async (number: number) => {
    try {
      await call('withdraw', { params: { id, number: String(number) } })
      await asked.invalidateQueries({ queryKey: ['issued', id] })
    } catch (e) {
      setWrong(refusalText(e))
    }
  }
  return (
    <>
      {issued.map((h) => (
        <p key={h.number} className="text-quiet mt-1 flex items-center gap-2">
          <span className="flex-1">
            No. {h.number}, revision {h.revision}, {dayText(h.issuedAt)} by {h.issuedBy}
            {h.revokedAt ? ', link withdrawn' : h.expiresAt ? `, link until ${dayText(h.expiresAt)}` : ''}
          </span>
          <a
            className="text-brass"
            href={urlOf('handoffArchive', { params: { id, number: String(h.number) } })}
            download
          >
            archive
          </a>
          {h.revokedAt ? null : (
            <button type="button" className="text-brass" onClick={() => void withdraw(h.number)}>
              withdraw the link
            </button>
          )}
        </p>
      ))}
      <Refused why={wrong} />
    </>
  )
}
