import { known } from '../../../facts'
import { byId, leadersOf, type Ref, type Saber, type Zone } from '../../../record'
import { check } from '../../check'

/** The zones in a ring of following, from one of them on; none when its leaders end. */
function ringFrom(saber: Saber, start: Zone): Zone[] {
  const way = leadersOf(saber, start)
  return way.at(-1)!.follows === start.id && known(way.at(-1)!.shines) !== 'byItself' ? way : []
}

export const zones = check<{
  ring: { zones: string[] }
  count: { zone: string; leds: number; strip: string; has: number }
  alone: { strip: string }
  unsaid: { zone: string }
  whom: { zone: string }
}>({
  id: 'zones',
  station: 'power',
  scope: 'saber',
  source: 'light zones as recorded',
  reads: ['parts', 'zones'],
  run: ({ saber }) => {
    const rings = saber.zones.map((z) => ringFrom(saber, z)).filter((r) => r.length)
    // Each ring once, told from the zone that stands first in the record.
    const own = rings.filter((r) => Math.min(...r.map((z) => saber.zones.indexOf(z))) === saber.zones.indexOf(r[0]!))
    const counts = saber.zones.flatMap((z) => {
      const strip = byId(saber.parts, z.part)
      const [leds, has] = [known(z.leds), known(strip?.specs.leds)]
      return strip && leds !== undefined && has !== undefined && leds !== has ? [{ z, strip, leds, has }] : []
    })
    // Unknown is not a light of its own.
    const unsaid = saber.zones.filter((z) => !z.follows && !z.blade && known(z.shines) === undefined)
    const whom = saber.zones.filter((z) => !z.follows && !z.blade && known(z.shines) === 'withAnother')
    const alone = saber.parts.filter((p) => p.kind === 'strip' && !saber.zones.some((z) => z.part === p.id))
    return [
      ...own.map((r) => ({
        code: 'ring' as const,
        subject: `ring-${r[0]!.id}`,
        level: 'stop' as const,
        params: { zones: r.map((z) => z.name) },
        refs: r.map((z): Ref => `zone:${z.id}`),
        gate: true,
      })),
      ...counts.map(({ z, strip, leds, has }) => ({
        code: 'count' as const,
        subject: `count-${z.id}`,
        level: 'caution' as const,
        params: { zone: z.name, leds, strip: strip.name, has },
        refs: [`zone:${z.id}`, `part:${strip.id}`] as Ref[],
        gate: true,
      })),
      ...[...unsaid.map((z) => ['unsaid', z] as const), ...whom.map((z) => ['whom', z] as const)].map(([code, z]) => ({
        ...{ code, subject: `${code}-${z.id}`, level: 'caution' as const },
        ...{ params: { zone: z.name }, refs: [`zone:${z.id}`] as Ref[] },
      })),
      ...alone.map((p) => ({
        code: 'alone' as const,
        subject: `alone-${p.id}`,
        level: 'caution' as const,
        params: { strip: p.name },
        refs: [`part:${p.id}`] as Ref[],
      })),
    ]
  },
})
