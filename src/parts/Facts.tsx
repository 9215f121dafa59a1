import type { ReactNode } from 'react'
import { homeFor, momentOf } from '@/core/homes/matching'
import { misplaced } from '@/core/homes/putRight'
import { where } from '@/core/homes/words'
import type { WindowId } from '@/core/model/ids'
import { title } from '@/core/model/selectors'
import { useArrangement, useShelf } from '@/store/useShelf'

/** A line of what is known of a window. */
export function Fact({ name, children }: { name: string; children: ReactNode }) {
  return (
    <>
      <dt className="text-soft">{name}</dt>
      <dd className="min-w-0 truncate">{children}</dd>
    </>
  )
}

/** Where the window's home is; a push asks why it is here. */
export function HomeFact({ id }: { id: WindowId }) {
  const shelf = useShelf()
  const state = useArrangement((now) => now)
  const window = state.windows[id]
  if (!window) return null
  const subject = { app: window.app, title: title(state, window) }
  const home = homeFor(state, subject, momentOf(shelf.clock()))
  const away = misplaced(state, window, momentOf(shelf.clock()))
  return (
    <button
      type="button"
      tabIndex={-1}
      title="Why here?"
      className="text-left underline decoration-dashed underline-offset-[3px]"
      onClick={() => shelf.dispatch('window.why', { window: id })}
    >
      {home ? where(home, state) : 'none'}
      {away ? ', away from it' : ''}
    </button>
  )
}

/** “14:05” */
export function timeOfDay(at: number): string {
  const time = new Date(at)
  const two = (value: number) => String(value).padStart(2, '0')
  // A log shows thousands of them: as a date in words each would take a hundred times as long.
  return `${two(time.getHours())}:${two(time.getMinutes())}`
}
