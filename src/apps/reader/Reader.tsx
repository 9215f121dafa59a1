'use client'
import { lazy, Suspense } from 'react'
import Markdown from 'react-markdown'
import gfm from 'remark-gfm'
import { shownContent, useContent } from '@/store/documents'
import type { AppProps } from '../contract'
import type { ReaderContent } from './manifest'
import { Picture } from './Picture'

const Pdf = lazy(() => import('./Pdf'))

/** Shows Markdown, text, a picture or a PDF. */
export default function Reader({ document: id }: AppProps) {
  const content = useContent(id)
  if (!content) return null
  const shown = shownContent(content) as ReaderContent | null
  if (!shown)
    return (
      <p className="m-auto max-w-60 p-4 text-center text-soft">
        Nothing to read yet. Drop a text, picture or PDF file on the stage.
      </p>
    )
  switch (shown.kind) {
    case 'picture':
      return <Picture source={shown.data} document={id} />
    case 'pdf':
      return (
        <Suspense>
          <Pdf data={shown.data} />
        </Suspense>
      )
    default:
      return (
        <section
          aria-label="Text"
          tabIndex={0}
          data-autofocus=""
          className="min-h-0 flex-1 overflow-auto px-[18px] py-3 outline-none"
        >
          {shown.kind === 'markdown' ? (
            <div className="prose">
              {/* Markdown becomes elements, never markup: raw HTML in it is shown as text. */}
              <Markdown remarkPlugins={[gfm]}>{shown.text}</Markdown>
            </div>
          ) : (
            <pre className="whitespace-pre-wrap font-mono text-[13px]">{shown.text}</pre>
          )}
        </section>
      )
  }
}
