'use client'
import { ArrowLeft, ArrowRight, ExternalLink, Keyboard, RotateCw } from 'lucide-react'
import { type FormEvent, useEffect, useRef, useState } from 'react'
import { addressOf } from '@/core/formats/address'
import type { DocumentId } from '@/core/model/ids'
import { giveKeys } from '@/parts/pageFrames'
import { Tool } from '@/parts/Tool'
import { changeContent, useTyped } from '@/store/documents/documents'
import { openOutside } from '@/store/outside'
import type { Shelf } from '@/store/shelf'
import { useArrangement, useShelf } from '@/store/useShelf'
import type { AppProps } from '../contract'
import { useShownContent } from '../useContents'
import { goBack, goForward, goTo, UNTITLED, WEB, type WebContent } from './content'
import { Framed } from './Framed'
import { Outside } from './Outside'

/** A page of the web in a frame that can do nothing outside of itself. */
export default function WebPage({ document: id }: AppProps) {
  const shelf = useShelf()
  // An app the person added begins at its address.
  const first = useArrangement(({ apps, documents }) => apps[documents[id]?.app ?? '']?.address)
  const content = useShownContent(WEB, id)
  const visited = content === undefined ? null : (content?.visited ?? (first ? [first] : []))
  const last = visited?.at(-1) ?? ''
  const address = last.startsWith('/') ? location.origin + last : last
  const [round, setRound] = useState(0)
  const frame = useRef<HTMLIFrameElement | null>(null)
  const goesOn = useRef(false)
  const framing = useFraming(address)
  const outside = address !== '' && (content?.outside || framing?.framed === false)
  if (!visited) return null
  const now: WebContent = { ...content, visited }
  const keep = (next: WebContent): void => {
    nameAfter(shelf, id, last, next.visited.at(-1) ?? '')
    changeContent(shelf, id, next, 'saved')
  }
  const openAlone = () => {
    // At once: the browser opens windows only as the answer to a push.
    openOutside(shelf, id, address)
    keep({ ...now, outside: true })
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
          keep(goTo(now, href))
        }}
        onBack={visited.length < 2 ? null : () => keep(goBack(now))}
        onForward={content?.ahead?.length ? () => keep(goForward(now)) : null}
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
          {...(framing?.framed !== false && { onInside: () => keep({ ...now, outside: false }) })}
        />
      ) : address ? (
        <Framed
          key={address}
          address={address}
          ours={last.startsWith('/pages/')}
          round={round}
          frame={frame}
          allowed={content?.passes === hostOf(address)}
          onAllow={() => keep({ ...now, passes: hostOf(address) })}
          goesOn={goesOn}
          onFollow={(to) => keep(goTo(now, keptAs(to)))}
        />
      ) : (
        <p className="m-auto p-4 text-soft">Type an address above.</p>
      )}
    </>
  )
}

/** Pages that ship with Kite Shelf are kept as paths, without what they are known by. */
function keptAs(address: string): string {
  const url = new URL(address)
  if (url.origin !== location.origin) return address
  url.searchParams.delete('kite')
  return url.pathname + url.search
}

const hostOf = (address: string): string => (URL.canParse(address) ? new URL(address).host : '')

/** A page is called by its site, as long as nobody called it otherwise. */
function nameAfter(shelf: Shelf, id: DocumentId, before: string, address: string): void {
  const title = shelf.state().documents[id]?.title
  const host = hostOf(address)
  if (host && host !== title && (title === UNTITLED || title === hostOf(before)))
    shelf.dispatch('document.set', { document: id, title: host }, 'app')
}

/** Where one is, and where one goes by typing. */
function AddressBar({
  id,
  address,
  outside,
  onGo,
  onBack,
  onForward,
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
  /** Null where nothing was gone back from. */
  onForward: (() => void) | null
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
  const walk = (to: (() => void) | null) => {
    setTyped('')
    to?.()
  }
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
        <Tool label="Back" keys="PageUp" disabled={onBack === null} onClick={() => walk(onBack)}>
          <ArrowLeft size={15} />
        </Tool>
        {onForward ? (
          <Tool label="Forward" keys="PageDown" onClick={() => walk(onForward)}>
            <ArrowRight size={15} />
          </Tool>
        ) : null}
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
            if (event.altKey) return
            if (event.key === 'PageUp') walk(onBack)
            else if (event.key === 'PageDown') walk(onForward)
            else if (event.key === 'ArrowDown' && address) onKeys()
            else return
            event.preventDefault()
          }}
        />
        {address ? (
          <Tool label="Give the keys to the page" keys="Down" onClick={onKeys}>
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
