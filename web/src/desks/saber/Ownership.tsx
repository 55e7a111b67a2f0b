import { KNOWS } from '@nubrin/core/record'
import { SelectCell, setText, TextCell } from '../../kit'
import { useEdit, useEditSaber, useOrder, useSaber } from '../../store/commission'

const KNOWS_WORDS = {
  neverSeen: 'has never seen it',
  seen: 'has seen it',
  held: 'has held it',
  owned: 'has owned it before',
}

/** Whose it will be, which one it is, and how long the shop stands behind it. */
export function Ownership() {
  const order = useOrder()
  const saber = useSaber()
  const edit = useEdit()
  const editSaber = useEditSaber()
  const recipient = (run: (r: NonNullable<typeof saber.recipient>) => void) =>
    editSaber('recipient', (s) => {
      const r = { ...s.recipient }
      run(r)
      if (Object.keys(r).length) s.recipient = r
      else delete s.recipient
    })
  const warranty = (key: 'words' | 'ends', v: string) =>
    edit('warranty', (d) => {
      const next = { words: d.warranty?.words ?? '', ...d.warranty, [key]: v.trim() }
      if (!next.ends) delete next.ends
      if (next.words || next.ends) d.warranty = next
      else delete d.warranty
    })
  return (
    <section aria-label="Ownership">
      <h2 className="h2 mb-1">Ownership</h2>
      <div className="grid grid-cols-2 gap-x-4 gap-y-2">
        <TextCell
          title="recipient, if not the client"
          label="Recipient"
          value={saber.recipient?.name ?? ''}
          onCommit={(v) => recipient((r) => setText(r, 'name', v))}
        />
        <SelectCell
          title="how well they know it"
          label="How well the recipient knows it"
          value={saber.recipient?.knows ?? ''}
          options={['', ...KNOWS]}
          words={(v) => (v ? KNOWS_WORDS[v] : 'not said')}
          onCommit={(v) => recipient((r) => void (v ? (r.knows = v) : delete r.knows))}
        />
        <TextCell
          title="given by, if it is a gift"
          label="Giver"
          value={order.giver ?? ''}
          onCommit={(v) => edit('giver', (d) => setText(d, 'giver', v))}
        />
        <TextCell
          title="edition or serial number"
          field="edition"
          label="Edition or serial number"
          value={saber.edition ?? ''}
          onCommit={(v) => editSaber('edition', (s) => setText(s, 'edition', v))}
        />
        <TextCell
          title="warranty: what it covers, for how long"
          span="col-span-2"
          lines={2}
          label="Warranty"
          value={order.warranty?.words ?? ''}
          onCommit={(v) => warranty('words', v)}
        />
        <TextCell
          title="what voids it"
          span="col-span-2"
          label="What ends the warranty"
          value={order.warranty?.ends ?? ''}
          onCommit={(v) => warranty('ends', v)}
        />
      </div>
    </section>
  )
}
