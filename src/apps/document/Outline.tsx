import type { Editor } from '@tiptap/react'
import { ContentsMenu, type Place } from '@/parts/ContentsMenu'

/** The headings of the text, to go to one of them. */
export function Outline({
  editor,
  open,
  onOpen,
}: {
  editor: Editor
  open: boolean
  onOpen(open: boolean): void
}) {
  return (
    <ContentsMenu
      label="Headings, Ctrl+Shift+G"
      places={open ? headingsOf(editor) : []}
      none="No headings yet. Ctrl+Shift+1 makes one."
      open={open}
      onOpen={onOpen}
      onLeave={() => editor.view.focus()}
    />
  )
}

function headingsOf(editor: Editor): Place[] {
  const found: Place[] = []
  editor.state.doc.descendants((node, at) => {
    if (node.type.name !== 'heading') return !node.isTextblock
    found.push({
      title: node.textContent || 'Empty heading',
      level: Number(node.attrs.level) - 1,
      // The keys come to the text when the menu is shut.
      go: () =>
        editor
          .chain()
          .setTextSelection(at + 1)
          .scrollIntoView()
          .run(),
    })
    return false
  })
  return found
}
