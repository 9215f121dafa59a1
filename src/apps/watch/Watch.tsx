'use client'
import { Eye, RefreshCw, Square } from 'lucide-react'
import { useEffect, useRef, useState } from 'react'
import { counted } from '@/core/text/counted'
import { Tool } from '@/parts/Tool'
import { changeContent } from '@/store/documents/documents'
import { report } from '@/store/reports'
import { useSeen } from '@/store/seen'
import { useTether } from '@/store/tethers'
import { useShelf } from '@/store/useShelf'
import type { AppProps } from '../contract'
import { useShownContent } from '../useContents'
import { WATCH, type WatchContent } from './content'
import { Part } from './Part'
import { useCapture } from './useCapture'
import { useWatching } from './useWatching'

const NEWS = { changed: 'It has changed', still: 'It is still now' }

/** A live picture of another program's window, and word of when it changes or falls still. */
export default function Watch({ document: id, window }: AppProps) {
  const shelf = useShelf()
  const content = useShownContent(WATCH, id)
  const { stream, problem, choose, simulate, end } = useCapture()
  const [news, setNews] = useState<keyof typeof NEWS | null>(null)
  const wants = content ?? WATCH.empty
  const now = useWatching(stream, wants, setNews)
  const seen = useSeen(window, news !== null)
  useEffect(() => {
    if (seen || !stream) setNews(null)
  }, [seen, stream])
  useEffect(() => {
    report(shelf, id, {
      ...(news && { attention: 'mention', says: NEWS[news] }),
      ...(stream && { busy: true }),
    })
  }, [news, stream, id, shelf])
  const stands = now ? standing(now.moves, shelf.clock() - now.last) : 'Looking…'
  useTether(
    id,
    stream ? { says: now?.moves ? 'changing' : 'still', offered: true, controls: [] } : null,
    () => {},
  )
  if (!content) return null
  const change = (next: WatchContent) => changeContent(shelf, id, next, 'saved')
  if (!stream)
    return (
      <div className="m-auto flex max-w-sm flex-col items-center gap-3 p-4 text-center">
        <Eye size={26} aria-hidden className="text-soft" />
        <p>
          Shows a window or a screen of this computer, live, and tells you when it changes or falls
          still. Nothing of the picture is kept or sent.
        </p>
        <div className="flex flex-wrap justify-center gap-2">
          <button type="button" className="btn btn-main" data-autofocus="" onClick={choose}>
            Choose a window…
          </button>
          <button type="button" className="btn" onClick={simulate}>
            Try it with a simulated program
          </button>
        </div>
        {problem ? (
          <p role="alert" className="text-alarm">
            {problem}
          </p>
        ) : null}
      </div>
    )
  return (
    <>
      <div className="bar flex-wrap gap-x-3 gap-y-1">
        <label className="flex items-center gap-1.5">
          <input
            type="checkbox"
            checked={content.changes}
            onChange={({ target }) => change({ ...content, changes: target.checked })}
          />
          tell when it changes
        </label>
        <label className="flex items-center gap-1.5">
          tell when still for
          <select
            className="field min-h-7"
            value={content.still}
            onChange={({ target }) => change({ ...content, still: Number(target.value) })}
          >
            {[...new Set([0, 3, 10, 30, 60, 300, content.still])]
              .sort((a, b) => a - b)
              .map((seconds) => (
                <option key={seconds} value={seconds}>
                  {seconds === 0
                    ? 'never'
                    : seconds < 60
                      ? counted(seconds, 'second')
                      : counted(seconds / 60, 'minute')}
                </option>
              ))}
          </select>
        </label>
        <span className="ml-auto flex">
          <Tool label="Choose another window" onClick={choose}>
            <RefreshCw size={14} />
          </Tool>
          <Tool label="End the picture" onClick={end}>
            <Square size={14} />
          </Tool>
        </span>
      </div>
      <div className="grid min-h-0 flex-1 place-items-center bg-ground p-2">
        <Picture stream={stream}>
          <Part
            part={content.part}
            onPart={(part) => {
              const { part: _before, ...others } = content
              change(part ? { ...others, part } : others)
            }}
          />
        </Picture>
      </div>
      <p
        role="status"
        className="border-seam border-t border-dashed px-3 py-1 text-[12px] text-soft"
      >
        {now?.black ? 'Nothing is to be seen: the program may be minimised. ' : ''}
        {stands}. Watched {content.part ? 'in part' : 'as a whole'}; nothing is kept or sent.
      </p>
    </>
  )
}

function standing(moves: boolean, since: number): string {
  if (moves && since < 1500) return 'Changing'
  const seconds = Math.round(since / 1000)
  return seconds < 60
    ? `Still for ${counted(seconds, 'second')}`
    : `Still for ${counted(Math.floor(seconds / 60), 'minute')}`
}

/** The picture as large as fits, with what lies over it. */
function Picture({ stream, children }: { stream: MediaStream; children: React.ReactNode }) {
  const video = useRef<HTMLVideoElement>(null)
  const [shape, setShape] = useState('16 / 10')
  useEffect(() => {
    const shown = video.current
    if (!shown) return
    shown.srcObject = stream
    return () => {
      shown.srcObject = null
    }
  }, [stream])
  return (
    <div className="relative max-h-full max-w-full" style={{ aspectRatio: shape, height: '100%' }}>
      <video
        ref={video}
        muted
        autoPlay
        playsInline
        aria-label="Live picture"
        className="size-full"
        onResize={({ currentTarget: { videoWidth, videoHeight } }) =>
          videoWidth && setShape(`${videoWidth} / ${videoHeight}`)
        }
      />
      {children}
    </div>
  )
}
