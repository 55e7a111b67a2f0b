import type { Api, GoodOf } from '@nubrin/core/api'
import type { CataloguePart } from '@nubrin/core/parts'
import { QueryClient, useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { call } from './client'

/** What was asked of the server stays known for a while; changes say what is no longer true. */
export const queries = new QueryClient({
  defaultOptions: { queries: { staleTime: 30_000, retry: 1, refetchOnWindowFocus: false } },
})

export type RackRow = GoodOf<Api['rack']>['commissions'][number]

/** The rack: what is under way by date, what has shipped behind it. Asked anew each time home is opened. */
export const useRack = () =>
  useQuery({
    queryKey: ['rack'],
    staleTime: 0,
    queryFn: async () => {
      const { commissions } = await call('rack', {})
      return commissions.sort(
        (a, b) => Number(!!a.shipped) - Number(!!b.shipped) || (a.deadline ?? '9').localeCompare(b.deadline ?? '9'),
      )
    },
  })

export const useClients = () => useQuery({ queryKey: ['clients'], queryFn: () => call('clients', {}) })

export const useCatalogue = () => useQuery({ queryKey: ['parts'], queryFn: () => call('parts', {}) })

export const useRecall = (q: string) =>
  useQuery({ queryKey: ['recall', q], queryFn: () => call('recall', { query: { q } }) })

export const useIssued = (id: string) =>
  useQuery({ queryKey: ['issued', id], queryFn: () => call('issued', { params: { id } }) })

export const useClientPage = (token: string) =>
  useQuery({
    queryKey: ['client', token],
    staleTime: Number.POSITIVE_INFINITY,
    retry: false,
    queryFn: () => call('clientPage', { params: { token } }),
  })

/** Changes of the shelf; the list is read again after each. */
export function useShelf() {
  const client = useQueryClient()
  const again = () => client.invalidateQueries({ queryKey: ['parts'] })
  return {
    keep: useMutation({
      mutationFn: ({ id, ...body }: CataloguePart) => call('keepPart', { params: { id }, body }),
      onMutate: (part: CataloguePart) =>
        client.setQueryData<CataloguePart[]>(['parts'], (list) => list?.map((r) => (r.id === part.id ? part : r))),
      onSettled: again,
    }),
    drop: useMutation({
      mutationFn: (id: string) => call('dropPart', { params: { id } }),
      onSettled: again,
    }),
    bringIn: useMutation({
      mutationFn: ({ file, good }: { file: File; good: boolean }) =>
        call('bringIn', { file, ...(good ? { query: { take: 'good' as const } } : {}) }),
      onSettled: again,
    }),
  }
}
