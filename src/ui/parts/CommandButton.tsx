import { keysFor } from '@/core/keys/bindings'
import { dispatch, useArrangement } from '@/store/shelf'
import { Keys } from './Keys'

/** A quiet button that runs a command, with its keys as they are now. */
export function CommandButton({
  command,
  label,
  className = '',
}: {
  command: string
  label: string
  className?: string
}) {
  const keys = useArrangement((state) => keysFor(state, command))
  return (
    <button
      type="button"
      className={`flex items-center gap-1.5 text-soft hover:text-ink ${className}`}
      onClick={() => dispatch(command)}
    >
      {label} {keys ? <Keys keys={keys} /> : null}
    </button>
  )
}
