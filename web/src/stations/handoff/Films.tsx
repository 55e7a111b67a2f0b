import { refTo } from '@nubrin/core/record'
import { useState } from 'react'
import { freshId } from '../../data'
import { AddLine, Refused, RemoveButton, SelectCell, setText, TextCell, timeText } from '../../kit'
import { useEdit, useOrder, useRemove } from '../../store/commission'

/** What a page can show, and the rule in words. */
const RULES = {
  address: [/^https:\/\/[^\s]+$/, 'begins with https:// and has no space'],
  file: [/^[^/\\<>:"|?*]+\.(mp4|webm|ogv)$/, 'has a plain name that ends in .mp4, .webm or .ogv'],
} as const

/** The films of it: an address, or the name of a file that lies beside the page; chapters come from a take. */
export function Films() {
  const order = useOrder()
  const edit = useEdit()
  const remove = useRemove()
  const takes = order.sabers.flatMap((s) => s.takes.map((t) => ({ ref: refTo('take', t.id), at: t.at, saber: s })))
  const [wrong, setWrong] = useState('')
  /** What no page could show does not go into the record; it is said what was typed. */
  const good = (key: keyof typeof RULES, text: string): boolean => {
    const [rule, words] = RULES[key]
    const fits = !text.trim() || rule.test(text.trim())
    setWrong(fits ? '' : `“${text.trim().slice(0, 80)}”: ${key === 'file' ? 'a file' : 'an address'} ${words}.`)
    return fits
  }
  const set = (id: string, run: (f: (typeof order)['handoff']['films'][number]) => void) =>
    edit('film', (d) => {
      const f = d.handoff.films.find((x) => x.id === id)
      if (f) run(f)
    })
  return (
    <section aria-label="Films">
      <h2 className="h2">The film</h2>
      {order.handoff.films.map((f, i) => (
        <div key={f.id} className="border-rule border-b pb-1">
          <div className="grid grid-cols-[minmax(0,1.4fr)_minmax(0,1fr)_auto] items-end gap-2">
            <TextCell
              title="address"
              label={`Address of film ${i + 1}`}
              placeholder="https://"
              value={f.address ?? ''}
              onCommit={(v) => good('address', v) && set(f.id, (x) => setText(x, 'address', v.trim()))}
            />
            <TextCell
              title="or a file beside the page"
              label={`File of film ${i + 1}`}
              placeholder="walkthrough.webm"
              value={f.file ?? ''}
              onCommit={(v) => good('file', v) && set(f.id, (x) => setText(x, 'file', v.trim()))}
            />
            <RemoveButton what={`film ${i + 1}`} onClick={() => remove(`film:${f.id}`)} />
          </div>
          <div className="grid grid-cols-2 gap-2">
            {order.sabers.length > 1 ? (
              <SelectCell
                title="of"
                label={`Saber of film ${i + 1}`}
                value={f.saber ?? ''}
                options={['', ...order.sabers.map((s) => s.id)]}
                words={(v) => order.sabers.find((s) => s.id === v)?.name ?? 'all'}
                onCommit={(v) => set(f.id, (x) => setText(x, 'saber', v))}
              />
            ) : null}
            {takes.length ? (
              <SelectCell
                title="chapters of"
                label={`Take of film ${i + 1}`}
                value={f.take ?? ''}
                options={['', ...takes.map((t) => t.ref)]}
                words={(v) => {
                  const t = takes.find((x) => x.ref === v)
                  return t ? `take of ${timeText(t.at)}` : 'no take'
                }}
                onCommit={(v) => set(f.id, (x) => setText(x, 'take', v))}
              />
            ) : null}
          </div>
        </div>
      ))}
      <AddLine
        label="a film: https://… or a file name"
        onAdd={(text) => {
          const key = text.includes('://') ? 'address' : 'file'
          if (good(key, text)) edit('film', (d) => void d.handoff.films.push({ id: freshId(), [key]: text.trim() }))
        }}
      />
      <Refused why={wrong} />
    </section>
  )
}
