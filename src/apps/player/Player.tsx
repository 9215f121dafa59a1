'use client'
import { FilePlus, Pause, Play, Shuffle, SkipBack, SkipForward } from 'lucide-react'
import { type KeyboardEvent, useEffect, useRef, useState } from 'react'
import { Tool } from '@/parts/Tool'
import { changeContent } from '@/store/documents/documents'
import { report } from '@/store/reports'
import { pauseOr, useTether } from '@/store/tethers'
import { useShelf } from '@/store/useShelf'
import type { AppProps } from '../contract'
import { shownNow, useShownContent } from '../useContents'
import { PLAYER, type PlayerContent, SPEEDS } from './content'
import { readAudio } from './files'
import { beside, moved, placeAfter } from './order'
import { Sound, type Track } from './sound'
import { Tunes, walked } from './Tunes'
import { clock } from './time'
import { TUNES } from './tunes'
import { useMediaKeys } from './useMediaKeys'

/** So long a tune has only just begun, in seconds. */
const BEGUN = 3

/** How far an arrow goes, in seconds. */
const STEP = 5

const tracksOf = ({ files = [] }: PlayerContent): Track[] => [...TUNES, ...files]

/** What plays, and how it is played on: heard by the tether as well, while one is elsewhere. */
function usePlaying(id: string, content: PlayerContent | undefined) {
  const shelf = useShelf()
  const [playing, setPlaying] = useState(false)
  const sound = useRef<Sound | null>(null)
  const position = usePosition(playing, sound)
  const now = () => shownNow(shelf, PLAYER, id)
  const keep = (change: Partial<PlayerContent>) =>
    changeContent(shelf, id, { ...now(), ...change }, 'saved')
  const play = (tune: number, from: number) => {
    const track = tracksOf(now())[tune]
    if (!track) return
    sound.current ??= new Sound(() => nextTune.current())
    const { volume, speed = 1 } = now()
    sound.current.play(track, from, volume, speed)
    keep({ tune, at: from })
    setPlaying(true)
  }
  const pause = () => {
    keep({ at: sound.current?.stop() ?? 0 })
    setPlaying(false)
  }
  const toggle = () => (playing ? pause() : play(now().tune, now().at))
  const skip = (by: 1 | -1 = 1) => {
    // Back begins it anew, unless it has only just begun.
    if (by < 0 && (sound.current?.position() ?? 0) > BEGUN) return play(now().tune, 0)
    play(beside(now().tune, by, tracksOf(now()).length, now().shuffle), 0)
  }
  const nextTune = useRef(() => skip())
  nextTune.current = () => skip()
  useEffect(() => () => sound.current?.close(), [])
  const tracks = content ? tracksOf(content) : []
  const track = tracks[content?.tune ?? 0] ?? tracks[0]
  useEffect(() => {
    report(shelf, id, { busy: playing, ...(playing && track && { says: `Plays ${track.name}` }) })
  }, [id, playing, track, shelf])
  const at = playing ? position : (content?.at ?? 0)
  return {
    playing,
    tracks,
    track,
    at,
    play,
    toggle,
    skip,
    seek: (to: number) => {
      const within = Math.max(0, Math.min(to, (track?.length ?? 0) - 0.1))
      if (playing) play(now().tune, within)
      else keep({ at: within })
    },
    remove: (index: number) => {
      const { tune, files = [] } = now()
      if (playing && tune === index) pause()
      const left = files.filter((_, other) => other !== index - TUNES.length)
      keep({ files: left, ...(tune >= index && { tune: tune > index ? tune - 1 : 0, at: 0 }) })
    },
    /** Puts a file at the place of another; what plays goes on. */
    move: (from: number, to: number) => {
      const { tune, files = [] } = now()
      const [a, b] = [from - TUNES.length, to - TUNES.length]
      if (a === b || !files[a] || !files[b]) return
      keep({ files: moved(files, a, b), tune: placeAfter(tune, from, to) })
    },
    add: (files: NonNullable<PlayerContent['files']>) =>
      keep({ files: [...(now().files ?? []), ...files] }),
    setShuffle: (on: boolean) => keep({ shuffle: on ? shelf.clock() : undefined }),
    setSpeed: (speed: number) => {
      sound.current?.speed(speed)
      keep({ speed })
    },
    setVolume: (volume: number) => {
      sound.current?.volume(volume)
      keep({ volume })
    },
  }
}

export type Playing = ReturnType<typeof usePlaying>

/** Tunes made on the spot and files of one's own; they go on while one is elsewhere. */
export default function Player({ document: id }: AppProps) {
  const content = useShownContent(PLAYER, id)
  const playing = usePlaying(id, content)
  const { track, at, toggle, seek, skip } = playing
  useTether(
    id,
    track
      ? {
          says: track.name,
          offered: playing.playing,
          controls: [pauseOr(playing.playing), { id: 'next', label: 'Next tune', glyph: 'next' }],
        }
      : null,
    (control) => (control === 'next' ? skip() : toggle()),
  )
  useMediaKeys(playing)
  if (!content || !track) return null
  const keys = (event: KeyboardEvent) => {
    const { key, target } = event
    if (event.altKey || event.ctrlKey || target instanceof HTMLInputElement) return
    if (key === ' ' && !(target instanceof HTMLButtonElement)) toggle()
    else if (key === 'ArrowRight') seek(at + STEP)
    else if (key === 'ArrowLeft') seek(at - STEP)
    else if (key === 'PageDown') skip()
    else if (key === 'PageUp') skip(-1)
    else if (key === 'x') playing.setShuffle(content.shuffle === undefined)
    else if (walked(event)) return
    else return
    event.preventDefault()
  }
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: keys for what the buttons do
    <div
      data-autofocus=""
      tabIndex={-1}
      className="flex min-h-0 flex-1 flex-col gap-2 p-3 outline-none"
      onKeyDown={keys}
    >
      <div className="flex items-baseline gap-2">
        <span role="status" className="min-w-0 flex-1 truncate font-semibold">
          {track.name}
        </span>
        <span className="font-mono text-[12px] tabular-nums">
          {clock(at)} / {clock(track.length)}
        </span>
      </div>
      <div className="flex items-center gap-2">
        <Tool label="Previous tune" keys="PageUp" onClick={() => skip(-1)}>
          <SkipBack size={16} />
        </Tool>
        <Tool label={playing.playing ? 'Pause' : 'Play'} onClick={toggle}>
          {playing.playing ? <Pause size={18} /> : <Play size={18} />}
        </Tool>
        <Tool label="Next tune" keys="PageDown" onClick={() => skip()}>
          <SkipForward size={16} />
        </Tool>
        <Tool
          label="Shuffle, X"
          on={content.shuffle !== undefined}
          onClick={() => playing.setShuffle(content.shuffle === undefined)}
        >
          <Shuffle size={15} />
        </Tool>
        <span className="ml-auto">
          <AddFiles onAdd={playing.add} />
        </span>
      </div>
      <input
        type="range"
        aria-label="Position"
        aria-valuetext={`${clock(at)} of ${clock(track.length)}`}
        title="← and → go 5 seconds"
        min={0}
        max={Math.floor(track.length)}
        step={1}
        className="w-full accent-ink"
        value={Math.floor(at)}
        onChange={(event) => seek(Number(event.target.value))}
      />
      <Tunes playing={playing} current={content.tune} at={at} />
      <label className="flex items-center gap-2">
        {'notes' in track ? null : (
          <select
            aria-label="Speed"
            className="field min-h-7"
            value={content.speed ?? 1}
            onChange={(event) => playing.setSpeed(Number(event.target.value))}
          >
            {SPEEDS.map((speed) => (
              <option key={speed} value={speed}>
                {speed} ×
              </option>
            ))}
          </select>
        )}
        Volume
        <input
          type="range"
          min={0}
          max={1}
          step={0.05}
          className="min-w-0 flex-1 accent-ink"
          value={content.volume}
          onChange={(event) => playing.setVolume(Number(event.target.value))}
        />
      </label>
    </div>
  )
}

/** The largest file that is added, in bytes. */
const MOST = 50 * 1024 * 1024

/** Adds files of this computer to the list. */
function AddFiles({ onAdd }: { onAdd(files: NonNullable<PlayerContent['files']>): void }) {
  const shelf = useShelf()
  const input = useRef<HTMLInputElement>(null)
  const add = async (files: File[]) => {
    const read = await Promise.allSettled(
      files.map((file) => (file.size > MOST ? Promise.reject(file) : readAudio(file))),
    )
    const bad = files.filter((_, at) => read[at]?.status === 'rejected')
    onAdd(read.flatMap((one) => (one.status === 'fulfilled' ? [one.value] : [])))
    if (bad.length)
      shelf.say(
        `Not added: ${bad.map(({ name }) => `“${name}”`).join(', ')}. This browser can’t play it, or it is larger than 50 MB.`,
        { refused: true },
      )
  }
  return (
    <>
      <Tool label="Add sound files" onClick={() => input.current?.click()}>
        <FilePlus size={15} />
      </Tool>
      <input
        ref={input}
        type="file"
        accept="audio/*"
        multiple
        hidden
        onChange={(event) => {
          void add([...(event.target.files ?? [])])
          event.target.value = ''
        }}
      />
    </>
  )
}

/** The second the tune is at, looked at once a second while it plays. */
function usePosition(playing: boolean, sound: React.RefObject<Sound | null>): number {
  const [position, setPosition] = useState(0)
  useEffect(() => {
    if (!playing) return
    const look = () => setPosition(sound.current?.position() ?? 0)
    look()
    const timer = setInterval(look, 1000)
    return () => clearInterval(timer)
  }, [playing, sound])
  return position
}
