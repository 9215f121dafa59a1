import type { ReactNode } from 'react'
import { ErrorBoundary } from 'react-error-boundary'
import { closeView, say, useShelf } from '@/store/shelf'

/** A view that fails is closed, with word; everything beside it lives on. */
export function Guarded({
  name,
  onFail = closeView,
  children,
}: {
  name: string
  onFail?: () => void
  children: ReactNode
}) {
  const view = useShelf((shelf) => shelf.view)
  const loft = useShelf((shelf) => shelf.loft)
  return (
    <ErrorBoundary
      // Opened again, it begins anew.
      resetKeys={[view, loft]}
      fallback={null}
      onError={(error) => {
        const why = error instanceof Error ? error.message.slice(0, 160) : ''
        onFail()
        say(`${name} failed and was closed; nothing is lost. Try it again. (${why})`, {
          refused: true,
        })
      }}
    >
      {children}
    </ErrorBoundary>
  )
}
