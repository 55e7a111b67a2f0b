import { SOURCE_WORDS } from '../../record/fact'
import { words } from '../../record/words'
import { formatNumber } from '../../units/format'
import type { Check, Raised } from '../finding'

const HOUSE = 'house rule: facts know where they come from'
const unitText = (u: string) => (u === '×' ? '' : ` ${u}`)

/** Judgements on the record itself: contradictions, memory, open questions, requests, deadline. */
export const recordChecks: Check[] = [
  {
    id: 'contradiction',
    station: 'hilt',
    scope: 'saber',
    rule: 'Two values for one thing are a contradiction to settle.',
    source: HOUSE,
    run: ({ facts }) =>
      facts
        .filter((p) => p.fact.rivals?.length)
        .map((p) => {
          const all = [p.fact, ...p.fact.rivals!]
          return {
            subject: p.path,
            level: 'stop' as const,
            title: `${p.owner}: two values for the ${words(p.field)}`,
            detail: all
              .map(
                (c) =>
                  `${c.value === null ? '?' : formatNumber(c.value)}${unitText(p.fact.unit)} (${SOURCE_WORDS[c.source]}${c.with ? `, ${c.with}` : ''})`,
              )
              .join(' against '),
            remedy: 'Measure again and settle it; the loser stays in the trail.',
            ...(p.ref ? { refs: [p.ref] } : {}),
            gate: true,
          }
        }),
  },
  {
    id: 'recalled',
    station: 'hilt',
    scope: 'saber',
    rule: 'A value from memory prints as "about" until it is measured.',
    source: HOUSE,
    run: ({ facts }) => {
      const byOwner = new Map<string, { ref: string | undefined; fields: string[] }>()
      for (const p of facts) {
        if (p.fact.source !== 'recalled' || p.fact.value === null || p.fact.rivals?.length) continue
        const k = p.ref ?? p.owner
        const entry = byOwner.get(k) ?? { ref: p.ref, fields: [] }
        entry.fields.push(`${words(p.field)} about ${formatNumber(p.fact.value)}${unitText(p.fact.unit)}`)
        byOwner.set(k, entry)
      }
      const names = new Map(facts.map((p) => [p.ref ?? p.owner, p.owner]))
      return [...byOwner].map(([k, e]) => ({
        subject: k,
        level: 'caution' as const,
        title: `${names.get(k)}: from memory`,
        detail: `${e.fields.join(', ')}. It prints as "about".`,
        remedy: 'Measure it, or read it off a datasheet.',
        ...(e.ref ? { refs: [e.ref] } : {}),
      }))
    },
  },
  {
    id: 'openQuestion',
    station: 'brief',
    scope: 'order',
    rule: 'A question to the client that blocks the handoff needs its answer.',
    source: 'shop practice',
    run: ({ commission }) =>
      commission.questions
        .filter((q) => !q.answer)
        .map((q) => ({
          subject: q.id,
          level: q.blocks ? ('stop' as const) : ('note' as const),
          title: q.blocks ? 'Waiting for the client' : 'Open question',
          detail: `“${q.text}”${q.askedOn ? ` Asked ${q.askedOn}.` : ' Not asked yet.'}`,
          remedy: q.askedOn ? 'Write the answer down when it comes.' : 'Ask, and note the day.',
          gate: q.blocks,
        })),
  },
  {
    id: 'openRequest',
    station: 'brief',
    scope: 'order',
    rule: 'Every wish is met, changed or declined before shipping, and the client is told.',
    source: 'shop practice',
    run: ({ commission }) =>
      commission.requests.flatMap((r): Raised[] => {
        if (r.status === 'open')
          return [
            {
              subject: r.id,
              level: 'caution' as const,
              title: 'A wish is still open',
              detail: `“${r.text}”`,
              remedy: 'Say where it is met, or that it was changed or declined.',
              gate: true,
              ...(r.where ? { refs: [r.where] } : {}),
            },
          ]
        if ((r.status === 'declined' || r.status === 'changed') && !r.toldOn)
          return [
            {
              subject: r.id,
              level: 'caution' as const,
              title: `The client was not told: wish ${r.status}`,
              detail: `“${r.text}”${r.answer ? `: ${r.answer}` : ''}`,
              remedy: 'Tell the client and note the day.',
              gate: true,
            },
          ]
        if (r.status === 'met' && !r.where)
          return [
            {
              subject: r.id,
              level: 'note' as const,
              title: 'A wish is met, but where?',
              detail: `“${r.text}”`,
              remedy: 'Link it to its place so that it can be shown.',
            },
          ]
        return []
      }),
  },
  {
    id: 'arrivals',
    station: 'brief',
    scope: 'order',
    rule: 'Every part the client sent is used, altered, left over or returned; none is unaccounted.',
    source: 'shop practice: parts ledger',
    run: ({ commission }) =>
      commission.arrivals
        .filter((a) => a.fate === 'undecided')
        .map((a) => ({
          subject: a.id,
          level: 'caution' as const,
          title: `${a.what}: unaccounted`,
          detail: `${a.quantity} arrived, ${a.condition || 'condition not recorded'}.`,
          remedy: 'Say what became of it.',
          gate: true,
        })),
  },
  {
    id: 'deadline',
    station: 'brief',
    scope: 'order',
    rule: 'The day of shipping is near or past.',
    source: 'calendar',
    run: ({ commission, today }) => {
      if (!commission.deadline || commission.shipped) return []
      const days = Math.round((Date.parse(commission.deadline) - Date.parse(today)) / 86_400_000)
      if (days > 7) return []
      return [
        {
          subject: 'deadline',
          level: days < 0 ? ('caution' as const) : ('note' as const),
          title:
            days < 0
              ? `${-days} ${days === -1 ? 'day' : 'days'} past its date`
              : days === 0
                ? 'Ships today'
                : `Ships in ${days} ${days === 1 ? 'day' : 'days'}`,
          detail: `Promised for ${commission.deadline}.`,
          remedy: days < 0 ? 'Tell the client a new date.' : 'Clear what still stands against it.',
        },
      ]
    },
  },
]
