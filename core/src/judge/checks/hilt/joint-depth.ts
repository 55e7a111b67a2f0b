import { known } from '../../../facts'
import { deepestJoint } from '../../../geometry'
import { check } from '../../check'

export const jointDepth = check<{
  deep: { section: string; next: string; engagement: number; most: number }
  thread: { section: string; engagement: number; length: number }
  wide: { section: string; inner: string; passes: number; bore: number }
}>({
  id: 'jointDepth',
  station: 'hilt',
  scope: 'saber',
  source: 'geometry',
  reads: ['hilt'],
  run: ({ saber }, each) => {
    const line = saber.hilt.sections.filter((s) => s.role !== 'quillon')
    return each(line.slice(0, -1), (s) => {
      const next = line[line.indexOf(s) + 1]!
      const { joint } = s
      const [engagement, passes, length] = [known(joint.engagement), known(joint.passes), known(joint.length)]
      const base = { level: 'stop' as const, refs: [`section:${s.id}` as const], gate: true }
      const most = deepestJoint(s, next)
      if (engagement !== undefined && engagement > most)
        return [
          {
            ...base,
            code: 'deep' as const,
            subject: s.id,
            params: { section: s.name, next: next.name, engagement, most },
          },
        ]
      if (joint.kind === 'thread' && engagement !== undefined && length !== undefined && engagement > length + 1e-9)
        return [{ ...base, code: 'thread' as const, subject: s.id, params: { section: s.name, engagement, length } }]
      const inner = joint.spigot === 'next' ? next : s
      const bore = inner.boreProfile ? undefined : known(inner.bore)
      return passes !== undefined && bore !== undefined && passes > bore + 1e-9
        ? [
            {
              ...base,
              level: 'caution' as const,
              code: 'wide' as const,
              subject: `${s.id}-wide`,
              params: { section: s.name, inner: inner.name, passes, bore },
            },
          ]
        : []
    })
  },
})
