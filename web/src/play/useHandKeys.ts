import type { Saber } from '@nubrin/core/record'
import { useEffect, useRef } from 'react'
import { keyOf, MOTION_KEYS, POSE_KEYS } from './keys'
import { usePlay } from './usePlay'

const isField = (e: globalThis.KeyboardEvent) =>
  e.ctrlKey ||
  e.metaKey ||
  e.altKey ||
  !!(e.target as Element).closest?.('input,textarea,select,[role=dialog],[role=listbox]')

/** The keyboard as hands: buttons are held as long as their keys are. */
export function useHandKeys(saber: Saber) {
  const inputs = useRef(saber.inputs)
  inputs.current = saber.inputs
  useEffect(() => {
    const { press, release, move, turn, pose } = usePlay.getState()
    const input = (key: string) => inputs.current.find((i, n) => i.kind === 'button' && keyOf(n).toLowerCase() === key)
    const down = (e: globalThis.KeyboardEvent) => {
      if (e.repeat || isField(e)) return
      const key = e.key.length === 1 ? e.key.toLowerCase() : e.key
      const button = input(key)
      const motion = MOTION_KEYS[key]
      const onTab = (e.target as Element).closest?.('[role=tablist],[role=radiogroup]')
      if (button) press(button.id)
      else if (motion) move(motion)
      else if (onTab) return
      else if (POSE_KEYS[key])
        pose(
          usePlay.getState().state?.pose === POSE_KEYS[key] || usePlay.getState().state?.pose === 'level'
            ? POSE_KEYS[key]
            : 'level',
        )
      else if (key === 'ArrowLeft' || key === 'ArrowRight') turn(key === 'ArrowLeft' ? -1 : 1)
      else return
      e.preventDefault()
    }
    const up = (e: globalThis.KeyboardEvent) => {
      const button = input(e.key.toLowerCase())
      if (button) release(button.id)
    }
    // Who looks away lets go.
    const away = () => {
      for (const h of usePlay.getState().state?.held ?? []) release(h.input)
    }
    window.addEventListener('keydown', down)
    window.addEventListener('keyup', up)
    window.addEventListener('blur', away)
    return () => {
      window.removeEventListener('keydown', down)
      window.removeEventListener('keyup', up)
      window.removeEventListener('blur', away)
    }
  }, [])
}
