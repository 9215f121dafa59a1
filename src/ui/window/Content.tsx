import { type ComponentType, lazy, memo, Suspense, useEffect, useMemo, useState } from 'react'
import { ErrorBoundary } from 'react-error-boundary'
import type { AppProps } from '@/apps/contract'
import { appOf } from '@/apps/list'
import type { DocumentId } from '@/core/model/ids'
import { InApp } from '@/parts/inApp'
import { contentOf, retryContent, useContentPart, useUnreadable } from '@/store/documents/documents'
import { ofShelf } from '@/store/ofShelf'
import type { Shelf } from '@/store/shelf'
import { isUnloaded } from '@/store/unloaded'
import { useShelf } from '@/store/useShelf'
import { beginOpening, didNotEnd, endOpening, isLarge } from './opening'
import { PutAside } from './PutAside'
import { useShownPassage } from './passage'

const components = ofShelf(() => new Map<string, ComponentType<AppProps>>())

/** An app's component, loaded when its first window opens. */
function componentOf(shelf: Shelf, app: string): ComponentType<AppProps> | null {
  const manifest = appOf(shelf, app)
  if (!manifest) return null
  const known = components(shelf).get(app) ?? lazy(manifest.load)
  components(shelf).set(app, known)
  return known
}

/** What a window shows. An app that fails takes only its own window with it. */
export const Content = memo(function Content({ app, ...props }: AppProps & { app: string }) {
  const shelf = useShelf()
  const [, setRound] = useState(0)
  const unreadable = useUnreadable(props.document)
  const [wanted, setWanted] = useState(() => !didNotEnd(shelf, props.document))
  const large = useLarge(props.document, wanted)
  const App = componentOf(shelf, app)
  useShownPassage(props.window, props.document)
  if (unreadable)
    return (
      <Stopped
        says="This document can’t be read. It has not been overwritten."
        does="Try again"
        onDo={() => retryContent(shelf, props.document)}
      />
    )
  if (large && !wanted)
    return (
      <Stopped
        says="This didn’t finish opening last time. It is very large."
        does="Open it anyway"
        onDo={() => setWanted(true)}
      />
    )
  // Noted before it begins: what hangs the page does not come to its end.
  if (large) beginOpening(shelf, props.document)
  if (!App) return <p className="m-auto p-4 text-soft">There is no app called “{app}” here.</p>
  return (
    <ErrorBoundary
      onReset={() => {
        // Its code may not have come: what failed once is not remembered.
        components(shelf).delete(app)
        setRound((round) => round + 1)
      }}
      fallbackRender={({ error, resetErrorBoundary }) =>
        isUnloaded(error) ? (
          <Unloaded onAgain={resetErrorBoundary} />
        ) : (
          <Stopped
            says="This app stopped. Your content is safe."
            why={error instanceof Error ? error.message : String(error)}
            does="Start again"
            onDo={resetErrorBoundary}
          />
        )
      }
    >
      <Suspense>
        <PutAside document={props.document} />
        <InApp value={app}>
          <App {...props} />
        </InApp>
      </Suspense>
    </ErrorBoundary>
  )
})

/** How long it is waited before a large content counts as opened, in milliseconds. */
const SETTLED = 1500

/** Whether there is very much in a document; once it is opened, that is noted. */
function useLarge(id: DocumentId, opened: boolean): boolean {
  const shelf = useShelf()
  const loaded = useContentPart(id, (content) => content !== undefined)
  // Of what is opened: what is typed since does not make it hang.
  const large = useMemo(() => loaded && isLarge(contentOf(shelf, id)), [loaded, id, shelf])
  useEffect(() => {
    if (!large || !opened) return
    const timer = setTimeout(() => endOpening(shelf, id), SETTLED)
    return () => clearTimeout(timer)
  }, [large, opened, id, shelf])
  return large
}

/** Its code did not come: that is tried again by itself when the browser is connected again. */
function Unloaded({ onAgain }: { onAgain(): void }) {
  useEffect(() => {
    addEventListener('online', onAgain)
    return () => removeEventListener('online', onAgain)
  }, [onAgain])
  return (
    <Stopped
      says="This app could not be loaded. It will be tried again when there is a connection; if that doesn’t help, reload the page. Your content is safe."
      does="Try again"
      onDo={onAgain}
    />
  )
}

/** Instead of what a window shows, with what may help. */
function Stopped({
  says,
  why,
  does,
  onDo,
}: {
  says: string
  why?: string
  does: string
  onDo(): void
}) {
  return (
    <div
      role="alert"
      className="m-auto flex max-w-full flex-col items-center gap-3 p-4 text-center"
    >
      <p>{says}</p>
      {why ? (
        <p className="max-h-24 overflow-auto break-words font-mono text-[12px] text-soft">
          {why.slice(0, 300)}
        </p>
      ) : null}
      <button type="button" className="btn" data-autofocus="" onClick={onDo}>
        {does}
      </button>
    </div>
  )
}
