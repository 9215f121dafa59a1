import { Dialog as Radix } from 'radix-ui'
import type { ReactNode } from 'react'
import { useShelf } from '@/store/useShelf'
import { giveBack } from './focus'
import { JustDone } from './JustDone'
import { Keys } from './Keys'

/** A panel at a side of the page, with no veil: what is changed in it is seen at once beside it. */
export function SidePanel({
  title,
  side = 'right',
  children,
}: {
  title: string
  side?: 'left' | 'right'
  children: ReactNode
}) {
  const shelf = useShelf()
  return (
    <Radix.Root open onOpenChange={(open) => open || shelf.closeView()}>
      <Radix.Portal>
        <Radix.Content
          className={`side-panel side-panel-${side} rise`}
          aria-describedby={undefined}
          onOpenAutoFocus={focusFirst}
          // Where keys are pressed to be bound, or a field has text to take back, Escape is its own.
          onEscapeKeyDown={(event) =>
            document.activeElement?.matches('[data-own-escape]') && event.preventDefault()
          }
          onCloseAutoFocus={(event) => giveBack(shelf, event)}
        >
          <header className="flex items-center gap-3 border-seam border-b px-4 py-2.5">
            <Radix.Title
              dir="auto"
              title={title}
              className="min-w-0 truncate font-bold font-display text-[17px]"
            >
              {title}
            </Radix.Title>
            <button type="button" className="btn ml-auto" onClick={shelf.closeView}>
              Done <Keys keys="Esc" />
            </button>
          </header>
          <div className="min-h-0 flex-1 overflow-y-auto px-4 py-3">{children}</div>
          <JustDone className="border-seam border-t px-4 py-2" />
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  )
}

/** What is chosen first gets the keys, not the button that closes. */
function focusFirst(event: Event): void {
  const panel = event.currentTarget as HTMLElement
  const first = panel.querySelector<HTMLInputElement>('input')
  const chosen =
    first?.type === 'radio'
      ? panel.querySelector<HTMLInputElement>(`input[name="${first.name}"]:checked`)
      : first
  if (!chosen) return
  event.preventDefault()
  chosen.focus()
}
