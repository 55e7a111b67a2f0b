import { tasksOf } from '../access/propose'
import { gestureText } from '../controls/board'
import { missingText } from '../findings/figure'
import { FLASH_LIMIT_HZ, hueWord } from '../light/colour'
import { kindRule } from '../parts/kinds'
import { safeVolume } from '../power/budget'
import { known } from '../record/fact'
import { byId } from '../record/lookup'
import type { Commission, Saber } from '../record/schema'
import { ACTION_WORDS, TASK_WORDS, words } from '../record/words'
import { formatNumber } from '../units/format'

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
export interface Telling {
  key: string
  chapter: Chapter
  /** Its name in the list of what is covered and what is not. */
  what: string
  /** Words to say it with. */
  say: string
  show?: string
  perform?: string
  expect?: string
  /** A gap in `must` stands against closing the walkthrough. */
  must: boolean
}

/** A safety caution that this build calls for (usual ones; local codes, carriers and licensed practice decide). */
export interface Caution {
  key: string
  title: string
  text: string
}

/** The cautions of a saber, from its cells, lights, sockets and edges. */
export function cautionsOf(s: Saber): Caution[] {
  const out: Caution[] = []
  const cells = s.parts.filter((p) => p.kind === 'cell')
  if (cells.length) {
    const landmark = cells.map((c) => c.landmark).filter(Boolean)
    out.push({
      key: 'cell',
      title: 'The cell',
      text: `Lithium-ion can burn. ${landmark.length ? `Polarity: ${landmark.join('; ')}. ` : ''}${cells.some((c) => c.protected) ? 'Use a protected cell of the same size only. ' : ''}Never a cell with a damaged wrap, never loose in a pocket, never charged unattended; store it part-charged. Sending it is a matter for the carrier and local rules: ask them.`,
    })
  }
  const fast = s.presets.filter((p) => (known(p.flickerHz) ?? 0) > FLASH_LIMIT_HZ)
  const flashing = fast.length > 0 || s.controls.some((r) => r.does === 'lock' || r.does === 'surge')
  if (flashing)
    out.push({
      key: 'flash',
      title: 'Flashing light',
      text: `${fast.length ? `${fast.map((p) => p.name).join(', ')} flickers more than ${FLASH_LIMIT_HZ} times a second` : 'Some effects flash quickly'}: it can trigger seizures in people with photosensitive epilepsy. Warn those present.`,
    })
  if (s.hilt.sockets.length)
    out.push({
      key: 'blade',
      title: 'Blade and eyes',
      text: 'Secure the blade before every swing and clear the room. Do not look into a bare socket or a blade plug at full light. Eye and hand protection when duelling.',
    })
  if (s.hilt.sections.some((x) => /claw|fin|spike|edge|prong/i.test(`${x.name} ${x.note ?? ''}`)))
    out.push({
      key: 'sharp',
      title: 'Sharp parts',
      text: 'The hilt has points and edges that can hurt: watch hands and clothes, and keep it away from children.',
    })
  if (s.parts.some((p) => p.kind === 'chassis'))
    out.push({
      key: 'inside',
      title: 'Opening it',
      text: 'Work over a soft surface, support the chassis when pressing a cell in, do not press the speaker cone, and leave no wire in a thread. Card and USB sockets snap when levered.',
    })
  return out
}

/** Everything the client must be told about this saber, in the order of its chapters. Keys are stable across edits. */
export function tellingsOf(c: Commission, s: Saber): Telling[] {
  const out: Telling[] = []
  const add = (t: Telling) => out.push(t)
  add({
    key: 'welcome',
    chapter: 'welcome',
    what: 'whose saber this is',
    say: `This is ${s.name}${c.client.name ? `, made for ${c.client.name}` : ''}.`,
    must: false,
  })

  for (const p of s.parts.filter(
    (q) =>
      kindRule(q.kind).told &&
      [
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
      ].includes(q.kind),
  ))
    add({
      key: `part:${p.id}`,
      chapter: ['chamber', 'cover', 'strip'].includes(p.kind) ? 'inside' : 'outside',
      what: p.name,
      say: `Here is the ${lower(p.name)}.`,
      show: `part:${p.id}`,
      must: ['killSwitch', 'killKey', 'chargePort', 'switch'].includes(p.kind),
    })
  for (const f of s.hilt.fasteners.filter((q) => q.clientMay === 'never'))
    add({
      key: `fastener:${f.id}`,
      chapter: 'outside',
      what: `${f.name}: not to be touched`,
      say: `Leave ${lower(f.name)} alone: it ${f.head === 'dummy' ? 'is only decoration and glued' : `holds the ${f.purpose === 'other' ? 'build' : words(f.purpose)}`}.`,
      show: `fastener:${f.id}`,
      must: true,
    })

  const needed = tasksOf(s)
  for (const task of new Set([...needed, ...s.access.map((p) => p.task)])) {
    const proc = s.access.find((p) => p.task === task)
    const steps = proc?.steps
      .map((st) => sentence(st.text + (st.caution ? `. ${st.caution.replace(/\.$/, '')}` : '')))
      .join(' ')
    add({
      key: `task:${task}`,
      chapter:
        task === 'powerOn' || task === 'powerOff'
          ? 'power'
          : task === 'bladeIn' || task === 'bladeOut'
            ? 'blade'
            : task === 'charge'
              ? 'care'
              : 'inside',
      what: TASK_WORDS[task].toLowerCase(),
      say: `${TASK_WORDS[task]}. ${steps ?? '(The steps are not recorded yet.)'}`,
      ...(proc?.steps[0]?.place ? { show: proc.steps[0].place } : {}),
      ...(proc ? { perform: `task:${proc.id}` } : {}),
      must: needed.includes(task),
    })
  }

  for (const r of s.controls.filter((q) => q.status !== 'unsure')) {
    const what = r.says ?? ACTION_WORDS[r.does]
    const only = r.presets?.length
      ? ` In ${r.presets
          .map((id) => byId(s.presets, id)?.name)
          .filter(Boolean)
          .join(', ')} only.`
      : ''
    const where =
      r.state === 'lit'
        ? 'While it is lit, '
        : r.state === 'off'
          ? 'With the blade off, '
          : r.state === 'asleep'
            ? 'When it sleeps, '
            : `In ${r.state === 'menu' ? 'the menu' : r.state === 'muted' ? 'mute' : 'combat mode'}, `
    add({
      key: `control:${r.id}`,
      chapter: 'controls',
      what,
      say: `${where}${gestureText(s, r)}: ${what}.${only}`,
      show: `input:${r.input}`,
      perform: `row:${r.id}`,
      expect: what,
      must: true,
    })
  }
  if (s.controls.length || s.parts.some((p) => p.kind === 'board')) {
    const off = s.controls.filter((r) => r.does === 'retract' || r.does === 'sleep' || r.does === 'powerOff')
    if (!off.length)
      add({
        key: 'off',
        chapter: 'controls',
        what: 'how to turn it off',
        say: '(No control turns it off yet.)',
        must: true,
      })
  }

  for (const p of s.presets)
    add({
      key: `preset:${p.id}`,
      chapter: 'presets',
      what: `preset ${p.name}`,
      say: `${p.name}: ${hueWord(p.colour)}, font ${p.font}${p.why ? `, ${p.why}` : ''}${p.askedBy ? `, asked for by ${p.askedBy}` : ''}.`,
      show: `preset:${p.id}`,
      must: true,
    })
  for (const b of s.blades.filter((q) => q.use === 'demo'))
    add({
      key: `blade:${b.id}`,
      chapter: 'blade',
      what: `the ${b.name} is the bench's, not the shipped one`,
      say: `The blade in this film is the bench's ${b.name}. ${shipped(s) ?? 'Yours is yet to be bought.'}`,
      show: `blade:${b.id}`,
      must: true,
    })
  for (const b of s.blades.filter((q) => q.use === 'toBuy'))
    add({
      key: `blade:${b.id}`,
      chapter: 'blade',
      what: `${b.name} to be bought`,
      say: `${b.name} is not in the box: ${bladeSize(b)}.`,
      must: true,
    })

  for (const k of cautionsOf(s))
    add({
      key: `caution:${k.key}`,
      chapter: k.key === 'inside' ? 'inside' : k.key === 'blade' ? 'blade' : 'care',
      what: `caution: ${k.title.toLowerCase()}`,
      say: k.text,
      must: true,
    })
  if (s.parts.some((p) => p.kind === 'speaker')) {
    const safe = safeVolume(s)
    const v = known(s.use.volume)
    add({
      key: 'volume',
      chapter: 'care',
      what: 'shipped and highest volume',
      say: `It is set to volume ${v ?? 'not recorded'}; the highest safe one is ${safe.ok ? formatNumber(safe.value, 0) : missingText(safe)}.`,
      must: false,
    })
  }
  for (const r of c.requests.filter((q) => !q.saber || q.saber === s.id)) {
    const answer = r.status === 'met' ? 'done' : r.status === 'open' ? 'still open' : r.status
    add({
      key: `request:${r.id}`,
      chapter: 'requests',
      what: `your wish: ${r.text}`,
      say: `You asked: ${r.text} – ${answer}${r.answer ? `: ${r.answer}` : ''}.`,
      ...(r.where ? { show: r.where } : {}),
      must: true,
    })
  }
  for (const a of c.arrivals.filter((q) => q.fate === 'leftOver' || q.fate === 'returned' || q.fate === 'altered'))
    add({
      key: `arrival:${a.id}`,
      chapter: 'requests',
      what: `${a.what}: ${words(a.fate)}`,
      say: `The ${lower(a.what)} you sent: ${words(a.fate)}${a.note ? `, ${a.note}` : ''}.`,
      must: true,
    })
  return out
}

const lower = (s: string) => (/^[A-Z][a-z]/.test(s) ? s[0]!.toLowerCase() + s.slice(1) : s)
const sentence = (s: string) => (/[.!?]$/.test(s) ? s : `${s}.`)
const bladeSize = (b: Saber['blades'][number]) => {
  const [d, l] = [known(b.outside), known(b.length)]
  return `${d === undefined ? 'diameter not recorded' : `Ø ${formatNumber(d)} mm`}, ${l === undefined ? 'length not recorded' : `${formatNumber(l, 0)} mm long`}`
}
const shipped = (s: Saber) => {
  const b = s.blades.find((q) => q.use === 'ship')
  return b && `Yours is the ${b.name}: ${bladeSize(b)}.`
}
