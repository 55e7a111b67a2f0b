import { readReadings } from '@nubrin/core/import'
import { instrumentLines, judge, takeReading } from '@nubrin/core/proof'
import { useState } from 'react'
import { freshId } from '../../data'
import { tell } from '../../kit'
import { useEditSaber, useSaber } from '../../store/commission'
import { useSession } from '../../store/session'

/** Many readings at once, as they come from a meter, a scale or a sheet. What is not understood stays, with its line. */
export function PasteReadings() {
  const saber = useSaber()
  const editSaber = useEditSaber()
  const by = useSession((s) => s.person?.name ?? 'the shop')
  const [text, setText] = useState('')
  const [wrong, setWrong] = useState<string[]>([])
  const take = () => {
    const { taken, problems } = readReadings(text, saber.tests)
    if (taken.length)
      editSaber('readings', (s) => {
        for (const r of taken) {
          const t = s.tests.find((x) => x.id === r.test)
          if (!t) continue
          takeReading(s, t.id, {
            ...{ id: freshId(), at: new Date().toISOString(), by, pass: judge(t, r.value, r.pass ?? true) },
            ...(r.value === undefined ? {} : { value: r.value }),
            ...(r.with ? { with: r.with } : {}),
          })
        }
      })
    const lines = text.split(/\r?\n/)
    setText(problems.flatMap((p) => (p.row ? [lines[p.row - 1]!] : lines)).join('\n'))
    setWrong(problems.map((p) => `line ${p.row}: ${p.got ? `“${p.got}” ` : ''}${p.message}`))
    if (taken.length) tell(`${taken.length} ${taken.length === 1 ? 'reading' : 'readings'} taken.`)
  }
  return (
    <details className="mt-3">
      <summary className="text-brass cursor-pointer">many readings at once, from a meter, a scale or a sheet</summary>
      <textarea
        className="cell mt-1 font-mono text-[0.9rem]"
        rows={4}
        aria-label="Readings, one a line"
        placeholder={'Cell voltage at rest; 4.12 V; meter\nControl: ignite; pass'}
        value={text}
        onChange={(e) => setText(e.target.value)}
      />
      {wrong.map((w) => (
        <p key={w} className="text-stop text-[0.87rem]">
          {w}
        </p>
      ))}
      <div className="mt-1 flex gap-2">
        <button type="button" className="btn" disabled={!text.trim()} onClick={take}>
          take them
        </button>
        <button
          type="button"
          className="btn"
          onClick={() => {
            const lines = instrumentLines(saber, Date.now() % 1e9)
            if (lines.length) setText([text.trim(), ...lines].filter(Boolean).join('\n'))
            else tell('Nothing is left that meter, scale or gauge can show.')
          }}
        >
          read meter, scale and gauge (simulated)
        </button>
      </div>
    </details>
  )
}
