'use client'
import { ArrowLeft, ExternalLink, Keyboard, RotateCw } from 'lucide-react'
import {
  type FormEvent,
  type RefObject,
  useCallback,
  useEffect,
  useMemo,
  useRef,
  useState,
} from 'react'
import { addressOf } from '@/core/formats/address'
import type { DocumentId } from '@/core/model/ids'
import { giveKeys, watchFrame } from '@/parts/pageFrames'
import { Tool } from '@/parts/Tool'
import { changeContent, useTyped } from '@/store/documents/documents'
import { newId } from '@/store/newId'
import { openOutside } from '@/store/outside'
import type { Shelf } from '@/store/shelf'
import { useArrangement, useShelf } from '@/store/useShelf'
import type { AppProps } from '../contract'
import { useShownContent } from '../useContents'
import { UNTITLED, WEB, type WebContent } from './content'
import { Outside } from './Outside'

/** A page of the web in a frame that can do nothing outside of itself. */
export default function WebPage({ document: id }: AppProps) {
  const shelf = useShelf()
  // An app the person added begins at its address.
  const first = useArrangement(({ apps, documents }) => apps[documents[id]?.app ?? '']?.address)
  const content = useShownContent(WEB, id)
  const visited = content === undefined ? null : (content?.visited ?? (first ? [first] : []))
  const last = visited?.at(-1) ?? ''
  // Pages that ship with Kite Shelf are kept as paths, wherever it runs.
  const address = last.startsWith('/') ? location.origin + last : last
  const [round, setRound] = useState(0)
  const frame = useRef<HTMLIFrameElement | null>(null)
  const framing = useFraming(address)
  const outside = address !== '' && (content?.outside || framing?.framed === false)
  if (!visited) return null
  const keep = (
    next: string[],
    outside = content?.outside ?? false,
    passes = content?.passes,
  ): void => {
    const kept = {
      visited: next.slice(-50),
      ...(outside && { outside }),
      ...(passes && { passes }),
    }
    changeContent(shelf, id, kept satisfies WebContent, 'saved')
  }
  const openAlone = () => {
    // At once: the browser opens windows only as the answer to a push.
    openOutside(shelf, id, address)
    keep(visited, true)
  }
  return (
    <>
      <AddressBar
        id={id}
        address={address}
        outside={outside}
        onGo={(href) => {
          // Where one is already, Enter goes into the page.
          if (href === last) return frame.current ? giveKeys(shelf, frame.current) : undefined
          nameAfter(shelf, id, last, href)
          keep([...visited, href])
        }}
        onBack={visited.length < 2 ? null : () => keep(visited.slice(0, -1))}
        onAgain={() => setRound(round + 1)}
        onKeys={() => frame.current && giveKeys(shelf, frame.current)}
        onAlone={content?.outside ? null : openAlone}
      />
      {framing?.framed === null ? (
        <p className="flex flex-wrap items-center gap-x-2 border-seam border-b border-dashed px-3 py-1 text-[12px] text-soft">
          <span className="min-w-0 flex-1 basis-48">
            If nothing shows, this page doesn’t allow embedding. {framing.why}
          </span>
          <button type="button" className="text-ink underline" onClick={openAlone}>
            Open in its own window
          </button>
        </p>
      ) : null}
      {outside ? (
        <Outside
          id={id}
          address={address}
          why={
            content?.outside
              ? 'It is shown in a browser window of its own.'
              : 'This site doesn’t allow embedding.'
          }
          {...(framing?.framed !== false && { onInside: () => keep(visited, false) })}
        />
      ) : address ? (
        <Framed
          key={address}
          address={address}
          ours={last.startsWith('/pages/')}
          round={round}
          frame={frame}
          allowed={content?.passes === hostOf(address)}
          onAllow={() => keep(visited, false, hostOf(address))}
        />
      ) : (
        <p className="m-auto p-4 text-soft">Type an address above.</p>
      )}
    </>
  )
}

const hostOf = (address: string): string => (URL.canParse(address) ? new URL(address).host : '')

/** A page is called by its site, as long as nobody called it otherwise. */
function nameAfter(shelf: Shelf, id: DocumentId, before: string, address: string): void {
  const title = shelf.state().documents[id]?.title
  const host = hostOf(address)
  if (host && (title === UNTITLED || title === hostOf(before)))
    shelf.dispatch('document.set', { document: id, title: host }, 'app')
}

/** Where one is, and where one goes by typing. */
function AddressBar({
  id,
  address,
  outside,
  onGo,
  onBack,
  onAgain,
  onKeys,
  onAlone,
}: {
  id: DocumentId
  address: string
  outside: boolean
  onGo(href: string): void
  /** Null where there is nothing to go back to. */
  onBack: (() => void) | null
  onAgain(): void
  onKeys(): void
  /** Null where it is in a window of its own already. */
  onAlone: (() => void) | null
}) {
  const [typed, setTyped] = useTyped(id, 'address')
  // Emptied by hand it stays empty as long as one is in it.
  const [emptied, setEmptied] = useState(false)
  const [problem, setProblem] = useState('')
  const shown = address.replace(location.origin, '')
  const go = (event: FormEvent) => {
    event.preventDefault()
    const found = addressOf((typed || address).replace(location.origin, ''))
    setProblem('problem' in found ? found.problem : '')
    if ('problem' in found) return
    setTyped('')
    onGo(found.href)
  }
  return (
    <>
      <form className="bar gap-1.5" onSubmit={go}>
        <Tool
          label="Back"
          disabled={onBack === null}
          onClick={() => {
            setTyped('')
            onBack?.()
          }}
        >
          <ArrowLeft size={15} />
        </Tool>
        <Tool label="Load again" disabled={!address} onClick={onAgain}>
          <RotateCw size={14} />
        </Tool>
        <input
          data-autofocus={outside ? undefined : ''}
          aria-label="Address"
          aria-invalid={problem !== ''}
          placeholder="example.org"
          className="field min-h-7 min-w-0 flex-1"
          value={typed || (emptied ? '' : shown)}
          onChange={(event) => {
            setTyped(event.target.value)
            setEmptied(!event.target.value)
          }}
          onBlur={() => setEmptied(false)}
          onKeyDown={(event) => {
            if (event.key !== 'ArrowDown' || event.altKey || !address) return
            event.preventDefault()
            onKeys()
          }}
        />
        {address ? (
          <Tool label="Give the keys to the page, ↓" onClick={onKeys}>
            <Keyboard size={15} />
          </Tool>
        ) : null}
        {address && onAlone ? (
          <Tool label="Show it in a browser window of its own" onClick={onAlone}>
            <ExternalLink size={14} />
          </Tool>
        ) : null}
      </form>
      {problem ? (
        <p role="alert" className="border-seam border-b border-dashed px-3 py-1.5 text-alarm">
          {problem}
        </p>
      ) : null}
    </>
  )
}

/** The page itself; one that takes the keys by itself again and again is shown when it is wanted. */
function Framed({
  address,
  ours,
  round,
  frame,
  allowed,
  onAllow,
}: {
  address: string
  /** Whether it ships with Kite Shelf. */
  ours: boolean
  /** Counts up when it is to be loaded again. */
  round: number
  frame: RefObject<HTMLIFrameElement | null>
  /** Whether pages of its site may pass chords on. */
  allowed: boolean
  onAllow(): void
}) {
  const shelf = useShelf()
  const [takes, setTakes] = useState(false)
  const [wanted, setWanted] = useState(false)
  // Known to our own pages only, and to those the person allows to pass keys on.
  const token = useMemo(() => newId('page'), [])
  const { asks, allow } = useHello(frame, ours ? '' : token, allowed)
  const hold = useCallback(
    (element: HTMLIFrameElement | null) => {
      frame.current = element
      if (element) watchFrame(shelf, element, () => setTakes(true))
    },
    [shelf, frame],
  )
  if (takes && !wanted)
    return (
      <div role="alert" className="m-auto flex flex-col items-center gap-3 p-4 text-center">
        <p>This page kept grabbing the keyboard, so it was stopped.</p>
        <button type="button" className="btn" onClick={() => setWanted(true)}>
          Show it anyway
        </button>
      </div>
    )
  return (
    <>
      {asks ? (
        <p className="flex flex-wrap items-center gap-x-2 border-seam border-b border-dashed px-3 py-1 text-[12px] text-soft">
          <span className="min-w-0 flex-1 basis-48">
            This page can pass the shelf’s keys on to the shelf, and open its links in windows here.
          </span>
          <button
            type="button"
            className="text-ink underline"
            onClick={() => {
              allow()
              onAllow()
            }}
          >
            Let it
          </button>
        </p>
      ) : null}
      <div className="frame-holder flex min-h-0 flex-1" data-frame={address}>
        <iframe
          key={round}
          ref={hold}
          title={address}
          src={ours ? `${address}?kite=${token}` : address}
          data-page={ours ? token : ''}
          sandbox="allow-scripts allow-forms"
          referrerPolicy="no-referrer"
          className="min-w-0 flex-1 bg-white"
        />
      </div>
    </>
  )
}

/**
 * A page that has the script for chords says hello. Once the person has allowed it, it is given the
 * token that is believed. What comes after it in the frame says hello anew, and is not: it may be
 * another site.
 */
function useHello(frame: RefObject<HTMLIFrameElement | null>, token: string, allowed: boolean) {
  const [asks, setAsks] = useState(false)
  const first = useRef(true)
  const give = useCallback(() => {
    const element = frame.current
    if (!element || !token) return
    element.dataset.page = token
    // Frames of other sites have no origin that could be named.
    element.contentWindow?.postMessage({ kiteShelf: token }, '*')
    setAsks(false)
  }, [frame, token])
  useEffect(() => {
    const hear = ({ data, source }: MessageEvent) => {
      const { kiteShelfHello } = (data ?? {}) as Record<string, unknown>
      const element = frame.current
      if (kiteShelfHello !== true || !token || !element || source !== element.contentWindow) return
      if (allowed && first.current) give()
      else {
        // Whoever had the token before is gone.
        element.dataset.page = ''
        setAsks(first.current)
      }
      first.current = false
    }
    addEventListener('message', hear)
    return () => removeEventListener('message', hear)
  }, [frame, token, allowed, give])
  return { asks, allow: give }
}

type Framing = { framed: boolean } | { framed: null; why: string }

/** Whether a site lets itself be framed, asked of the site before it is shown; null until it is known. */
function useFraming(address: string): Framing | null {
  const [known, setKnown] = useState<{ address: string; framing: Framing } | null>(null)
  useEffect(() => {
    if (!address) return
    const asked = new AbortController()
    const tell = (framing: Framing) => setKnown({ address, framing })
    fetch(`/api/frame?address=${encodeURIComponent(address)}`, { signal: asked.signal })
      .then(async (answer) => {
        const found = (await answer.json()) as Framing | { error: string }
        tell('error' in found ? { framed: null, why: found.error } : found)
      })
      .catch(() => {
        if (!asked.signal.aborted) tell({ framed: null, why: 'This server does not answer.' })
      })
    return () => asked.abort()
  }, [address])
  return known?.address === address ? known.framing : null
}
