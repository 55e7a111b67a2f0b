import { useQuery } from '@tanstack/react-query'
import { call } from '../data'
import { FileButton, Mark } from '../kit'
import { useSession } from '../store/session'
import { Block, useDeed, Why } from './parts'

const NAMES: Record<string, string> = {
  database: 'Database',
  files: 'File storage',
  disk: 'Disk',
  backup: 'Backup',
}

/** How each part of the server is, and the last good backup. */
export function Upkeep() {
  const health = useQuery({
    queryKey: ['health'],
    queryFn: () => call('health', {}).catch((e) => e.body as never),
    staleTime: 0,
  })
  const owner = useSession((s) => s.person?.role === 'owner')
  const parts = (health.data?.parts ?? {}) as Record<string, { ok: boolean; says: string }>
  return (
    <Block
      title="Upkeep"
      action={
        owner ? (
          <a className="btn" href="/api/shop/export.zip">
            export the whole shop
          </a>
        ) : undefined
      }
    >
      <ul>
        {Object.entries(parts).map(([k, p]) => (
          <li key={k} className="border-rule flex items-center gap-2 border-b py-1.5">
            <Mark level={p.ok ? 'fine' : 'stop'} />
            <span>
              {NAMES[k] ?? k}: {p.says}
            </span>
          </li>
        ))}
      </ul>
      {owner ? <Earlier /> : null}
    </Block>
  )
}

/** Work from before this program, so that who comes back is known. */
function Earlier() {
  const { run, why } = useDeed()
  return (
    <div className="mt-3">
      <p className="text-quiet">
        Import past work from CSV, one row per commission: client, title, shipped, and if known country, contact,
        sabers, job, ordered, note.
      </p>
      <FileButton
        label="import past work"
        className="btn mt-1"
        accept=".csv,text/csv"
        onFiles={([f]) =>
          void run(() => call('takeEarlier', { file: f! }), 'Imported. It is under what was handed over.')
        }
      />
      <Why why={why} />
    </div>
  )
}
