import { MailQuestionMark, Paperclip, Search, Trash2 } from 'lucide-react'
import { Fragment, type KeyboardEvent, useEffect, useRef, useState } from 'react'
import { flushSync } from 'react-dom'
import type { DocumentId, WindowId } from '@/core/model/ids'
import { counted } from '@/core/text/counted'
import { FindIn } from '@/parts/FindIn'
import { useAppKeys } from '@/parts/inApp'
import { isControl } from '@/parts/isControl'
import { Tool } from '@/parts/Tool'
import { useTyped } from '@/store/documents/documents'
import { usePassage } from '@/store/documents/passages'
import { useFindable } from '@/store/finding'
import { Attach } from './Attach'
import type { Attached, Message, Thread } from './content'
import { Files } from './Files'
import { REPLY_MOST } from './protocol'
import { Said } from './Said'
import { unread } from './threads'

/** So many messages are drawn at first, and so many more each time that is asked for. */
const DRAWN = 100

/** What was said in a thread, and the reply. */
export function Talk({
  window,
  document,
  thread,
  writing,
  onSay,
  onChange,
  onUnread,
  onDelete,
  onStep,
}: {
  window: WindowId
  document: DocumentId
  thread: Thread
  /** Whether the other is writing now. */
  writing: boolean
  onSay(text: string, files: Attached[]): void
  /** Puts another in the place of a message, or takes it away. */
  onChange(message: Message, to: Message | null): void
  onUnread(): void
  /** Takes the whole thread away. */
  onDelete(): void
  onStep(by: number): void
}) {
  const [finding, setFinding] = useState(false)
  const [drawn, setDrawn] = useState(DRAWN)
  const [typed, setTyped] = useTyped(document, thread.id)
  const [kept, setKept] = useTyped(document, `files of ${thread.id}`)
  const files = filesIn(kept)
  const setFiles = (next: Attached[]) =>
    setKept(next.map(({ id, title }) => `${id} ${title}`).join('\n'))
  const [attaching, setAttaching] = useState(false)
  const over = typed.trim().length - REPLY_MOST
  const log = useRef<HTMLDivElement>(null)
  const reply = useRef<HTMLTextAreaElement>(null)
  useFindable(window, () => setFinding(true))
  const count = thread.messages.length
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new message, or less room, is the reason to scroll
  useEffect(() => {
    log.current?.scrollTo(0, log.current.scrollHeight)
  }, [count, attaching, files.length])
  const say = () => {
    const text = typed.trim() || files.map(({ title }) => title).join(', ')
    if (!text || over > 0) return
    onSay(text, files)
    setTyped('')
    setFiles([])
  }
  /** What has not been sent, or was not taken, comes back into the reply. */
  const edit = (message: Message) => {
    onChange(message, null)
    setTyped(typed.trim() ? `${message.text}\n${typed}` : message.text)
    if (message.files) setFiles([...message.files, ...files])
    reply.current?.focus()
  }
  const held = thread.messages.findLast(({ waiting }) => waiting)
  const sends = useAppKeys('Enter')
  const keys = (event: KeyboardEvent) => {
    if (event.altKey || event.nativeEvent.isComposing) return
    if (isControl(event, 'f')) setFinding(true)
    else if (isControl(event, 'z') && !typed && held) edit(held)
    else if (event.key === 'Enter' && !event.shiftKey) say()
    else if (event.key === 'PageDown') onStep(1)
    else if (event.key === 'PageUp') onStep(-1)
    else return
    event.preventDefault()
  }
  // What is found in is there whole.
  const first = finding ? 0 : Math.max(0, count - drawn)
  const shown = thread.messages.slice(first)
  const days = shown.map(({ at }) => DAY.format(at))
  usePassage(document, (wanted) => {
    const said = ({ text }: Message) => text.toLowerCase().includes(wanted.toLowerCase())
    if (thread.messages.slice(0, first).some(said)) setDrawn(count)
    // The window shows it, now that it is there.
    return false
  })
  /** What is read stays where it is. */
  const earlier = () => {
    const below = log.current ? log.current.scrollHeight - log.current.scrollTop : 0
    flushSync(() => setDrawn(drawn + DRAWN))
    log.current?.scrollTo(0, log.current.scrollHeight - below)
    log.current?.focus()
  }
  return (
    <>
      <div role="toolbar" aria-label="Thread" className="bar">
        <span dir="auto" className="min-w-0 truncate font-semibold">
          {thread.who}
        </span>
        <span className="ml-auto flex">
          <Tool label="Find in this thread" keys="Ctrl+F" onClick={() => setFinding(true)}>
            <Search size={15} />
          </Tool>
          <Tool label="Mark as unread" disabled={!count || unread(thread) > 0} onClick={onUnread}>
            <MailQuestionMark size={15} />
          </Tool>
          <DeleteThread
            onDelete={() => {
              setTyped('')
              onDelete()
            }}
          />
        </span>
      </div>
      {finding ? (
        <FindIn
          within={log}
          anew={count}
          label="Find in this thread"
          back={reply}
          onClose={() => setFinding(false)}
        />
      ) : null}
      <div
        ref={log}
        role="log"
        aria-label={`Messages with ${thread.who}`}
        tabIndex={0}
        onKeyDown={(event) => {
          if (!isControl(event, 'f')) return
          event.preventDefault()
          setFinding(true)
        }}
        className="flex min-h-0 flex-1 flex-col gap-2 overflow-auto p-3 text-[15px]"
      >
        {first > 0 ? (
          <button type="button" className="btn self-center py-0" onClick={earlier}>
            {counted(first, 'earlier message')}
          </button>
        ) : null}
        {shown.map((message, index) => (
          <Fragment key={message.id ?? `${message.at} ${first + index}`}>
            {days[index] === days[index - 1] ? null : (
              <p className="self-center text-[12px] text-soft">{days[index]}</p>
            )}
            <Said
              message={message}
              onRetry={() => onChange(message, { ...message, failed: undefined, waiting: true })}
              onEdit={() => edit(message)}
              onDelete={() => onChange(message, null)}
            />
          </Fragment>
        ))}
      </div>
      <p role="status" className="px-3 text-[12px] text-soft">
        {writing ? `${thread.who} is writing…` : ''}
      </p>
      {files.length > 0 ? (
        <div className="px-2 pb-1">
          <Files
            files={files}
            onRemove={(id) => setFiles(files.filter((file) => file.id !== id))}
          />
        </div>
      ) : null}
      {attaching ? (
        <Attach
          onAttach={(file) => setFiles([...files.filter(({ id }) => id !== file.id), file])}
          onClose={() => {
            setAttaching(false)
            reply.current?.focus()
          }}
        />
      ) : null}
      {over > 0 ? (
        <p role="alert" className="border-seam border-t border-dashed px-3 py-1 text-alarm">
          {counted(over, 'letter')} too many: a reply has {REPLY_MOST} at most.
        </p>
      ) : null}
      <div className="@container flex items-end gap-2 border-seam border-t p-2">
        <textarea
          ref={reply}
          data-autofocus=""
          aria-label={`Reply to ${thread.who}`}
          title={sends ? `${sends} sends, Shift+Enter starts a line` : undefined}
          rows={Math.min(6, typed.split('\n').length)}
          className="field field-sizing-content max-h-36 min-h-8 min-w-0 flex-1 resize-none py-1 text-[15px] leading-snug"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
          onKeyDown={keys}
        />
        <Tool label="Attach a file" onClick={() => setAttaching(true)}>
          <Paperclip size={15} />
        </Tool>
        <button type="button" className="btn" onClick={say}>
          Reply {sends ? <span className="key @max-[320px]:hidden">{sends}</span> : null}
        </button>
      </div>
    </>
  )
}

/** What is to go with a reply, as it is kept: a line for each, its id first. */
const filesIn = (kept: string): Attached[] =>
  kept
    .split('\n')
    .filter(Boolean)
    .map((line) => {
      const [id = '', ...title] = line.split(' ')
      return { id, title: title.join(' ') }
    })

/** Deleting is asked about once more: it is for good. */
function DeleteThread({ onDelete }: { onDelete(): void }) {
  const [asks, setAsks] = useState(false)
  return asks ? (
    <button
      type="button"
      className="tool text-alarm"
      // biome-ignore lint/a11y/noAutofocus: it was asked for
      autoFocus
      onBlur={() => setAsks(false)}
      onClick={onDelete}
    >
      Delete for good
    </button>
  ) : (
    <Tool label="Delete this thread" onClick={() => setAsks(true)}>
      <Trash2 size={14} />
    </Tool>
  )
}

const DAY = new Intl.DateTimeFormat([], { weekday: 'short', day: 'numeric', month: 'short' })
