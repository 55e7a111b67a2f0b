import { refTo } from '../../../record'
import { missingOfBoard, missingSounds, recorded } from '../../../voice'
import { check } from '../../check'

export const missingSound = check<{
  silent: { preset: string; events: string[] }
  trackless: { presets: string[] }
  board: { events: string[] }
  unrecorded: { presets: string[] }
}>({
  id: 'missingSound',
  station: 'voice',
  scope: 'saber',
  source: 'controls against the sound list',
  reads: ['presets', 'fonts', 'controls'],
  run: ({ saber }) => {
    const refs = (list: typeof saber.presets) => list.map((p) => refTo('preset', p.id))
    const missing = saber.presets.map((p) => ({ p, events: missingSounds(saber, p) }))
    const trackless = missing.filter((m) => m.events.includes('track')).map((m) => m.p)
    const unrecorded = saber.presets.filter((p) => p.font && !recorded(saber, p))
    const board = missingOfBoard(saber)
    const packs = saber.fonts.filter((f) => f.is === 'voicePack').map((f) => refTo('font', f.id))
    return [
      ...missing.flatMap(({ p, events: all }) => {
        const events = all.filter((e) => e !== 'track')
        return events.length
          ? [
              {
                ...{ code: 'silent' as const, subject: p.id, level: 'stop' as const, gate: true },
                ...{ params: { preset: p.name, events }, refs: refs([p]) },
              },
            ]
          : []
      }),
      ...(trackless.length
        ? [
            {
              ...{ code: 'trackless' as const, subject: 'tracks', level: 'note' as const },
              ...{ params: { presets: trackless.map((p) => p.name) }, refs: refs(trackless) },
              names: trackless.map((p) => p.id),
            },
          ]
        : []),
      ...(board.length
        ? [
            {
              ...{ code: 'board' as const, subject: 'board', level: 'stop' as const, gate: true },
              ...{ params: { events: board }, refs: packs, names: board },
            },
          ]
        : []),
      ...(unrecorded.length
        ? [
            {
              ...{ code: 'unrecorded' as const, subject: 'sounds', level: 'note' as const },
              ...{ params: { presets: unrecorded.map((p) => p.name) }, refs: refs(unrecorded) },
              names: unrecorded.map((p) => p.id),
            },
          ]
        : []),
    ]
  },
})
