import { DropdownMenu } from 'radix-ui'
import { registry } from '@/core/commands/registry'
import { keysFor } from '@/core/keys/bindings'
import { useArrangement, useShelf } from '@/store/useShelf'
import { Keys } from './Keys'

/** A menu item that runs a command, with its title and its keys as they are now. */
export function CommandItem({
  command,
  args = {},
  label,
}: {
  command: string
  args?: object
  label?: string
}) {
  const shelf = useShelf()
  const name = label ?? registry.get(command)?.title
  const keys = useArrangement((state) => keysFor(state, command, args))
  return (
    <DropdownMenu.Item className="menu-item" onSelect={() => shelf.dispatchAny(command, args)}>
      <span dir="auto" title={name} className="min-w-0 truncate">
        {name}
      </span>
      {keys ? (
        <span className="ml-auto shrink-0 pl-6">
          <Keys keys={keys} />
        </span>
      ) : null}
    </DropdownMenu.Item>
  )
}
