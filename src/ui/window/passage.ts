import type { DocumentId, WindowId } from '@/core/model/ids'
import { isLanding, windowElement } from '@/parts/focus'
import { textIn } from '@/parts/textIn'
import { usePassage } from '@/store/documents/passages'
import { useShelf } from '@/store/useShelf'

/** Shows a passage that was found, in whatever a window shows as text. */
export function useShownPassage(window: WindowId, shown: DocumentId): void {
  const shelf = useShelf()
  usePassage(shown, (text) => {
    // What gets the focus puts its caret where it was; what is found is selected after that.
    const element = windowElement(window)
    if (!element?.contains(document.activeElement) || isLanding(shelf)) return false
    const body = element.querySelector('.win-body')
    const range = body && rangeOf(body, text)
    if (!range) return false
    range.startContainer.parentElement?.scrollIntoView({ block: 'center' })
    // What is selected outside a field takes the caret out of it: nothing could be typed there.
    if (document.activeElement?.matches('input, textarea')) mark(range)
    else select(range)
    return true
  })
}

function select(range: Range): void {
  const selection = getSelection()
  selection?.removeAllRanges()
  selection?.addRange(range)
}

/** Marks a text until the next key or push, in browsers that can. */
function mark(range: Range): void {
  if (!globalThis.CSS?.highlights) return
  CSS.highlights.set(MARKED, new Highlight(range))
  const end = () => CSS.highlights.delete(MARKED)
  for (const done of ['keydown', 'pointerdown'])
    addEventListener(done, end, { capture: true, once: true })
}

const MARKED = 'passage'

/** Where a text stands, capitals aside; parts of it may be styled each in its own way. */
function rangeOf(body: Element, text: string): Range | null {
  const { whole, range } = textIn(body)
  const at = whole.toLowerCase().indexOf(text.toLowerCase())
  return at < 0 ? null : range(at, at + text.length)
}
