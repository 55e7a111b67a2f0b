import type { ToTranslate } from '@nubrin/core/handoff'
import { languageOf } from '@nubrin/core/record'
import { freshId } from '../../data'
import { TextCell, ToThing } from '../../kit'
import { useEdit, useOrder } from '../../store/commission'

/** Where words arrive, as the shop calls it. */
const ARRIVES: Readonly<Record<string, string>> = {
  ...{ spec: 'Specification', cautions: 'Safety notes', power: 'Power', controls: 'Controls', presets: 'Presets' },
  ...{ lights: 'Lights', settings: 'Settings', screws: 'Screws', blade: 'Blade', charging: 'Charging' },
  ...{ 'goes-with': 'What goes with it', notes: 'Notes', opening: 'Opening it', troubles: 'Troubleshooting' },
  ...{
    walkthrough: 'Walkthrough',
    arrivals: 'What was sent in',
    aside: 'Left open',
    brief: 'Brief',
    credits: 'Credits',
  },
  ...{ film: 'Film', words: 'Foreword', left: 'Still to do', packing: 'The box', questions: 'Questions' },
  ...{ requests: 'Requests', visits: 'Visits', warranty: 'Warranty', before: 'What it could do before' },
  ...{ decisions: 'Decisions', losses: 'Replaced along the way', tests: 'Tests', cover: 'Cover', procedures: 'Steps' },
  ...{ script: 'Walkthrough', card: 'Controls card', page: 'The page' },
}
const WRONG = {
  'number lost': 'leaves out',
  'number added': 'adds',
  'name lost': 'leaves out the name',
  'name added': 'adds the name',
} as const

/** So many letters stand in one line of a field. */
const LONG = 58

/** One text: whose it is, what it says, what it says there, and the sentences that it arrives in. */
export function Row({ one, to }: { one: ToTranslate; to: string }) {
  const order = useOrder()
  const edit = useEdit()
  const language = languageOf(order)
  const put = (says: string) =>
    edit('translation', (d) => {
      d.translations ??= []
      const had = d.translations.findIndex((t) => t.text === one.text && t.language === language)
      if (!says.trim()) {
        if (had >= 0) d.translations.splice(had, 1)
      } else if (had >= 0) d.translations[had]!.says = says.trim()
      else d.translations.push({ id: freshId(), language, text: one.text, says: says.trim() })
    })
  const whose = [one.of.kind === 'order' ? '' : one.of.kind, one.of.name].filter(Boolean).join(' ')
  // The field by which a thing is known needs no name of its own.
  const field = one.of.kind === 'order' || one.of.name ? one.of.field : ''
  return (
    <li className="border-rule grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-x-6 border-b py-2">
      <div>
        <p className="text-quiet text-[0.8rem]">
          {one.of.ref ? <ToThing to={one.of.ref}>{whose}</ToThing> : whose}
          {whose && field ? ' · ' : ''}
          {field}
          {one.paths.length > 1 ? ` · appears in ${one.paths.length} places` : ''}
        </p>
        <p lang={order.writtenIn ?? 'en'}>{one.text}</p>
        <ul lang={language} className="text-quiet mt-0.5 text-[0.85rem]">
          {one.arrives.slice(0, 2).map((a) => (
            <li key={`${a.in}${a.before}`} className="line-clamp-2">
              <span lang="en" className="label mr-2">
                {ARRIVES[a.in] ?? a.in}
              </span>
              {a.before}
              <mark
                className={`text-ink px-0.5 ${one.says === undefined ? 'bg-brass/25' : 'bg-transparent font-semibold'}`}
              >
                {one.says ?? one.text}
              </mark>
              {a.after}
            </li>
          ))}
        </ul>
      </div>
      <div>
        <p className="flex justify-end text-[0.8rem]">
          {one.says === undefined ? (
            <button
              type="button"
              className="text-brass underline decoration-dotted"
              aria-label={`Keep as it is: ${one.text}`}
              onClick={() => put(one.text)}
            >
              keep as it is
            </button>
          ) : (
            <span className="invisible">keep</span>
          )}
        </p>
        <TextCell
          label={`In ${to}: ${one.text}`}
          placeholder={`in ${to}`}
          value={one.says ?? ''}
          {...(one.text.length > LONG ? { lines: Math.min(6, Math.ceil(one.text.length / LONG) + 1) } : {})}
          onCommit={put}
        />
        {one.wrong.length ? (
          <p role="alert" className="text-stop text-[0.85rem]">
            {one.wrong.map((w) => `${WRONG[`${w.code} ${w.way}`]} ${w.what}`).join(', ')}
          </p>
        ) : null}
      </div>
    </li>
  )
}
