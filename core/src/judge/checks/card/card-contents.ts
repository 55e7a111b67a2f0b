import { cardSpace, lastReading, presetsWithout, unusedFiles, verifyCard } from '../../../card'
import { check } from '../../check'

export const cardContents = check<{
  /** Its files take more than it has, MB. */
  full: { card: string; used: number; over: number }
  unreadable: { card: string; files: string[] }
  /** The font of a preset is not on it. */
  without: { card: string; preset: string; font: string }
  /** Files that nothing uses. */
  unused: { card: string; files: number; first: string }
  /** Changed since it was written, and nobody has said so. */
  changed: { card: string; changed: number; added: number; gone: number }
}>({
  id: 'cardContents',
  station: 'voice',
  scope: 'saber',
  source: 'the files as they were read, by length and SHA-256',
  reads: ['cards', 'fonts', 'presets', 'parts'],
  run: ({ saber }, each) =>
    each(saber.cards, (c) => {
      const last = lastReading(c)
      if (!last) return []
      const ref = `card:${c.id}` as const
      const { free, used } = cardSpace(saber, c)
      const written = c.readings.findLast((r) => r.was === 'written')
      const seen = written && last.was === 'read' ? verifyCard(written, last) : undefined
      const otherwise = seen && seen.changed.length + seen.added.length + seen.gone.length > 0
      const told = written && c.edits.some((e) => e.on >= written.on)
      const unused = c.is === 'shipped' ? unusedFiles(saber, last.files) : []
      return [
        ...(free.ok && free.value < 0
          ? [
              {
                ...{ code: 'full' as const, subject: `full-${c.id}`, level: 'stop' as const, refs: [ref], gate: true },
                params: { card: c.name, used: used.ok ? used.value : 0, over: -free.value },
              },
            ]
          : []),
        ...(last.unreadable.length
          ? [
              {
                ...{
                  code: 'unreadable' as const,
                  subject: `unreadable-${c.id}`,
                  level: 'caution' as const,
                  refs: [ref],
                },
                ...{ params: { card: c.name, files: last.unreadable }, gate: c.is === 'shipped' },
              },
            ]
          : []),
        ...(c.is === 'shipped'
          ? presetsWithout(saber, last.files).map(({ preset, font }) => ({
              ...{
                code: 'without' as const,
                subject: `without-${c.id}-${preset}`,
                level: 'caution' as const,
                gate: true,
              },
              params: { card: c.name, preset: saber.presets.find((p) => p.id === preset)!.name, font },
              refs: [`preset:${preset}` as const, ref],
            }))
          : []),
        ...(unused.length
          ? [
              {
                ...{ code: 'unused' as const, subject: `unused-${c.id}`, level: 'note' as const, refs: [ref] },
                params: { card: c.name, files: unused.length, first: unused[0]!.path },
              },
            ]
          : []),
        ...(otherwise && !told
          ? [
              {
                ...{ code: 'changed' as const, subject: `changed-${c.id}`, level: 'caution' as const, refs: [ref] },
                params: {
                  card: c.name,
                  ...{ changed: seen.changed.length, added: seen.added.length, gone: seen.gone.length },
                },
              },
            ]
          : []),
      ]
    }),
})
