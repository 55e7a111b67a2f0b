import { check } from '../../check'

export const goesWith = check<{
  unsaid: { what: string; missing: string[] }
  unprotected: { what: string }
  shown: { what: string }
  noReason: { what: string }
}>({
  id: 'goesWith',
  station: 'handoff',
  scope: 'saber',
  source: 'shop practice',
  reads: ['items', 'notFor'],
  run: ({ saber }, each) => [
    ...each(saber.items, (x) => {
      const refs = [`item:${x.id}` as const]
      const missing = [...(x.type ? [] : ['its type']), ...(x.size ? [] : ['its size'])]
      const shared = { subject: x.id, level: 'caution' as const, refs }
      return [
        ...(x.supplied === 'notSupplied' && missing.length
          ? [{ ...shared, code: 'unsaid' as const, params: { what: x.what, missing }, gate: true }]
          : []),
        ...(x.supplied === 'notSupplied' && x.kind === 'cell' && !x.protected
          ? [{ ...shared, code: 'unprotected' as const, subject: `${x.id}-bare`, params: { what: x.what } }]
          : []),
        ...(x.shown && x.supplied !== 'shop'
          ? [{ ...shared, code: 'shown' as const, subject: `${x.id}-film`, params: { what: x.what } }]
          : []),
      ]
    }),
    ...saber.notFor
      .filter((x) => !x.why.trim())
      .map((x) => ({
        ...{ code: 'noReason' as const, subject: x.id, level: 'note' as const, params: { what: x.what } },
      })),
  ],
})
