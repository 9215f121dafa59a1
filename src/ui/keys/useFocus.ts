import { useEffect } from 'react'
import { currentId, focusId } from '@/core/model/selectors'
import {
  focusContent,
  isAsking,
  isSettled,
  LANDING,
  leaveDisabled,
  noteInput,
  settle,
} from '@/parts/focus'
import { useArrangement, usePage, useShelf } from '@/store/useShelf'
import { bringForward } from '@/ui/displays/openDisplay'
import { pressKept } from './early'

/** The browser's focus goes where the focused window is, and comes back there after whatever is done. */
export function useFocus(): void {
  const shelf = useShelf()
  const focus = useArrangement((state) => focusId(state))
  const here = useArrangement(currentId)
  const keysOn = usePage((page) => page.keysOn)
  const asking = usePage(({ view, loft, menu }) => view !== null || loft || menu !== null)
  // biome-ignore lint/correctness/useExhaustiveDependencies: another desktop, window or display is the reason to run
  useEffect(() => {
    if (!isAsking(shelf)) focusContent(shelf)
    void pressKept(shelf)
  }, [focus, here, keysOn])
  useEffect(() => {
    if (!asking) settle(shelf)
    void pressKept(shelf)
  }, [asking, shelf])
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined
    // After the click that follows, and after what is drawn for it.
    const settleIn = (time: number) => {
      clearTimeout(timer)
      timer = setTimeout(() => {
        settle(shelf)
        void pressKept(shelf)
      }, time)
    }
    const soon = () => settleIn(0)
    const listening = new AbortController()
    // A caret that is taken away comes back when nobody takes it any more.
    const caret = () => isSettled(shelf) || settleIn(LANDING)
    document.addEventListener('selectionchange', caret, { signal: listening.signal })
    for (const done of ['pointerup', 'pointercancel', 'dragend', 'drop', 'keyup'])
      addEventListener(done, soon, { capture: true, signal: listening.signal })
    // Whoever comes here, or pushes here, has the keys here again.
    const come = ({ type, target }: Event) => {
      if (type === 'pointerdown' || target === window) shelf.page.setState({ keysOn: null })
    }
    for (const coming of ['focus', 'pointerdown'])
      addEventListener(coming, come, { capture: true, signal: listening.signal })
    for (const noted of ['pointerdown', 'keydown', 'focusin'])
      addEventListener(noted, (event) => noteInput(shelf, event), {
        capture: true,
        signal: listening.signal,
      })
    const off = shelf.page.subscribe(soon)
    const forward = shelf.onDone(() => {
      const { keysOn } = shelf.page.getState()
      if (keysOn) bringForward(shelf, keysOn)
    })
    // A window's content may load after it got the focus.
    const loaded = new MutationObserver(soon)
    const area = document.getElementById('desktop')
    if (area) loaded.observe(area, { childList: true, subtree: true })
    const shut = new MutationObserver(() => leaveDisabled(shelf))
    shut.observe(document.body, { attributeFilter: ['disabled'], subtree: true })
    return () => {
      clearTimeout(timer)
      listening.abort()
      off()
      forward()
      loaded.disconnect()
      shut.disconnect()
    }
  }, [shelf])
}
