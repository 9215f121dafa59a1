import { DropdownMenu } from 'radix-ui'
import { explained } from '@/core/commands/explained'
import { registry } from '@/core/commands/registry'
import { keysFor } from '@/core/keys/bindings'
import { useArrangement, useShelf } from '@/store/useShelf'
import { Keys } from './Keys'

/** A menu item that runs a command, with its title and its keys; what turns on and off has a tick. */
export function CommandItem({
  command,
  args = {},
  label,
  on,
}: {
  command: string
  args?: object
  label?: string
  /** Whether it is on now, if it is something that is on or off. */
  on?: boolean
}) {
  const shelf = useShelf()
  const name = label ?? registry.get(command)?.title
  // Those that say it of what has the focus, where there are none for just this one.
  const { window: _window, desktop: _desktop, ...said } = args as Record<string, unknown>
  const keys = useArrangement(
    (state) => keysFor(state, command, args) ?? keysFor(state, command, said),
  )
  const onSelect = () => shelf.dispatchAny(command, args)
  const content = (
    <>
      <span dir="auto" title={explained(command) ?? name} className="min-w-0 truncate">
        {name}
      </span>
      {on ? <span aria-hidden>✓</span> : null}
      {keys ? (
        <span className="ml-auto shrink-0 pl-6">
          <Keys keys={keys} />
        </span>
      ) : null}
    </>
  )
  return on === undefined ? (
    <DropdownMenu.Item className="menu-item" onSelect={onSelect}>
      {content}
    </DropdownMenu.Item>
  ) : (
    <DropdownMenu.CheckboxItem className="menu-item" checked={on} onSelect={onSelect}>
      {content}
    </DropdownMenu.CheckboxItem>
  )
}
