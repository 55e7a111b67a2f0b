import { known } from '../facts'
import { byId, refTo, type Saber, type Joint as Said } from '../record'
import type { Blocked, Joint } from './joint'

/** A screw is never turned that may not be, whoever says that it holds something. */
const forbidden = (s: Saber, held: Joint['held']): Blocked[] =>
  held.flatMap(({ screw }) => {
    const f = byId(s.hilt.fasteners, screw)
    return f?.clientMay === 'never' || f?.head === 'dummy'
      ? [{ code: 'never' as const, at: refTo('fastener', f.id), name: f.name }]
      : []
  })

function correct(s: Saber, j: Joint, c: Said): Joint {
  const held = c.held ?? j.held
  const never = forbidden(s, held)
  const who = c.who ?? (never.length ? 'nobody' : j.who === 'nobody' && c.how ? 'client' : j.who)
  // Whoever says how it comes off has answered what the draft was unsure of.
  const way = { how: 'pull' as const, after: [], towards: 'pommel' as const, risk: 0, from: 'maker' as const }
  // The drafted ways to the end that he names, where there are any.
  const there = c.towards ? j.ways.filter((w) => w.towards === c.towards) : []
  const meant = there.length ? there : j.ways
  const drafted = meant.length || !c.how ? meant : [way]
  const ways = drafted.map((w) => ({
    ...w,
    ...(c.how ? { how: c.how, from: 'maker' as const } : {}),
    ...(c.towards ? { towards: c.towards } : {}),
    ...(c.after ? { after: [...c.after], from: 'maker' as const } : {}),
  }))
  const [turns, angle] = [known(c.turns), known(c.angle)]
  return {
    ...j,
    held: held.map((h) => ({ ...h })),
    who,
    ways: never.length || who === 'nobody' ? [] : ways.slice(0, c.after ? 1 : undefined),
    blocked: [...(ways.length ? [] : j.blocked.filter((b) => b.code !== 'never')), ...never],
    ...(c.hand === 'left' ? { hand: 'left' as const } : {}),
    ...(turns === undefined ? {} : { turns }),
    ...(angle === undefined ? {} : { angle }),
    ...(c.dark ? { dark: true as const } : {}),
    ...(c.tethered ? { tethered: true as const } : {}),
    ...(c.byItself ? { byItself: c.byItself } : {}),
    ...(c.hurts ? { hurts: c.hurts } : {}),
    ...(c.feels ? { feels: c.feels } : {}),
    ...(c.landmark ? { landmark: c.landmark } : {}),
  }
}

/** The drafted joints with what the maker has said of each put before the draft. */
export const corrected = (s: Saber, drafted: readonly Joint[]): Joint[] =>
  drafted.map((j) => {
    const c = s.joints.find((x) => x.body === j.body)
    return c ? correct(s, j, c) : j
  })
