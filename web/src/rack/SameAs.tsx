import { useClientsNamed } from '../data'

interface Choice {
  name: string
  chosen: string | undefined
  onChoose: (client: string | undefined) => void
}

/** Clients of that name whom the shop knows: a person says whether it is one of them. Nobody is taken for another by a name. */
export function SameAs({ name, chosen, onChoose }: Choice) {
  const known = useClientsNamed(name)
  const like = name.trim().length > 1 ? (known.data ?? []) : []
  if (!like.length) return null
  return (
    <fieldset aria-label="The same as?" className="mt-1 flex flex-wrap gap-2">
      {like.slice(0, 4).map((c) => (
        <button
          key={c.id}
          type="button"
          aria-pressed={chosen === c.id}
          className={`btn ${chosen === c.id ? 'btn-main' : ''}`}
          onClick={() => onChoose(chosen === c.id ? undefined : c.id)}
        >
          the same {c.name} as{' '}
          {c.commissions
            .map((x) => x.title)
            .slice(0, 2)
            .join(', ') || 'before'}
        </button>
      ))}
      <button
        type="button"
        aria-pressed={chosen === undefined}
        className={`btn ${chosen === undefined ? 'btn-main' : ''}`}
        onClick={() => onChoose(undefined)}
      >
        somebody new
      </button>
    </fieldset>
  )
}
