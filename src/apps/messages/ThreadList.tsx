import { useState } from 'react'
import { useInSight } from '@/parts/useInSight'
import type { Thread } from './content'
import { mentioned, unread } from './threads'

/** Who has written, and where one writes to somebody new. */
export function ThreadList({
  threads,
  open,
  writing,
  onOpen,
  onStart,
}: {
  threads: Thread[]
  open: Thread | undefined
  /** The thread somebody is writing in. */
  writing: string | null
  onOpen(id: string): void
  /** Begins to write to somebody. */
  onStart(who: string): void
}) {
  return (
    <nav
      aria-label="Threads"
      className="flex w-[clamp(6rem,28%,10rem)] shrink-0 flex-col overflow-auto border-seam border-r"
    >
      {threads.map((thread) => (
        <Entry
          key={thread.id}
          thread={thread}
          open={thread === open}
          writing={thread.id === writing}
          onOpen={onOpen}
        />
      ))}
      <StartThread onStart={onStart} />
    </nav>
  )
}

function StartThread({ onStart }: { onStart(who: string): void }) {
  const [who, setWho] = useState('')
  return (
    <form
      className="mt-auto p-2"
      onSubmit={(event) => {
        event.preventDefault()
        if (!who.trim()) return
        onStart(who.trim())
        setWho('')
      }}
    >
      <input
        aria-label="Start a thread with"
        placeholder="write to…"
        maxLength={80}
        className="field min-h-7 w-full"
        value={who}
        onChange={(event) => setWho(event.target.value)}
      />
    </form>
  )
}

function Entry({
  thread,
  open,
  writing,
  onOpen,
}: {
  thread: Thread
  open: boolean
  writing: boolean
  onOpen(id: string): void
}) {
  const button = useInSight<HTMLButtonElement>(open)
  const { id, who } = thread
  return (
    <button
      ref={button}
      type="button"
      aria-current={open ? 'true' : undefined}
      className="flex w-full items-center gap-2 px-3 py-2 text-left aria-[current]:bg-ink/8 aria-[current]:font-semibold"
      // The keys stay with the reply, that of the thread that is opened.
      onMouseDown={(event) => event.preventDefault()}
      onClick={() => onOpen(id)}
    >
      <span dir="auto" title={who} className="min-w-0 flex-1 truncate text-left">
        {who}
      </span>
      {writing ? <span className="shrink-0 text-[12px] text-soft">writing</span> : null}
      {mentioned(thread) ? <b className="font-mono text-alarm">!</b> : null}
      {unread(thread) ? (
        <span className="shrink-0 font-mono text-[12px]">{unread(thread)} new</span>
      ) : null}
    </button>
  )
}
