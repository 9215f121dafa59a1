import { Pause, Play, SkipForward, X } from 'lucide-react'
import { type FormEvent, useEffect, useRef, useState } from 'react'
import { appOf } from '@/apps/list'
import type { WindowId } from '@/core/model/ids'
import { focusContent } from '@/parts/focus'
import { useMedia } from '@/parts/useMedia'
import { after } from '@/store/clock'
import { useTyped } from '@/store/documents/documents'
import { actAfar, type Control, useTethers } from '@/store/tethers'
import { useArrangement, useList, usePage, useShelf } from '@/store/useShelf'
import { placed, type Shown, tethersNow } from './list'

const GLYPHS = { pause: Pause, play: Play, next: SkipForward, drop: X }

/** How many have room in the line. */
function useRoom(): number {
  const half = useMedia('(max-width: 1100px)')
  const wide = useMedia('(min-width: 1500px)')
  return half ? 1 : wide ? 6 : 4
}

/** In the line: what is at work elsewhere, with a hand on it. */
export function Tethers() {
  const shelf = useShelf()
  const tethers = useTethers()
  // Drawn anew only when another window is among them.
  const ids = useList((state) => tethersNow(shelf, state, tethers).map(({ window }) => window))
  const places = useRef<(WindowId | null)[]>([])
  places.current = placed(places.current, ids)
  const known = tethersNow(shelf, shelf.state(), tethers)
  const all = places.current.map((id) => known.find(({ window }) => window === id))
  const asked = usePage(({ view }) => (view?.view === 'tether' ? view.nth : null))
  const room = useRoom()
  // To whom it goes is as it was begun, whoever asks meanwhile.
  const [replying, setReplying] = useState<Replying | null>(null)
  const meant = asked === null ? undefined : all[asked - 1]
  useEffect(() => {
    if (asked === null) return
    shelf.closeView()
    if (!meant)
      return shelf.say(
        `There is no tether ${asked}: nothing is at work elsewhere with that number.`,
        {
          refused: true,
        },
      )
    const [first] = meant.tether?.controls ?? []
    if (meant.tether?.replies) setReplying(replyTo(meant))
    else if (first) actAfar(shelf, meant.document, first.id)
    else shelf.dispatch('tether.go', { window: meant.window }, 'key')
  }, [asked, meant, shelf])
  if (ids.length === 0 && !replying) return null
  const alone = replying && !all.slice(0, room).some((one) => one?.document === replying.document)
  const more = all.slice(room).flatMap((one) => one ?? [])
  return (
    <ul aria-label="Tethers" className="flex shrink-0 items-center gap-1.5">
      {all
        .slice(0, room)
        .map((one, at) =>
          one ? (
            <One
              key={one.window}
              shown={one}
              nth={at + 1}
              several={ids.length > 2}
              replying={replying?.document === one.document ? replying : null}
              onReply={(wanted) => setReplying(wanted ? replyTo(one) : null)}
            />
          ) : null,
        )}
      {alone ? (
        // What it answers waits no more: what is being written stays.
        <li className="relative h-6 w-1">
          <Reply {...replying} left onDone={() => setReplying(null)} />
        </li>
      ) : null}
      {more.length > 0 ? (
        <li>
          <button
            type="button"
            aria-haspopup="menu"
            className="border border-seam px-1.5 text-[12px]"
            title={more.map(({ title }) => title).join('\n')}
            onClick={({ currentTarget }) =>
              shelf.openMenuBelow(currentTarget, { windows: more.map(({ window }) => window) })
            }
          >
            +{more.length}
          </button>
        </li>
      ) : null}
    </ul>
  )
}

export function One({
  shown: { window, document, app, tether },
  nth,
  several = false,
  wide = false,
  replying,
  onReply,
}: {
  shown: Shown
  nth: number
  /** Whether there are so many that their glyphs have to do. */
  several?: boolean
  /** Whether there is room for what each says, however narrow the window is. */
  wide?: boolean
  /** The reply that is being written. */
  replying: Replying | null
  onReply(wanted: boolean): void
}) {
  const shelf = useShelf()
  const Glyph = appOf(shelf, app)?.glyph
  const title = useArrangement(({ documents }) => documents[document]?.title ?? '')
  const says = tether?.says || title
  return (
    <li
      className="relative flex h-6 shrink-0 items-center gap-1 border border-seam border-dashed pr-0.5"
      onContextMenu={(event) => shelf.openMenu(event, { window })}
    >
      <button
        type="button"
        title={`${title}: ${says}`}
        className="flex min-w-0 items-center gap-1.5 pl-1.5 hover:underline"
        onClick={() => shelf.dispatch('tether.go', { window })}
      >
        <span aria-hidden className="font-mono text-[10px] text-soft">
          {nth}
        </span>
        {Glyph ? <Glyph size={13} aria-hidden className="shrink-0" /> : null}
        <span
          dir="auto"
          className={`max-w-28 truncate text-[12px] ${wide ? '' : several ? 'max-[1600px]:sr-only' : 'max-[1400px]:sr-only'}`}
        >
          {says}
        </span>
        {tether?.progress === undefined ? null : (
          <span className="shrink-0 whitespace-nowrap font-mono text-[11px] tabular-nums">
            {Math.floor(tether.progress * 100)} %
          </span>
        )}
        {tether?.until === undefined ? null : <Left until={tether.until} />}
      </button>
      {tether?.replies ? (
        <button
          type="button"
          className="px-1 text-[12px] text-soft hover:text-ink"
          aria-expanded={replying !== null}
          onClick={() => onReply(!replying)}
        >
          reply
        </button>
      ) : null}
      {tether?.controls.map((control) => (
        <Hand
          key={control.id}
          control={control}
          about={title}
          onAct={() => actAfar(shelf, document, control.id)}
        />
      ))}
      {replying ? <Reply {...replying} left={nth <= 3} onDone={() => onReply(false)} /> : null}
    </li>
  )
}

function Hand({ control, about, onAct }: { control: Control; about: string; onAct(): void }) {
  const Sign = GLYPHS[control.glyph]
  return (
    <button
      type="button"
      aria-label={`${control.label}: ${about}`}
      title={control.label}
      className="grid size-5 place-items-center text-soft hover:text-ink"
      onClick={onAct}
    >
      <Sign size={12} aria-hidden />
    </button>
  )
}

/** A reply that is being written: to whom, and what they said. */
export interface Replying {
  document: string
  to: string
  typed: string
  most: number
  says: string
}

export function replyTo({ document, tether }: Shown): Replying | null {
  return tether?.replies ? { document, says: tether.says, ...tether.replies } : null
}

/** A reply without leaving the desktop; the keys go back where they were. */
function Reply({
  to,
  typed: name,
  most,
  says,
  document,
  left,
  onDone,
}: Replying & {
  /** Whether it opens to the right of where its tether begins. */
  left: boolean
  onDone(): void
}) {
  const shelf = useShelf()
  // The same as in the window of the thread: what is begun there goes on here.
  const [text, setText] = useTyped(document, name)
  const over = text.trim().length - most
  const field = useRef<HTMLInputElement>(null)
  useEffect(() => field.current?.focus(), [])
  const leave = () => {
    onDone()
    focusContent(shelf)
  }
  const send = (event: FormEvent) => {
    event.preventDefault()
    if (!text.trim() || over > 0) return
    actAfar(shelf, document, 'reply', text.trim(), name)
    setText('')
    leave()
  }
  return (
    <form
      className={`rise absolute bottom-8 z-40 flex w-80 flex-wrap gap-2 border-2 border-ink bg-panel p-2 ${left ? 'left-0' : 'right-0'}`}
      onSubmit={send}
    >
      <p dir="auto" className="line-clamp-3 w-full">
        {says}
      </p>
      <input
        ref={field}
        aria-label={`Reply to ${to}`}
        placeholder={`to ${to}`}
        className="field min-w-0 flex-1"
        value={text}
        onChange={(event) => setText(event.target.value)}
        onKeyDown={(event) => {
          if (event.key !== 'Escape') return
          event.preventDefault()
          event.stopPropagation()
          leave()
        }}
      />
      <button type="submit" className="btn btn-main" disabled={!text.trim() || over > 0}>
        Send
      </button>
      {over > 0 ? (
        <p role="alert" className="w-full text-alarm">
          {over === 1 ? '1 letter' : `${over} letters`} too many: a reply has {most} at most.
        </p>
      ) : null}
    </form>
  )
}

const MINUTE = 60_000

/** The time left, woken once a minute, and each second of the last. */
function Left({ until }: { until: number }) {
  const shelf = useShelf()
  const [now, setNow] = useState(() => shelf.clock())
  const left = Math.max(0, until - now)
  useEffect(() => {
    if (left === 0) return
    const next = left > MINUTE ? left % MINUTE || MINUTE : 1000
    return after(shelf, next, () => setNow(shelf.clock()))
  }, [shelf, left])
  const minutes = Math.ceil(left / MINUTE)
  const hours = Math.floor(minutes / 60)
  return (
    <span className="font-mono text-[11px] tabular-nums">
      {left === 0
        ? 'over'
        : left <= MINUTE
          ? `${Math.ceil(left / 1000)} s`
          : `${hours ? `${hours} h ` : ''}${minutes % 60} min`}
    </span>
  )
}
