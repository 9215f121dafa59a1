import type { EditorView } from '@tiptap/pm/view'

/**
 * A browser tells a moment later, with its next frame, that the caret was moved: on a busy page a key
 * would act where it was before. So it is told before each key.
 */
export function tellCaret(view: EditorView): void {
  const { focusNode, focusOffset } = document.getSelection() ?? {}
  if (!focusNode || focusOffset === undefined || !view.dom.contains(focusNode)) return
  if (view.posAtDOM(focusNode, focusOffset) === view.state.selection.head) return
  document.dispatchEvent(new Event('selectionchange'))
}
