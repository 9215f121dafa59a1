import {
  Ellipsis,
  Expand,
  Grid3x3,
  House as HomeGlyph,
  Maximize,
  Minimize,
  Minus,
  Shrink,
  X,
} from 'lucide-react'
import { type CSSProperties, memo, type ReactNode, useEffect } from 'react'
import { appOf } from '@/apps/list'
import type { Place } from '@/core/geometry/shelves'
import type { DocumentId, WindowId } from '@/core/model/ids'
import { focusId } from '@/core/model/selectors'
import { isTopmost } from '@/core/model/stacking'
import { rememberElement } from '@/parts/focus'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'
import { dragOut } from '@/ui/files/dragOut'
import { FileMark } from '@/ui/files/FileMark'
import { restoreScroll } from '@/ui/hand/scroll'
import { takeKeys } from '@/ui/keys/frames'
import { Content } from './Content'
import type { Full } from './facts'
import { useMoving } from './useMoving'
import { GRIPS, useResizing } from './useResizing'
import { useFacts, useSlot, useWoken } from './useShowing'

/**
 * A window's place on the desktop. It is drawn when its desktop is first shown; after that it
 * stays mounted, and the browser skips it while it is hidden. What hides it and marks it as the
 * focused one is not drawn: `showing` puts it to the elements.
 */
export const WindowSlot = memo(function WindowSlot({ id, group }: { id: WindowId; group: number }) {
  const woken = useWoken(id)
  const slot = useSlot(id, group)
  if (!woken) return null
  return (
    <div ref={slot} className="slot">
      <WindowFrame id={id} />
    </div>
  )
})

const WindowFrame = memo(function WindowFrame({ id }: { id: WindowId }) {
  const shelf = useShelf()
  const facts = useFacts(id)
  useEffect(() => restoreScroll(shelf, id), [id, shelf])
  const { app, document, desktop, display, name, unsaved, away, full, inPage, place } = facts
  const { x, y, width, height, still, clip } = facts
  if (!document) return null
  return (
    <section
      id={`window-${id}`}
      data-window={id}
      data-app={app}
      data-desktop={desktop}
      data-display={display}
      aria-label={name}
      className="win"
      inert={still}
      style={place ? standing(place, x, y, clip) : { left: x, top: y, width, height }}
      onPointerDownCapture={() => raise(shelf, id)}
      onFocusCapture={(event) => {
        rememberElement(shelf, id, event.target)
        if (focusId(shelf.state()) !== id) shelf.dispatch('window.focus', { window: id }, 'app')
      }}
    >
      <div className="win-edge">
        <div className="win-sheet">
          <Hem
            id={id}
            app={app}
            document={document}
            name={name}
            unsaved={unsaved}
            away={away}
            full={full}
            inPage={inPage}
          />
          <div className="win-body" tabIndex={-1}>
            <Content app={app} window={id} document={document} />
          </div>
        </div>
      </div>
      {full === 'solo' || full === 'pair' ? null : <Grips id={id} />}
    </section>
  )
})

/** The edges and corners a window is resized by. */
const Grips = memo(function Grips({ id }: { id: WindowId }) {
  const resizing = useResizing(id)
  return GRIPS.map((grip) => (
    <div key={grip} className={`grip grip-${grip}`} data-grip={grip} {...resizing(grip)} />
  ))
})

/** A window as a miniature. */
const standing = (
  { x, y, width, height, scale }: Place,
  left: number,
  top: number,
  clip: string,
): CSSProperties => ({
  left,
  top,
  width,
  height,
  transform: `translate(${x - left}px, ${y - top}px) scale(${scale})`,
  ...(clip && { clipPath: clip }),
})

/** A push anywhere in a window puts it on top with the focus; nothing happens when it is there. */
function raise(shelf: Shelf, id: WindowId): void {
  const state = shelf.state()
  if (focusId(state) !== id || !isTopmost(state, id))
    shelf.dispatch('window.focus', { window: id }, 'app')
}

const Hem = memo(function Hem({
  id,
  app,
  document,
  name,
  unsaved,
  away,
  full,
  inPage,
}: {
  id: WindowId
  app: string
  document: DocumentId
  name: string
  unsaved: boolean
  /** Whether its home is elsewhere. */
  away: boolean
  full: Full
  inPage: boolean
}) {
  const shelf = useShelf()
  const moving = useMoving(id)
  const Glyph = appOf(shelf, app)?.glyph
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: every action is on a key and in the menu
    <header
      className="hem"
      {...moving()}
      onDoubleClick={() =>
        shelf.dispatch(full === 'solo' || full === 'pair' ? 'window.solo' : 'window.maximise', {
          window: id,
        })
      }
      onContextMenu={(event) => shelf.openMenu(event, { window: id })}
    >
      <button
        type="button"
        className="hem-icon -ml-1"
        aria-haspopup="menu"
        aria-label={`Menu of ${name}`}
        draggable
        onDragStart={(event) => dragOut(shelf, document, event)}
        onPointerDown={(event) => event.button === 0 && event.stopPropagation()}
        onDoubleClick={(event) => event.stopPropagation()}
        onClick={(event) => shelf.openMenuBelow(event.currentTarget, { window: id })}
      >
        {Glyph ? <Glyph size={15} aria-hidden /> : null}
      </button>
      <b dir="auto" className="min-w-0 truncate font-semibold">
        {name}
      </b>
      {away ? (
        <HemIcon id={id} command="window.why" label="Away from home: why here?">
          <HomeGlyph size={14} />
        </HemIcon>
      ) : null}
      {unsaved ? (
        <>
          <span className="hem-wide border border-current border-dashed px-1 text-[11px] leading-4">
            not saved
          </span>
          <span
            role="img"
            className="hem-narrow size-2 shrink-0 rounded-full bg-current"
            aria-label="not saved"
            title="not saved"
          />
        </>
      ) : null}
      <FileMark document={document} title={name} />
      {inPage ? <PageKeys /> : null}
      <span className="ml-auto flex shrink-0">
        {full === 'solo' || full === 'pair' ? (
          <HemIcon id={id} command="window.solo" label="Bring it back">
            <Shrink size={14} />
          </HemIcon>
        ) : (
          <span className="hem-wide">
            <HemIcon id={id} command="window.pad" label="Place">
              <Grid3x3 size={14} />
            </HemIcon>
            <HemIcon id={id} command="window.solo" label="Solo">
              <Expand size={14} />
            </HemIcon>
            <HemIcon id={id} command="window.maximise" label={full ? 'Restore' : 'Maximise'}>
              {full ? <Minimize size={14} /> : <Maximize size={14} />}
            </HemIcon>
            <HemIcon id={id} command="window.minimise" label="Minimise">
              <Minus size={14} />
            </HemIcon>
          </span>
        )}
        <button
          type="button"
          className="hem-icon hem-narrow"
          aria-haspopup="menu"
          aria-label="More"
          title="More: place, solo, maximise, minimise…"
          onPointerDown={(event) => event.stopPropagation()}
          onDoubleClick={(event) => event.stopPropagation()}
          onClick={(event) => shelf.openMenuBelow(event.currentTarget, { window: id })}
        >
          <Ellipsis size={14} aria-hidden />
        </button>
        <HemIcon id={id} command="window.close" label="Close">
          <X size={14} />
        </HemIcon>
      </span>
    </header>
  )
})

/** Says that the keys go to the page in the window; a push takes them back. */
function PageKeys() {
  const shelf = useShelf()
  return (
    <button
      type="button"
      title="Take the keys back"
      className="shrink-0 border border-current border-dashed px-1 text-[11px] leading-4"
      onClick={() => takeKeys(shelf)}
    >
      keys go to the page
    </button>
  )
}

function HemIcon({
  id,
  command,
  label,
  children,
}: {
  id: WindowId
  command: string
  label: string
  children: ReactNode
}) {
  const shelf = useShelf()
  return (
    <button
      type="button"
      className="hem-icon"
      aria-label={label}
      title={label}
      onPointerDown={(event) => event.stopPropagation()}
      onDoubleClick={(event) => event.stopPropagation()}
      onClick={() => shelf.dispatchAny(command, { window: id })}
    >
      {children}
    </button>
  )
}
