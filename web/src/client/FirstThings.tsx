import { gestureText, rowOfMap } from '@nubrin/core/controls'
import { FIRST, type FrozenProcedure } from '@nubrin/core/handoff'
import type { Saber } from '@nubrin/core/record'
import { say } from '@nubrin/core/words'
import { useReader } from '../base/reader'

/** The few things to do first, in the order in which hands do them: mind the cautions, cell, charge, blade, power, light, dark, cut again. */
export function FirstThings({
  saber,
  procedures,
  onOpen,
}: {
  saber: Saber
  procedures: readonly FrozenProcedure[]
  onOpen: (p: FrozenProcedure) => void
}) {
  const reader = useReader()
  const row = (does: string) => {
    const r = saber.controls.find((x) => x.does === does && x.status !== 'unsure' && !x.presets?.length)
    return r && rowOfMap(saber, r.id)
  }
  const [on, off] = [row('ignite'), row('retract')]
  const things: { n: number; text: string; open?: FrozenProcedure }[] = [
    ...procedures.flatMap((p) => (p.first ? [{ ...p.first, open: p }] : [])),
    ...(on
      ? [{ n: FIRST.light, text: say(reader, 'page.firstLight', { gesture: gestureText(reader, saber, on) }) }]
      : []),
    ...(off
      ? [{ n: FIRST.dark, text: say(reader, 'page.firstDark', { gesture: gestureText(reader, saber, off) }) }]
      : []),
  ]
  const link = 'text-left underline decoration-dotted'
  return (
    <section aria-labelledby="first" className="mt-6">
      <h2 id="first" className="border-ink border-b pb-1 text-[1.35rem]">
        {say(reader, 'page.first')}
      </h2>
      <ol className="mt-2 list-decimal pl-6 text-[1.12rem]">
        <li className="py-1">
          <button
            type="button"
            className={link}
            onClick={() => document.querySelector('[id^=cautions]')?.scrollIntoView()}
          >
            {say(reader, 'page.firstRead')}
          </button>
        </li>
        {things
          .toSorted((a, b) => a.n - b.n)
          .map(({ n, text, open }) => (
            <li key={`${n} ${text}`} className="py-1">
              {open ? (
                <button type="button" className={link} onClick={() => onOpen(open)}>
                  {text}
                </button>
              ) : (
                text
              )}
            </li>
          ))}
      </ol>
    </section>
  )
}
