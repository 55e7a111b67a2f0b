import { type Block, type FrozenProcedure, farthestOf } from '@nubrin/core/handoff'
import type { Saber } from '@nubrin/core/record'
import { say } from '@nubrin/core/words'
import { lazyView } from '../base/lazy'
import { useReader } from '../base/reader'
import { Drawing } from './Drawing'
import { FilmView } from './FilmView'
import { Lost } from './Lost'
import { TableView } from './TableView'

/** What lies apart is drawn when its chapter is opened. */
const ApartDrawing = lazyView(() => import('./ApartDrawing').then((m) => m.ApartDrawing), { lost: <Lost /> })

type Of<K extends Block['kind']> = Extract<Block, { kind: K }>

/** One block of the record as the client reads it. */
export function BlockView({
  block: b,
  sabers,
  procedures,
  lit,
  setLit,
}: {
  block: Block
  sabers: Saber[]
  procedures: readonly FrozenProcedure[]
  lit: string | undefined
  setLit: (ref: string | undefined) => void
}) {
  const saber = 'saber' in b ? sabers.find((s) => s.id === b.saber) : undefined
  switch (b.kind) {
    case 'para':
      return <p className="mt-3">{b.text}</p>
    case 'facts':
      return <Facts block={b} />
    case 'table':
      return <TableView block={b} />
    case 'steps':
      return <Steps block={b} />
    case 'caution':
      return (
        <div className="border-brassline mt-3 border-l-4 pl-3">
          <p className="font-semibold">{b.title}</p>
          <p>{b.text}</p>
        </div>
      )
    case 'drawing':
      return saber && (b.which === 'unrolled' || sabers.length > 1) ? (
        <Drawing saber={saber} which={b.which} lit={lit} />
      ) : null
    case 'apart': {
      const far = farthestOf(procedures, b.saber)
      return (
        <>
          {saber && far ? <ApartDrawing saber={saber} procedure={far} /> : null}
          <Acts steps={b.out} start={1} />
          <Acts steps={b.back} start={b.out.length + 1} />
        </>
      )
    }
    case 'film':
      return <FilmView block={b} />
    case 'script':
      return <Script block={b} lit={lit} setLit={setLit} />
  }
}

const Facts = ({ block: b }: { block: Of<'facts'> }) => (
  <dl className="mt-3">
    {b.rows.map((r) => (
      <div key={r.name} className="border-rule grid grid-cols-[42%_1fr] gap-3 border-b py-1">
        <dt className="text-quiet">{r.name}</dt>
        <dd>{r.value}</dd>
      </div>
    ))}
  </dl>
)

function Steps({ block: b }: { block: Of<'steps'> }) {
  const reader = useReader()
  const [first, turn] = [b.first ?? 1, b.turn ?? b.steps.length]
  return (
    <div className="mt-4">
      <h3 className="text-[1.1rem]">{b.title}</h3>
      {b.lead ? <p className="text-quiet mt-1">{b.lead}</p> : null}
      <StepList steps={b.steps.slice(0, turn)} start={first} />
      {turn < b.steps.length ? (
        <>
          <p className="mt-2 font-semibold">{say(reader, 'apart.back')}</p>
          <StepList steps={b.steps.slice(turn)} start={first + turn} />
        </>
      ) : null}
      {b.tail ? <p className="text-quiet mt-1">{b.tail}</p> : null}
    </div>
  )
}

function StepList({ steps, start }: { steps: Of<'steps'>['steps']; start: number }) {
  const reader = useReader()
  return (
    <ol className="mt-1 list-decimal space-y-1.5 pl-6" start={start}>
      {steps.map((s, i) => (
        <li key={`${i} ${s.text}`}>
          {s.text}
          {s.tool ? ` (${s.tool})` : ''}
          {s.place ? <span className="text-quiet"> – {s.place}</span> : null}
          {s.cue ? <span className="text-quiet block">{s.cue}</span> : null}
          {s.caution ? (
            <span className="text-brass block font-semibold">{say(reader, 'pdf.caution', { text: s.caution })}</span>
          ) : null}
        </li>
      ))}
    </ol>
  )
}

/** Acts of taking apart or putting together, numbered from a start. */
const Acts = ({ steps, start }: { steps: Of<'apart'>['out']; start: number }) =>
  steps.length ? (
    <ol className="mt-2 list-decimal space-y-1 pl-6" start={start}>
      {steps.map((s) => (
        <li key={s.text}>
          {s.text}
          {s.tool ? ` (${s.tool})` : ''}
        </li>
      ))}
    </ol>
  ) : null

const Script = ({
  block: b,
  lit,
  setLit,
}: {
  block: Of<'script'>
  lit: string | undefined
  setLit: (ref: string | undefined) => void
}) => (
  <ol className="mt-3 space-y-1">
    {b.beats.map((t) => (
      <li key={t.n}>
        <button
          type="button"
          className={`flex w-full gap-3 py-1.5 text-left ${lit && lit === t.ref ? 'bg-card' : ''}`}
          onClick={() => setLit(t.ref)}
        >
          <span className="text-brass w-7 shrink-0 text-right font-semibold">{t.n}</span>
          <span>{t.say}</span>
        </button>
      </li>
    ))}
  </ol>
)
