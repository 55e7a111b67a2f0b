import { gestureText, rowOfMap } from '@nubrin/core/controls'
import { errand, type Goal, goalsOf, goalText, machineOf } from '@nubrin/core/machine'
import type { Saber } from '@nubrin/core/record'
import { say } from '@nubrin/core/words'
import { useMemo } from 'react'
import { useReader } from '../base/reader'

/** What one does first with a thing that has just been unpacked, in this order, as far as this saber has it. */
const FIRST: readonly Goal['kind'][] = ['charge', 'bladeIn']

/** The few things to do first: mind the cautions, charge it, put the blade in, light it, and how it goes out again. */
export function FirstThings({ saber, onOpen }: { saber: Saber; onOpen: (kind: Goal['kind']) => void }) {
  const reader = useReader()
  const goals = useMemo(() => {
    const { assembly, rest } = machineOf(saber)
    const all = goalsOf(saber, assembly).filter((g) => g.hands === 'client')
    return FIRST.flatMap((kind) => {
      const g = all.find((x) => x.kind === kind && errand(assembly, rest, x).ok)
      return g ? [{ kind, text: goalText(reader, g, all) }] : []
    })
  }, [saber])
  const row = (does: string) => {
    const r = saber.controls.find((x) => x.does === does && x.status !== 'unsure' && !x.presets?.length)
    return r && rowOfMap(saber, r.id)
  }
  const [on, off] = [row('ignite'), row('retract')]
  return (
    <section aria-labelledby="first" className="mt-6">
      <h2 id="first" className="border-ink border-b pb-1 text-[1.35rem]">
        {say(reader, 'page.first')}
      </h2>
      <ol className="mt-2 list-decimal pl-6 text-[1.12rem]">
        <li className="py-1">
          <button
            type="button"
            className="text-left underline decoration-dotted"
            onClick={() => document.querySelector('[id^=cautions]')?.scrollIntoView()}
          >
            {say(reader, 'page.firstRead')}
          </button>
        </li>
        {goals.map((g) => (
          <li key={g.kind} className="py-1">
            <button type="button" className="text-left underline decoration-dotted" onClick={() => onOpen(g.kind)}>
              {g.text}
            </button>
          </li>
        ))}
        {on ? (
          <li className="py-1">{say(reader, 'page.firstLight', { gesture: gestureText(reader, saber, on) })}</li>
        ) : null}
        {off ? (
          <li className="py-1">{say(reader, 'page.firstDark', { gesture: gestureText(reader, saber, off) })}</li>
        ) : null}
      </ol>
    </section>
  )
}
