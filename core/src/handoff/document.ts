import { gestureText } from '../controls/board'
import { type Calculated, missingText } from '../findings/figure'
import { balance } from '../fit/balance'
import { layOut } from '../hilt/geometry'
import { hueWord } from '../light/colour'
import { chargeTime, runtime, safeVolume, standby, wattHours } from '../power/budget'
import { latest, limitText, standing } from '../proof/propose'
import { known } from '../record/fact'
import { byId, nameOf, saberTitle } from '../record/lookup'
import type { Commission, Saber } from '../record/schema'
import { ACTION_WORDS, TASK_WORDS, words } from '../record/words'
import { formatFact, formatNumber, mmAndInch } from '../units/format'
import { cautionsOf } from '../walkthrough/tellings'

/** A block of the handoff record. The PDF and the client page render the same list, so they cannot disagree. */
export type Block =
  | { kind: 'para'; text: string }
  | { kind: 'facts'; rows: { name: string; value: string; about?: boolean }[] }
  | { kind: 'table'; head: string[]; rows: string[][]; swatch?: (string | undefined)[] }
  | { kind: 'steps'; title: string; steps: { text: string; tool?: string; caution?: string; place?: string }[] }
  | { kind: 'caution'; title: string; text: string }
  | { kind: 'drawing'; saber: string; which: 'section' | 'unrolled' }
  | { kind: 'script'; saber: string; beats: { n: number; say: string; show?: string; ref?: string }[] }

export interface Chapter {
  id: string
  title: string
  /** The saber it belongs to, in an order of several. */
  saber?: string
  blocks: Block[]
}

export interface HandoffDocument {
  title: string
  client: string
  shop: string
  number: number
  date: string
  chapters: Chapter[]
}

const asText = (c: Calculated, digits = 0, unit = true): { value: string; about?: boolean } =>
  c.ok
    ? {
        value: `${c.about ? 'about ' : ''}${formatNumber(c.value, digits)}${unit && c.unit !== '×' ? ` ${c.unit}` : ''}`,
        about: c.about,
      }
    : { value: `not recorded (${missingText(c)})` }

const yesNo = (s: string | undefined) => s || 'not recorded'

/**
 * Builds the whole handoff record for a commission: what it is, what was asked and where it is, what came back, how it is
 * opened, lit, charged and cared for, what was tested and who made it. Nothing is stated as fact that the record does not hold as fact.
 */
export function buildHandoff(c: Commission, shop: string, date: string): HandoffDocument {
  const chapters: Chapter[] = []
  for (const s of c.sabers) chapters.push(...saberChapters(s, c.sabers.length > 1))
  const order = orderChapters(c)
  return {
    title: c.title,
    client: c.client.name || 'client not recorded',
    shop,
    number: c.handoff.issued.length + 1,
    date,
    chapters: [...order.before, ...chapters, ...order.after],
  }
}

function orderChapters(c: Commission): { before: Chapter[]; after: Chapter[] } {
  const saberName = (id: string | undefined) => (c.sabers.length > 1 ? (byId(c.sabers, id)?.name ?? 'all') : undefined)
  const before: Chapter[] = []
  if (c.handoff.words)
    before.push({ id: 'words', title: 'A word with it', blocks: [{ kind: 'para', text: c.handoff.words }] })
  if (c.requests.length)
    before.push({
      id: 'requests',
      title: 'What you asked for, and where it is',
      blocks: [
        {
          kind: 'table',
          head: ['Your wish', 'Answer', 'Where'],
          rows: c.requests.map((r) => [
            r.text + (saberName(r.saber) ? ` (${saberName(r.saber)})` : ''),
            `${r.status === 'met' ? 'done' : r.status === 'open' ? 'still open' : r.status}${r.answer ? `: ${r.answer}` : ''}`,
            c.sabers.map((s) => nameOf(s, r.where)).find(Boolean) ?? (r.status === 'met' ? 'not recorded' : '–'),
          ]),
        },
      ],
    })
  if (c.arrivals.length)
    before.push({
      id: 'arrivals',
      title: 'What you sent, and what became of it',
      blocks: [
        {
          kind: 'table',
          head: ['Part', 'How it arrived', 'What became of it'],
          rows: c.arrivals.map((a) => [
            `${a.quantity > 1 ? `${a.quantity} × ` : ''}${a.what}`,
            a.condition || 'not recorded',
            `${words(a.fate)}${a.note ? `: ${a.note}` : ''}`,
          ]),
        },
      ],
    })
  const answered = c.questions.filter((q) => q.answer)
  const after: Chapter[] = []
  if (answered.length)
    after.push({
      id: 'questions',
      title: 'What we asked you',
      blocks: [{ kind: 'table', head: ['Question', 'Your answer'], rows: answered.map((q) => [q.text, q.answer!]) }],
    })
  if (c.packing.length)
    after.push({
      id: 'packing',
      title: 'In the box',
      blocks: [
        {
          kind: 'table',
          head: ['What', 'How many', 'Packed'],
          rows: c.packing.map((p) => [p.what, String(p.quantity), p.packed ? 'yes' : 'not yet']),
        },
      ],
    })
  const aside = [
    ...c.handoff.waivers.map((w) => [w.reason, w.who, w.on]),
    ...c.sabers.flatMap((s) => s.untold.map((w) => [w.reason, w.who, w.on])),
  ]
  if (aside.length)
    after.push({
      id: 'aside',
      title: 'Knowingly left open',
      blocks: [{ kind: 'table', head: ['What and why', 'Who decided', 'When'], rows: aside }],
    })
  after.push({
    id: 'credits',
    title: 'Who made what',
    blocks: c.credits.length
      ? [{ kind: 'table', head: ['Who', 'Did'], rows: c.credits.map((k) => [k.who, k.did]) }]
      : [{ kind: 'para', text: 'Not recorded.' }],
  })
  return { before, after }
}

function saberChapters(s: Saber, several: boolean): Chapter[] {
  const out: Chapter[] = []
  const add = (id: string, title: string, blocks: Block[]) => {
    if (blocks.length)
      out.push({
        id: several ? `${id}-${s.id}` : id,
        title: several ? `${s.name}: ${title[0]!.toLowerCase()}${title.slice(1)}` : title,
        saber: s.id,
        blocks,
      })
  }
  add('spec', 'What it is', [
    { kind: 'drawing', saber: s.id, which: 'section' },
    { kind: 'facts', rows: specRows(s) },
    ...(s.hilt.story ? [{ kind: 'para' as const, text: s.hilt.story }] : []),
  ])
  const cautions = cautionsOf(s)
  add('cautions', 'Cautions', [
    ...cautions.map((k) => ({ kind: 'caution' as const, title: k.title, text: k.text })),
    ...(cautions.length
      ? [
          {
            kind: 'para' as const,
            text: 'These are the usual cautions. Local codes, the carrier’s rules and licensed practice come first.',
          },
        ]
      : []),
  ])
  const task = (t: (typeof TASK_WORDS extends Record<infer K, string> ? K : never)[]) =>
    s.access
      .filter((p) => t.includes(p.task) && p.steps.length)
      .map((p) => ({
        kind: 'steps' as const,
        title: TASK_WORDS[p.task],
        steps: p.steps.map((st) => ({
          text: st.text,
          ...(st.tool ? { tool: st.tool } : {}),
          ...(st.caution ? { caution: st.caution } : {}),
          ...(st.place ? { place: nameOf(s, st.place) ?? 'not recorded' } : {}),
        })),
      }))
  add('power', 'Switching on and off', task(['powerOn', 'powerOff']))
  add(
    'controls',
    'Controls',
    s.controls.length
      ? [
          {
            kind: 'table',
            head: ['When it is', 'Do this', 'It will', 'Shown'],
            rows: s.controls.map((r) => [
              `${r.state}${r.presets?.length ? ` (${r.presets.map((id) => byId(s.presets, id)?.name ?? '?').join(', ')})` : ''}`,
              gestureText(s, r),
              r.says ?? ACTION_WORDS[r.does],
              r.status === 'unsure' ? 'not sure: try it' : r.status,
            ]),
          },
        ]
      : [{ kind: 'para', text: 'Controls: not recorded.' }],
  )
  add(
    'presets',
    'Presets',
    s.presets.length
      ? [
          {
            kind: 'table',
            head: ['No.', 'Preset', 'Colour', 'Font', 'Asked for by'],
            rows: s.presets.map((p, i) => [
              String(i + 1),
              p.name,
              `${hueWord(p.colour)} ${p.colour}`,
              `${p.font}${p.tracks.length ? `; tracks: ${p.tracks.join(', ')}` : ''}`,
              p.askedBy ?? '–',
            ]),
            swatch: s.presets.map((p) => p.colour),
          },
        ]
      : [],
  )
  add('blade', 'The blade', [
    ...task(['bladeIn', 'bladeOut']),
    ...(s.blades.length
      ? [
          {
            kind: 'table' as const,
            head: ['Blade', 'Outside', 'Length', 'In the box'],
            rows: s.blades.map((b) => [
              b.name,
              bothWays(b.outside),
              formatFact(b.length, 0),
              b.use === 'ship' ? 'yes' : b.use === 'toBuy' ? 'no: to be bought' : 'no: the bench’s own',
            ]),
          },
        ]
      : []),
  ])
  add(
    'screws',
    'Screw map',
    s.hilt.fasteners.length
      ? [
          { kind: 'drawing', saber: s.id, which: 'unrolled' },
          {
            kind: 'table',
            head: ['Screw', 'Where', 'Key', 'Holds', 'You may'],
            rows: s.hilt.fasteners.map((f) => [
              f.name,
              `${formatFact(f.at, 1)}, ${formatFact(f.clock, 0)}`,
              f.key || 'not recorded',
              words(f.purpose),
              f.clientMay === 'never' ? 'NOT touch it' : f.clientMay === 'loosen' ? 'loosen, not remove' : 'remove',
            ]),
          },
        ]
      : [],
  )
  add('opening', 'Opening, cell and closing', task(['open', 'cellIn', 'cellOut', 'close', 'card']))
  add('charging', 'Charging and storing', [...task(['charge']), { kind: 'facts', rows: powerRows(s) }])
  add(
    'tests',
    'What was tested',
    s.tests.length
      ? [
          {
            kind: 'table',
            head: ['Test', 'Wanted', 'Found', 'Verdict'],
            rows: s.tests.map((t) => {
              const last = latest(t)
              const st = standing(s, t)
              return [
                t.what,
                limitText(t),
                last
                  ? `${last.value === undefined ? (last.text ?? '–') : `${formatNumber(last.value)} ${t.unit ?? ''}`}, ${last.at.slice(0, 10)}`
                  : 'not recorded',
                st === 'pass' ? 'passed' : st === 'fail' ? 'failed' : st === 'retest' ? 'to be repeated' : 'not done',
              ]
            }),
          },
          ...(s.fixes.length
            ? [
                {
                  kind: 'table' as const,
                  head: ['Repaired on', 'Cause', 'Fix'],
                  rows: s.fixes.map((f) => [f.on, f.cause, f.fix]),
                },
              ]
            : []),
        ]
      : [{ kind: 'para', text: 'Tests: not recorded.' }],
  )
  if (s.beats.length)
    add('walkthrough', 'Walkthrough', [
      {
        kind: 'script',
        saber: s.id,
        beats: s.beats.map((b, i) => ({
          n: i + 1,
          say: b.say,
          ...(b.show ? { ref: b.show, show: nameOf(s, b.show) ?? '' } : {}),
        })),
      },
    ])
  return out
}

const bothWays = (f: Saber['blades'][number]['outside']) => {
  const v = known(f)
  const plain = formatFact(f)
  return v === undefined ? plain : plain.startsWith('about') ? `about ${mmAndInch(v)}` : mmAndInch(v)
}

function specRows(s: Saber): { name: string; value: string; about?: boolean }[] {
  const shape = layOut(s.hilt)
  const about = shape.sections.some((p) => p.certainty === 'assumed')
  const part = (kind: string) =>
    s.parts
      .filter((p) => p.kind === kind)
      .map((p) => p.name + (p.lot ? ` (lot ${p.lot})` : ''))
      .join(', ')
  const b = balance(s)
  const rows: { name: string; value: string; about?: boolean }[] = [
    {
      name: 'Hilt',
      value: `${words(s.hilt.origin)}; ${[...new Set(s.hilt.sections.map((x) => x.material))].join(', ') || 'material not recorded'}`,
    },
    {
      name: 'Length of the hilt',
      value: shape.complete ? `${about ? 'about ' : ''}${mmAndInch(shape.length)}` : 'not recorded',
      about,
    },
    { name: 'Mass without blade', ...asText(b.mass) },
    { name: 'Balance from the pommel', ...asText(b.centre) },
    { name: 'Cell', value: yesNo(part('cell')) },
    { name: 'Speaker', value: yesNo(part('speaker')) },
    { name: 'Sound board', value: yesNo(part('board')) },
    { name: 'Firmware', value: yesNo(s.firmware) },
    ...s.hilt.sockets.map((k) => ({
      name: `Socket, ${k.name}`,
      value: `${bothWays(k.bore)}, ${formatFact(k.depth, 1)} deep`,
    })),
    { name: 'Power is cut by', value: s.cutPower === 'none' ? 'nothing but taking the cell out' : words(s.cutPower) },
  ]
  return rows
}

function powerRows(s: Saber): { name: string; value: string; about?: boolean }[] {
  const safe = safeVolume(s)
  const asleep = standby(s, 'asleep')
  return [
    { name: 'Runs for', ...asText(runtime(s).minutes) },
    { name: 'Charging takes', ...asText(chargeTime(s), 1) },
    {
      name: 'Left asleep it lasts',
      ...(asleep.ok ? { value: `about ${formatNumber(asleep.value / 24, 0)} days` } : asText(asleep)),
    },
    { name: 'Energy', ...asText(wattHours(s), 1) },
    { name: 'Volume as shipped', value: formatFact(s.use.volume, 0) },
    { name: 'Highest safe volume', ...asText(safe) },
  ]
}

/** Title of the record's file, safe for any file system. */
export const handoffFileName = (c: Commission, s?: Saber) =>
  `${
    (s ? saberTitle(c, s) : c.title)
      .replace(/[^\p{L}\p{N}]+/gu, '-')
      .replace(/^-|-$/g, '')
      .toLowerCase() || 'handoff'
  }-handoff`
