import { outlineOf, playable, readWav } from '@nubrin/core/voice'
import type { SoundAsk } from './readSound'

self.onmessage = ({ data }: MessageEvent<SoundAsk>) => {
  const bytes = new Uint8Array(data.bytes)
  if (data.kind === 'measure') return self.postMessage(readWav(bytes))
  const mono = playable(bytes)
  if (!mono) return self.postMessage(undefined)
  const outline = outlineOf(mono.samples, mono.rate, data.stretches)
  return self.postMessage({ outline, rate: mono.rate, samples: mono.samples }, { transfer: [mono.samples.buffer] })
}
