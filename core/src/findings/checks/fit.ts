import { axialSlack, balance, fitParts, judgeSocket, overlaps, SOCKET_WORDS, standardKey, ventShare } from '../../fit'
import { certainty, layOut } from '../../hilt/geometry'
import { kindRule, SPECS, type SpecKey } from '../../parts/kinds'
import { known } from '../../record/fact'
import { byId } from '../../record/lookup'
import { formatNumber, mmAndInch } from '../../units/format'
import { suggestCode, suggestNominal } from '../../units/nominal'
import { missingText } from '../figure'
import type { Check, Raised } from '../finding'

const mm = (v: number) => `${formatNumber(v)} mm`

/** Below this share of the cone a vent muffles; the shop may change it. */
export const VENT_LIMIT = 33

/** Judgements on metal: the hilt's own sizes, screws, what goes inside, what goes into the socket. */
export const fitChecks: Check[] = [
  {
    id: 'unmeasured',
    station: 'hilt',
    scope: 'saber',
    rule: 'Sections need a length, an outside and a bore before anything inside can be judged.',
    source: 'house rule: facts know where they come from',
    run: ({ saber }) => [
      ...(saber.hilt.sections.length
        ? []
        : [
            {
              subject: 'none',
              level: 'caution' as const,
              title: 'No hilt yet',
              detail: 'The drawing is empty: no section has been entered.',
              remedy: 'Add the sections from the pommel to the emitter.',
              gate: true,
            },
          ]),
      ...saber.hilt.sections.flatMap((s) => {
        const missing = [
          ['length', s.length],
          ['outside', s.outside],
          ['bore', s.bore],
        ]
          .filter(([, f]) => certainty(f as typeof s.length) === 'unknown')
          .map(([n]) => n as string)
        return missing.length
          ? [
              {
                subject: s.id,
                level: 'caution' as const,
                title: `${s.name}: not measured`,
                detail: `${missing.join(', ')} not recorded; drawn dotted with a stand-in.`,
                remedy: 'Measure it, or enter the client’s or the drawing’s figure as such.',
                refs: [`section:${s.id}`],
              },
            ]
          : []
      }),
    ],
  },
  {
    id: 'boreWall',
    station: 'hilt',
    scope: 'saber',
    rule: 'A bore is smaller than the outside, and leaves a wall worth cutting.',
    source: 'geometry',
    run: ({ saber }) =>
      saber.hilt.sections.flatMap((s): Raised[] => {
        const [o, b] = [known(s.outside), known(s.bore)]
        if (o === undefined || b === undefined) return []
        const wall = (o - b) / 2
        if (wall <= 0)
          return [
            {
              subject: s.id,
              level: 'stop' as const,
              title: `${s.name}: the bore is wider than the outside`,
              detail: `Bore ${mm(b)}, outside ${mm(o)}.`,
              remedy: 'One of the two is wrong: measure again.',
              refs: [`section:${s.id}`],
              gate: true,
            },
          ]
        return wall < 0.8
          ? [
              {
                subject: s.id,
                level: 'caution' as const,
                title: `${s.name}: thin wall`,
                detail: `(${formatNumber(o)} − ${formatNumber(b)})/2 = ${mm(wall)} of ${s.material}.`,
                remedy: 'Check before a thread or a screw goes in.',
                refs: [`section:${s.id}`],
              },
            ]
          : []
      }),
  },
  {
    id: 'oddSize',
    station: 'hilt',
    scope: 'saber',
    rule: 'A size far from any standard or plausible one is asked back with the nearest.',
    source: 'nominal sizes',
    run: ({ saber }) => {
      const out: Raised[] = []
      const ask = (
        subject: string,
        ref: string,
        name: string,
        value: number | undefined,
        kind: Parameters<typeof suggestNominal>[1],
      ) => {
        const q = value === undefined ? undefined : suggestNominal(value, kind)
        if (q)
          out.push({
            subject,
            level: 'caution',
            title: `${name}: ${q.got}?`,
            detail: q.nearest ? `Nearest that would make sense: ${q.nearest.text}.` : 'Far from anything usual.',
            remedy: q.nearest ? `Is it ${q.nearest.text}? Correct it, or measure again.` : 'Measure again.',
            refs: [ref],
          })
      }
      for (const s of saber.hilt.sections) {
        ask(`${s.id}-l`, `section:${s.id}`, `${s.name} length`, known(s.length), 'sectionLength')
        ask(`${s.id}-o`, `section:${s.id}`, `${s.name} outside`, known(s.outside), 'outside')
        ask(`${s.id}-b`, `section:${s.id}`, `${s.name} bore`, known(s.bore), 'bore')
      }
      for (const b of saber.blades)
        if (b.kind !== 'plug') ask(`${b.id}-d`, `blade:${b.id}`, `${b.name} tube`, known(b.outside), 'tube')
      for (const f of saber.hilt.fasteners) {
        const q = f.thread && f.head !== 'dummy' ? suggestCode(f.thread, 'screw') : undefined
        if (q)
          out.push({
            subject: f.id,
            level: 'caution',
            title: `${f.name}: thread ${f.thread}?`,
            detail: q.nearest ? `Nearest standard: ${q.nearest.text}.` : 'Not a thread this shop’s tables know.',
            remedy: q.nearest ? `Is it ${q.nearest.text}?` : 'Check the thread with a gauge.',
            refs: [`fastener:${f.id}`],
          })
      }
      return out
    },
  },
  {
    id: 'sameKey',
    station: 'hilt',
    scope: 'saber',
    rule: 'Two screws that take the same key, one of them not for the client, will be mixed up. Dummies that look alike, too.',
    source: 'shop practice',
    run: ({ saber }) => {
      const out: Raised[] = []
      for (const a of saber.hilt.fasteners.filter((f) => f.clientMay === 'never'))
        for (const b of saber.hilt.fasteners.filter((f) => f.clientMay !== 'never')) {
          const alike = a.head === 'dummy' || (a.key && a.key === b.key)
          if (alike)
            out.push({
              subject: `${a.id}-${b.id}`,
              level: 'caution',
              title: `${a.name} looks like ${b.name}`,
              detail: `${a.head === 'dummy' ? 'A dummy' : `Both take ${a.key}`}, and ${a.name} must not be touched.`,
              remedy: 'Say it in the walkthrough, mark it on the screw map, or change the screw.',
              refs: [`fastener:${a.id}`, `fastener:${b.id}`],
            })
        }
      return out
    },
  },
  {
    id: 'wrongKey',
    station: 'hilt',
    scope: 'saber',
    rule: 'A standard screw takes the key its standard names.',
    source: 'ISO 4026, ISO 4762, ASME B18.3',
    run: ({ saber }) =>
      saber.hilt.fasteners.flatMap((f) => {
        const should = standardKey(f.thread, f.head)
        if (!should || f.key === should) return []
        return [
          {
            subject: f.id,
            level: f.key ? ('caution' as const) : ('note' as const),
            title: f.key ? `${f.name}: key ${f.key}?` : `${f.name}: key not recorded`,
            detail: `${f.thread} ${f.head} screws take ${should} by the standard.`,
            remedy: f.key ? `Is it ${should}? Try it on the bench.` : `Probably ${should}; try it and write it down.`,
            refs: [`fastener:${f.id}`],
          },
        ]
      }),
  },
  {
    id: 'bladeHeld',
    station: 'hilt',
    scope: 'saber',
    rule: 'Every socket says which screws hold its blade.',
    source: 'shop practice',
    run: ({ saber }) =>
      saber.hilt.sockets.flatMap((k) => {
        const screws = k.retention.map((id) => byId(saber.hilt.fasteners, id)).filter((f) => f !== undefined)
        if (!screws.length)
          return [
            {
              subject: k.id,
              level: 'stop' as const,
              title: `${k.name}: what holds the blade?`,
              detail: 'No retention screw is named.',
              remedy: 'Name the screw or screws that hold the blade.',
              refs: [`socket:${k.id}`],
              gate: true,
            },
          ]
        const barred = screws.filter((f) => f.clientMay === 'never')
        return barred.length
          ? [
              {
                subject: `${k.id}-never`,
                level: 'stop' as const,
                title: `${barred[0]!.name} holds the blade, yet is not to be touched`,
                detail: 'The client must be able to loosen what holds the blade.',
                remedy: 'Correct one of the two.',
                refs: [`fastener:${barred[0]!.id}`],
                gate: true,
              },
            ]
          : []
      }),
  },
  {
    id: 'loose',
    station: 'hilt',
    scope: 'saber',
    rule: 'Screws loosened for the bench or the camera are tightened before shipping.',
    source: 'shop practice',
    run: ({ saber }) =>
      saber.hilt.fasteners
        .filter((f) => f.looseNow)
        .map((f) => ({
          subject: f.id,
          level: 'caution' as const,
          title: `${f.name} is loose`,
          detail: 'Loosened for the bench or the camera.',
          remedy: 'Tighten it, then clear the mark.',
          refs: [`fastener:${f.id}`],
          gate: true,
        })),
  },
  {
    id: 'tooWide',
    station: 'fit',
    scope: 'saber',
    rule: 'A part, its clearance and the chassis wall round it are no wider than the bore they lie in.',
    source: 'radial fit: R = (bore − 2·wall − 2·clearance)/2',
    run: ({ saber }) =>
      fitParts(saber).flatMap((f): Raised[] => {
        const refs = [`part:${f.part.id}`]
        if (f.outsideMm > 0.05)
          return [
            {
              subject: f.part.id,
              level: 'stop' as const,
              title: `${f.part.name} sticks out of the hilt`,
              detail: `${mm(f.outsideMm)} of it lies outside.`,
              remedy: 'Move it, or take a shorter one.',
              refs,
              gate: true,
            },
          ]
        if (f.spareMm === undefined || !f.at) return []
        if (f.spareMm < 0)
          return [
            {
              subject: f.part.id,
              level: 'stop' as const,
              title: `${f.part.name} does not go in`,
              detail: `The bore of the ${f.at.section} is ${mm(f.at.d)} at ${formatNumber(f.at.x, 1)}: ${mm(-f.spareMm)} too small${f.besideOf ? ' for it beside the cell' : ''}.`,
              remedy: `Bore it out by ${mm(-f.spareMm)}, move it, or take the next size down.`,
              refs,
              gate: true,
            },
          ]
        return f.spareMm < 0.3
          ? [
              {
                subject: f.part.id,
                level: 'caution' as const,
                title: `${f.part.name} goes in by ${mm(f.spareMm)}`,
                detail: `Bore ${mm(f.at.d)} in the ${f.at.section}. Tolerances may eat it.`,
                remedy: 'Try the part itself before printing.',
                refs,
              },
            ]
          : []
      }),
  },
  {
    id: 'overlap',
    station: 'fit',
    scope: 'saber',
    rule: 'Two parts in line do not share the same length.',
    source: 'geometry',
    run: ({ saber }) =>
      overlaps(saber).map((o) => ({
        subject: `${o.a.id}-${o.b.id}`,
        level: 'stop' as const,
        title: `${o.a.name} and ${o.b.name} overlap`,
        detail: `They share ${mm(o.mm)} of length.`,
        remedy: `Move one by ${mm(o.mm)}, or lay one beside the other.`,
        refs: [`part:${o.a.id}`, `part:${o.b.id}`],
        gate: true,
      })),
  },
  {
    id: 'slack',
    station: 'fit',
    scope: 'saber',
    rule: 'What lies in line is no longer than the cavity.',
    source: 'axial sum, worst case Σ|tol|',
    run: ({ saber }) => {
      if (!saber.parts.length || !saber.hilt.sections.length) return []
      const s = axialSlack(saber)
      if (!s.nominal.ok)
        return [
          {
            subject: 'slack',
            level: 'note',
            title: 'Axial slack',
            detail: missingText(s.nominal),
            remedy: 'Enter what is missing.',
            refs: s.nominal.needs.flatMap((n) => (n.ref ? [n.ref] : [])),
          },
        ]
      const v = s.nominal.value
      if (v < 0)
        return [
          {
            subject: 'slack',
            level: 'stop',
            title: `It does not close: ${mm(-v)} too long`,
            detail: `The parts in line take ${mm(s.chain.reduce((a, c) => a + c.lengthMm, 0))}.`,
            remedy: 'Lay the board beside the cell, take a shorter part, or lengthen the hilt.',
            gate: true,
          },
        ]
      if (v < s.worst)
        return [
          {
            subject: 'slack',
            level: 'caution',
            title: `Slack ${mm(v)}, worst case ${mm(v - s.worst)}`,
            detail: `Tolerances add up to ±${mm(s.worst)}, ±${mm(s.rss)} by root sum of squares.`,
            remedy: 'Measure the longest parts, or leave room.',
          },
        ]
      return []
    },
  },
  {
    id: 'socketFit',
    station: 'fit',
    scope: 'saber',
    rule: 'Diametral clearance: below 0 will not enter, to 0.05 tight, to 0.20 snug, to 0.40 loose, beyond it the wrong size.',
    source: 'trade practice, editable',
    run: ({ saber }) =>
      saber.blades.flatMap((b): Raised[] => {
        const k = saber.hilt.sockets.find((q) => q.id === b.socket)
        const [bore, d] = [known(k?.bore), known(b.outside)]
        if (!k || bore === undefined || d === undefined)
          return [
            {
              subject: b.id,
              level: 'note' as const,
              title: `${b.name}: fit in the ${k?.name ?? 'socket'} unknown`,
              detail: `not calculable, needs ${bore === undefined ? 'the bore of the socket' : 'the tube’s outside'}`,
              remedy: 'Measure it.',
              refs: [`blade:${b.id}`],
            },
          ]
        const f = judgeSocket(bore, d, known(k.depth), known(b.length))
        const refs = [`blade:${b.id}`, `socket:${k.id}`]
        const numbers = `Socket ${mmAndInch(bore)}, tube ${mmAndInch(d)}: clearance ${mm(f.clearanceMm)}.`
        if (f.kind === 'willNotEnter')
          return [
            {
              subject: b.id,
              level: 'stop' as const,
              title: `${b.name} ${SOCKET_WORDS[f.kind]}`,
              detail: numbers,
              remedy: `Take ${mm(f.removePerSideMm)} off per side, or take another tube.`,
              refs,
              gate: true,
            },
          ]
        if (f.kind === 'wrongSize')
          return [
            {
              subject: b.id,
              level: 'stop' as const,
              title: `${b.name}: ${SOCKET_WORDS[f.kind]}`,
              detail: numbers,
              remedy: `An adapter or the right tube; a shim would be ${mm(f.shimPerSideMm)} per side.`,
              refs,
              gate: true,
            },
          ]
        if (f.kind === 'loose')
          return [
            {
              subject: b.id,
              level: 'caution' as const,
              title: `${b.name} sits loose`,
              detail: `${numbers} ${f.tipPlayMm === undefined ? '' : `The tip moves by ${mm(f.tipPlayMm)}; the first pixels may flicker.`}`,
              remedy: `Shim ${mm(f.shimPerSideMm)} per side.`,
              refs,
            },
          ]
        return f.kind === 'tight'
          ? [
              {
                subject: b.id,
                level: 'caution' as const,
                title: `${b.name} is tight`,
                detail: numbers,
                remedy: 'Polish, or tell the client to turn it in.',
                refs,
              },
            ]
          : []
      }),
  },
  {
    id: 'vents',
    station: 'fit',
    scope: 'saber',
    rule: `Vents smaller than ${VENT_LIMIT} % of the speaker's cone muffle the sound.`,
    source: 'trade practice, editable',
    run: ({ saber }) => {
      if (
        !saber.parts.some((p) => p.kind === 'speaker') ||
        !saber.hilt.openings.some((o) => o.kind === 'vent' || o.kind === 'grille')
      )
        return []
      const v = ventShare(saber)
      if (!v.ok) return []
      const refs = saber.parts.filter((p) => p.kind === 'speaker').map((p) => `part:${p.id}`)
      return v.value < VENT_LIMIT
        ? [
            {
              subject: 'vents',
              level: 'caution',
              title: 'The speaker will sound muffled',
              detail: `The vents are ${formatNumber(v.value, 0)} % of the cone.`,
              remedy: 'Open the vents, or seal the back and say so.',
              refs,
            },
          ]
        : []
    },
  },
  {
    id: 'specs',
    station: 'fit',
    scope: 'saber',
    rule: 'A fitted part has the sizes and ratings its kind needs, and a place.',
    source: 'parts catalogue',
    run: ({ saber }) =>
      saber.parts.flatMap((p) => {
        const missing = kindRule(p.kind).needs.filter((k) => known(p.specs[k]) === undefined)
        const odd = (Object.entries(p.specs) as [SpecKey, { value: number | null }][]).filter(
          ([k, f]) => f.value !== null && (f.value < SPECS[k].min || f.value > SPECS[k].max),
        )
        const unplaced = kindRule(p.kind).inside && known(p.at) === undefined && kindRule(p.kind).glyph !== 'dot'
        const out: Raised[] = []
        if (odd.length)
          out.push({
            subject: `${p.id}-odd`,
            level: 'caution',
            title: `${p.name}: ${odd.map(([k]) => SPECS[k].label).join(', ')}?`,
            detail: odd
              .map(
                ([k, f]) =>
                  `${SPECS[k].label} ${formatNumber(f.value!)} ${SPECS[k].unit}; usual ${SPECS[k].min} to ${SPECS[k].max}`,
              )
              .join('. '),
            remedy: 'Check the figure and its unit.',
            refs: [`part:${p.id}`],
          })
        if (missing.length || unplaced)
          out.push({
            subject: p.id,
            level: 'note',
            title: `${p.name}: not judged`,
            detail: `Needs ${[...missing.map((k) => SPECS[k].label), ...(unplaced ? ['its place'] : [])].join(', ')}.`,
            remedy: 'Enter it; until then nothing is computed with this part.',
            refs: [`part:${p.id}`],
          })
        return out
      }),
  },
  {
    id: 'frontHeavy',
    station: 'fit',
    scope: 'saber',
    rule: 'Without a blade the balance lies within the middle third of the hilt.',
    source: 'trade practice, editable',
    run: ({ saber }) => {
      const b = balance(saber)
      const L = layOut(saber.hilt).length
      if (!b.centre.ok || !saber.parts.some((p) => known(p.specs.mass))) return []
      const share = b.centre.value / L
      return share > 0.67 || share < 0.33
        ? [
            {
              subject: 'balance',
              level: 'note',
              title: share > 0.5 ? 'Front-heavy' : 'Tail-heavy',
              detail: `The balance is ${formatNumber(b.centre.value, 0)} mm from the pommel, ${formatNumber(share * 100, 0)} % of the hilt.`,
              remedy: 'Move the cell, or say so to the client.',
            },
          ]
        : []
    },
  },
]
