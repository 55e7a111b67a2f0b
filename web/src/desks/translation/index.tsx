import { type ToTranslate, toTranslate } from '@nubrin/core/handoff'
import { isForeign, languageOf, readerOf, UNTRANSLATED, writtenIn } from '@nubrin/core/record'
import { LANGUAGE_NAME } from '@nubrin/core/units'
import { type KeyboardEvent, useMemo, useState } from 'react'
import { CheckBox, Empty, RemoveButton, Segments } from '../../kit'
import { useBench, useEdit, useOrder } from '../../store/commission'
import { Names } from './Names'
import { Row } from './Row'

const WAY_WORDS = { block: 'block shipping', quote: 'print in quotes' } as const

/** The shop’s own words that reach a client who reads another language, each beside what it says there, in the sentence it arrives in. */
export function TranslationDesk() {
  const order = useOrder()
  const edit = useEdit()
  const [all, setAll] = useState(true)
  // The sentences are in his language as soon as it has been fetched.
  const judged = useBench((b) => b.findings)
  const list = useMemo(() => toTranslate(order), [order, judged])
  const [to, from] = [LANGUAGE_NAME[languageOf(order)], LANGUAGE_NAME[writtenIn(order)]]
  if (!isForeign(readerOf(order)))
    return (
      <Empty title="Nothing to translate">
        {order.client.name || 'The client'} reads {to}, and this record is written in {from}. Language and record are
        set at Brief.
      </Empty>
    )
  const open = list.filter((t) => t.says === undefined)
  const used = new Set(list.map((t) => t.text))
  const unused = (order.translations ?? []).filter((t) => !used.has(t.text))
  return (
    <div className="max-w-[980px]">
      <div className="border-rule flex flex-wrap items-end gap-x-8 gap-y-2 border-b pb-3">
        <p>
          <span className="h2 block">
            {from} into {to}
          </span>
          <span className={open.length ? 'text-brass' : 'text-quiet'}>
            {open.length ? `${open.length} of ${list.length} still to translate` : `All ${list.length} translated`}
          </span>
        </p>
        <Ticks list={list} />
        <div className="ml-auto flex items-center gap-6">
          <CheckBox checked={all} onChange={setAll}>
            show all
          </CheckBox>
          <span className="flex items-center gap-2">
            <span className="label">untranslated words</span>
            <Segments
              label="What is done with words that are not translated"
              value={order.untranslated ?? 'block'}
              options={UNTRANSLATED}
              words={(w) => WAY_WORDS[w]}
              onChange={(w) => edit('words without a translation', (d) => void (d.untranslated = w))}
            />
          </span>
        </div>
      </div>
      <ol aria-label="Words to translate" onKeyDown={onward}>
        {list
          .filter((t) => all || t.says === undefined || t.wrong.length)
          .map((t) => (
            <Row key={t.text} one={t} to={to} />
          ))}
      </ol>
      {order.sabers.map((s) => (
        <Names key={s.id} saber={s} />
      ))}
      {unused.length ? (
        <section aria-label="No longer used" className="mt-6">
          <h2 className="h2">No longer used</h2>
          <p className="text-quiet">Their originals were changed or taken out.</p>
          {unused.map((t) => (
            <div key={t.id} className="border-rule flex items-baseline gap-3 border-b py-1">
              <span className="text-quiet flex-1">{t.text}</span>
              <span className="flex-1">{t.says}</span>
              <RemoveButton
                what={`the translation of ${t.text}`}
                onClick={() =>
                  edit(
                    'remove a translation',
                    (d) => void (d.translations = d.translations?.filter((x) => x.id !== t.id)),
                  )
                }
              />
            </div>
          ))}
        </section>
      ) : null}
    </div>
  )
}

/** Enter goes on to the next text that has no translation. */
function onward(e: KeyboardEvent<HTMLElement>) {
  if (e.key !== 'Enter' || !(e.target instanceof HTMLInputElement)) return
  const fields = [...e.currentTarget.querySelectorAll<HTMLInputElement | HTMLTextAreaElement>('.cell')]
  fields
    .slice(fields.indexOf(e.target) + 1)
    .find((f) => !f.value)
    ?.focus()
}

/** One tick a text: done, departing from its original, or open. */
function Ticks({ list }: { list: readonly ToTranslate[] }) {
  return (
    <span aria-hidden className="flex h-3 max-w-[300px] min-w-0 flex-1 gap-px self-center">
      {list.map((t) => (
        <i
          key={t.text}
          className={`min-w-px flex-1 ${t.says === undefined ? 'bg-rule' : t.wrong.length ? 'bg-stop' : 'bg-brass'}`}
        />
      ))}
    </span>
  )
}
