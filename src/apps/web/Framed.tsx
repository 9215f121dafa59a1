import { type RefObject, useCallback, useEffect, useMemo, useRef, useState } from 'react'
import { addressOf } from '@/core/formats/address'
import { giveKeys, watchFrame } from '@/parts/pageFrames'
import { newId } from '@/store/newId'
import { useShelf } from '@/store/useShelf'

interface Shown {
  address: string
  /** Whether it ships with Kite Shelf. */
  ours: boolean
  frame: RefObject<HTMLIFrameElement | null>
  /** Whether pages of its site may pass chords on. */
  allowed: boolean
  onAllow(): void
  /** Whether the page before had the keys when a link in it was pushed: this one has them next. */
  goesOn: RefObject<boolean>
  /** A link was pushed that leads on in the frame. */
  onFollow(address: string): void
}

/**
 * The page itself; one that takes the keys by itself again and again is shown when it is wanted.
 * `round` counts up when it is to be loaded again.
 */
export function Framed({ round, ...shown }: Shown & { round: number }) {
  const [takes, setTakes] = useState(false)
  const [wanted, setWanted] = useState(false)
  if (takes && !wanted)
    return (
      <div role="alert" className="m-auto flex flex-col items-center gap-3 p-4 text-center">
        <p>This page kept grabbing the keyboard, so it was stopped.</p>
        <button type="button" className="btn" onClick={() => setWanted(true)}>
          Show it anyway
        </button>
      </div>
    )
  return <Frame key={round} {...shown} onTakes={() => setTakes(true)} />
}

function Frame({
  address,
  ours,
  frame,
  allowed,
  onAllow,
  goesOn,
  onFollow,
  onTakes,
}: Shown & { onTakes(): void }) {
  const shelf = useShelf()
  // Known to our own pages only, and to those the person allows to pass keys on.
  const token = useMemo(() => newId('page'), [])
  const { asks, allow, loaded } = useHello(frame, ours ? '' : token, allowed)
  useFollowed(frame, token, (to) => {
    goesOn.current = document.activeElement === frame.current
    onFollow(to)
  })
  const stop = useRef(onTakes)
  const hold = useCallback(
    (element: HTMLIFrameElement | null) => {
      frame.current = element
      if (!element) return
      watchFrame(shelf, element, () => stop.current())
      if (goesOn.current) giveKeys(shelf, element)
      goesOn.current = false
    },
    [shelf, frame, goesOn],
  )
  return (
    <>
      {asks ? (
        <p className="flex flex-wrap items-center gap-x-2 border-seam border-b border-dashed px-3 py-1 text-[12px] text-soft">
          <span className="min-w-0 flex-1 basis-48">
            This page can pass your shortcuts to Kite Shelf and open its links as windows.
          </span>
          <button
            type="button"
            className="text-ink underline"
            onClick={() => {
              allow()
              onAllow()
            }}
          >
            Allow
          </button>
        </p>
      ) : null}
      <div className="frame-holder flex min-h-0 flex-1" data-frame={address}>
        <iframe
          ref={hold}
          title={address}
          src={ours ? `${address}?kite=${token}` : address}
          data-page={ours ? token : ''}
          sandbox="allow-scripts allow-forms"
          referrerPolicy="no-referrer"
          className="min-w-0 flex-1 bg-white"
          onLoad={loaded}
        />
      </div>
    </>
  )
}

/** A page of another process may be heard later than that it is loaded: by so much at most, in milliseconds. */
const HEARD_WITHIN = 1000

/**
 * A page that has the script for chords says hello, once, while it is loaded. Once the person has allowed it,
 * it is given the token that is believed. What comes after it in the frame is not: it may be another site.
 */
function useHello(frame: RefObject<HTMLIFrameElement | null>, token: string, allowed: boolean) {
  const [asks, setAsks] = useState(false)
  const loads = useRef(0)
  /** Whether a hello would still be that of the page that was asked for. */
  const awaited = useRef(token !== '')
  const allow = useCallback(() => {
    const element = frame.current
    if (!element) return
    element.dataset.page = token
    // Frames of other sites have no origin that could be named.
    element.contentWindow?.postMessage({ kiteShelf: token }, '*')
    setAsks(false)
  }, [frame, token])
  useEffect(() => {
    const hear = ({ data, source }: MessageEvent) => {
      const { kiteShelfHello } = (data ?? {}) as Record<string, unknown>
      if (kiteShelfHello !== true || source !== frame.current?.contentWindow) return
      if (!awaited.current) return
      awaited.current = false
      if (allowed) allow()
      else setAsks(true)
    }
    addEventListener('message', hear)
    return () => removeEventListener('message', hear)
  }, [frame, allowed, allow])
  const loaded = () => {
    if (!token) return
    loads.current++
    if (loads.current === 1) {
      setTimeout(() => {
        awaited.current = false
      }, HEARD_WITHIN)
      return
    }
    // Whoever had the token, or asked for it, is gone.
    awaited.current = false
    if (frame.current) frame.current.dataset.page = ''
    setAsks(false)
  }
  return { asks, allow, loaded }
}

/** A page that was given the token says where its links lead: that is gone to like what is typed. */
function useFollowed(
  frame: RefObject<HTMLIFrameElement | null>,
  token: string,
  onFollow: (address: string) => void,
): void {
  const follow = useRef(onFollow)
  follow.current = onFollow
  useEffect(() => {
    const hear = ({ data, source }: MessageEvent) => {
      const { kiteShelfFollow: link } = (data ?? {}) as Record<string, unknown>
      const element = frame.current
      if (!element || source !== element.contentWindow || element.dataset.page !== token) return
      const { token: given, address } = (link ?? {}) as Record<string, unknown>
      if (given !== token || typeof address !== 'string' || !/^https?:/.test(address)) return
      const found = addressOf(address)
      if ('href' in found) follow.current(found.href)
    }
    addEventListener('message', hear)
    return () => removeEventListener('message', hear)
  }, [frame, token])
}
