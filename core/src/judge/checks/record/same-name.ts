import { refTo } from '../../../record'
import { check } from '../../check'

/** A name as it is compared: whatever its case and the space around it. */
const plain = (name: string) => name.trim().toLowerCase()

/** Names that stand several times in a list, each with the things that bear it. */
function doubles<T>(list: readonly T[], nameOf: (x: T) => string): { name: string; all: T[] }[] {
  const by = new Map<string, T[]>()
  for (const x of list) if (plain(nameOf(x))) by.set(plain(nameOf(x)), [...(by.get(plain(nameOf(x))) ?? []), x])
  return [...by.values()].flatMap((all) => (all.length > 1 ? [{ name: nameOf(all[0]!).trim(), all }] : []))
}

interface Twice {
  name: string
  n: number
}

/** Presets and screws of a saber that bear the same name: whoever reads or hears it cannot know which is meant. */
export const sameName = check<{ presets: Twice; screws: Twice; controls: Twice }>({
  id: 'sameName',
  station: 'hilt',
  scope: 'saber',
  source: 'what is told apart has names of its own',
  reads: ['presets', 'hilt', 'inputs'],
  run: ({ saber: s }) =>
    (
      [
        { code: 'presets', kind: 'preset', subject: 'preset', list: s.presets },
        { code: 'screws', kind: 'fastener', subject: 'screw', list: s.hilt.fasteners },
        { code: 'controls', kind: 'input', subject: 'input', list: s.inputs },
      ] as const
    ).flatMap(({ code, kind, subject, list }) =>
      doubles<{ id: string; name: string }>(list, (x) => x.name).map(({ name, all }) => ({
        ...{ code, subject: `${subject}-${plain(name)}`, level: 'caution' as const },
        ...{ params: { name, n: all.length }, refs: all.map((x) => refTo(kind, x.id)) },
      })),
    ),
})

/** People who work on it, and editions of an order, that are the same. */
export const sameInOrder = check<{ people: Twice; edition: Twice & { sabers: string[] } }>({
  id: 'sameInOrder',
  station: 'brief',
  scope: 'order',
  source: 'what is told apart has names of its own',
  reads: ['order.people', 'order.sabers'],
  run: ({ commission: c }) => [
    ...doubles(c.people, (p) => p.name).map(({ name, all }) => ({
      ...{ code: 'people' as const, subject: plain(name), level: 'note' as const },
      params: { name, n: all.length },
    })),
    ...doubles(c.sabers, (s) => s.edition ?? '').map(({ name, all }) => ({
      ...{ code: 'edition' as const, subject: plain(name), level: 'caution' as const, gate: true },
      params: { name, n: all.length, sabers: all.map((s) => s.name) },
      refs: all.map((s) => refTo('saber', s.id)),
    })),
  ],
})
