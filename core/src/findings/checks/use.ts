import { missingTasks } from '../../access/propose'
import { collisions, gestureText, traps } from '../../controls/board'
import { layOut } from '../../hilt/geometry'
import { latest, limitText, proposeTests, standing } from '../../proof/propose'
import { known } from '../../record/fact'
import { nameOf } from '../../record/lookup'
import { TASK_WORDS } from '../../record/words'
import { formatNumber } from '../../units/format'
import { uncovered } from '../../walkthrough/compose'
import { rehearse, troubleText } from '../../walkthrough/rehearse'
import { tellingsOf } from '../../walkthrough/tellings'
import type { Check, Raised } from '../finding'

/** Judgements on what the client's hands will do. */
export const controlChecks: Check[] = [
  {
    id: 'collision',
    station: 'controls',
    scope: 'saber',
    rule: 'No two controls share a state, input, gesture and pose in one preset; holds on one button are 0.4 s apart.',
    source: 'simulated board',
    run: ({ saber }) =>
      collisions(saber.controls).map((c) => ({
        subject: [c.a.id, c.b.id].sort().join('-'),
        level: 'stop' as const,
        title: c.why === 'same' ? 'Two controls collide' : 'Two holds cannot be told apart',
        detail: `${c.a.state}: “${gestureText(saber, c.a)}” is both “${c.a.says ?? c.a.does}” and “${c.b.says ?? c.b.does}”${c.why === 'holdsTooClose' ? ` at ${known(c.a.hold)} s and ${known(c.b.hold)} s` : ''}.`,
        remedy: c.why === 'same' ? 'Give one another gesture, pose or count.' : 'Move the holds at least 0.4 s apart.',
        refs: [`row:${c.a.id}`, `row:${c.b.id}`],
        gate: true,
      })),
  },
  {
    id: 'noOff',
    station: 'controls',
    scope: 'saber',
    rule: 'Every state leads back to off.',
    source: 'simulated board',
    run: ({ saber }) =>
      traps(saber.controls).map((m) => ({
        subject: m,
        level: 'stop' as const,
        title: m === 'lit' ? 'Nothing turns it off' : `No way out of ${m}`,
        detail: `No sequence of controls leads from ${m} back to off.`,
        remedy: 'Record the control that does it.',
        gate: true,
      })),
  },
  {
    id: 'noIgnite',
    station: 'controls',
    scope: 'saber',
    rule: 'A saber with a board and a light has a control that lights it.',
    source: 'simulated board',
    run: ({ saber }) =>
      saber.parts.some((p) => p.kind === 'board') && !saber.controls.some((r) => r.does === 'ignite')
        ? [
            {
              subject: 'ignite',
              level: 'caution',
              title: 'Nothing ignites it yet',
              detail: 'The control map has no row that ignites.',
              remedy: 'Record the control.',
              gate: true,
            },
          ]
        : [],
  },
  {
    id: 'holdUnknown',
    station: 'controls',
    scope: 'saber',
    rule: 'A hold has a time read off the configuration.',
    source: 'house rule: facts know where they come from',
    run: ({ saber }) =>
      saber.controls
        .filter((r) => ['hold'].includes(r.gesture) && known(r.hold) === undefined)
        .map((r) => ({
          subject: r.id,
          level: 'caution' as const,
          title: `How long is the hold for “${r.says ?? r.does}”?`,
          detail: `In ${r.state}: ${gestureText(saber, r)}.`,
          remedy: 'Read it off the board’s configuration.',
          refs: [`row:${r.id}`],
        })),
  },
  {
    id: 'manyHolds',
    station: 'controls',
    scope: 'saber',
    rule: 'One button whose hold means four things or more needs its list in writing.',
    source: 'trade practice',
    run: ({ saber }) =>
      saber.inputs.flatMap((i) => {
        const holds = new Set(saber.controls.filter((r) => r.input === i.id && r.gesture === 'hold').map((r) => r.does))
        return holds.size >= 4
          ? [
              {
                subject: i.id,
                level: 'note' as const,
                title: `Holding the ${i.name.toLowerCase()} means ${holds.size} things`,
                detail: 'They differ by state and time.',
                remedy: 'Print the controls card; show each in its own beat.',
                refs: [`input:${i.id}`],
              },
            ]
          : []
      }),
  },
  {
    id: 'unsureControl',
    station: 'controls',
    scope: 'saber',
    rule: 'A control marked "not sure" is tried before it is shown or printed.',
    source: 'shop practice',
    run: ({ saber }) =>
      saber.controls
        .filter((r) => r.status === 'unsure')
        .map((r) => ({
          subject: r.id,
          level: 'caution' as const,
          title: `Not sure: ${r.says ?? r.does}`,
          detail: gestureText(saber, r),
          remedy: 'Try it on the saber, then mark it configured or take it out.',
          refs: [`row:${r.id}`],
          gate: true,
        })),
  },
]

/** Judgements on the steps the client will follow. */
export const accessChecks: Check[] = [
  {
    id: 'noSteps',
    station: 'access',
    scope: 'saber',
    rule: 'Every task the build calls for has its steps.',
    source: 'derived from what is fitted',
    run: ({ saber }) =>
      missingTasks(saber).map((t) => ({
        subject: t,
        level: 'caution' as const,
        title: `${TASK_WORDS[t]}: no steps`,
        detail: 'The client will have to do this alone.',
        remedy: 'Draft the steps from the drawing, then try them on the saber.',
        gate: true,
      })),
  },
  {
    id: 'stepGone',
    station: 'access',
    scope: 'saber',
    rule: 'A step points to a place that exists, and never to a screw the client must leave alone.',
    source: 'screw map',
    run: ({ saber }) =>
      saber.access.flatMap((p) =>
        p.steps.flatMap((s): Raised[] => {
          if (!s.place) return []
          const name = nameOf(saber, s.place)
          if (!name)
            return [
              {
                subject: s.id,
                level: 'caution',
                title: `${TASK_WORDS[p.task]}: a step points nowhere`,
                detail: `“${s.text}”`,
                remedy: 'Choose its place again.',
                gate: true,
              },
            ]
          const f = saber.hilt.fasteners.find((q) => s.place === `fastener:${q.id}`)
          return f?.clientMay === 'never'
            ? [
                {
                  subject: s.id,
                  level: 'stop',
                  title: `${TASK_WORDS[p.task]} turns ${f.name}`,
                  detail: `The screw map says it must not be touched. “${s.text}”`,
                  remedy: 'Correct the step or the screw map.',
                  refs: [s.place],
                  gate: true,
                },
              ]
            : []
        }),
      ),
  },
  {
    id: 'retightened',
    station: 'access',
    scope: 'saber',
    rule: 'A screw loosened to put the blade in is tightened again in the same task.',
    source: 'usual caution: blade secured before swinging',
    run: ({ saber }) =>
      saber.access
        .filter((p) => p.task === 'bladeIn')
        .flatMap((p) => {
          const loosened = p.steps
            .filter((s) => s.direction === 'anticlockwise' && s.place?.startsWith('fastener:'))
            .map((s) => s.place!)
          return loosened
            .filter(
              (ref) =>
                p.steps.findLastIndex((s) => s.place === ref && s.direction === 'clockwise') <
                p.steps.findLastIndex((s) => s.place === ref && s.direction === 'anticlockwise'),
            )
            .map((ref) => ({
              subject: ref,
              level: 'stop' as const,
              title: `Put the blade in: ${nameOf(saber, ref)} is never tightened`,
              detail: 'The steps loosen it and end.',
              remedy: 'Add the tightening step and a pull check.',
              refs: [ref],
              gate: true,
            }))
        }),
  },
]

/** Judgements on tests. */
export const proofChecks: Check[] = [
  {
    id: 'untested',
    station: 'proof',
    scope: 'saber',
    rule: 'What is fitted and set up is tested once, after the last fix that touched it.',
    source: 'tests proposed from the record',
    run: (ctx) => {
      const { saber, commission } = ctx
      const out: Raised[] = []
      const have = new Set(saber.tests.map((t) => t.key))
      const proposed = proposeTests(commission, saber).filter((p) => !have.has(p.key))
      if (proposed.length)
        out.push({
          subject: 'proposed',
          level: 'caution',
          title: `${proposed.length} ${proposed.length === 1 ? 'test is' : 'tests are'} proposed and not taken up`,
          detail:
            proposed
              .slice(0, 4)
              .map((p) => p.what)
              .join('; ') + (proposed.length > 4 ? '…' : ''),
          remedy: 'Take them up under Proof.',
        })
      const open = saber.tests.filter((t) => standing(saber, t) === 'none')
      if (open.length)
        out.push({
          subject: 'open',
          level: 'caution',
          title: `${open.length} ${open.length === 1 ? 'test has' : 'tests have'} no reading`,
          detail:
            open
              .slice(0, 4)
              .map((t) => t.what)
              .join('; ') + (open.length > 4 ? '…' : ''),
          remedy: 'Carry them out.',
          refs: open.flatMap((t) => (t.place ? [t.place] : [])).slice(0, 4),
          gate: true,
        })
      for (const t of saber.tests) {
        const s = standing(saber, t)
        const last = latest(t)
        const refs = t.place ? [t.place] : []
        if (s === 'fail')
          out.push({
            subject: t.id,
            level: 'stop',
            title: `Failed: ${t.what}`,
            detail: `${last?.value === undefined ? (last?.text ?? 'failed') : `${formatNumber(last.value)} ${t.unit ?? ''}`}; wanted ${limitText(t)}.`,
            remedy: 'Find the cause, record the fix, test again.',
            refs,
            gate: true,
          })
        if (s === 'retest')
          out.push({
            subject: t.id,
            level: 'stop',
            title: `Test again: ${t.what}`,
            detail: 'A fix came after its last reading.',
            remedy: 'Repeat the test.',
            refs,
            gate: true,
          })
      }
      return out
    },
  },
]

/** Judgements on the script and what it leaves out. */
export const tellingChecks: Check[] = [
  {
    id: 'neverTold',
    station: 'walkthrough',
    scope: 'saber',
    rule: 'What must be told is derived from what was built; a gap is closed or set aside by name.',
    source: 'coverage',
    run: ({ commission, saber }) => {
      if (!saber.beats.length) {
        const n = tellingsOf(commission, saber).filter((t) => t.must).length
        return n > 2
          ? [
              {
                subject: 'none',
                level: 'caution',
                title: 'No walkthrough yet',
                detail: `${n} things must be told.`,
                remedy: 'Compose it from the record.',
                gate: true,
              },
            ]
          : []
      }
      const gaps = uncovered(commission, saber).filter((t) => t.must)
      const off = saber.controls.filter((r) => r.does === 'retract')
      const out: Raised[] = []
      for (const r of off)
        if (gaps.some((g) => g.key === `control:${r.id}`))
          out.push({
            subject: `off-${r.id}`,
            level: 'stop',
            title: 'It never says how to turn it off',
            detail: `${gestureText(saber, r)}.`,
            remedy: 'Add the beat.',
            refs: [`row:${r.id}`],
            gate: true,
          })
      const rest = gaps.filter((g) => !off.some((r) => g.key === `control:${r.id}`))
      if (rest.length)
        out.push({
          subject: 'gaps',
          level: 'caution',
          title: `${rest.length} ${rest.length === 1 ? 'thing is' : 'things are'} not told`,
          detail:
            rest
              .slice(0, 5)
              .map((g) => g.what)
              .join('; ') + (rest.length > 5 ? '…' : ''),
          remedy: 'Add a beat, or set it aside with a reason.',
          refs: rest.flatMap((g) => (g.show ? [g.show] : [])).slice(0, 5),
          gate: true,
        })
      return out
    },
  },
  {
    id: 'rehearsal',
    station: 'walkthrough',
    scope: 'saber',
    rule: 'Every line of the script can be carried out on this saber, in this order.',
    source: 'simulated board',
    run: ({ saber }) =>
      rehearse(saber).troubles.map((t) => ({
        subject: `${t.code}-${t.beat.id}`,
        level:
          t.code === 'holdDiffers' || t.code === 'endsLit' || t.code === 'gone'
            ? ('stop' as const)
            : ('caution' as const),
        title: `Beat ${saber.beats.indexOf(t.beat) + 1}: ${t.code === 'holdDiffers' ? 'the hold is told wrong' : t.code === 'endsLit' ? 'it ends lit' : 'cannot be done here'}`,
        detail: troubleText(t),
        remedy:
          t.code === 'holdDiffers'
            ? 'Correct the words, or the board.'
            : 'Move the beat, or add the one that leads to it.',
        refs: t.beat.show ? [t.beat.show] : [],
        gate: true,
      })),
  },
]

/** Judgements on the box and the paper. */
export const handoffChecks: Check[] = [
  {
    id: 'unpacked',
    station: 'handoff',
    scope: 'order',
    rule: 'Everything on the packing list is in the box.',
    source: 'packing list',
    run: ({ commission }) => {
      const open = commission.packing.filter((p) => !p.packed)
      if (!commission.packing.length)
        return [
          {
            subject: 'empty',
            level: 'caution',
            title: 'No packing list',
            detail: 'Nothing says what goes into the box.',
            remedy: 'Draft it from the record.',
            gate: true,
          },
        ]
      return open.length
        ? [
            {
              subject: 'open',
              level: 'caution',
              title: `${open.length} not packed`,
              detail: open.map((p) => p.what).join('; '),
              remedy: 'Pack it and tick it off.',
              gate: true,
            },
          ]
        : []
    },
  },
  {
    id: 'bladesToBuy',
    station: 'handoff',
    scope: 'saber',
    rule: 'A socket without a shipped blade is told to the client.',
    source: 'shop practice',
    run: ({ saber }) =>
      saber.hilt.sockets
        .filter((k) => !saber.blades.some((b) => b.socket === k.id && b.use !== 'demo'))
        .map((k) => ({
          subject: k.id,
          level: 'caution' as const,
          title: `${k.name}: no blade ships for it`,
          detail: 'Only a bench blade, or none, is recorded.',
          remedy: 'Add the blade the client gets or must buy, with its length.',
          refs: [`socket:${k.id}`],
          gate: true,
        })),
  },
  {
    id: 'client',
    station: 'handoff',
    scope: 'order',
    rule: 'The record names its client.',
    source: 'shop practice',
    run: ({ commission }) =>
      commission.client.name.trim() || commission.job === 'model'
        ? []
        : [
            {
              subject: 'name',
              level: 'caution',
              title: 'Whose saber is this?',
              detail: 'The client’s name is empty.',
              remedy: 'Enter it under Brief.',
              gate: true,
            },
          ],
  },
  {
    id: 'hiltLength',
    station: 'handoff',
    scope: 'saber',
    rule: 'The specification states the hilt’s length.',
    source: 'handoff record',
    run: ({ saber }) =>
      saber.hilt.sections.length && !layOut(saber.hilt).complete
        ? [
            {
              subject: 'length',
              level: 'note',
              title: 'The hilt’s length will print as “not recorded”',
              detail: 'A section has no length.',
              remedy: 'Measure it.',
            },
          ]
        : [],
  },
]
