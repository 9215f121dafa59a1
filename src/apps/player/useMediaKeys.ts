import { useEffect, useRef } from 'react'

/** What the keyboard’s keys for media do. */
interface Played {
  playing: boolean
  track: { name: string } | undefined
  toggle(): void
  skip(by?: 1 | -1): void
}

/** The keys for media, and what the machine shows beside them, belong to what plays or played last. */
export function useMediaKeys(played: Played): void {
  const latest = useRef(played)
  latest.current = played
  const { playing, track } = played
  const name = track?.name
  useEffect(() => {
    const session = navigator.mediaSession
    if (!playing || !session) return
    session.metadata = new MediaMetadata({ title: name ?? '', artist: 'Kite Shelf' })
    session.playbackState = 'playing'
    session.setActionHandler('play', () => latest.current.toggle())
    session.setActionHandler('pause', () => latest.current.toggle())
    session.setActionHandler('nexttrack', () => latest.current.skip(1))
    session.setActionHandler('previoustrack', () => latest.current.skip(-1))
    return () => {
      session.playbackState = 'paused'
    }
  }, [playing, name])
}
