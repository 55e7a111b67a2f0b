import type { EVENTS, Preset } from '@nubrin/core/record'

type Event = (typeof EVENTS)[number]

/** How a sound that nobody has recorded is made: shape, pitch from and to (Hz), seconds, loudness, noise instead of a tone. */
interface Voice {
  shape: OscillatorType
  from: number
  to: number
  s: number
  loud: number
  noise?: boolean
}
const VOICES: Partial<Record<Event | 'beep', Voice>> = {
  boot: { shape: 'sine', from: 320, to: 640, s: 0.4, loud: 0.15 },
  ignite: { shape: 'sawtooth', from: 60, to: 190, s: 0.5, loud: 0.22 },
  retract: { shape: 'sawtooth', from: 190, to: 45, s: 0.6, loud: 0.2 },
  clash: { shape: 'square', from: 900, to: 120, s: 0.25, loud: 0.3, noise: true },
  deflect: { shape: 'square', from: 1400, to: 300, s: 0.2, loud: 0.22, noise: true },
  lock: { shape: 'sawtooth', from: 110, to: 140, s: 0.6, loud: 0.2, noise: true },
  drag: { shape: 'sawtooth', from: 70, to: 90, s: 0.6, loud: 0.2, noise: true },
  melt: { shape: 'sawtooth', from: 80, to: 160, s: 0.8, loud: 0.2, noise: true },
  surge: { shape: 'sine', from: 200, to: 900, s: 0.7, loud: 0.2 },
  quote: { shape: 'triangle', from: 300, to: 240, s: 0.5, loud: 0.18 },
  track: { shape: 'triangle', from: 262, to: 392, s: 0.7, loud: 0.16 },
  swing: { shape: 'sine', from: 120, to: 210, s: 0.3, loud: 0.15 },
  beep: { shape: 'sine', from: 1250, to: 1250, s: 0.09, loud: 0.16 },
}

/** The sounds of a saber in play: what was recorded where there is any, else made here. */
export class Sounds {
  private context: AudioContext | undefined
  private hum: { tone: OscillatorNode; gain: GainNode } | undefined
  private readonly files = new Map<string, Promise<AudioBuffer | undefined>>()
  constructor(private readonly urlOf: (hash: string) => string) {}

  private get audio(): AudioContext | undefined {
    // A page without sound stays silent.
    if (typeof AudioContext === 'undefined') return undefined
    this.context ??= new AudioContext()
    return this.context
  }
  private volume = 0.5
  setVolume(share: number): void {
    this.volume = Math.max(0, Math.min(1, share))
    if (this.hum) this.hum.gain.gain.value = 0.05 * this.volume
  }

  /** Plays an event of a preset. */
  async play(event: Event | 'beep', preset: Preset | undefined): Promise<void> {
    const { audio } = this
    if (!audio) return
    const hash = preset?.sounds.find((s) => s.event === event && s.media)?.media
    const buffer = hash ? await this.file(audio, hash) : undefined
    if (buffer) {
      const source = audio.createBufferSource()
      source.buffer = buffer
      const gain = audio.createGain()
      gain.gain.value = this.volume
      source.connect(gain).connect(audio.destination)
      source.start()
      return
    }
    const v = VOICES[event]
    if (v) this.make(audio, v)
  }

  private file(audio: AudioContext, hash: string): Promise<AudioBuffer | undefined> {
    let got = this.files.get(hash)
    if (!got) {
      // A file that does not come or is no sound is made instead.
      got = fetch(this.urlOf(hash))
        .then((r) => (r.ok ? r.arrayBuffer() : Promise.reject(new Error(String(r.status)))))
        .then((bytes) => audio.decodeAudioData(bytes))
        .catch(() => undefined)
      this.files.set(hash, got)
    }
    return got
  }

  private make(audio: AudioContext, v: Voice): void {
    const now = audio.currentTime
    const gain = audio.createGain()
    gain.gain.setValueAtTime(v.loud * this.volume * 2, now)
    gain.gain.exponentialRampToValueAtTime(0.001, now + v.s)
    gain.connect(audio.destination)
    if (v.noise) {
      const buffer = audio.createBuffer(1, Math.ceil(audio.sampleRate * v.s), audio.sampleRate)
      const data = buffer.getChannelData(0)
      for (let i = 0; i < data.length; i++) data[i] = Math.random() * 2 - 1
      const source = audio.createBufferSource()
      source.buffer = buffer
      const filter = audio.createBiquadFilter()
      filter.type = 'bandpass'
      filter.frequency.setValueAtTime(v.from, now)
      filter.frequency.exponentialRampToValueAtTime(v.to, now + v.s)
      source.connect(filter).connect(gain)
      source.start()
      return
    }
    const tone = audio.createOscillator()
    tone.type = v.shape
    tone.frequency.setValueAtTime(v.from, now)
    tone.frequency.exponentialRampToValueAtTime(v.to, now + v.s)
    tone.connect(gain)
    tone.start()
    tone.stop(now + v.s)
  }

  /** The steady sound of a blade that is lit. */
  setHum(lit: boolean): void {
    const { audio } = this
    if (!lit || !audio) {
      this.hum?.tone.stop()
      this.hum = undefined
      return
    }
    if (this.hum) return
    const tone = audio.createOscillator()
    tone.type = 'sawtooth'
    tone.frequency.value = 58
    const gain = audio.createGain()
    gain.gain.value = 0.05 * this.volume
    const filter = audio.createBiquadFilter()
    filter.frequency.value = 240
    tone.connect(filter).connect(gain).connect(audio.destination)
    tone.start()
    this.hum = { tone, gain }
  }

  close(): void {
    this.setHum(false)
    void this.context?.close()
    this.context = undefined
  }
}
