import { type FormEvent, type ReactNode, useState } from 'react'

/**
 * What a job needs to know, and the button that queues it.
 * @param why it cannot be queued yet, told when one tries to
 */
export function Form({
  why,
  onQueue,
  children,
}: {
  why: string | null
  onQueue(): void
  children: ReactNode
}) {
  const [tried, setTried] = useState(false)
  return (
    <form
      className="contents"
      onSubmit={(event: FormEvent) => {
        event.preventDefault()
        setTried(why !== null)
        if (why === null) onQueue()
      }}
    >
      {children}
      <button type="submit" className="btn ml-auto">
        Queue
      </button>
      {tried && why ? (
        <p role="alert" className="w-full text-alarm">
          {why}
        </p>
      ) : null}
    </form>
  )
}
