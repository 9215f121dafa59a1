import type { ReactNode } from 'react'
import { useShelf } from '@/store/useShelf'
import { Keys } from './Keys'

/** The end of a form that asks: leave it, or do what it says with Enter. */
export function Answers({
  children,
  disabled,
  ready,
  beside,
}: {
  children: ReactNode
  disabled?: boolean
  /** Whether one Enter is all it takes: nothing has to be typed first. */
  ready?: boolean
  /** Whether it stands beside what is typed, not below. */
  beside?: boolean
}) {
  const shelf = useShelf()
  return (
    <div className={`flex justify-end gap-2 ${beside ? 'ml-auto' : 'mt-4'}`}>
      <button
        type="button"
        className="btn"
        onClick={({ currentTarget }) => {
          // What was typed is let go of, before it is gone.
          currentTarget.form?.reset()
          shelf.closeView()
        }}
      >
        Cancel
      </button>
      <button
        type="submit"
        className="btn btn-main"
        disabled={disabled}
        // biome-ignore lint/a11y/noAutofocus: only where the form is read and confirmed
        autoFocus={ready}
      >
        {children} <Keys keys="Enter" />
      </button>
    </div>
  )
}
