import { REQUEST_SHAPES, REQUEST_STATES, type Request } from '@nubrin/core/record'
import { freshId } from '../../data'
import { AddLine, DateCell, RefPicker, RemoveButton, SelectCell, setText, TextCell } from '../../kit'
import { useEdit, useEditEntry, useOrder, useRemove, useSaber } from '../../store/commission'

/** The wishes, one a line, and what became of each. */
export function Requests() {
  const order = useOrder()
  const edit = useEdit()
  return (
    <section aria-label="Requests">
      <h2 className="h2">What they asked for</h2>
      {order.requests.map((r, i) => (
        <RequestRow key={r.id} request={r} n={i + 1} />
      ))}
      <AddLine
        label="a wish, one per line"
        onAdd={(text) => edit('add request', (d) => void d.requests.push({ id: freshId(), text, status: 'open' }))}
      />
    </section>
  )
}

function RequestRow({ request: r, n }: { request: Request; n: number }) {
  const saber = useSaber()
  const set = useEditEntry('requests')
  const remove = useRemove()
  const offered = r.shape === 'offered' && !r.acceptedOn
  return (
    <div className="border-rule border-b pb-1">
      <div className="flex items-center gap-2">
        <TextCell
          label={`Request ${n}`}
          className="font-medium"
          value={r.text}
          onCommit={(v) => set('request', r.id, (x) => void (x.text = v))}
        />
        <RemoveButton what={`request ${n}`} onClick={() => remove(`request:${r.id}`)} />
      </div>
      <div className="grid grid-cols-[96px_96px_minmax(0,1fr)_minmax(0,1.6fr)] items-start gap-2 pr-8">
        <SelectCell
          label={`Whose wish is request ${n}`}
          value={r.shape ?? 'asked'}
          options={REQUEST_SHAPES}
          words={(v) => ({ asked: 'asked', ownIdea: 'our idea', offered: 'offered' })[v]}
          onCommit={(v) => set('whose wish', r.id, (x) => void (x.shape = v))}
        />
        {offered ? (
          <span className="text-quiet self-center">accepted on</span>
        ) : (
          <SelectCell
            label={`Status of request ${n}`}
            value={r.status}
            options={REQUEST_STATES}
            onCommit={(v) => set('request status', r.id, (x) => void (x.status = v))}
          />
        )}
        {offered ? (
          <DateCell
            label={`Client accepted offer ${n} on`}
            value={r.acceptedOn}
            onCommit={(v) => set('accepted', r.id, (x) => setText(x, 'acceptedOn', v ?? ''))}
          />
        ) : r.status === 'met' ? (
          <RefPicker
            label={`Where request ${n} is met`}
            saber={saber}
            value={r.where}
            onCommit={(v) => set('where met', r.id, (x) => setText(x, 'where', v ?? ''))}
          />
        ) : r.status === 'open' ? (
          <span />
        ) : (
          <DateCell
            label={`Client told about request ${n} on`}
            value={r.toldOn}
            onCommit={(v) => set('told', r.id, (x) => setText(x, 'toldOn', v ?? ''))}
          />
        )}
        <TextCell
          label={`Answer to request ${n}`}
          placeholder="answer"
          value={r.answer ?? ''}
          onCommit={(v) => set('answer', r.id, (x) => setText(x, 'answer', v))}
        />
      </div>
    </div>
  )
}
