import { cuesOf, doingOf, gestureText, isException, isOf, modeName, secondsInWords, timeOutOf } from '../../../controls'
import { formatFact, known } from '../../../facts'
import { byId, type Id, type Saber, Timing } from '../../../record'
import type { Reader } from '../../../units'
import { say, whether } from '../../../words'
import { type Block, type SaberChapter, table } from '../../block'

/** Every control as the hand does it, the modes they belong to, and how the board reads a hand. */
export const controls: SaberChapter = (reader, s) => ({
  id: 'controls',
  title: say(reader, 'chapter.controls'),
  blocks: s.controls.length
    ? [...standard(reader, s), ...rows(reader, s), ...statuses(reader, s), ...modes(reader, s), ...timing(reader, s)]
    : [...modes(reader, s), ...timing(reader, s), { kind: 'para', text: say(reader, 'controls.none') }],
})

/** The standard that the controls follow, and in how many they do not. */
function standard(reader: Reader, s: Saber): Block[] {
  if (!s.mapFrom) return []
  const n = s.controls.filter((r) => isException(s, r)).length
  return [{ kind: 'para', text: say(reader, 'controls.standard', { name: s.mapFrom, n }) }]
}

/** A mode as a client knows it, and the presets that a control of it is only in. */
const inState = (reader: Reader, s: Saber, mode: Id, presets: readonly Id[] = []): string =>
  say(reader, 'control.state', {
    ...{ state: isOf(s, mode), mode: modeName(s, mode), limited: whether(presets.length) },
    presets: presets.map((id) => byId(s.presets, id)?.name ?? '?').join(', '),
  })

function rows(reader: Reader, s: Saber): Block[] {
  const head = (column: 'state' | 'gesture' | 'does' | 'shown') => say(reader, 'chapter.controls.head', { column })
  return table(
    [head('state'), head('gesture'), head('does'), head('shown')],
    s.controls.map((r) => [
      inState(reader, s, r.mode, r.presets),
      gestureText(reader, s, r),
      [doingOf(reader, r), ...cuesOf(reader, r)].join('; '),
      say(reader, 'control.status', { status: r.status }),
    ]),
  )
}

/** What it means that a control was set up, shown, or left unsure: where they are not all alike. */
function statuses(reader: Reader, s: Saber): Block[] {
  const used = new Set(s.controls.map((r) => r.status))
  if (used.size < 2) return []
  const has = (status: 'configured' | 'shown' | 'unsure') => whether(used.has(status))
  const text = say(reader, 'controls.statuses', {
    ...{ configured: has('configured'), shown: has('shown'), unsure: has('unsure') },
  })
  return [{ kind: 'para', text: text.trim() }]
}

/** Modes of which there is more to say than that they are off or lit. */
function modes(reader: Reader, s: Saber): Block[] {
  const head = (column: 'mode' | 'chooses' | 'ends') => say(reader, 'chapter.modes.head', { column })
  const told = s.modes.flatMap((m) => {
    const out = timeOutOf(s, m.id)
    const set = known(m.after)
    if (!m.chooses && !m.on && set === undefined && !out) return []
    const goes = out?.to ?? m.leads ?? m.on
    return [
      [
        m.name,
        m.chooses ? say(reader, 'mode.chooses', { what: m.chooses, turning: whether(m.by === 'turning') }) : '–',
        (out?.s ?? set) === undefined
          ? '–'
          : say(reader, 'mode.ends', {
              seconds: secondsInWords(reader, out?.s ?? set ?? 0, true),
              to: goes === undefined ? '' : inState(reader, s, goes),
              leads: whether(goes),
            }),
      ],
    ]
  })
  return table([head('mode'), head('chooses'), head('ends')], told)
}

/** How the board reads a hand, as far as it is recorded. */
function timing(reader: Reader, s: Saber): Block[] {
  const list = (Object.keys(Timing.properties) as (keyof Timing)[]).flatMap((key) => {
    const f = s.timing[key]
    return f
      ? [{ name: say(reader, 'timing.name', { row: key }), value: formatFact(reader, f, key.endsWith('From') ? 0 : 2) }]
      : []
  })
  return list.length ? [{ kind: 'facts', rows: list }] : []
}
