import { TableOfContents } from 'lucide-react'
import { DropdownMenu } from 'radix-ui'
import { useEffect, useState } from 'react'
import { MenuSheet } from '@/parts/Menu'
import { expected } from '@/store/faults'
import type { Shown } from './usePdf'

interface Entry {
  title: string
  level: number
  dest: string | unknown[] | null
}

/** How many entries are listed. */
const MOST = 500

/** The contents a PDF tells of itself, to go to one of them; nothing where it tells none. */
export function Contents({ shown, onGone }: { shown: Shown; onGone(): void }) {
  const [entries, setEntries] = useState<Entry[]>([])
  useEffect(() => {
    let left = false
    void shown.pdf
      .getOutline()
      .catch(expected('what cannot tell its contents has none', null))
      .then((outline) => {
        if (!left) setEntries(flat(outline ?? [], 0).slice(0, MOST))
      })
    return () => {
      left = true
    }
  }, [shown])
  if (entries.length === 0) return null
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger className="tool" title="Contents" aria-label="Contents">
        <TableOfContents size={15} />
      </DropdownMenu.Trigger>
      <MenuSheet
        onCloseAutoFocus={(event) => {
          event.preventDefault()
          onGone()
        }}
      >
        {entries.map(({ title, level, dest }, at) => (
          <DropdownMenu.Item
            // biome-ignore lint/suspicious/noArrayIndexKey: titles may be the same, the list stays
            key={at}
            className="menu-item"
            style={{ paddingInlineStart: 12 * (level + 1) }}
            onSelect={() => dest && void shown.links.goToDestination(dest)}
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

interface Node {
  title: string
  dest: string | unknown[] | null
  items: Node[]
}

const flat = (nodes: Node[], level: number): Entry[] =>
  nodes.flatMap(({ title, dest, items }) => [{ title, level, dest }, ...flat(items, level + 1)])
