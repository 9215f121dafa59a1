'use client'
import { ArrowLeft, ExternalLink, RotateCw } from 'lucide-react'
import { type FormEvent, useEffect, useState } from 'react'
import { addressOf } from '@/core/formats/address'
import { changeContent, shownContent, useContent } from '@/store/documents'
import { useArrangement } from '@/store/shelf'
import { Tool } from '@/ui/parts/Tool'
import type { AppProps } from '../contract'
import type { WebContent } from './manifest'

/** A page of the web in a frame that can do nothing outside of itself. */
export default function WebPage({ document: id }: AppProps) {
  const kept = useContent(id)
  // An app the person added begins at its address.
  const first = useArrangement(({ apps, documents }) => apps[documents[id]?.app ?? '']?.address)
  const content = kept ? (shownContent(kept) as WebContent | null) : undefined
  const visited = content === undefined ? null : (content?.visited ?? (first ? [first] : []))
  const last = visited?.at(-1) ?? ''
  // Pages that ship with Kite Shelf are kept as paths, wherever it runs.
  const address = last.startsWith('/') ? location.origin + last : last
  const [typed, setTyped] = useState<string | null>(null)
  const [problem, setProblem] = useState('')
  const [round, setRound] = useState(0)
  const refuses = useRefuses(address)
  if (!visited) return null
  const keep = (next: string[]) =>
    changeContent(id, { visited: next.slice(-50) } satisfies WebContent, 'saved')
  const go = (event: FormEvent) => {
    event.preventDefault()
    const found = addressOf((typed ?? address).replace(location.origin, ''))
    if ('problem' in found) return setProblem(found.problem)
    setProblem('')
    setTyped(null)
    if (found.href !== last) keep([...visited, found.href])
  }
  return (
    <>
      <form className="bar gap-1.5" onSubmit={go}>
        <Tool
          label="Back"
          disabled={visited.length < 2}
          onClick={() => {
            setTyped(null)
            keep(visited.slice(0, -1))
          }}
        >
          <ArrowLeft size={15} />
        </Tool>
        <Tool label="Load again" disabled={!address} onClick={() => setRound(round + 1)}>
          <RotateCw size={14} />
        </Tool>
        <input
          data-autofocus=""
          aria-label="Address"
          aria-invalid={problem !== ''}
          placeholder="example.org"
          className="field min-h-7 min-w-0 flex-1"
          value={typed ?? address.replace(location.origin, '')}
          onChange={(event) => setTyped(event.target.value)}
        />
        {address ? (
          <a
            className="tool"
            href={address}
            target="_blank"
            rel="noreferrer"
            aria-label="Open in a browser tab"
            title="Open in a browser tab"
          >
            <ExternalLink size={14} />
          </a>
        ) : null}
      </form>
      {problem ? (
        <p role="alert" className="border-seam border-b border-dashed px-3 py-1.5 text-alarm">
          {problem}
        </p>
      ) : null}
      {refuses ? (
        <div role="alert" className="m-auto flex flex-col items-center gap-3 p-4 text-center">
          <p>This site does not let itself be shown in a window of another page.</p>
          <a className="btn" href={address} target="_blank" rel="noreferrer">
            Open in a browser tab
          </a>
        </div>
      ) : address ? (
        <iframe
          key={`${address} ${round}`}
          title={address}
          src={address}
          sandbox="allow-scripts allow-forms"
          referrerPolicy="no-referrer"
          className="min-h-0 flex-1 bg-white"
        />
      ) : (
        <p className="m-auto p-4 text-soft">Type an address above.</p>
      )}
    </>
  )
}

/** Whether a site says that it is not to be framed; asked of the site before it is shown. */
function useRefuses(address: string): boolean {
  const [refused, setRefused] = useState('')
  useEffect(() => {
    if (!address) return
    const asked = new AbortController()
    fetch(`/api/frame?address=${encodeURIComponent(address)}`, { signal: asked.signal })
      .then((answer) => answer.json())
      .then(({ framed }: { framed: boolean }) => setRefused(framed ? '' : address))
      // Not known: it is shown, and the tab is one push away.
      .catch(() => {})
    return () => asked.abort()
  }, [address])
  return refused !== '' && refused === address
}
