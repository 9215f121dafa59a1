import type { Editor } from '@tiptap/react'
import { TableOfContents } from 'lucide-react'
import { DropdownMenu } from 'radix-ui'
import { MenuSheet } from '@/parts/Menu'

interface Heading {
  at: number
  level: number
  text: string
}

function headingsOf({ state: { doc } }: Editor): Heading[] {
  const found: Heading[] = []
  doc.descendants((node, at) => {
    if (node.type.name !== 'heading') return !node.isTextblock
    found.push({ at, level: node.attrs.level as number, text: node.textContent })
    return false
  })
  return found
}

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
  const headings = open ? headingsOf(editor) : []
  // The keys come to the text when the menu is shut.
  const go = ({ at }: Heading) =>
    editor
      .chain()
      .setTextSelection(at + 1)
      .scrollIntoView()
      .run()
  return (
    <DropdownMenu.Root open={open} onOpenChange={onOpen}>
      <DropdownMenu.Trigger asChild>
        <button
          type="button"
          className="tool"
          title="Headings, Ctrl+Shift+G"
          aria-label="Headings, Ctrl+Shift+G"
        >
          <TableOfContents size={15} />
        </button>
      </DropdownMenu.Trigger>
      <MenuSheet
        onCloseAutoFocus={(event) => {
          event.preventDefault()
          editor.view.focus()
        }}
      >
        {headings.length === 0 ? (
          <DropdownMenu.Item className="menu-item text-soft" disabled>
            No headings yet. Ctrl+Shift+1 to 3 makes one.
          </DropdownMenu.Item>
        ) : null}
        {headings.map((heading) => (
          <DropdownMenu.Item
            key={heading.at}
            className="menu-item"
            style={{ paddingInlineStart: 12 * heading.level }}
            onSelect={() => go(heading)}
          >
            <span dir="auto" title={heading.text} className="max-w-80 truncate">
              {heading.text || 'Empty heading'}
            </span>
          </DropdownMenu.Item>
        ))}
      </MenuSheet>
    </DropdownMenu.Root>
  )
}
