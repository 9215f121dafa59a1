import { Extension } from '@tiptap/core'
import { GapCursor } from '@tiptap/pm/gapcursor'
import { closeHistory } from '@tiptap/pm/history'
import { Plugin, Selection } from '@tiptap/pm/state'
import type { EditorView } from '@tiptap/pm/view'

/**
 * The text's own chords. Ctrl and Alt together begin what is said to the shelf, in one of its sets of
 * keys: the text takes none of those. Its end is after whatever stands last.
 */
export const Chords = Extension.create({
  name: 'chords',
  priority: 1000,
  addKeyboardShortcuts() {
    const heading = (level: 1 | 2 | 3) => () => this.editor.commands.toggleHeading({ level })
    const none = [0, 1, 2, 3, 4, 5, 6, 'c'].map((key) => [`Mod-Alt-${key}`, () => true] as const)
    return {
      ...Object.fromEntries(none),
      'Mod-Shift-1': heading(1),
      'Mod-Shift-2': heading(2),
      'Mod-Shift-3': heading(3),
      'Mod-Shift-0': () => this.editor.commands.setParagraph(),
      'Mod-Home': () => beforeFirst(this.editor.view),
      'Mod-End': () => afterLast(this.editor.view),
    }
  },
  addProseMirrorPlugins: () => [
    new Plugin({
      props: {
        // What is pasted is a step of its own, however soon it comes after what was typed.
        handlePaste: (view) => {
          apart(view)
          queueMicrotask(() => apart(view))
          return false
        },
      },
    }),
  ],
})

/** The editor takes a caret that goes there soon after the focus came for one that was lost, and puts it back. */
function beforeFirst(view: EditorView): boolean {
  const { doc, tr } = view.state
  view.dispatch(tr.setSelection(Selection.atStart(doc)).scrollIntoView())
  return true
}

/** Nothing can be typed into what stands last, such as a table: the caret goes after it. */
function afterLast(view: EditorView): boolean {
  const { doc, tr } = view.state
  if (doc.lastChild?.type.name !== 'table') return false
  view.dispatch(tr.setSelection(new GapCursor(doc.resolve(doc.content.size))).scrollIntoView())
  return true
}

/** Undo takes what comes from now on by itself. */
export function apart(view: EditorView): void {
  if (!view.isDestroyed) view.dispatch(closeHistory(view.state.tr))
}
