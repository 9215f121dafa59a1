'use client'
import { Pause, Play, SkipForward } from 'lucide-react'
import { useEffect, useRef, useState } from 'react'
import { changeContent, contentOf, shownContent, useContent } from '@/store/documents'
import { report } from '@/store/reports'
import { Tool } from '@/ui/parts/Tool'
import type { AppProps } from '../contract'
import type { PlayerContent } from './manifest'
import { Sound } from './sound'
import { TUNES } from './tunes'

const FIRST: PlayerContent = { tune: 0, volume: 0.6, at: 0 }

/** A few tunes, made on the spot; they go on while one is elsewhere. */
export default function Player({ document: id }: AppProps) {
  const kept = useContent(id)
  const content = kept ? ((shownContent(kept) as PlayerContent | null) ?? FIRST) : null
  const [playing, setPlaying] = useState(false)
  const sound = useRef<Sound | null>(null)
  const position = usePosition(playing, sound)
  const now = () => (contentOf(id) as PlayerContent | null) ?? FIRST
  const keep = (change: Partial<PlayerContent>) =>
    changeContent(id, { ...now(), ...change }, 'saved')
  const play = (tune: number, from: number) => {
    sound.current ??= new Sound(() => nextTune.current())
    sound.current.play(tune, from, now().volume)
    keep({ tune, at: from })
    setPlaying(true)
  }
  const pause = () => {
    keep({ at: sound.current?.stop() ?? 0 })
    setPlaying(false)
  }
  const skip = () => play((now().tune + 1) % TUNES.length, 0)
  const nextTune = useRef(skip)
  nextTune.current = skip
  useEffect(() => () => void sound.current?.stop(), [])
  const tune = TUNES[content?.tune ?? 0]
  useEffect(() => {
    report(id, { busy: playing, ...(playing && tune && { says: `Plays ${tune.name}` }) })
  }, [id, playing, tune])
  if (!content || !tune) return null
  const at = playing ? position : content.at
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-2 p-3">
      <div className="flex items-center gap-2">
        <Tool
          label={playing ? 'Pause' : 'Play'}
          onClick={() => (playing ? pause() : play(content.tune, content.at))}
        >
          {playing ? <Pause size={18} /> : <Play size={18} />}
        </Tool>
        <Tool label="Next tune" onClick={skip}>
          <SkipForward size={16} />
        </Tool>
        <span role="status" className="min-w-0 flex-1 truncate font-semibold">
          {tune.name}
        </span>
        <span className="font-mono text-[12px] tabular-nums">
          {clock(at)} / {clock(tune.length)}
        </span>
      </div>
      <div className="h-2 border border-edge bg-ground" aria-hidden>
        <div className="h-full bg-ink" style={{ width: `${(at / tune.length) * 100}%` }} />
      </div>
      <ul aria-label="Tunes" className="min-h-0 flex-1 overflow-auto">
        {TUNES.map(({ name, length }, index) => (
          <li key={name}>
            <button
              type="button"
              aria-current={index === content.tune ? 'true' : undefined}
              className="flex w-full px-2 py-1.5 text-left hover:bg-ink/6 aria-[current]:font-semibold"
              onClick={() => play(index, 0)}
            >
              <span className="min-w-0 flex-1 truncate">{name}</span>
              <span className="font-mono text-[12px] text-soft">{clock(length)}</span>
            </button>
          </li>
        ))}
      </ul>
      <label className="flex items-center gap-2">
        Volume
        <input
          type="range"
          min={0}
          max={1}
          step={0.05}
          className="min-w-0 flex-1 accent-ink"
          value={content.volume}
          onChange={(event) => {
            const volume = Number(event.target.value)
            sound.current?.volume(volume)
            keep({ volume })
          }}
        />
      </label>
    </div>
  )
}

const clock = (seconds: number): string =>
  `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, '0')}`

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
