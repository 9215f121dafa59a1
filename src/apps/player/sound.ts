import { TUNES } from './tunes'

/** How far ahead notes are handed to the sound card, in seconds, and how often, in milliseconds. */
const AHEAD = 2.5
const EVERY = 1000

/** Plays one tune at a time. It goes on while its window is hidden. */
export class Sound {
  private context: AudioContext | null = null
  private gain: GainNode | null = null
  private timer: ReturnType<typeof setInterval> | undefined
  private tune = 0
  /** The context's time at which the tune would have begun. */
  private began = 0
  private handed = 0

  constructor(private ended: () => void) {}

  /** Plays a tune from a second on. Browsers allow it only after the person did something. */
  play(tune: number, from: number, volume: number): void {
    this.stop()
    this.context ??= new AudioContext()
    void this.context.resume()
    this.gain = this.context.createGain()
    this.gain.connect(this.context.destination)
    this.volume(volume)
    this.tune = tune
    this.began = this.context.currentTime - from
    this.handed = from
    this.hand()
    this.timer = setInterval(() => this.hand(), EVERY)
  }

  /** Stops and returns the second it was at. */
  stop(): number {
    const at = this.position()
    clearInterval(this.timer)
    this.timer = undefined
    this.gain?.disconnect()
    this.gain = null
    return at
  }

  volume(share: number): void {
    if (this.gain) this.gain.gain.value = share * 0.3
  }

  position(): number {
    if (!this.timer || !this.context) return 0
    return Math.min(this.context.currentTime - this.began, TUNES[this.tune]?.length ?? 0)
  }

  private hand(): void {
    const { context, gain } = this
    const tune = TUNES[this.tune]
    if (!context || !gain || !tune) return
    if (context.currentTime - this.began >= tune.length) {
      this.stop()
      this.ended()
      return
    }
    const until = context.currentTime - this.began + AHEAD
    for (const { at, length, hertz } of tune.notes) {
      if (at < this.handed || at >= until) continue
      const start = this.began + at
      const voice = context.createOscillator()
      const shape = context.createGain()
      voice.type = 'triangle'
      voice.frequency.value = hertz
      shape.gain.setValueAtTime(0, start)
      shape.gain.linearRampToValueAtTime(1, start + 0.02)
      shape.gain.linearRampToValueAtTime(0, start + length)
      voice.connect(shape).connect(gain)
      voice.start(start)
      voice.stop(start + length)
    }
    this.handed = until
  }
}
