import type { Scene } from '@nubrin/core/drawing'

/** The length of the hilt on a scene, mm; 0 without sections. */
export const hiltLength = (scene: Scene) =>
  scene.mm(Math.max(...scene.spots.filter((s) => s.ref.startsWith('section:')).map((s) => s.x1), 0))
