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
  rule: 'What the client has to buy is said by type and size; what the film shows is what ships; what it is not made for has its reason.',
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
  words: {
    unsaid: (p) => ({
      title: `${p.what}: the client cannot buy it yet`,
      detail: `Not said: ${p.missing.join(', ')}.`,
      remedy: 'Enter it under what goes with the saber.',
    }),
    unprotected: (p) => ({
      title: `${p.what}: protected or bare?`,
      detail: 'The client buys the cell; a bare one where a protected one belongs has no cut-off of its own.',
      remedy: 'Say that it has to be protected, or set this aside with the reason.',
    }),
    shown: (p) => ({
      title: `${p.what} is in the film and does not ship`,
      detail: 'What is seen is taken for what comes.',
      remedy: 'Ship it, leave it out of the film, or say so in the film.',
    }),
    noReason: (p) => ({
      title: `Not made for ${p.what}: why?`,
      detail: 'A limit is kept when its reason is known.',
      remedy: 'Say the reason.',
    }),
  },
})
