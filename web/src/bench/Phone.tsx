import { useQuery } from '@tanstack/react-query'
import { format } from 'date-fns'
import { qr } from '../base/qr'
import { call, publicLink } from '../data'
import { Modal, Refused } from '../kit'
import { useOrder } from '../store/commission'

/** A link as a picture to hold a phone at: its photos come to this commission, for an hour. */
export function Phone({ close }: { close: () => void }) {
  const order = useOrder()
  const made = useQuery({
    queryKey: ['phone', order.id],
    staleTime: 0,
    gcTime: 0,
    queryFn: async () => {
      const r = await call('phoneLink', { params: { id: order.id }, body: {} })
      const link = await publicLink(r.link)
      return { link, until: r.expires, picture: await qr(link) }
    },
  })
  return (
    <Modal title="Photos from a phone" close={close}>
      <Refused why={made.error?.message} />
      {made.data ? (
        <>
          <div
            className="mx-auto w-60"
            role="img"
            aria-label="QR code for the phone"
            dangerouslySetInnerHTML={{ __html: made.data.picture }}
          />
          <p className="text-quiet mt-2 break-all">{made.data.link}</p>
          <p className="mt-1">Good until {format(new Date(made.data.until), 'HH:mm')}.</p>
        </>
      ) : null}
    </Modal>
  )
}
