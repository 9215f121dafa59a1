import { useRef } from 'react'
import { usePage, useShelf } from '@/store/useShelf'

/** What was changed last, with its undo: the line is out of reach while it is open. */
export function JustDone({ className = '' }: { className?: string }) {
  const shelf = useShelf()
  const said = usePage((page) => page.said)
  const opened = useRef(said)
  if (!said || said.inForm || said === opened.current) return null
  return (
    <footer
      className={`flex min-w-0 items-center gap-2 text-soft ${className}`}
      {...(said.refused && { role: 'alert' })}
    >
      <span className={`truncate ${said.refused ? 'text-alarm' : ''}`} title={said.text}>
        {said.text}
      </span>
      {said.step ? (
        <button
          type="button"
          className="btn ml-auto"
          onClick={() => shelf.dispatch('history.undo')}
        >
          Undo
        </button>
      ) : null}
    </footer>
  )
}
