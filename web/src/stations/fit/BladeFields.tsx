import { inArm, layOut } from '@nubrin/core/geometry'
import { Blade, type Saber } from '@nubrin/core/record'
import type { SizeKind, Unit } from '@nubrin/core/units'
import { FactField, type FactSchema } from '../../kit'

/** The fields of a blade that are facts. */
type FactKey = {
  [K in keyof Blade]-?: NonNullable<Blade[K]> extends { source: string; unit: Unit } ? K : never
}[keyof Blade]
const COMMON: readonly (readonly [FactKey, string, SizeKind?])[] = [
  ['outside', 'tube outside', 'tube'],
  ['wall', 'wall', 'wall'],
  ['length', 'tube length', 'bladeTube'],
  ['mass', 'mass'],
]
const OWN: Record<Blade['kind'], readonly (readonly [FactKey, string, SizeKind?])[]> = {
  pixel: [
    ['strips', 'strips'],
    ['density', 'pixels per metre'],
    ['channelCurrent', 'per channel'],
    ['idleCurrent', 'idle, per pixel'],
    ['stripResistance', 'a metre of strip'],
    ['configured', 'pixels set on the board'],
  ],
  string: [
    ['groups', 'groups'],
    ['ledsPerGroup', 'LEDs in each'],
    ['ledsTotal', 'LEDs, as stated'],
    ['groupCurrent', 'a group draws'],
    ['forwardVolts', 'forward voltage'],
  ],
  inHilt: [],
  plug: [],
}
const DATASHEET = new Set<FactKey>([
  'density',
  'channelCurrent',
  'idleCurrent',
  'groupCurrent',
  'forwardVolts',
  'stripResistance',
])

/** The figures of a blade, those of every blade and those of its kind. */
export function BladeFields({
  saber,
  blade: b,
  onEdit,
}: {
  saber: Saber
  blade: Blade
  onEdit: (run: (x: Blade) => void) => void
}) {
  const across = inArm(
    layOut(saber.hilt),
    saber.hilt.sockets.find((q) => q.id === b.socket),
  )
  return [...COMMON, ...OWN[b.kind]].map(([key, label, kind]) => (
    <FactField<Unit>
      key={key}
      field={key}
      compact
      label={label}
      {...(kind ? { kind: kind === 'bladeTube' && across ? 'armTube' : kind } : {})}
      value={b[key]}
      of={Blade.properties[key] as FactSchema<Unit>}
      {...(DATASHEET.has(key)
        ? { source: 'datasheet' as const }
        : key === 'configured'
          ? { source: 'configured' as const }
          : {})}
      onCommit={(v) => onEdit((x) => Object.assign(x, { [key]: v }))}
    />
  ))
}
