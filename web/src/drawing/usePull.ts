import type { Scene } from '@nubrin/core/drawing'
import { type PointerEvent, useState } from 'react'
import { useBench } from '../store/commission'

/** Nearer than this it was a touch, px. */
const LEAST = 14
const BODY = /^(section|part|blade):/

/** Something that is drawn away by hand on the drawing: from where, to where, and what. */
export interface Pulling {
  ref: string
  from: [x: number, y: number]
  to: [x: number, y: number]
}

/**
 * What the maker says of a joint with the pointer: a body drawn away comes off that way; a screw drawn onto a body holds it. `at`
 * gives the pointer's place on the scene.
 */
export function usePull(at: (e: PointerEvent) => [number, number], sceneOf: () => Scene | undefined) {
  const say = useBench((b) => b.sayOfJoint)
  const light = useBench((b) => b.light)
  const [pulling, setPulling] = useState<Pulling>()
  return {
    pulling,
    begin(ref: string, e: PointerEvent) {
      const from = at(e)
      setPulling({ ref, from, to: from })
      e.currentTarget.setPointerCapture(e.pointerId)
    },
    move(e: PointerEvent) {
      if (pulling) setPulling({ ...pulling, to: at(e) })
    },
    end() {
      if (!pulling) return
      setPulling(undefined)
      const { ref, from, to } = pulling
      const [dx, dy] = [to[0] - from[0], to[1] - from[1]]
      if (Math.hypot(dx, dy) < LEAST) {
        light(ref)
        return
      }
      if (BODY.test(ref))
        say({ body: ref as never, towards: Math.abs(dy) > Math.abs(dx) ? 'aside' : dx < 0 ? 'pommel' : 'emitter' })
      else if (ref.startsWith('fastener:')) {
        const under = (sceneOf()?.spots ?? [])
          .filter((s) => BODY.test(s.ref) && to[0] >= s.x0 && to[0] <= s.x1 && to[1] >= s.y0 && to[1] <= s.y1)
          .sort((p, q) => (p.x1 - p.x0) * (p.y1 - p.y0) - (q.x1 - q.x0) * (q.y1 - q.y0))
        if (under.length) say({ onto: under.map((s) => s.ref as never), screw: ref.slice(9) })
      }
    },
  }
}
