import {
  type BoardEvent,
  type BoardState,
  type ControlProgram,
  type HandEvent,
  isMuted,
  type Motion,
  rowOfMap,
  shines,
  USUAL_STEPS,
} from '@nubrin/core/controls'
import { known } from '@nubrin/core/facts'
import type { Saber } from '@nubrin/core/record'
import { SOUND_OF } from '@nubrin/core/voice'
import { Lights } from './lights'
import type { Sounds } from './sound'

/** What is of the moment while a saber is in hand: its clock, its light, its sound, and what a hand is about to do. */
export class Hand {
  private began = 0
  private lights: Lights | undefined
  private sounds: Sounds | undefined
  private coming: HandEvent[] = []
  private urlOf: (hash: string) => string = () => ''

  /** Seconds since it was taken. */
  now = (): number => performance.now() / 1000 - this.began

  /** Another saber: its time begins, and what sounded is still. */
  begin(urlOf: (hash: string) => string): void {
    this.began = performance.now() / 1000
    this.coming = []
    this.hush()
    this.urlOf = urlOf
  }
  light(board: ControlProgram, saber: Saber): Lights {
    this.lights = new Lights(board, saber)
    return this.lights
  }
  lay(): void {
    this.hush()
    this.lights = undefined
    this.coming = []
  }
  hush(): void {
    this.sounds?.close()
    this.sounds = undefined
  }
  /** What makes sound comes with the first wish for it. */
  async sound(wanted: () => boolean): Promise<void> {
    if (this.sounds) return
    const { Sounds } = await import('./sound')
    if (wanted()) this.sounds ??= new Sounds(this.urlOf)
  }

  /** What it will do in the time to come. */
  plan(events: readonly HandEvent[]): void {
    this.coming = [...this.coming, ...events]
  }
  /** What is due by now, once. */
  due(t: number): HandEvent[] {
    const due = this.coming.filter((e) => e.t <= t)
    if (due.length) this.coming = this.coming.filter((e) => e.t > t)
    return due
  }

  /** Light and sound of what came of an event. */
  follow(saber: Saber, board: ControlProgram, state: BoardState, happened: readonly BoardEvent[], live: boolean): void {
    this.lights?.follow(state, happened, live)
    const { sounds } = this
    if (!sounds || !live) return
    const preset = saber.presets[state.preset]
    const muted = isMuted(board, state)
    for (const h of happened) {
      const does = h.what === 'did' || h.what === 'began' ? rowOfMap(saber, h.row)?.does : undefined
      const event = does && SOUND_OF[does]
      if (event && !muted) void sounds.play(event, saber, preset, state.track)
      if (h.what === 'beep' || h.what === 'chose') void sounds.play('beep', saber, preset)
    }
    sounds.setHum(shines(saber, state.mode) && !muted, saber, preset)
    sounds.setVolume(state.volume / Math.max(1, known(saber.settings.volumeSteps) ?? USUAL_STEPS))
  }
  /** The board knows no swings and strikes of a lit blade: they sound and flash by themselves. */
  moved(saber: Saber | undefined, board: ControlProgram, state: BoardState, motion: Motion): void {
    if (!this.lights || !shines(board.map, state.mode)) return
    if (motion === 'strike') this.lights.show(state, 'clash', state.t)
    const sound = motion === 'strike' ? 'clash' : motion === 'swing' ? 'swing' : undefined
    if (sound && !isMuted(board, state)) void this.sounds?.play(sound, saber, saber?.presets[state.preset])
  }

  /** How the blade shines at this moment; nothing while none is in hand. */
  look(state: BoardState, awake: boolean) {
    if (!this.lights) return undefined
    const t = this.now()
    const look = this.lights.look(state, t)
    const preset = this.lights.shown(state)
    if (!matchMedia('(prefers-reduced-motion: reduce)').matches)
      return { look, t, awake, preset, moving: this.lights.moving(state, t) }
    // Who wants less motion sees a blade that is lit or not, in the colour of what goes on.
    const held = look.effects.findLast((e) => e.held)
    return {
      look: { colour: held?.colour ?? look.colour, extended: look.extended > 0.5 ? 1 : 0, effects: [] },
      ...{ t, awake, preset, moving: false },
    }
  }
}
