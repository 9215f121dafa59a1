'use client'
import { lazy, Suspense, useState } from 'react'
import { LongText } from '@/parts/LongText'
import { isLong } from '@/parts/longParts'
import type { AppProps } from '../contract'
import { useShownContent } from '../useContents'
import { READER } from './content'
import { Picture } from './Picture'
import { Written } from './Written'

/** Shows Markdown, text, a picture or a PDF. */
export default function Reader({ document: id, window }: AppProps) {
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
          <Pdf id={id} window={window} content={shown} />
        </Suspense>
      )
    default:
      return isLong(shown.text) ? (
        <LongText document={id} text={shown.text} label="Text" />
      ) : (
        <Written id={id} window={window} content={shown} />
      )
  }
}
