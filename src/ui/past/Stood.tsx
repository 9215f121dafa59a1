import type { KeyboardEvent } from 'react'
import { appOf } from '@/apps/list'
import type { DesktopId, DocumentId } from '@/core/model/ids'
import { EVERY, type Window } from '@/core/model/kinds/window'
import { title } from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import { type DesktopSince, desktopSince, windowSince } from '@/core/past/since'
import { Kite } from '@/parts/Kite'
import { LongList } from '@/parts/LongList'
import { useArrangement, useShelf } from '@/store/useShelf'
import type { Version } from '@/store/versions'
import { Said } from './Said'

/** How high a window is drawn that is as high as its display, in CSS pixels. */
const HIGH = 104
/** So large one is drawn at least: what became of it has to be read on it. */
const LEAST = { width: 84, height: 24 }

const SINCE: Record<DesktopSince, string> = {
  same: 'unchanged',
  changed: 'changed since',
  stowed: 'stowed since',
  gone: 'gone since',
}

export interface Bringing {
  onDesktop(id: DesktopId): void
  onWindow(window: Window): void
  /** What a document said then, where it has changed since. */
  said(document: DocumentId): Version | undefined
}

/** The loft as it stood: row by row, with what became of it. What is different now can be brought back. */
export function Stood({ then, ...bring }: { then: State } & Bringing) {
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: the arrows go along a row
    <div className="flex min-h-0 flex-1 flex-col" onKeyDown={alongRow}>
      <LongList label="Desktops at this moment" className="min-h-0 flex-1">
        {then.order.map((id) => (
          <Row key={id} id={id} then={then} {...bring} />
        ))}
        {then.everywhere.length ? (
          <li className="flex gap-4 border-seam border-b border-dashed py-2">
            <p className="w-52 shrink-0 font-display font-semibold">On every desktop</p>
            <Windows ids={then.everywhere} then={then} {...bring} />
          </li>
        ) : null}
      </LongList>
    </div>
  )
}

/** Left and right go from one to the other of what can be pushed in a row. */
function alongRow(event: KeyboardEvent): void {
  const by = { ArrowRight: 1, ArrowLeft: -1 }[event.key]
  const { target } = event
  if (!by || !(target instanceof HTMLButtonElement)) return
  const all = [...(target.closest('li')?.querySelectorAll('button') ?? [])]
  event.preventDefault()
  all[all.indexOf(target) + by]?.focus()
}

function Row({ id, then, onDesktop, ...bring }: { id: DesktopId; then: State } & Bringing) {
  const since = useArrangement((now) => desktopSince(then, now, id))
  const was = then.desktops[id]
  if (!was) return null
  const { name, hue, letter, emblem, kind, windows } = was
  const shown = Object.values(then.presence).some(({ shows }) => shows === id)
  const comesBack = kind === 'open' && (since === 'changed' || since === 'gone')
  return (
    <li className={`hue-${hue} flex gap-4 border-seam border-b border-dashed py-2`}>
      <div className="w-52 shrink-0">
        <p className="flex items-center gap-2">
          <Kite hue={hue} letter={letter} emblem={emblem} filled={shown} width={20} />
          <b dir="auto" className="min-w-0 truncate font-display" title={name}>
            {name}
          </b>
        </p>
        <p className="mt-0.5 flex items-center gap-2 text-[12px] text-soft">
          <span className={since === 'same' ? '' : 'text-ink'}>{SINCE[since]}</span>
          {comesBack ? (
            <button
              type="button"
              className="btn py-0"
              aria-label={`Bring ${name} back`}
              onClick={() => onDesktop(id)}
            >
              Bring back
            </button>
          ) : null}
        </p>
      </div>
      {windows.length ? (
        <Windows ids={windows} then={then} {...bring} />
      ) : (
        <p className="text-soft">No windows</p>
      )}
    </li>
  )
}

function Windows({
  ids,
  then,
  said,
  onWindow,
}: { ids: readonly string[]; then: State } & Omit<Bringing, 'onDesktop'>) {
  return (
    <div className="flex min-w-0 flex-wrap items-end gap-x-3 gap-y-1.5">
      {ids.map((id) => {
        const was = then.windows[id]
        if (!was) return null
        const version = said(was.document)
        return (
          <div key={id} className="flex min-w-0 max-w-44 flex-col">
            {version ? <Said was={was} name={title(then, was)} version={version} /> : null}
            <Stands was={was} then={then} onWindow={onWindow} />
          </div>
        )
      })}
    </div>
  )
}

/** A window as large beside the others as it was. */
function Stands({
  was,
  then,
  onWindow,
}: {
  was: Window
  then: State
  onWindow(window: Window): void
}) {
  const shelf = useShelf()
  const since = useArrangement((now) => windowSince(then, now, was.id))
  const lives = useArrangement(({ windows, desktops }) => desktops[windows[was.id]?.desktop ?? ''])
  const Glyph = appOf(shelf, was.app)?.glyph
  const name = title(then, was)
  const { height = was.frame.height } = then.displays[was.display] ?? {}
  const scale = HIGH / Math.max(1, height)
  const told = {
    same: '',
    moved: 'moved',
    elsewhere: `on ${lives?.name ?? 'every desktop'}`,
    stowed: 'stowed',
    closed: 'closed',
  }[since]
  const sheet = (
    <>
      <span className="flex items-center gap-1.5 text-[12px]">
        {Glyph ? <Glyph size={13} aria-hidden className="shrink-0" /> : null}
        <span dir="auto" className="truncate">
          {name}
        </span>
      </span>
      <span
        className={`flex max-w-full items-end border px-1 text-[11px] ${was.minimised ? 'border-dashed' : ''} ${
          since === 'same' ? 'border-seam bg-ground/40' : 'border-ink bg-sheet'
        }`}
        style={{
          width: Math.max(LEAST.width, was.frame.width * scale),
          height: Math.max(LEAST.height, Math.min(HIGH, was.frame.height * scale)),
        }}
      >
        <span className="truncate">{told}</span>
      </span>
    </>
  )
  const look = 'flex min-w-0 flex-col text-left'
  if (since === 'same' || since === 'stowed')
    return (
      <span className={`${look} text-soft`} title={name}>
        {sheet}
      </span>
    )
  const from = was.desktop === EVERY ? 'every desktop' : then.desktops[was.desktop]?.name
  return (
    <button
      type="button"
      className={`${look} hover:bg-ink/6`}
      title={`Bring back to ${from}`}
      aria-label={`Bring “${name}” back to ${from}, ${since === 'moved' ? 'moved since' : `now ${told}`}`}
      onClick={() => onWindow(was)}
    >
      {sheet}
    </button>
  )
}
