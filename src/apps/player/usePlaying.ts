import { useEffect, useRef, useState } from 'react'
import { changeContent } from '@/store/documents/documents'
import { report } from '@/store/reports'
import { useShelf } from '@/store/useShelf'
import { shownNow } from '../useContents'
import { PLAYER, type PlayerContent } from './content'
import { beside, moved, placeAfter } from './order'
import { Sound, type Track } from './sound'
import { TUNES } from './tunes'

/** So long a tune has only just begun, in seconds. */
const BEGUN = 3

const tracksOf = ({ files = [] }: PlayerContent): Track[] => [...TUNES, ...files]

/** What plays, and how it is played on: heard by the tether as well, while one is elsewhere. */
export function usePlaying(id: string, content: PlayerContent | undefined) {
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
