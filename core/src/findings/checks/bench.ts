import {
  CLAMP,
  clampOf,
  demoAgainstShipped,
  GRILLE_AIR,
  grilleAir,
  HOLE_OF,
  inWall,
  judgeDuel,
  overClosing,
  reviewLayout,
  shoppingList,
  stringSums,
  wiresBlocked,
} from '../../fit'
import { layOut, outerAt, spanOf } from '../../hilt/geometry'
import { sectionFaults } from '../../hilt/profile'
import { known } from '../../record/fact'
import { words } from '../../record/words'
import { formatNumber } from '../../units/format'
import type { Check, Raised } from '../finding'

const mm = (v: number) => `${formatNumber(v)} mm`

/** Judgements on planning: whether the drawing is sound, whether what was planned still holds, whether it all closes. */
export const benchChecks: Check[] = [
  {
    id: 'noSize',
    station: 'hilt',
    scope: 'saber',
    rule: 'A size of the hilt is more than nothing.',
    source: 'geometry',
    run: ({ facts }) =>
      facts
        .filter((p) => p.path.startsWith('/hilt/') && p.fact.unit === 'mm' && !['at', 'clearance'].includes(p.field))
        .filter((p) => p.fact.value !== null && p.fact.value <= 0)
        .map((p) => ({
          subject: p.path,
          level: 'stop' as const,
          title: `${p.owner}: ${words(p.field)} ${mm(p.fact.value!)}`,
          detail: 'A size of nothing or less cannot be cut.',
          remedy: 'Measure it, or empty the field until you have.',
          ...(p.ref ? { refs: [p.ref] } : {}),
          gate: true,
        })),
  },
  {
    id: 'profile',
    station: 'hilt',
    scope: 'saber',
    rule: 'A profile runs from end to end of its section, forward, with the bore inside the outside.',
    source: 'geometry',
    run: ({ saber }) =>
      saber.hilt.sections.flatMap((s) => {
        const faults = sectionFaults(s)
        return faults.length
          ? [
              {
                subject: s.id,
                level: 'stop' as const,
                title: `${s.name}: the profile does not hold`,
                detail: `${faults[0]!.text}${faults.length > 1 ? `, and ${faults.length - 1} more` : ''}.`,
                remedy: 'Drag or type the point to where it belongs.',
                refs: [`section:${s.id}`],
                gate: true,
              },
            ]
          : []
      }),
  },
  {
    id: 'openingPlace',
    station: 'hilt',
    scope: 'saber',
    rule: 'Openings lie on the hilt and do not run into one another.',
    source: 'geometry',
    run: ({ saber }) => {
      const shape = layOut(saber.hilt)
      if (!shape.complete) return []
      const out: Raised[] = []
      const boxes = saber.hilt.openings.flatMap((o) => {
        const [at, length, width, clock] = [known(o.at), known(o.length), known(o.width), known(o.clock)]
        if (at === undefined || length === undefined) return []
        return [{ o, x0: at - length / 2, x1: at + length / 2, at, width, clock }]
      })
      for (const b of boxes)
        if (b.x0 < -0.05 || b.x1 > shape.length + 0.05)
          out.push({
            subject: `${b.o.id}-out`,
            level: 'stop',
            title: `${b.o.name} runs off the hilt`,
            detail: `It would lie from ${formatNumber(b.x0, 1)} to ${formatNumber(b.x1, 1)} of ${formatNumber(shape.length, 1)} mm.`,
            remedy: 'Correct its place or its length.',
            refs: [`opening:${b.o.id}`],
          })
      for (let i = 0; i < boxes.length; i++)
        for (let j = i + 1; j < boxes.length; j++) {
          const [a, b] = [boxes[i]!, boxes[j]!]
          const along = Math.min(a.x1, b.x1) - Math.max(a.x0, b.x0)
          if (along <= 0 || a.width === undefined || b.width === undefined) continue
          if (a.clock === undefined || b.clock === undefined) continue
          const r = (outerAt(shape, (a.at + b.at) / 2) ?? 34) / 2
          const turn = Math.abs(((a.clock - b.clock + 540) % 360) - 180)
          const round = (a.width + b.width) / 2 - (turn * Math.PI * r) / 180
          if (round > 0)
            out.push({
              subject: `${a.o.id}-${b.o.id}`,
              level: 'stop',
              title: `${a.o.name} and ${b.o.name} run into each other`,
              detail: `They share ${mm(along)} of length and ${mm(round)} round the hilt.`,
              remedy: `Move one by ${mm(Math.min(along, round))}.`,
              refs: [`opening:${b.o.id}`, `opening:${a.o.id}`],
            })
        }
      return out
    },
  },
  {
    id: 'modelFacts',
    station: 'hilt',
    scope: 'saber',
    rule: 'What came from a model sheet is confirmed on this hilt.',
    source: 'house rule: facts know where they come from',
    run: ({ facts }) => {
      const open = facts.filter((p) => p.fact.source === 'assumed' && p.fact.with === 'model sheet')
      return open.length
        ? [
            {
              subject: 'model',
              level: 'caution' as const,
              title: `${open.length} ${open.length === 1 ? 'size comes' : 'sizes come'} from the model sheet`,
              detail: `Not confirmed on this hilt: ${[...new Set(open.map((p) => p.owner))].slice(0, 5).join(', ')}.`,
              remedy: 'Measure each one, or confirm it where it stands.',
              refs: open.flatMap((p) => (p.ref ? [p.ref] : [])).slice(0, 1),
              gate: true,
            },
          ]
        : []
    },
  },
  {
    id: 'overClosing',
    station: 'hilt',
    scope: 'saber',
    rule: 'A thread that nothing stops is locked, or leaves room for being closed too far.',
    source: 'shop practice',
    run: ({ saber }) =>
      overClosing(saber).flatMap((o): Raised[] => {
        const refs = [`section:${o.section.id}`]
        if (o.travelMm === undefined)
          return [
            {
              subject: o.section.id,
              level: 'caution',
              title: `${o.section.name}: nothing stops its thread`,
              detail: 'How far it can be closed past its place is not recorded.',
              remedy: 'Measure it, add a stop, or lock the thread.',
              refs,
            },
          ]
        return o.leftMm !== undefined && o.leftMm < 0
          ? [
              {
                subject: o.section.id,
                level: 'stop',
                title: `${o.section.name} can be closed ${mm(o.travelMm)} too far`,
                detail: `The slack inside is ${mm(o.leftMm + o.travelMm)}: it presses on what lies there.`,
                remedy: `A stop or a spacer of ${mm(o.travelMm)}, or lock the thread, and tell the client when to stop.`,
                refs,
                gate: true,
              },
            ]
          : []
      }),
  },
  {
    id: 'layoutBroke',
    station: 'fit',
    scope: 'saber',
    rule: 'A chosen layout is held against every later fact.',
    source: 'layout as chosen, with its reason',
    run: ({ saber }) => {
      const r = reviewLayout(saber)
      if (!r?.changed.length) return []
      const changed = r.changed.map((c) => c.text)
      return [
        {
          subject: r.decision.id,
          level: r.broke.length ? ('stop' as const) : ('note' as const),
          title: r.broke.length ? 'The chosen layout does not hold any more' : 'The chosen layout holds after a change',
          detail: `${changed.slice(0, 3).join('; ')}${changed.length > 3 ? `; ${changed.length - 3} more` : ''}.${r.broke.length ? ` Now: ${r.broke.join('; ')}.` : ''}`,
          remedy: r.broke.length
            ? `Search again. It was chosen for: “${r.decision.why}”.`
            : 'Look it over, and choose it again to settle it.',
          refs: r.changed.map((c) => c.ref).slice(0, 3),
          gate: r.broke.length > 0,
        },
      ]
    },
  },
  {
    id: 'clamp',
    station: 'fit',
    scope: 'saber',
    rule: `A chassis held by length is ${CLAMP.least} to ${CLAMP.most} mm longer than its room.`,
    source: 'trade practice, editable',
    run: ({ saber }) => {
      const c = clampOf(saber)
      if (!c?.clamp.ok || c.changeMm === undefined || c.changeMm === 0) return []
      const v = c.clamp.value
      return [
        {
          subject: c.chassis.id,
          level: v < 0 ? ('stop' as const) : ('caution' as const),
          title:
            v < 0 ? `${c.chassis.name} is not held: ${mm(-v)} of play` : `${c.chassis.name} is clamped by ${mm(v)}`,
          detail: `Held by length it wants ${CLAMP.least} to ${CLAMP.most} mm.`,
          remedy: c.changeMm > 0 ? `Add a spacer of ${mm(c.changeMm)}.` : `Take ${mm(-c.changeMm)} off.`,
          refs: [`part:${c.chassis.id}`],
          gate: v < 0,
        },
      ]
    },
  },
  {
    id: 'grilleAir',
    station: 'fit',
    scope: 'saber',
    rule: `A speaker's face keeps ${GRILLE_AIR} mm of air before what it looks at.`,
    source: 'trade practice, editable',
    run: ({ saber }) =>
      grilleAir(saber).flatMap((a): Raised[] =>
        a.air.ok && a.air.value < GRILLE_AIR
          ? [
              {
                subject: a.speaker.id,
                level: a.air.value < 0 ? 'stop' : 'caution',
                title:
                  a.air.value < 0
                    ? `${a.speaker.name} lies ${mm(-a.air.value)} inside the ${a.before}`
                    : `${a.speaker.name} touches the ${a.before}`,
                detail: `Its face is ${mm(a.air.value)} from it; the cone moves by more than that.`,
                remedy: `Move it forward by ${mm(GRILLE_AIR - a.air.value)}, or put a ring before it.`,
                refs: [`part:${a.speaker.id}`],
              },
            ]
          : [],
      ),
  },
  {
    id: 'wires',
    station: 'fit',
    scope: 'saber',
    rule: 'The wires that pass a cut find room there: in one bundle, in two, or laid singly.',
    source: 'circle packing; leads counted from what is connected',
    run: ({ saber }) => {
      if (!saber.parts.some((p) => p.kind === 'wire')) return []
      const w = wiresBlocked(saber)
      if (!w) return []
      const n = w.gauges.reduce((a, g) => a + g.count, 0)
      return [
        {
          subject: 'wires',
          level: 'stop' as const,
          title: `${n} wires do not pass at ${formatNumber(w.slice.x, 0)} mm`,
          detail: `The largest free circle is ${mm(w.circle.r * 2)}, a bundle needs ${mm(w.bundleMm)}, and laid singly only ${w.laid.length} find room.`,
          remedy: 'Thinner wire where the current allows, a flatter board, or another order.',
          refs: w.crossing.slice(0, 1).map((c) => c.ref),
        },
      ]
    },
  },
  {
    id: 'atItsHole',
    station: 'fit',
    scope: 'saber',
    rule: 'A button stands in its hole and a port behind its hole.',
    source: 'geometry',
    run: ({ saber }) =>
      (['switch', 'chargePort'] as const).flatMap((kind) => {
        const holes = saber.hilt.openings.filter((o) => o.kind === HOLE_OF[kind])
        if (!holes.length) return []
        return saber.parts
          .filter((p) => p.kind === kind && spanOf(p) && inWall(p))
          .flatMap((p): Raised[] => {
            const s = spanOf(p)!
            const mid = (s.x0 + s.x1) / 2
            const near = holes
              .filter((o) => known(o.at) !== undefined)
              .map((o) => ({ o, off: mid - known(o.at)! }))
              .sort((a, b) => Math.abs(a.off) - Math.abs(b.off))[0]
            if (!near || Math.abs(near.off) <= 0.5) return []
            return [
              {
                subject: p.id,
                level: 'caution',
                title: `${p.name} sits ${mm(Math.abs(near.off))} beside ${near.o.name}`,
                detail: `Hole at ${formatNumber(known(near.o.at)!, 1)}, its middle at ${formatNumber(mid, 1)}.`,
                remedy: `Move it ${near.off > 0 ? 'back' : 'forward'} by ${mm(Math.abs(near.off))}, or correct the hole.`,
                refs: [`part:${p.id}`, `opening:${near.o.id}`],
              },
            ]
          })
      }),
  },
  {
    id: 'duel',
    station: 'fit',
    scope: 'saber',
    rule: 'A saber meant for duelling has nothing recorded against contact; it is a judgement with reasons, not a certificate.',
    source: 'trade practice, editable; the usual caution',
    run: ({ saber, commission }) =>
      commission.purpose !== 'duelling'
        ? []
        : saber.blades
            .filter((b) => b.use !== 'demo' && b.kind !== 'plug')
            .flatMap((b): Raised[] => {
              const j = judgeDuel(saber, b)
              if (!j.against.length) return []
              return [
                {
                  subject: b.id,
                  level: 'stop',
                  title: `${b.name}: not for contact`,
                  detail: `${j.against.join('; ')}.`,
                  remedy: 'Mend what is named, or agree with the client that it is for display.',
                  refs: [`blade:${b.id}`],
                  gate: true,
                },
              ]
            }),
  },
  {
    id: 'stringSums',
    station: 'fit',
    scope: 'saber',
    rule: 'The LEDs of a string blade are groups times LEDs in each, and that is the stated total.',
    source: 'counting',
    run: ({ saber }) =>
      saber.blades
        .filter((b) => b.kind === 'string')
        .flatMap((b): Raised[] => {
          const s = stringSums(b)
          if (s.agrees !== false || !s.total.ok) return []
          return [
            {
              subject: b.id,
              level: 'stop',
              title: `${b.name}: the LEDs do not add up`,
              detail: `${formatNumber(known(b.groups)!)} groups of ${formatNumber(known(b.ledsPerGroup)!)} are ${formatNumber(s.total.value)}, stated are ${formatNumber(known(b.ledsTotal)!)}.`,
              remedy: 'Count again, and correct the one that is wrong.',
              refs: [`blade:${b.id}`],
              gate: true,
            },
          ]
        }),
  },
  {
    id: 'bladeToDo',
    station: 'fit',
    scope: 'saber',
    rule: 'Work left on a blade is done before it ships.',
    source: 'shop practice',
    run: ({ saber }) =>
      saber.blades.flatMap((b) =>
        (b.toDo ?? [])
          .filter((t) => !t.done)
          .map((t) => ({
            subject: `${b.id}-${t.id}`,
            level: 'caution' as const,
            title: `${b.name}: ${t.text}`,
            detail: 'Not done yet.',
            remedy: 'Do it and tick it off, or take it off the list.',
            refs: [`blade:${b.id}`],
            gate: b.use === 'ship',
          })),
      ),
  },
  {
    id: 'shopping',
    station: 'fit',
    scope: 'saber',
    rule: 'What the client has to buy is said so that a shop can cut it.',
    source: 'shop practice',
    run: ({ saber }) =>
      shoppingList(saber)
        .filter((s) => s.needs.length)
        .map((s) => ({
          subject: s.blade.id,
          level: 'caution' as const,
          title: `${s.blade.name}: the client cannot order it yet`,
          detail: `Not said: ${s.needs.join(', ')}.`,
          remedy: 'Enter it under the blade.',
          refs: [`blade:${s.blade.id}`],
          gate: true,
        })),
  },
  {
    id: 'demoDiffers',
    station: 'walkthrough',
    scope: 'saber',
    rule: 'When the blade shown is not the blade shipped, the film says so.',
    source: 'shop practice',
    run: ({ saber }) =>
      demoAgainstShipped(saber)
        .filter((d) => d.differs.length)
        .filter((d) => !saber.beats.some((b) => b.covers.includes(`blade:${d.demo.id}`)))
        .map((d) => ({
          subject: d.demo.id,
          level: 'caution' as const,
          title: 'The blade on film is not the one that ships',
          detail: `${d.differs.join('; ')}.`,
          remedy: 'Say it in the script: a beat that covers the bench’s blade.',
          refs: [`blade:${d.demo.id}`],
        })),
  },
]
