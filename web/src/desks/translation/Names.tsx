import { languageOf, nounOf, type Ref, readerOf, refTo, type Saber } from '@nubrin/core/record'
import { nounWords } from '@nubrin/core/words'
import { freshId } from '../../data'
import { TextCell } from '../../kit'
import { ArticleCell, callIt } from '../../shared/ArticleCell'
import { useEditSaber, useEditThing, useOrder } from '../../store/commission'

/** Things of a saber that a client hears of, in the order of the hilt. */
const namedIn = (s: Saber): { ref: Ref; name: string }[] => [
  ...s.inputs.map((x) => ({ ref: refTo('input', x.id), name: x.name })),
  ...s.hilt.sections.map((x) => ({ ref: refTo('section', x.id), name: x.name })),
  ...s.hilt.fasteners.map((x) => ({ ref: refTo('fastener', x.id), name: x.name })),
  ...s.hilt.sockets.map((x) => ({ ref: refTo('socket', x.id), name: x.name })),
  ...s.blades.map((x) => ({ ref: refTo('blade', x.id), name: x.name })),
]

/** What things are called in the client’s language: by what they are, until somebody gives them a name there; its article is guessed and asked. */
export function Names({ saber: s }: { saber: Saber }) {
  const order = useOrder()
  const editSaber = useEditSaber()
  const edit = useEditThing('spoken')
  const language = languageOf(order)
  const reader = readerOf(order)
  const givenOf = (ref: Ref) => s.spoken.find((x) => x.of === ref && x.language === language)
  const put = (ref: Ref, name: string) =>
    editSaber('spoken name', (d) => {
      const had = d.spoken.find((x) => x.of === ref && x.language === language)
      if (!name.trim()) d.spoken = d.spoken.filter((x) => x !== had)
      else {
        const made = had ?? { id: freshId(), of: ref as (typeof d.spoken)[number]['of'], language, name: '' }
        callIt(made, name.trim())
        if (!had) d.spoken.push(made)
      }
    })
  const title = order.sabers.length > 1 ? `Names on ${s.name}` : 'Names'
  return (
    <section aria-label={title} className="mt-6">
      <h2 className="h2">{title}</h2>
      <p className="text-quiet mb-1">
        Each goes by what it is. Give one a name of its own where that is better; its article is a guess.
      </p>
      <div className="grid grid-cols-2 gap-x-8">
        {namedIn(s).map(({ ref, name }) => {
          const given = givenOf(ref)
          const noun = nounOf(reader, s, ref)
          return (
            <div
              key={ref}
              className="border-rule grid grid-cols-[minmax(0,1fr)_minmax(0,1.2fr)_110px] items-center gap-2 border-b py-1"
            >
              <span className="text-quiet truncate">{name}</span>
              <TextCell
                label={`Name of ${name}`}
                value={given?.name ?? ''}
                placeholder={noun ? nounWords(reader, noun) : ''}
                onCommit={(v) => put(ref, v)}
              />
              {given ? (
                <ArticleCell
                  label={`Article of ${name}`}
                  of={given}
                  onEdit={(run) => edit('article of a spoken name', given.id, run)}
                />
              ) : null}
            </div>
          )
        })}
      </div>
    </section>
  )
}
