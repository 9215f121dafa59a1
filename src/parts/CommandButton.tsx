import { explained } from '@/core/commands/explained'
import { keysFor } from '@/core/keys/bindings'
import { useArrangement, useShelf } from '@/store/useShelf'
import { Keys } from './Keys'

/** A quiet button that runs a command, with its keys as they are now. */
export function CommandButton({
  command,
  args,
  label,
  className = '',
}: {
  command: string
  args?: object
  label: string
  className?: string
}) {
  const shelf = useShelf()
  const keys = useArrangement((state) => keysFor(state, command, args))
  return (
    <button
      type="button"
      title={explained(command)}
      className={`flex items-center gap-1.5 text-soft hover:text-ink ${className}`}
      onClick={() => shelf.dispatchAny(command, args)}
    >
      {label} {keys ? <Keys keys={keys} /> : null}
    </button>
  )
}
