import { TableOfContents } from 'lucide-react'
import { DropdownMenu } from 'radix-ui'
import { MenuSheet } from './Menu'

/** A place in what an app shows, to be gone to. */
export interface Place {
  title: string
  /** From 0: those of a deeper level stand under the one before. */
  level: number
  go(): void
}

/** The headings of a text or a file. */
export function ContentsMenu({
  label,
  places,
  none,
  open,
  onOpen,
  onLeave,
}: {
  label: string
  places: Place[]
  /** What is said where there are none. */
  none?: string
  open?: boolean
  onOpen?(open: boolean): void
  /** The keys go back to what is shown. */
  onLeave(): void
}) {
  return (
    <DropdownMenu.Root open={open} onOpenChange={onOpen}>
      <DropdownMenu.Trigger className="tool" title={label} aria-label={label}>
        <TableOfContents size={15} />
      </DropdownMenu.Trigger>
      <MenuSheet
        onCloseAutoFocus={(event) => {
          event.preventDefault()
          onLeave()
        }}
      >
        {places.length === 0 ? (
          <DropdownMenu.Item className="menu-item text-soft" disabled>
            {none}
          </DropdownMenu.Item>
        ) : null}
        {places.map(({ title, level, go }, at) => (
          <DropdownMenu.Item
            // biome-ignore lint/suspicious/noArrayIndexKey: titles may be the same, the list stays
            key={at}
            className="menu-item"
            style={{ paddingInlineStart: 12 * (level + 1) }}
            onSelect={go}
          >
            <span dir="auto" title={title} className="max-w-80 truncate">
              {title}
            </span>
          </DropdownMenu.Item>
        ))}
      </MenuSheet>
    </DropdownMenu.Root>
  )
}
