import { type Preset, type Saber, type Sound, type SoundEvent, soundsOf, tracksOf } from '@nubrin/core/record'
import { gainOf } from '@nubrin/core/voice'

/** How a sound that nobody has recorded is made: shape, pitch from and to (Hz), seconds, loudness, noise instead of a tone. */
interface Voice {
  shape: OscillatorType
  from: number
  to: number
  s: number
  loud: number
  noise?: boolean
}
const VOICES: Partial<Record<SoundEvent, Voice>> = {
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

/** What the gain of a sound's font makes of it. */
const loudnessOf = (saber: Saber, sound: Sound): number => {
  const font = saber.fonts.find((f) => f.sounds.includes(sound))
  return font ? 10 ** (gainOf(font) / 20) : 1
}

/** The sounds of a saber in play: what was recorded where there is any, else made here. */
export class Sounds {
  private context: AudioContext | undefined
  private hum: { of: string; stop: () => void; gain: GainNode; loud: number } | undefined
  private readonly turns = new Map<string, number>()
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
    if (this.hum) this.hum.gain.gain.value = this.hum.loud * this.volume
  }

  /** Plays an event of a preset, with the gain of its font; where it has several sounds for it, one after the other. `track`: which of its tracks. */
  async play(event: SoundEvent, saber: Saber | undefined, preset: Preset | undefined, track = 0): Promise<void> {
    const { audio } = this
    if (!audio) return
    const sound = saber && preset && this.pick(saber, preset, event, track)
    const buffer = sound?.media ? await this.file(audio, sound.media) : undefined
    if (sound && buffer) {
      const source = audio.createBufferSource()
      source.buffer = buffer
      const gain = audio.createGain()
      gain.gain.value = this.volume * loudnessOf(saber, sound)
      source.connect(gain).connect(audio.destination)
      source.start()
      return
    }
    const v = VOICES[event]
    if (v) this.make(audio, v)
  }

  private pick(saber: Saber, preset: Preset, event: SoundEvent, track: number): Sound | undefined {
    if (event === 'track') return tracksOf(saber, preset)[track]
    const all = soundsOf(saber, preset).filter((s) => s.event === event && s.media)
    const key = `${preset.id} ${event}`
    const turn = this.turns.get(key) ?? 0
    this.turns.set(key, turn + 1)
    return all[turn % Math.max(1, all.length)]
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

  /** The steady sound of a blade that is lit: the hum of its font in a loop, or one made here. */
  setHum(lit: boolean, saber: Saber | undefined, preset: Preset | undefined): void {
    const { audio } = this
    const of = lit && preset ? preset.id : ''
    if (this.hum?.of === of) return
    this.hum?.stop()
    this.hum = undefined
    if (!of || !audio) return
    const gain = audio.createGain()
    gain.connect(audio.destination)
    const hum = this.drone(audio, gain, of)
    const sound = saber && preset && soundsOf(saber, preset).find((s) => s.event === 'hum' && s.media)
    if (!saber || !sound?.media) return
    void this.file(audio, sound.media).then((buffer) => {
      if (!buffer || this.hum !== hum) return
      hum.stop()
      const source = audio.createBufferSource()
      source.buffer = buffer
      source.loop = true
      source.connect(gain)
      source.start()
      hum.loud = loudnessOf(saber, sound)
      gain.gain.value = hum.loud * this.volume
      hum.stop = () => source.stop()
    })
  }
  private drone(audio: AudioContext, gain: GainNode, of: string) {
    const tone = audio.createOscillator()
    tone.type = 'sawtooth'
    tone.frequency.value = 58
    const filter = audio.createBiquadFilter()
    filter.frequency.value = 240
    tone.connect(filter).connect(gain)
    tone.start()
    this.hum = { of, gain, loud: 0.05, stop: () => tone.stop() }
    gain.gain.value = this.hum.loud * this.volume
    return this.hum
  }

  close(): void {
    this.setHum(false, undefined, undefined)
    void this.context?.close()
    this.context = undefined
  }
}
