import { useState } from 'react'
import { call, freshId, refusalText, urlOf } from '../../data'
import { FileButton, RefPicker, Refused, RemoveButton, setText, TextCell } from '../../kit'
import { useEdit, useEditEntry, useOrder, useRemove, useSaber } from '../../store/commission'

/** Photos, each tied to a place on the hilt. */
export function Photos() {
  const order = useOrder()
  const saber = useSaber()
  const edit = useEdit()
  const set = useEditEntry('media')
  const remove = useRemove()
  const [wrong, setWrong] = useState('')
  const add = async (files: File[]) => {
    setWrong('')
    for (const file of files) {
      try {
        const m = await call('upload', { query: { commission: order.id }, file })
        if (!m.type.startsWith('image/')) throw new Error(`${file.name} is not a photo.`)
        edit('add photo', (d) => void d.media.push({ id: freshId(), ...m }))
      } catch (e) {
        setWrong(refusalText(e))
      }
    }
  }
  return (
    <section aria-label="Photos">
      <div className="flex items-center justify-between">
        <h2 className="label">photos</h2>
        <FileButton
          label="add a photo"
          className="btn-plain btn min-h-0!"
          accept="image/jpeg,image/png,image/webp"
          multiple
          onFiles={(f) => void add(f)}
        />
      </div>
      <Refused why={wrong} />
      <div className="grid grid-cols-2 gap-2">
        {order.media
          .filter((m) => m.type.startsWith('image/'))
          .map((m) => (
            <figure key={m.id} className="border-rule bg-card relative border p-1">
              <img
                src={urlOf('stored', { params: { hash: m.hash } })}
                alt={m.caption ?? m.name}
                className="h-16 w-full object-cover"
              />
              <span className="bg-card absolute top-1 right-1">
                <RemoveButton what={`photo ${m.name}`} onClick={() => remove(`photo:${m.id}`)} />
              </span>
              <TextCell
                label={`Caption of photo ${m.name}`}
                placeholder="caption"
                value={m.caption ?? ''}
                onCommit={(v) => set('caption', m.id, (x) => setText(x, 'caption', v))}
              />
              <RefPicker
                label={`Place of photo ${m.name}`}
                saber={saber}
                value={m.place}
                onCommit={(v) => set('photo place', m.id, (x) => setText(x, 'place', v ?? ''))}
              />
            </figure>
          ))}
      </div>
    </section>
  )
}
