import { proceduresOf } from '@nubrin/core/access'
import { type Beat, nameOf, type Saber, toldNoun } from '@nubrin/core/record'
import { filmPieces } from '@nubrin/core/script'
import { MAKER } from '@nubrin/core/units'
import { nounWords } from '@nubrin/core/words'
import { useMemo } from 'react'

const BY_LENGTH: readonly [most: number, size: string][] = [
  [70, '4.1rem'],
  [130, '3.3rem'],
  [210, '2.7rem'],
  [330, '2.2rem'],
]

/** One beat, as large as its words allow; what a hand does and what is to be seen, beneath. */
export function BeatWords({ saber, beat, troubles }: { saber: Saber; beat: Beat; troubles: readonly string[] }) {
  const noun = beat.show && !/^(preset|mode):/.test(beat.show) ? toldNoun(MAKER, saber, beat.show) : undefined
  const place = noun ? nounWords(MAKER, noun) : nameOf(saber, beat.show)
  // What was just said need not be read again.
  const seen = beat.expect && !beat.say.toLowerCase().includes(beat.expect.toLowerCase()) ? beat.expect : ''
  const size = BY_LENGTH.find(([most]) => beat.say.length <= most)?.[1] ?? '1.8rem'
  const hands = [place && `show ${place}`, beat.doText && `do ${beat.doText}`].filter(Boolean).join(' · ')
  return (
    <>
      <p data-testid="say" className="leading-[1.16] font-semibold text-balance" style={{ fontSize: size }}>
        {beat.say}
      </p>
      {hands ? <p className="mt-4 text-[1.55rem] text-[#e3bd78]">{hands}</p> : null}
      {beat.task ? <Acts saber={saber} beat={beat} /> : null}
      {seen ? <p className="mt-1 text-[1.55rem] text-[#a9cdb9]">then: {seen}</p> : null}
      {troubles.map((t) => (
        <p key={t} className="mt-3 border-l-4 border-[#e0786a] pl-3 text-[1.4rem] text-[#ffb4a8]">
          {t}
        </p>
      ))}
    </>
  )
}

/** What hands do while the beat is told, act by act, as it is planned; a single one is in the words already. */
function Acts({ saber, beat }: { saber: Saber; beat: Beat }) {
  const acts = useMemo(
    () => filmPieces(saber, proceduresOf(MAKER, saber)).find((p) => p.task === beat.task)?.acts ?? [],
    [saber, beat.task],
  )
  if (acts.length < 2) return null
  return (
    <ol className="mt-3 columns-2 gap-8 text-[1.25rem] text-[#e3bd78]" aria-label="With the hands">
      {acts.map((x) => (
        <li key={x.key} className="break-inside-avoid">
          {x.text}
        </li>
      ))}
    </ol>
  )
}
