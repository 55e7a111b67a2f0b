import { freshId, todayIso } from '../../data'
import { AddLine, CheckBox, DateCell, RemoveButton, setText, TextCell } from '../../kit'
import { Answer } from '../../shared/Answer'
import { useEdit, useEditEntry, useOrder, useRemove } from '../../store/commission'

/** What has to be asked, whether it was, and whether the saber waits for the answer. */
export function Questions() {
  const order = useOrder()
  const edit = useEdit()
  const set = useEditEntry('questions')
  const remove = useRemove()
  return (
    <section aria-label="Questions to the client">
      <h2 className="h2">What we must ask</h2>
      {order.questions.map((q, i) => (
        <div key={q.id} data-of={`question:${q.id}`} className="border-rule border-b pb-1">
          <div className="flex items-center gap-1">
            <TextCell
              label={`Question ${i + 1}`}
              value={q.text}
              className="font-medium"
              onCommit={(v) => set('question', q.id, (x) => void (x.text = v))}
            />
            <RemoveButton what={`question ${i + 1}`} onClick={() => remove(`question:${q.id}`)} />
          </div>
          <div className="grid grid-cols-[auto_minmax(0,1fr)_auto] items-center gap-2">
            <CheckBox
              className="label shrink-0"
              checked={!!q.askedOn}
              onChange={(on) => set('asked', q.id, (x) => setText(x, 'askedOn', on ? todayIso() : ''))}
            >
              asked
            </CheckBox>
            {q.askedOn ? (
              <DateCell
                label={`Question ${i + 1} asked on`}
                value={q.askedOn}
                onCommit={(v) => set('asked', q.id, (x) => setText(x, 'askedOn', v ?? ''))}
              />
            ) : (
              <span />
            )}
            <CheckBox
              className="label shrink-0"
              checked={q.blocks}
              onChange={(on) => set('blocks', q.id, (x) => void (x.blocks = on))}
            >
              blocks shipping
            </CheckBox>
          </div>
          <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,2.4fr)] gap-2">
            <TextCell
              label={`Whom question ${i + 1} is put to`}
              placeholder="to the client"
              value={q.to ?? ''}
              onCommit={(v) => set('addressee', q.id, (x) => setText(x, 'to', v))}
            />
            <Answer of={q} label={`Answer to question ${i + 1}`} placeholder="answer" />
          </div>
        </div>
      ))}
      <AddLine
        label="question to the client"
        onAdd={(text) => edit('add question', (d) => void d.questions.push({ id: freshId(), text, blocks: true }))}
      />
    </section>
  )
}
