import type { AnyFact, Fact } from '@nubrin/core/facts'
import {
  choicesAt,
  isNumberPlace,
  keyWords,
  OPEN_BECAUSE,
  type OpenBecause,
  type OpenFact,
  openFacts,
  schemaAt,
} from '@nubrin/core/record'
import { writeAt } from '@nubrin/core/record/ops'
import type { Unit } from '@nubrin/core/units'
import { type KeyboardEvent, useMemo, useRef } from 'react'
import { ChoiceFactField, ColourFactField, Empty, FactField, type FactSchema, TextFactField } from '../../kit'
import { useBench, useEdit, useLight, useOrder } from '../../store/commission'

const HEAD: Record<OpenBecause, string> = {
  contradicted: 'Contradictions: which is right?',
  unknown: 'Not recorded',
  recalled: 'From memory',
  believed: 'Believed, not checked',
  client: 'Said by the client',
  assumed: 'Assumed',
}

/**
 * Every fact of the order that is not settled, on one page. Enter states a value and goes on to the next, so that a pile of
 * them is worked off with the calliper in one hand.
 */
export function FactsDesk() {
  const order = useOrder()
  const open = useMemo(() => openFacts(order), [order])
  const page = useRef<HTMLDivElement>(null)
  const onward = (e: KeyboardEvent) => {
    const row = (e.target as HTMLElement).closest('[data-fact]')
    if (e.key !== 'Enter' || !row || !(e.target instanceof HTMLInputElement)) return
    const rows = [...(page.current?.querySelectorAll('[data-fact]') ?? [])]
    const next = rows[rows.indexOf(row) + 1]?.getAttribute('data-fact')
    // After what was stated is drawn; where it made a contradiction, that is asked first and keeps the focus.
    requestAnimationFrame(() => {
      if (document.activeElement !== e.target && document.activeElement?.closest('fieldset')) return
      page.current?.querySelector<HTMLInputElement>(`[data-fact="${next}"] input`)?.focus()
    })
  }
  if (!open.length)
    return (
      <Empty title="Every fact is settled">
        Everything is measured, read, configured or calculated. Anything in doubt or missing appears here.
      </Empty>
    )
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: only passes the focus on, after the field has done its own
    <div ref={page} className="space-y-5" onKeyDown={onward}>
      <p className="text-quiet -mb-2">Enter confirms the value as measured or read and moves to the next.</p>
      {OPEN_BECAUSE.map((because) => {
        const here = open.filter((f) => f.because === because)
        return here.length ? (
          <section key={because} aria-label={HEAD[because]}>
            <h2 className="h2 mb-1">
              {HEAD[because]} <span className="text-quiet font-normal">{here.length}</span>
            </h2>
            <div className="grid grid-cols-[repeat(auto-fill,minmax(215px,1fr))] gap-x-5 gap-y-2">
              {here.map((f) => (
                <Open key={`${f.saber} ${f.path}`} place={f} several={order.sabers.length > 1} />
              ))}
            </div>
          </section>
        ) : null
      })}
    </div>
  )
}

/** One of them: whose it is, and the field to state it in. The drawing shows the place. */
function Open({ place: f, several }: { place: OpenFact; several: boolean }) {
  const order = useOrder()
  const edit = useEdit()
  const light = useLight()
  const choose = useBench((b) => b.chooseSaber)
  const put = (next: AnyFact<unknown>) =>
    edit('state a fact', (d) => {
      const s = d.sabers.find((x) => x.id === f.saber)
      if (s) writeAt<AnyFact<unknown>>(s, f.path, () => next)
    })
  const whose = several ? `${order.sabers.find((s) => s.id === f.saber)?.name}: ${f.owner}` : f.owner
  const shared = { label: keyWords(f.field), onCommit: put }
  const choices = choicesAt(f.path)
  const kind = schemaAt(f.path)?.['x-fact']
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: only shows on the drawing what the field inside is about
    <div
      data-fact={`${f.saber} ${f.path}`}
      onFocus={() => {
        choose(f.saber)
        light(f.ref)
      }}
    >
      <div className="truncate font-medium">{whose}</div>
      {isNumberPlace(f) ? (
        <FactField<Unit>
          {...shared}
          confirms
          value={f.fact as Fact<Unit>}
          of={schemaAt(f.path) as unknown as FactSchema<Unit>}
        />
      ) : choices.length ? (
        <ChoiceFactField {...shared} value={f.fact as AnyFact<string>} options={choices} words={keyWords} />
      ) : kind === 'colour' ? (
        <ColourFactField {...shared} value={f.fact as AnyFact<string>} />
      ) : (
        <TextFactField {...shared} confirms value={f.fact as AnyFact<string>} source="read" />
      )}
    </div>
  )
}
