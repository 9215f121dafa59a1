'use client'
import { type KeyboardEvent, lazy, Suspense, useRef, useState } from 'react'
import type { DocumentId } from '@/core/model/ids'
import { FindIn } from '@/parts/FindIn'
import { asksToFind } from '@/parts/finding'
import { LongText } from '@/parts/LongText'
import { isLong } from '@/parts/longParts'
import { asksToPrint, print } from '@/parts/print'
import { useShelf } from '@/store/useShelf'
import type { AppProps } from '../contract'
import { Prose } from '../markdown/Prose'
import { useShownContent } from '../useContents'
import { READER } from './content'
import { Picture } from './Picture'

/** Shows Markdown, text, a picture or a PDF. */
export default function Reader({ document: id }: AppProps) {
  const shown = useShownContent(READER, id)
  // Each time anew: code that did not come once would never come.
  const [Pdf] = useState(() => lazy(() => import('./Pdf')))
  if (shown === undefined) return null
  if (!shown)
    return (
      <p className="m-auto max-w-60 p-4 text-center text-soft">
        Nothing to read yet. Drop a text, picture or PDF file on the desktop.
      </p>
    )
  switch (shown.kind) {
    case 'picture':
      return <Picture source={shown.data} document={id} />
    case 'pdf':
      return (
        <Suspense fallback={<span data-coming="" />}>
          <Pdf id={id} content={shown} />
        </Suspense>
      )
    default:
      return isLong(shown.text) ? (
        <LongText document={id} text={shown.text} label="Text" />
      ) : (
        <Text id={id} text={shown.text} markdown={shown.kind === 'markdown'} />
      )
  }
}

/** A text to be read, found in and printed. */
function Text({ id, text, markdown }: { id: DocumentId; text: string; markdown: boolean }) {
  const shelf = useShelf()
  const area = useRef<HTMLElement>(null)
  const [finding, setFinding] = useState(false)
  const keys = (event: KeyboardEvent) => {
    if (asksToFind(event)) setFinding(true)
    else if (asksToPrint(event) && area.current)
      print(area.current, shelf.state().documents[id]?.title ?? '')
    else return
    event.preventDefault()
  }
  return (
    <>
      {finding ? (
        <FindIn
          within={area}
          anew={text}
          label="Find in this text"
          onClose={() => setFinding(false)}
        />
      ) : null}
      <section
        ref={area}
        aria-label="Text"
        tabIndex={0}
        data-autofocus=""
        className="min-h-0 flex-1 overflow-auto px-[18px] py-3 outline-none"
        onKeyDown={keys}
      >
        {markdown ? (
          <Prose markdown={text} />
        ) : (
          <pre className="whitespace-pre-wrap font-mono text-[13px]">{text}</pre>
        )}
      </section>
    </>
  )
}
