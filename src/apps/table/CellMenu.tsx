import { ContextMenu } from 'radix-ui'
import type { ReactNode } from 'react'
import { useAppKeys } from '@/parts/inApp'

export interface CellActs {
  fillDown(): void
  rowAbove(): void
  rowBelow(): void
  columnLeft(): void
  columnRight(): void
  removeRows(): void
  removeColumns(): void
  onlyThese(): void
  sort(down: boolean): void
  firstStays(): void
}

/** What can be done where one is, by a push with the other button or the key for menus. */
export function CellMenu({
  acts,
  firstStays,
  children,
}: {
  acts: CellActs
  /** Whether the first column stays in sight. */
  firstStays: boolean
  children: ReactNode
}) {
  return (
    <ContextMenu.Root>
      <ContextMenu.Trigger asChild>{children}</ContextMenu.Trigger>
      <ContextMenu.Portal>
        <section aria-label="Menu">
          <ContextMenu.Content className="menu" collisionPadding={8}>
            <Item label="Fill down" keys="Ctrl+Shift+F" onSelect={acts.fillDown} />
            <Item label="Show only rows with this value" onSelect={acts.onlyThese} />
            <Seam />
            <Item label="Sort ascending" onSelect={() => acts.sort(false)} />
            <Item label="Sort descending" onSelect={() => acts.sort(true)} />
            <ContextMenu.CheckboxItem
              className="menu-item"
              checked={firstStays}
              onSelect={acts.firstStays}
            >
              Keep the first column in view
              <ContextMenu.ItemIndicator className="ml-auto pl-6">✓</ContextMenu.ItemIndicator>
            </ContextMenu.CheckboxItem>
            <Seam />
            <Item label="Insert row above" onSelect={acts.rowAbove} />
            <Item label="Insert row below" keys="Ctrl+Enter" onSelect={acts.rowBelow} />
            <Item label="Insert column left" onSelect={acts.columnLeft} />
            <Item label="Insert column right" keys="Ctrl+Shift+Enter" onSelect={acts.columnRight} />
            <Item label="Remove rows" keys="Ctrl+Backspace" onSelect={acts.removeRows} />
            <Item
              label="Remove columns"
              keys="Ctrl+Shift+Backspace"
              onSelect={acts.removeColumns}
            />
          </ContextMenu.Content>
        </section>
      </ContextMenu.Portal>
    </ContextMenu.Root>
  )
}

const Seam = () => <ContextMenu.Separator className="my-1 border-seam border-t" />

function Item({ label, keys, onSelect }: { label: string; keys?: string; onSelect(): void }) {
  const told = useAppKeys(keys)
  return (
    <ContextMenu.Item className="menu-item" onSelect={onSelect}>
      {label}
      {told ? <kbd className="ml-auto pl-6 font-mono text-[11px] text-soft">{told}</kbd> : null}
    </ContextMenu.Item>
  )
}
