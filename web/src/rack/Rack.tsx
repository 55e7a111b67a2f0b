import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react'
import { type Level, STATIONS, type Station, type StationState } from '@nubrin/core/findings'
import { drawSection } from '@nubrin/core/hilt'
import { blankSaber, type Hilt, JOBS, PURPOSES, words } from '@nubrin/core/record'
import { differenceInCalendarDays, format, parseISO } from 'date-fns'
import { useEffect, useMemo, useState } from 'react'
import { useForm } from 'react-hook-form'
import { Link, useNavigate } from 'react-router'
import { type ApiError, api } from '../api'
import { SceneView } from '../drawing/SceneView'
import { useSession } from '../store/session'
import { FileButton, Refused } from '../ui/fields'
import { Mark, STATE_WORD } from '../ui/marks'

interface Row {
  id: string
  title: string
  client: string
  job: string
  deadline: string | null
  shipped: string | null
  sabers: { id: string; name: string; job: string; hilt: Hilt }[]
  colour: string | null
  states: Record<Station, StationState>
  progress: number
  blocking: { level: Level; station: Station; title: string; saber: string | null } | null
  gate: number
}

/** Home: the shop's commissions on their pegs, the blade as far out as the work has come. */
export default function Rack() {
  const person = useSession((s) => s.person)
  const signOut = useSession((s) => s.signOut)
  const [rows, setRows] = useState<Row[]>()
  const [find, setFind] = useState('')
  const [fresh, setFresh] = useState(false)
  const [failed, setFailed] = useState('')
  const navigate = useNavigate()
  useEffect(() => {
    document.title = 'On the rack · Nubrin'
    api<{ commissions: Row[] }>('GET', '/rack')
      .then((r) =>
        setRows(
          r.commissions.sort(
            (a, b) => Number(!!a.shipped) - Number(!!b.shipped) || (a.deadline ?? '9').localeCompare(b.deadline ?? '9'),
          ),
        ),
      )
      .catch((e: Error) => setFailed(e.message))
  }, [])
  useEffect(() => {
    const key = (e: KeyboardEvent) => {
      if ((e.target as Element).closest('input,textarea,select')) return
      if (e.key === 'n') {
        e.preventDefault()
        setFresh(true)
      }
      if (e.key === 's') navigate('/shelf')
      if (e.key === '/') {
        e.preventDefault()
        document.getElementById('find')?.focus()
      }
    }
    window.addEventListener('keydown', key)
    return () => window.removeEventListener('keydown', key)
  }, [navigate])
  const list = (rows ?? []).filter((r) =>
    `${r.title} ${r.client} ${r.sabers.map((s) => s.name).join(' ')}`.toLowerCase().includes(find.toLowerCase()),
  )
  const models = list.filter((r) => r.job === 'model')
  const orders = list.filter((r) => r.job !== 'model')
  const real = (rows ?? []).filter((r) => r.job !== 'model')
  const soon = real.filter(
    (r) => !r.shipped && r.deadline && differenceInCalendarDays(parseISO(r.deadline), new Date()) <= 7,
  ).length
  return (
    <div className="min-h-screen">
      <header className="border-rule flex h-[53px] items-center gap-4 border-b px-5">
        <h1 className="text-[1.4rem]">On the rack</h1>
        <p className="text-quiet truncate">
          {person?.shop}
          {rows
            ? ` · ${real.reduce((n, r) => n + r.sabers.length, 0)} sabers on ${real.length} pegs · ${soon ? `${soon} ship within a week` : 'none ships this week'}`
            : ''}
        </p>
        <div className="ml-auto flex shrink-0 items-center gap-3">
          <button type="button" className="btn" onClick={() => setFresh(true)}>
            <span className="key">N</span> new commission
          </button>
          <Link to="/shelf" className="btn">
            <span className="key">S</span> the shelf
          </Link>
          <label className="flex items-center gap-2">
            <span className="key">/</span>
            <span className="sr-only">find</span>
            <input
              id="find"
              className="cell w-36!"
              placeholder="find"
              value={find}
              onChange={(e) => setFind(e.target.value)}
            />
          </label>
          <span className="text-quiet">{person?.name}</span>
          <button type="button" className="btn-plain btn" onClick={() => void signOut()}>
            leave
          </button>
        </div>
      </header>
      <main>
        <Refused why={failed} className="p-5" />
        {rows && !list.length ? (
          <p className="text-quiet p-5">
            {find
              ? `Nothing on the rack answers to “${find}”.`
              : 'The rack is empty. Press N to begin the first commission.'}
          </p>
        ) : null}
        <ul>
          {orders.map((r) => (
            <Peg key={r.id} row={r} />
          ))}
        </ul>
        {models.length ? (
          <section aria-label="Model sheets" className="px-5 py-3">
            <h2 className="h2">Model sheets</h2>
            <ul className="mt-1 flex flex-wrap gap-3">
              {models.map((r) => (
                <ModelSheet key={r.id} row={r} />
              ))}
            </ul>
          </section>
        ) : null}
      </main>
      {fresh ? <NewCommission rows={rows ?? []} close={() => setFresh(false)} /> : null}
    </div>
  )
}

/** A hilt kept to begin from: its drawing alone, without a blade and without progress. */
function ModelSheet({ row }: { row: Row }) {
  const scene = useMemo(() => {
    const saber = { ...blankSaber(() => 'x', '', 'install'), hilt: { ...row.sabers[0]!.hilt, sockets: [] } }
    return drawSection(saber, { width: 220, height: 44, bare: true })
  }, [row])
  return (
    <li className="bg-card border-rule border">
      <Link to={`/commission/${row.id}/hilt`} className="block px-3 py-2 hover:bg-white">
        <SceneView scene={scene} title={`${row.title}, section`} />
        <span className="font-semibold">{row.title}</span>
      </Link>
    </li>
  )
}

const BLADE_PX = 570

function Peg({ row }: { row: Row }) {
  const scene = useMemo(() => {
    const saber = { ...blankSaber(() => 'x', '', 'install'), hilt: { ...row.sabers[0]!.hilt, sockets: [] } }
    return drawSection(saber, { width: 250, height: 60, bare: true })
  }, [row])
  const end = Math.max(...scene.spots.filter((s) => s.ref.startsWith('section')).map((s) => s.x1), 40)
  const colour = row.colour ?? '#c9bfa8'
  const out = row.progress * BLADE_PX
  const next = STATIONS.find((s) => row.states[s] !== 'clear') ?? 'handoff'
  const days = row.deadline ? differenceInCalendarDays(parseISO(row.deadline), new Date()) : undefined
  return (
    <li className="border-rule border-b">
      <Link
        to={`/commission/${row.id}/${row.shipped ? 'handoff' : next}`}
        className="hover:bg-card grid grid-cols-[230px_1fr_118px] items-center gap-3 px-5 py-3"
      >
        <div className="min-w-0">
          <div className="truncate text-[1.13rem] font-semibold">{row.title}</div>
          <div className="text-quiet truncate">{row.client || 'no client yet'}</div>
          <div className="text-quiet text-[0.9rem]">
            {row.sabers.length > 1
              ? `${row.sabers.length} sabers: ${[...new Set(row.sabers.map((s) => words(s.job)))].join(', ')}`
              : words(row.job)}
          </div>
        </div>
        <div className="min-w-0">
          <div className="relative h-[64px] overflow-hidden">
            <div className="absolute top-0 left-0">
              <SceneView scene={scene} title={`${row.title}, section`} />
            </div>
            <svg
              className="absolute top-0 left-0"
              width={end + BLADE_PX + 20}
              height="64"
              role="img"
              aria-label={`${Math.round(row.progress * 100)} % done`}
            >
              <rect
                x={end + 1}
                y="21"
                width={BLADE_PX}
                height="19"
                rx="9"
                fill="none"
                stroke="#b3a88f"
                strokeDasharray="3 3"
              />
              {out > 4 ? (
                <>
                  <rect
                    x={end + 1}
                    y="22"
                    width={out}
                    height="17"
                    rx="8"
                    fill={colour}
                    opacity={row.colour ? 0.9 : 0.5}
                  />
                  <rect x={end + 1} y="27" width={Math.max(0, out - 6)} height="7" rx="3" fill="#fff" opacity="0.65" />
                </>
              ) : null}
              {STATIONS.map((s, i) => (
                <g key={s}>
                  <path
                    d={`M${end + ((i + 1) * BLADE_PX) / 10} 43v${s === next ? 9 : 5}`}
                    stroke="#1e2a2b"
                    strokeWidth={s === next ? 2 : 1}
                  />
                  {s === next && !row.shipped ? (
                    <text
                      x={end + (i * BLADE_PX) / 10 + 6}
                      y="58"
                      fontSize="12"
                      fill="#4d493d"
                      style={{ fontStretch: '84%' }}
                    >
                      {STATION_NAME[s]}, {STATE_WORD[row.states[s]]}
                    </text>
                  ) : null}
                </g>
              ))}
            </svg>
          </div>
          <div className="mt-0.5 flex items-center gap-2">
            {row.shipped ? (
              <>
                <Mark level="fine" /> <span>Handed over</span>
              </>
            ) : row.blocking ? (
              <>
                <Mark level={row.blocking.level} />
                <span className="truncate">
                  {row.blocking.saber ? `${row.blocking.saber}: ` : ''}
                  {row.blocking.title}
                </span>
                {row.gate > 1 ? <span className="text-quiet shrink-0">and {row.gate - 1} more</span> : null}
              </>
            ) : (
              <>
                <Mark level="fine" /> <span>Nothing stands against it</span>
              </>
            )}
          </div>
        </div>
        <div className="text-right font-semibold">
          {row.shipped
            ? `shipped ${format(parseISO(row.shipped), 'd MMM')}`
            : row.deadline
              ? format(parseISO(row.deadline), 'EEE d MMM')
              : 'no date'}
          {!row.shipped && days !== undefined ? (
            <div className={`font-normal ${days < 0 ? 'text-stop' : 'text-quiet'}`}>
              {days < 0 ? `${-days} days late` : days === 0 ? 'today' : `in ${days} days`}
            </div>
          ) : null}
        </div>
      </Link>
    </li>
  )
}

export const STATION_NAME: Record<Station, string> = {
  brief: 'Brief',
  hilt: 'Hilt',
  fit: 'Fit',
  power: 'Power',
  voice: 'Voice & light',
  controls: 'Controls',
  access: 'Access',
  proof: 'Proof',
  walkthrough: 'Walkthrough',
  handoff: 'Handoff',
}

function NewCommission({ rows, close }: { rows: Row[]; close: () => void }) {
  const navigate = useNavigate()
  const { register, handleSubmit, formState, setError } = useForm({
    defaultValues: { title: '', client: '', job: 'install', purpose: 'display', model: '' },
  })
  const [file, setFile] = useState('')
  const take = async (f: File, copy: boolean) => {
    const form = new FormData()
    form.append('file', f)
    try {
      const saved = await api<{ record: { id: string } }>('POST', `/import${copy ? '?as=copy' : ''}`, form)
      navigate(`/commission/${saved.record.id}/brief`)
    } catch (e) {
      const err = e as ApiError
      if (err.status === 409 && !copy) return take(f, true)
      setFile(
        `${err.message} ${err.problems
          .slice(0, 3)
          .map((p) => `${p.path}: ${p.message}${p.got ? ` (${p.got})` : ''}`)
          .join('; ')}`,
      )
    }
  }
  return (
    <Dialog open onClose={close} className="relative z-50">
      <div className="bg-ink/30 fixed inset-0" aria-hidden="true" />
      <div className="fixed inset-0 grid place-items-center p-4">
        <DialogPanel className="bg-card border-ink w-full max-w-lg border p-6">
          <DialogTitle className="text-xl font-semibold">New commission</DialogTitle>
          <form
            className="mt-3 grid grid-cols-2 gap-4"
            noValidate
            onSubmit={handleSubmit((v) =>
              api<{ record: { id: string } }>('POST', '/commissions', { ...v, model: v.model || undefined })
                .then((r) => navigate(`/commission/${r.record.id}/brief`))
                .catch((e: Error) => setError('title', { message: e.message })),
            )}
          >
            <label className="col-span-2">
              <span className="label">What is it called?</span>
              <input
                className="cell"
                {...register('title', {
                  required: 'A commission needs a name.',
                  maxLength: { value: 120, message: 'At most 120 characters.' },
                })}
              />
              {formState.errors.title ? (
                <span role="alert" className="text-stop">
                  {formState.errors.title.message}
                </span>
              ) : null}
            </label>
            <label className="col-span-2">
              <span className="label">Who is it for?</span>
              <input className="cell" list="known-clients" {...register('client')} />
              <datalist id="known-clients">
                {[...new Set(rows.map((r) => r.client).filter(Boolean))].map((c) => (
                  <option key={c} value={c} />
                ))}
              </datalist>
            </label>
            <label>
              <span className="label">What kind of job?</span>
              <select className="cell" {...register('job')}>
                {JOBS.map((j) => (
                  <option key={j} value={j}>
                    {j === 'model' ? 'model sheet' : words(j)}
                  </option>
                ))}
              </select>
            </label>
            <label>
              <span className="label">What will it be used for?</span>
              <select className="cell" {...register('purpose')}>
                {PURPOSES.map((p) => (
                  <option key={p}>{p}</option>
                ))}
              </select>
            </label>
            <label className="col-span-2">
              <span className="label">Begin from the hilt of</span>
              <select className="cell" {...register('model')}>
                <option value="">a bare bench</option>
                {[true, false].map((sheet) => (
                  <optgroup key={String(sheet)} label={sheet ? 'model sheets' : 'earlier hilts'}>
                    {rows
                      .filter((r) => (r.job === 'model') === sheet)
                      .map((r) => (
                        <option key={r.id} value={r.id}>
                          {r.title} (sizes to be confirmed)
                        </option>
                      ))}
                  </optgroup>
                ))}
              </select>
            </label>
            <div className="col-span-2 flex items-center gap-2">
              <button type="submit" className="btn btn-main" disabled={formState.isSubmitting}>
                Put it on the rack
              </button>
              <button type="button" className="btn" onClick={close}>
                Not now
              </button>
              <FileButton
                label="or take in a file"
                className="btn-plain btn ml-auto"
                accept=".json,.zip"
                onFiles={([f]) => void take(f!, false)}
              />
            </div>
            <Refused why={file} className="col-span-2" />
          </form>
        </DialogPanel>
      </div>
    </Dialog>
  )
}
