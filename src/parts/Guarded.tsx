import type { ReactNode } from 'react'
import { ErrorBoundary } from 'react-error-boundary'
import { usePage, useShelf } from '@/store/useShelf'

/** A view that fails is closed, with word; everything beside it lives on. */
export function Guarded({
  name,
  onFail,
  children,
}: {
  name: string
  onFail?: () => void
  children: ReactNode
}) {
  const shelf = useShelf()
  const view = usePage((page) => page.view)
  const loft = usePage((page) => page.loft)
  return (
    <ErrorBoundary
      // Opened again, it begins anew.
      resetKeys={[view, loft]}
      fallback={null}
      onError={(error) => {
        const why = error instanceof Error ? error.message.slice(0, 160) : ''
        if (onFail) onFail()
        else shelf.closeView()
        shelf.say(`${name} failed and was closed; nothing is lost. Try it again. (${why})`, {
          refused: true,
        })
      }}
    >
      {children}
    </ErrorBoundary>
  )
}
