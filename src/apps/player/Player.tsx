'use client'
import { FilePlus, Pause, Play, Shuffle, SkipBack, SkipForward } from 'lucide-react'
import { type KeyboardEvent, useRef } from 'react'
import { Tool } from '@/parts/Tool'
import { pauseOr, useTether } from '@/store/tethers'
import { useShelf } from '@/store/useShelf'
import type { AppProps } from '../contract'
import { useShownContent } from '../useContents'
import { PLAYER, type PlayerContent, SPEEDS } from './content'
import { readAudio } from './files'
import { Tunes, walked } from './Tunes'
import { clock } from './time'
import { useMediaKeys } from './useMediaKeys'
import { usePlaying } from './usePlaying'

/** How far an arrow goes, in seconds. */
const STEP = 5

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
          label="Shuffle"
          keys="X"
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
