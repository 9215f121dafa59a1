import type { AudioFileContent } from './content'
import { playedFrom } from './files'
import type { Tune } from './tunes'

/** Something to listen to: notes that are made on the spot, or a file. */
export type Track = Tune | AudioFileContent

/** Plays one thing at a time. It goes on while its window is hidden. */
export class Sound {
  private source: Source | null = null
  private track: Track | null = null

  constructor(private ended: () => void) {}

  /** Plays from a second on. Browsers allow it only after the person did something. */
  play(track: Track, from: number, volume: number, speed: number): void {
    if (track !== this.track) {
      this.close()
      this.track = track
      this.source =
        'notes' in track ? new Notes(track, this.ended) : new AudioFile(track, this.ended)
    }
    this.source?.play(from)
    this.volume(volume)
    this.speed(speed)
  }

  /** Stops and returns the second it was at. */
  stop = (): number => this.source?.stop() ?? 0

  volume = (share: number): void => this.source?.volume(share)

  /** Tunes made on the spot have one of their own. */
  speed = (times: number): void => this.source?.speed?.(times)

  position = (): number => this.source?.position() ?? 0

  /** Nothing of it is held on to. */
  close(): void {
    this.source?.stop()
    this.source?.close()
    this.source = null
    this.track = null
  }
}

interface Source {
  play(from: number): void
  stop(): number
  volume(share: number): void
  speed?(times: number): void
  position(): number
  close(): void
}

/** A file, played by the browser. */
class AudioFile implements Source {
  private audio = new Audio()

  constructor({ data }: AudioFileContent, ended: () => void) {
    this.audio.src = playedFrom(data)
    this.audio.onended = ended
  }

  play(from: number): void {
    this.audio.currentTime = from
    void this.audio.play()
  }

  stop(): number {
    this.audio.pause()
    return this.audio.currentTime
  }

  volume(share: number): void {
    this.audio.volume = share
  }

  speed(times: number): void {
    this.audio.playbackRate = times
  }

  position = (): number => this.audio.currentTime

  close(): void {
    URL.revokeObjectURL(this.audio.src)
    this.audio.removeAttribute('src')
  }
}

/** How far ahead notes are handed to the sound card, in seconds, and how often, in milliseconds. */
const AHEAD = 2.5
const EVERY = 1000

/** A tune, its notes handed to the sound card one after the other. */
class Notes implements Source {
  private context = new AudioContext()
  private gain: GainNode | null = null
  private timer: ReturnType<typeof setInterval> | undefined
  /** The context's time at which the tune would have begun. */
  private began = 0
  private handed = 0

  constructor(
    private tune: Tune,
    private ended: () => void,
  ) {}

  play(from: number): void {
    this.stop()
    void this.context.resume()
    this.gain = this.context.createGain()
    this.gain.connect(this.context.destination)
    this.began = this.context.currentTime - from
    this.handed = from
    this.hand()
    this.timer = setInterval(() => this.hand(), EVERY)
  }

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
    return this.timer ? Math.min(this.context.currentTime - this.began, this.tune.length) : 0
  }

  close(): void {
    void this.context.close()
  }

  private hand(): void {
    const { context, gain, tune } = this
    if (!gain) return
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
