import { useEffect } from 'react'
import { currentId, focusId } from '@/core/model/selectors'
import { shelf, useArrangement, useShelf } from '@/store/shelf'
import {
  focusContent,
  isAsking,
  isSettled,
  LANDING,
  leaveDisabled,
  noteInput,
  settle,
} from '@/ui/parts/focus'
import { pressKept } from './early'

/** The browser's focus goes where the focused window is, and comes back there after whatever is done. */
export function useFocus(): void {
  const focus = useArrangement((state) => focusId(state))
  const here = useArrangement(currentId)
  const asking = useShelf(({ view, loft, menu }) => view !== null || loft || menu !== null)
  // biome-ignore lint/correctness/useExhaustiveDependencies: another desktop or window is the reason to run
  useEffect(() => {
    if (!isAsking()) focusContent()
    void pressKept()
  }, [focus, here])
  useEffect(() => {
    if (!asking) settle()
    void pressKept()
  }, [asking])
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined
    // After the click that follows, and after what is drawn for it.
    const settleIn = (time: number) => {
      clearTimeout(timer)
      timer = setTimeout(() => {
        settle()
        void pressKept()
      }, time)
    }
    const soon = () => settleIn(0)
    const listening = new AbortController()
    // A caret that is taken away comes back when nobody takes it any more.
    const caret = () => isSettled() || settleIn(LANDING)
    document.addEventListener('selectionchange', caret, { signal: listening.signal })
    for (const done of ['pointerup', 'pointercancel', 'dragend', 'drop', 'keyup'])
      addEventListener(done, soon, { capture: true, signal: listening.signal })
    for (const noted of ['pointerdown', 'keydown', 'focusin'])
      addEventListener(noted, noteInput, { capture: true, signal: listening.signal })
    const off = shelf.subscribe(soon)
    // A window's content may load after it got the focus.
    const loaded = new MutationObserver(soon)
    const area = document.getElementById('desktop')
    if (area) loaded.observe(area, { childList: true, subtree: true })
    const shut = new MutationObserver(leaveDisabled)
    shut.observe(document.body, { attributeFilter: ['disabled'], subtree: true })
    return () => {
      clearTimeout(timer)
      listening.abort()
      off()
      loaded.disconnect()
      shut.disconnect()
    }
  }, [])
}
