import type { Scene } from '@nubrin/core/drawing'
import { balance } from '@nubrin/core/fit'
import type { Saber } from '@nubrin/core/record'
import { useMemo } from 'react'

/** Where the cross-section is cut. */
export const CutMark = ({ scene, at }: { scene: Scene; at: number }) => (
  <g pointerEvents="none">
    <path d={`M${scene.x(at)} 22V${scene.height - 30}`} stroke="#8a5f17" strokeWidth="1.4" strokeDasharray="10 3 2 3" />
    <path d={`M${scene.x(at) - 6} 22h12l-6 8z`} fill="#8a5f17" />
  </g>
)

/** Where the saber balances. */
export function BalanceMark({ scene, saber }: { scene: Scene; saber: Saber }) {
  const centre = useMemo(() => balance(saber).centre, [saber])
  return centre.ok ? <Balance scene={scene} at={centre.value} /> : null
}

const Balance = ({ scene, at }: { scene: Scene; at: number }) => (
  <g pointerEvents="none">
    <path d={`M${scene.x(at)} ${scene.axisY - 9}l6 9l-6 9l-6 -9z`} fill="#fbf8f1" stroke="#1e2a2b" strokeWidth="1.3" />
    <path d={`M${scene.x(at)} ${scene.axisY}m-6 0h12m-6 -9v18`} stroke="#1e2a2b" />
  </g>
)
