import { type Beat, nameOf, type Saber } from '@nubrin/core/record'
import { type Trouble, troubleText } from '@nubrin/core/script'

/** One beat, as large as its words allow. */
export function BeatWords({ saber, beat, trouble: bad }: { saber: Saber; beat: Beat; trouble: Trouble | undefined }) {
  const place = nameOf(saber, beat.show)
  const size = beat.say.length > 260 ? '2.1rem' : beat.say.length > 140 ? '2.7rem' : '3.4rem'
  return (
    <>
      {place ? <p className="text-[1.5rem] font-semibold text-[#e3bd78]">show: {place}</p> : null}
      <p data-testid="say" className="leading-[1.18] font-semibold" style={{ fontSize: size }}>
        {beat.say}
      </p>
      {beat.doText ? <p className="mt-3 text-[1.6rem] text-[#e3bd78]">do: {beat.doText}</p> : null}
      {beat.expect ? <p className="mt-2 text-[1.5rem] text-[#b9cdbf]">expect: {beat.expect}</p> : null}
      {bad ? (
        <p className="mt-3 border-l-4 border-[#e0786a] pl-3 text-[1.4rem] text-[#ffb4a8]">{troubleText(bad)}</p>
      ) : null}
    </>
  )
}
