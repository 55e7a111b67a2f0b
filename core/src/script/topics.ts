import { tasksOf } from '../access'
import { doingOf, gestureText, isOf as modeIs, modeName } from '../controls'
import { known, missingText } from '../facts'
import { hueWord } from '../light'
import { safeVolume } from '../power'
import {
  byId,
  type Commission,
  colourOf,
  kindRule,
  nameOf,
  type PartKind,
  type Ref,
  type Saber,
  type Task,
  toldWishes,
} from '../record'
import { formatNumber } from '../units'
import { say, whether } from '../words'
import { cautionsOf } from './cautions'
import { spokenPart, spokenSteps } from './spoken'

export type Chapter =
  | 'welcome'
  | 'outside'
  | 'power'
  | 'controls'
  | 'presets'
  | 'blade'
  | 'inside'
  | 'care'
  | 'requests'

/** One thing the client must be told, derived from what was built. */
export interface Topic {
  key: string
  chapter: Chapter
  /** Its name in the list of what is covered and what is not. */
  what: string
  /** Words to say it with. */
  say: string
  show?: Ref
  perform?: Ref<'row' | 'task'>
  expect?: string
  /** A gap in `must` stands against closing the walkthrough. */
  must: boolean
}

/** Everything the client must be told about this saber, in the order of its chapters. Keys are stable across edits. */
export function topicsOf(c: Commission, s: Saber): Topic[] {
  return [
    welcome(c, s),
    ...partTopics(s),
    ...screwTopics(s),
    ...taskTopics(s),
    ...controlTopics(s),
    ...presetTopics(c, s),
    ...bladeTopics(s),
    ...cautionTopics(s),
    ...volumeTopics(s),
    ...requestTopics(c, s),
    ...arrivalTopics(c),
  ]
}

const welcome = (c: Commission, s: Saber): Topic => ({
  key: 'welcome',
  chapter: 'welcome',
  what: say('topic.welcome.what'),
  say: say('topic.welcome', { saber: s.name, client: c.client.name, named: whether(c.client.name) }),
  must: false,
})

const INTRODUCED: readonly PartKind[] = [
  'speaker',
  'killSwitch',
  'killKey',
  'chargePort',
  'display',
  'chamber',
  'switch',
  'cover',
  'inHiltLed',
  'accentLed',
  'strip',
]
const WORKED_BY_HAND: readonly PartKind[] = ['killSwitch', 'killKey', 'chargePort', 'switch']
const SEEN_INSIDE: readonly PartKind[] = ['chamber', 'cover', 'strip']

const partTopics = (s: Saber): Topic[] =>
  s.parts
    .filter((p) => kindRule(p.kind).told && INTRODUCED.includes(p.kind))
    .map((p) => ({
      key: `part:${p.id}`,
      chapter: SEEN_INSIDE.includes(p.kind) ? 'inside' : 'outside',
      what: p.name,
      say: say('topic.part', { kind: p.kind, part: spokenPart(s, p), end: known(p.faces) ?? 'none' }),
      show: `part:${p.id}`,
      must: WORKED_BY_HAND.includes(p.kind),
    }))

const screwTopics = (s: Saber): Topic[] =>
  s.hilt.fasteners
    .filter((f) => f.clientMay === 'never')
    .map((f) => ({
      key: `fastener:${f.id}`,
      chapter: 'outside',
      what: say('topic.never.what', { screw: f.name }),
      say: say('topic.never', { screw: lower(f.name), dummy: whether(f.head === 'dummy'), purpose: f.purpose }),
      show: `fastener:${f.id}`,
      must: true,
    }))

const CHAPTER_OF: Partial<Record<Task, Chapter>> = {
  powerOn: 'power',
  powerOff: 'power',
  bladeIn: 'blade',
  bladeOut: 'blade',
  charge: 'care',
}

function taskTopics(s: Saber): Topic[] {
  const needed = tasksOf(s)
  return [...new Set([...needed, ...s.access.map((p) => p.task)])].map((task) => {
    const proc = s.access.find((p) => p.task === task)
    const steps = proc && spokenSteps(s, proc.steps)
    const name = say('task', { task })
    return {
      key: `task:${task}`,
      chapter: CHAPTER_OF[task] ?? 'inside',
      what: name.toLowerCase(),
      say: say('topic.task', { task: name, steps: steps ?? '', told: steps === undefined ? 'no' : 'yes' }),
      ...(proc?.steps[0]?.place ? { show: proc.steps[0].place } : {}),
      ...(proc ? { perform: `task:${proc.id}` as const } : {}),
      must: needed.includes(task),
    }
  })
}

function controlTopics(s: Saber): Topic[] {
  const out: Topic[] = s.controls
    .filter((r) => r.status !== 'unsure')
    .map((r) => {
      const what = doingOf(r)
      const only = (r.presets ?? []).map((id) => byId(s.presets, id)?.name).filter(Boolean)
      return {
        key: `control:${r.id}`,
        chapter: 'controls',
        what,
        say: say('topic.control', {
          state: modeIs(s, r.mode),
          mode: modeName(s, r.mode),
          gesture: gestureText(s, r),
          what: r.says ?? say('action.seen', { action: r.does }),
          only: only.join(', '),
          limited: whether(r.presets?.length),
        }),
        show: `input:${r.input}`,
        perform: `row:${r.id}`,
        expect: what,
        must: true,
      }
    })
  const worked = s.controls.length > 0 || s.parts.some((p) => p.kind === 'board')
  const ends = s.controls.some((r) => r.does === 'retract' || r.does === 'sleep' || r.does === 'powerOff')
  if (worked && !ends)
    out.push({
      key: 'off',
      chapter: 'controls',
      what: say('topic.off.what'),
      say: say('topic.off'),
      must: true,
    })
  return out
}

/** Whether who asked is who listens: by the name, or the first of it. */
const isClient = (c: Commission, who: string): boolean => {
  const [client, asker] = [c.client.name.trim().toLowerCase(), who.trim().toLowerCase()]
  return client !== '' && (client === asker || client.split(/\s+/)[0] === asker)
}

const presetTopics = (c: Commission, s: Saber): Topic[] =>
  s.presets.map((p) => ({
    key: `preset:${p.id}`,
    chapter: 'presets',
    what: say('topic.preset.what', { preset: p.name }),
    say: say('topic.preset', {
      preset: p.name,
      hue: hueWord(colourOf(p)),
      font: p.font,
      why: p.why ?? '',
      reasoned: whether(p.why),
      asker: p.askedBy ?? '',
      asked: !p.askedBy ? 'no' : isClient(c, p.askedBy) ? 'you' : 'other',
    }),
    show: `preset:${p.id}`,
    must: true,
  }))

function bladeTopics(s: Saber): Topic[] {
  const shipped = s.blades.find((b) => b.use === 'ship')
  return [
    ...s.blades
      .filter((b) => b.use === 'demo')
      .map(
        (b): Topic => ({
          key: `blade:${b.id}`,
          chapter: 'blade',
          what: say('topic.demoBlade.what', { blade: b.name }),
          say: say('topic.demoBlade', {
            blade: b.name,
            shipped: shipped?.name ?? '',
            size: shipped ? bladeSize(shipped) : '',
            has: whether(shipped),
          }),
          show: `blade:${b.id}`,
          must: true,
        }),
      ),
    ...s.blades
      .filter((b) => b.use === 'toBuy')
      .map(
        (b): Topic => ({
          key: `blade:${b.id}`,
          chapter: 'blade',
          what: say('topic.bladeToBuy.what', { blade: b.name }),
          say: say('topic.bladeToBuy', { blade: b.name, size: bladeSize(b) }),
          must: true,
        }),
      ),
  ]
}

function bladeSize(b: Saber['blades'][number]): string {
  const [d, l] = [known(b.outside), known(b.length)]
  return say('bladeSize', {
    diameter: d === undefined ? '' : formatNumber(d),
    measured: whether(d !== undefined),
    length: l === undefined ? '' : formatNumber(l, 0),
    long: whether(l !== undefined),
  })
}

const cautionTopics = (s: Saber): Topic[] =>
  cautionsOf(s).map((k) => ({
    key: `caution:${k.key}`,
    chapter: k.key === 'inside' ? 'inside' : k.key === 'blade' ? 'blade' : 'care',
    what: say('topic.caution.what', { title: k.title.toLowerCase() }),
    say: say('caution.spoken', {
      caution: k.key,
      polarity: k.polarity ?? '',
      told: whether(k.polarity),
      presets: k.presets ?? '',
      named: whether(k.presets),
    }),
    must: true,
  }))

function volumeTopics(s: Saber): Topic[] {
  if (!s.parts.some((p) => p.kind === 'speaker')) return []
  const safe = safeVolume(s)
  const v = known(s.use.volume)
  return [
    {
      key: 'volume',
      chapter: 'care',
      what: say('topic.volume.what'),
      say: say('topic.volume', {
        volume: String(v ?? ''),
        set: whether(v !== undefined),
        highest: safe.ok ? formatNumber(safe.value, 0) : missingText(safe),
      }),
      must: false,
    },
  ]
}

const requestTopics = (c: Commission, s: Saber): Topic[] =>
  toldWishes(c)
    .filter((r) => (r.saber ? r.saber === s.id : isOf(c, s, r.where)))
    .map((r) => ({
      key: `request:${r.id}`,
      chapter: 'requests',
      what: say('topic.request.what', { text: r.text, own: whether(r.shape === 'ownIdea') }),
      say: say('topic.request', {
        text: r.text,
        own: whether(r.shape === 'ownIdea'),
        status: r.status,
        answer: r.answer ?? '',
        answered: whether(r.answer),
      }),
      ...(r.where && nameOf(s, r.where) ? { show: r.where } : {}),
      must: true,
    }))

/** Whether a wish belongs into the film of a saber: one that names a thing of another saber only does not. */
const isOf = (c: Commission, s: Saber, where: Ref | undefined): boolean =>
  !where || nameOf(s, where) !== undefined || !c.sabers.some((other) => nameOf(other, where) !== undefined)

const arrivalTopics = (c: Commission): Topic[] =>
  c.arrivals.flatMap((a) =>
    a.shares
      .filter((x) => x.fate === 'leftOver' || x.fate === 'returned' || x.fate === 'altered')
      .map((x, i) => {
        const what = a.shares.length > 1 ? say('arrival.what', { quantity: x.count, what: a.what }) : a.what
        return {
          key: i ? `share:${x.id}` : `arrival:${a.id}`,
          chapter: 'requests' as const,
          what: say('topic.arrival.what', { what, fate: x.fate }),
          say: say('topic.arrival', { what: lower(what), fate: x.fate, note: a.note ?? '', noted: whether(a.note) }),
          must: true,
        }
      }),
  )

const lower = (s: string) => (/^[A-Z][a-z]/.test(s) ? s[0]!.toLowerCase() + s.slice(1) : s)
