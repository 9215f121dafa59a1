import { Dialog as Radix } from 'radix-ui'
import type { ReactNode } from 'react'
import { useShelf } from '@/store/useShelf'
import { giveBack } from './focus'

/** A sheet over the desktop that asks or shows something; Escape leaves it. */
export function Dialog({
  title,
  intro,
  width = 460,
  printed = false,
  children,
}: {
  title: string
  intro?: ReactNode
  width?: number
  /** Whether it is what is printed while it is open, instead of the page. */
  printed?: boolean
  children: ReactNode
}) {
  const shelf = useShelf()
  return (
    <Radix.Root open onOpenChange={(open) => open || shelf.closeView()}>
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 z-40 bg-ground/55" />
        <Radix.Content
          className={`sheet-dialog rise inset-x-0 top-9 mx-auto p-5 ${printed ? 'printed' : ''}`}
          style={{ width, maxWidth: 'calc(100vw - 48px)' }}
          {...(!intro && { 'aria-describedby': undefined })}
          onCloseAutoFocus={(event) => giveBack(shelf, event)}
        >
          <Radix.Title className="font-bold font-display text-[19px] leading-tight">
            {title}
          </Radix.Title>
          {intro ? <Radix.Description className="mt-1 text-soft">{intro}</Radix.Description> : null}
          {children}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  )
}
