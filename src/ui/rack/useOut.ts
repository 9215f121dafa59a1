import { type FocusEvent, useEffect, useLayoutEffect, useRef, useState } from 'react'
import { isNarrow } from '@/parts/room'
import { useArrangement } from '@/store/useShelf'

/** How long the pointer rests on a furled rack until it comes out, and is gone until it furls again. */
const REST = 250
const GONE = 350

/** Whether a furled rack has come out, and what makes it: the pointer resting on it, or the keys. */
export function useOut() {
  const furled = useArrangement((state) => state.settings.rackFurled)
  const [out, setOut] = useState(false)
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined)
  const soon = (to: boolean, after: number) => {
    clearTimeout(timer.current)
    timer.current = setTimeout(() => setOut(to), after)
  }
  useEffect(() => {
    if (!furled) setOut(false)
    return () => clearTimeout(timer.current)
  }, [furled])
  // The style sheet draws it as a strip.
  useLayoutEffect(() => {
    document.documentElement.toggleAttribute('data-strip', furled && !out)
  }, [furled, out])
  return {
    out,
    comesOut: furled && {
      onPointerEnter: () => soon(!isNarrow(), REST),
      onPointerLeave: ({ currentTarget }: { currentTarget: Element }) =>
        soon(currentTarget.matches(':focus-within'), GONE),
      onFocus: ({ target }: FocusEvent) => {
        if (target.matches(':focus-visible')) soon(!isNarrow(), 0)
      },
      onBlur: ({ currentTarget, relatedTarget }: FocusEvent) => {
        if (!currentTarget.contains(relatedTarget)) soon(currentTarget.matches(':hover'), GONE)
      },
    },
  }
}
