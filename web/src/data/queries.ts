import type { Api, BodyOf, GoodOf, QueryOf } from '@nubrin/core/api'
import type { CataloguePart } from '@nubrin/core/parts'
import type { Commission, Font } from '@nubrin/core/record'
import { itemAt } from '@nubrin/core/record/ops'
import type { NameRule } from '@nubrin/core/voice'
import {
  keepPreviousData,
  QueryClient,
  useInfiniteQuery,
  useMutation,
  useQuery,
  useQueryClient,
} from '@tanstack/react-query'
import { call } from './client'
import { freshId } from './local'

/** What was asked of the server stays known for a while; changes say what is no longer true. */
export const queries = new QueryClient({
  defaultOptions: { queries: { staleTime: 30_000, retry: 1, refetchOnWindowFocus: false } },
})

export type RackRow = GoodOf<Api['rack']>['commissions'][number]

type Place = NonNullable<QueryOf<Api['rack']>['place']>

/** What hangs in one place of the rack, a page at a time, by its day. Asked anew each time home is opened. */
export const useRack = (place: Place, wanted = true) =>
  useInfiniteQuery({
    queryKey: ['rack', place],
    staleTime: 0,
    enabled: wanted,
    initialPageParam: undefined as string | undefined,
    queryFn: ({ pageParam }) => call('rack', { query: { place, ...(pageParam ? { after: pageParam } : {}) } }),
    getNextPageParam: (last) => last.next ?? undefined,
  })

/** Commissions that answer to some words, asked of the server; what was found before stays until the answer is there. */
export const useFound = (q: string) =>
  useQuery({
    queryKey: ['found', q],
    enabled: q.trim().length > 0,
    placeholderData: keepPreviousData,
    queryFn: async () => (await call('rack', { query: { q: q.trim().slice(0, 120) } })).commissions,
  })

export type LeftToDo = GoodOf<Api['toDos']>[number]

/** The work that is left in the whole shop, asked anew each time its desk is opened; and one thing of it done. */
export function useLeftToDo() {
  const client = useQueryClient()
  const list = useQuery({ queryKey: ['toDos'], staleTime: 0, queryFn: () => call('toDos', {}) })
  const done = useMutation({
    mutationFn: ({ toDo: t, on, by }: { toDo: LeftToDo; on: string; by: string }) =>
      call('change', {
        params: { id: t.commission },
        body: {
          base: t.revision,
          // Its own each time: what was taken back may be done again on the same day.
          change: freshId(),
          ops: Object.entries({ done: true, doneOn: on, doneBy: by }).map(([k, value]) => ({
            op: 'set' as const,
            at: `${itemAt('/toDos', t.id)}/${k}`,
            value,
          })),
        },
      }),
    onSettled: () => client.invalidateQueries({ queryKey: ['toDos'] }),
  })
  return { list, done }
}

export type ShopPlan = GoodOf<Api['plan']>

/** What is to be done in the shop, asked anew each time one looks. */
export const usePlan = (wanted = true) =>
  useQuery({ queryKey: ['plan'], staleTime: 0, enabled: wanted, queryFn: () => call('plan', {}) })

/** Puts one commission before another, or last. The list shows it at once; what others did comes with the answer. */
export function useTurn() {
  const client = useQueryClient()
  return useMutation({
    mutationFn: (move: { id: string; before: string | null }) => call('setTurn', { body: move }),
    onMutate: ({ id, before }) => {
      client.setQueryData<ShopPlan>(['plan'], (p) => {
        if (!p) return p
        const moved = p.open.find((o) => o.id === id)
        const open = p.open.filter((o) => o.id !== id)
        const at = open.findIndex((o) => o.id === before)
        if (moved) open.splice(at < 0 ? open.length : at, 0, moved)
        return { ...p, open }
      })
    },
    onSettled: () => client.invalidateQueries({ queryKey: ['plan'] }),
  })
}

/** One commission whole, as it is on the server. */
export const useCommission = (id: string) =>
  useQuery({ queryKey: ['commission', id], staleTime: 0, queryFn: () => call('commission', { params: { id } }) })

export type Orders = GoodOf<Api['orders']>
export type OrderLine = Orders['coming'][number]
type NewLine = BodyOf<Api['order']>['lines'][number]
/** What is to be ordered and what is on its way; ordered, booked, struck out and laid aside. */
export function useOrders() {
  const client = useQueryClient()
  const list = useQuery({ queryKey: ['orders'], staleTime: 0, queryFn: () => call('orders', {}) })
  const settled = () => Promise.all(['orders', 'plan', 'parts'].map((k) => client.invalidateQueries({ queryKey: [k] })))
  const order = useMutation({
    mutationFn: (lines: NewLine[]) => call('order', { body: { lines } }),
    onSettled: settled,
  })
  const arrive = useMutation({
    mutationFn: ({ id, ...body }: { id: string } & BodyOf<Api['arrive']>) => call('arrive', { params: { id }, body }),
    onSettled: settled,
  })
  const drop = useMutation({
    mutationFn: (id: string) => call('dropOrder', { params: { id } }),
    onSettled: settled,
  })
  /** Lays parts aside for their commission. */
  const reserve = useMutation({
    mutationFn: async ({ commission, parts, on }: { commission: string; parts: readonly string[]; on: string }) => {
      const { record, revision } = await call('commission', { params: { id: commission } })
      const ops = (record as Commission).sabers.flatMap((s) =>
        s.parts
          .filter((p) => parts.includes(p.id) && !p.reservedOn)
          .map((p) => ({
            ...{ op: 'set' as const, value: on },
            at: `${itemAt(`${itemAt('/sabers', s.id)}/parts`, p.id)}/reservedOn`,
          })),
      )
      if (ops.length)
        await call('change', { params: { id: commission }, body: { base: revision, change: freshId(), ops } })
    },
    onSettled: settled,
  })
  return { list, order, arrive, drop, reserve }
}

export type Letter = GoodOf<Api['letters']>[number]
export type LetterAbout = BodyOf<Api['draftLetter']>
/** The letters of a commission; one drafted, and one put into the outbox. */
export function useLetters(id: string) {
  const client = useQueryClient()
  const list = useQuery({ queryKey: ['letters', id], staleTime: 0, queryFn: () => call('letters', { params: { id } }) })
  const draft = useMutation({
    mutationFn: (about: LetterAbout) => call('draftLetter', { params: { id }, body: about }),
  })
  const put = useMutation({
    mutationFn: (letter: BodyOf<Api['putLetter']>) => call('putLetter', { params: { id }, body: letter }),
    onSettled: () => client.invalidateQueries({ queryKey: ['letters', id] }),
  })
  return { list, draft, put }
}

export type KeptQuote = GoodOf<Api['quotes']>['quotes'][number]
export type Actual = NonNullable<GoodOf<Api['quotes']>['actual']>
/** What is offered for a commission: its versions, begun, kept and thrown away. */
export function useQuotes(id: string) {
  const client = useQueryClient()
  const key = ['quotes', id]
  const list = useQuery({ queryKey: key, staleTime: 0, queryFn: () => call('quotes', { params: { id } }) })
  const settled = () => client.invalidateQueries({ queryKey: key })
  const begin = useMutation({
    mutationFn: (from: 'record' | 'last') => call('draftQuote', { params: { id }, body: { from } }),
    onSettled: settled,
  })
  const keep = useMutation({
    mutationFn: ({ quote, base }: { quote: KeptQuote['quote']; base: number }) =>
      call('keepQuote', { params: { id, number: String(quote.number) }, body: { quote, base } }),
    onSettled: settled,
  })
  const drop = useMutation({
    mutationFn: (number: number) => call('dropQuote', { params: { id, number: String(number) } }),
    onSettled: settled,
  })
  return { list, begin, keep, drop }
}

export type Learning = GoodOf<Api['learning']>
/** What the shop knows by now; asked again while records are left to be looked through. */
export const useLearning = (row: string | undefined) =>
  useQuery({
    queryKey: ['learning', row],
    staleTime: 0,
    placeholderData: keepPreviousData,
    queryFn: () => call('learning', { query: row ? { row } : {} }),
    refetchInterval: (q) => (q.state.data?.left ? 1500 : false),
  })
/** A client of the shop, and what was noticed of how he uses his sabers. */
export function useClientCard(id: string) {
  const client = useQueryClient()
  const card = useQuery({
    queryKey: ['clientCard', id],
    staleTime: 0,
    queryFn: () => call('clientCard', { params: { id } }),
  })
  const keep = useMutation({
    mutationFn: (note: string) => call('setHabits', { params: { id }, body: { note } }),
    onSettled: () => client.invalidateQueries({ queryKey: ['clientCard', id] }),
  })
  return { card, keep }
}

/** When everybody works. */
export const useWorks = () => useQuery({ queryKey: ['works'], queryFn: () => call('works', {}) })
export type Works = GoodOf<Api['works']>[number]
export function useSetWorks() {
  const client = useQueryClient()
  return useMutation({
    mutationFn: ({ id, week, skills, off }: Works) => call('setWorks', { params: { id }, body: { week, skills, off } }),
    onSettled: () =>
      Promise.all([
        client.invalidateQueries({ queryKey: ['works'] }),
        client.invalidateQueries({ queryKey: ['plan'] }),
      ]),
  })
}

export type Running = GoodOf<Api['timer']>
/** The clock that one has running; `store/clock` starts and stops it. */
export const useTimer = () =>
  useQuery({ queryKey: ['timer'], queryFn: () => call('timer', {}), refetchInterval: 60_000 })

/** Clients whose name begins so, whatever the accents: to be asked whether it is the same person. */
export const useClientsNamed = (name: string) =>
  useQuery({
    queryKey: ['clients', name],
    enabled: name.trim().length > 1,
    placeholderData: keepPreviousData,
    queryFn: () => call('clients', { query: { name: name.trim() } }),
  })

export const useCatalogue = () => useQuery({ queryKey: ['parts'], queryFn: () => call('parts', {}) })

export const useRecall = (q: string) =>
  useQuery({ queryKey: ['recall', q], queryFn: () => call('recall', { query: { q } }) })

export const useIssued = (id: string) =>
  useQuery({ queryKey: ['issued', id], queryFn: () => call('issued', { params: { id } }) })

/** Which record a link is asked for: the one that it came with, else the newest. */
type Which = { record?: 'own' }
export const whichRecord = (asked: URLSearchParams): Which => (asked.get('record') === 'own' ? { record: 'own' } : {})
const clientPage = (token: string, query: Which) => ({
  queryKey: ['client', token, query],
  staleTime: Number.POSITIVE_INFINITY,
  retry: false,
  queryFn: () => call('clientPage', { params: { token }, query }),
})
export const useClientPage = (token: string, query: Which) => useQuery(clientPage(token, query))
/** Asks for it before anybody shows it. */
export const askClientPage = (token: string, query: Which): void => void queries.prefetchQuery(clientPage(token, query))

/** A link of the shop as it works elsewhere: under the address that clients reach, or the one this page has. */
export const publicLink = async (path: string) =>
  new URL(path, (await call('settings', {})).publicUrl || location.origin).href

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

/** The shop's library of fonts, and changes of it; the list is read again after each. */
export function useFontLibrary() {
  const client = useQueryClient()
  const onSettled = () => client.invalidateQueries({ queryKey: ['fonts'] })
  return {
    list: useQuery({ queryKey: ['fonts'], queryFn: () => call('fonts', {}) }),
    keep: useMutation({ mutationFn: (f: Font) => call('keepFont', { params: { id: f.id }, body: f }), onSettled }),
    drop: useMutation({ mutationFn: (id: string) => call('dropFont', { params: { id } }), onSettled }),
  }
}

/** The words by which files find their event. */
export function useSoundRules() {
  const client = useQueryClient()
  return {
    rules: useQuery({ queryKey: ['soundRules'], queryFn: () => call('soundRules', {}) }),
    set: useMutation({
      mutationFn: (body: NameRule[]) => call('setSoundRules', { body }),
      onSuccess: (now) => client.setQueryData(['soundRules'], now),
    }),
  }
}
