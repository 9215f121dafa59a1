'use client'
import { Eye, RefreshCw, Square } from 'lucide-react'
import { useEffect, useRef, useState } from 'react'
import { counted } from '@/core/text/counted'
import { Tool } from '@/parts/Tool'
import { useTime } from '@/store/clock'
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

const NEWS = { changed: 'It changed', still: 'It stopped changing' }

/** A live picture of another program's window, which tells when it changes or stops changing. */
export default function Watch({ document: id, window }: AppProps) {
  const shelf = useShelf()
  const content = useShownContent(WATCH, id)
  const { stream, problem, choose, simulate, end } = useCapture()
  const [news, setNews] = useState<keyof typeof NEWS | null>(null)
  const wants = content ?? WATCH.empty
  const now = useWatching(stream, wants, setNews)
  const seen = useSeen(window)
  useEffect(() => {
    if (news && (seen || !stream)) setNews(null)
  }, [news, seen, stream])
  useEffect(() => {
    report(shelf, id, {
      ...(news && { attention: 'mention', says: NEWS[news] }),
      ...(stream && { busy: true }),
    })
  }, [news, stream, id, shelf])
  // While nothing changes, only the time it has lasted does.
  const time = useTime(now && !now.moves ? 1000 : null, now)
  const stands = now ? standing(time - now.last) : 'Looking…'
  useTether(
    id,
    stream ? { says: now?.moves ? 'changing' : 'no change', offered: true, controls: [] } : null,
    () => {},
  )
  if (!content) return null
  const change = (next: WatchContent) => changeContent(shelf, id, next, 'saved')
  if (!stream)
    return (
      <div className="m-auto flex max-w-sm flex-col items-center gap-3 p-4 text-center">
        <Eye size={26} aria-hidden className="text-soft" />
        <p>
          Shows a window or screen of this computer live, and tells you when it changes or stops
          changing. The picture is never stored or sent.
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
          tell me when it changes
        </label>
        <label className="flex items-center gap-1.5">
          or stops for
          <select
            aria-label="Tell me when it stops changing for"
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
          <Tool label="Stop showing it" onClick={end}>
            <Square size={14} />
          </Tool>
        </span>
      </div>
      <div className="grid min-h-0 flex-1 place-items-center bg-ground [container-type:size]">
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
        {now?.black ? 'The picture is black: the program may be minimised. ' : ''}
        {stands}. Watching {content.part ? 'part of it' : 'all of it'}; nothing is stored or sent.
      </p>
    </>
  )
}

/** A change is told as one for so long, in milliseconds: between two looks there is always some time. */
const JUST_NOW = 1500

function standing(since: number): string {
  if (since < JUST_NOW) return 'Changing'
  const seconds = Math.round(since / 1000)
  const long =
    seconds < 60 ? counted(seconds, 'second') : counted(Math.floor(seconds / 60), 'minute')
  return `No change for ${long}`
}

/** The picture as large as fits, with what lies over it. */
function Picture({ stream, children }: { stream: MediaStream; children: React.ReactNode }) {
  const video = useRef<HTMLVideoElement>(null)
  /** Width for height. */
  const [shape, setShape] = useState(1.6)
  useEffect(() => {
    const shown = video.current
    if (!shown) return
    shown.srcObject = stream
    return () => {
      shown.srcObject = null
    }
  }, [stream])
  return (
    <div
      className="relative"
      style={{ aspectRatio: shape, width: `min(100cqw, ${100 * shape}cqh)` }}
    >
      <video
        ref={video}
        muted
        autoPlay
        playsInline
        aria-label="Live picture"
        className="size-full"
        onResize={({ currentTarget: { videoWidth, videoHeight } }) =>
          videoHeight && setShape(videoWidth / videoHeight)
        }
      />
      {children}
    </div>
  )
}
