import { useEffect, useRef, useState } from 'react'
import type { Drawn } from '../../workers/readSound'

/** So much of either end is heard when one listens to a seam, s. */
const BESIDE = 1

/** A sound that is listened to: from where one points, or its seam over and over. `at` is where it stands, s. */
export function useAudition(sound: Drawn | null | undefined, gainDb: number) {
  const audio = useRef<AudioContext>(undefined)
  const playing = useRef<AudioBufferSourceNode>(undefined)
  const [at, setAt] = useState<number>()
  const frame = useRef(0)
  const stop = () => {
    cancelAnimationFrame(frame.current)
    const source = playing.current
    playing.current = undefined
    if (source) source.onended = null
    source?.stop()
    setAt(undefined)
  }
  useEffect(() => {
    stop()
    return stop
  }, [sound])
  useEffect(() => () => void audio.current?.close(), [])

  const start = (samples: Float32Array<ArrayBuffer>, loop: boolean, where: (passed: number) => number, from = 0) => {
    stop()
    // A page without sound stays silent.
    if (!sound || !samples.length || typeof AudioContext === 'undefined') return
    audio.current ??= new AudioContext()
    const context = audio.current
    const buffer = context.createBuffer(1, samples.length, sound.rate)
    buffer.copyToChannel(samples, 0)
    const source = context.createBufferSource()
    source.buffer = buffer
    source.loop = loop
    const gain = context.createGain()
    gain.gain.value = 10 ** (gainDb / 20)
    source.connect(gain).connect(context.destination)
    source.onended = stop
    source.start(0, from)
    playing.current = source
    const began = context.currentTime
    const tick = () => {
      setAt(where(from + context.currentTime - began))
      frame.current = requestAnimationFrame(tick)
    }
    tick()
  }
  return {
    at,
    stop,
    /** From a moment, s, to its end. */
    play: (from: number) => sound && start(sound.samples, false, (t) => t, from),
    /** The end and the beginning, over and over. */
    seam: () => {
      if (!sound) return
      const { samples, rate } = sound
      const n = Math.min(Math.round(BESIDE * rate), samples.length >> 1)
      const both = new Float32Array(2 * n)
      both.set(samples.subarray(samples.length - n))
      both.set(samples.subarray(0, n), n)
      const seconds = samples.length / rate
      start(both, true, (t) => {
        const into = t % ((2 * n) / rate)
        return into < n / rate ? seconds - n / rate + into : into - n / rate
      })
    },
  }
}
