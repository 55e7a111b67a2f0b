import { byId, type Commission, nameOf, partsOfRef, type Ref } from '../../../record'
import { check } from '../../check'

/** What it is to be done to, by name. */
function about(c: Commission, target: Ref): string {
  const { kind, id } = partsOfRef(target)!
  const list = kind === 'arrival' ? c.arrivals.map((a) => ({ id: a.id, name: a.what })) : []
  const saber = kind === 'saber' ? byId(c.sabers, id)?.name : undefined
  return saber ?? byId(list, id)?.name ?? c.sabers.map((s) => nameOf(s, target)).find((n) => n) ?? ''
}

export const toDos = check<{
  open: { text: string; what: string; client: boolean; person: string; due: string }
  late: { text: string; what: string; person: string; due: string }
}>({
  id: 'toDos',
  station: 'brief',
  scope: 'order',
  source: 'shop practice',
  reads: ['order.toDos', 'order.sabers', 'order.arrivals', 'order.shipped', 'today'],
  run: ({ commission, today }) =>
    commission.toDos
      .filter((t) => !t.done)
      .map((t) => {
        const what = t.about ? about(commission, t.about) : ''
        const shared = { text: t.text, what, person: t.person ?? '', due: t.due ?? '' }
        const refs = t.about ? [t.about] : []
        const late = t.due !== undefined && t.due < today && !commission.shipped
        return late
          ? {
              ...{ code: 'late' as const, subject: t.id, level: 'caution' as const, params: shared, refs },
              gate: t.blocks !== undefined,
            }
          : {
              ...{ code: 'open' as const, subject: t.id, params: { ...shared, client: t.who === 'client' }, refs },
              level: t.blocks ? ('caution' as const) : ('note' as const),
              gate: t.blocks !== undefined && t.who === 'shop',
            }
      }),
})
