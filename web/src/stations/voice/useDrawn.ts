import { useQuery } from '@tanstack/react-query'
import { urlOf } from '../../data'
import { type Drawn, drawSound } from '../../workers/readSound'

/** So many stretches of a sound are drawn: two for each pixel of the widest picture of one. */
const STRETCHES = 900

/** A stored sound, drawn; kept while it is looked at and a little longer. */
export const useDrawn = (hash: string | undefined) =>
  useQuery<Drawn | null>({
    queryKey: ['drawn', hash],
    enabled: hash !== undefined,
    staleTime: Number.POSITIVE_INFINITY,
    gcTime: 60_000,
    queryFn: async () => {
      const answer = await fetch(urlOf('stored', { params: { hash } }))
      if (!answer.ok) throw new Error('The sound is not here.')
      return (await drawSound(await answer.arrayBuffer(), STRETCHES)) ?? null
    },
  })
