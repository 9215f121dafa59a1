import { Grid3x3, Maximize, Minimize, Minus, X } from 'lucide-react'
import { DropdownMenu } from 'radix-ui'
import { type CSSProperties, type MouseEvent, memo, type ReactNode, useState } from 'react'
import { appOf } from '@/apps/list'
import type { Place } from '@/core/geometry/shelves'
import { currentId, desktop, isVisible } from '@/core/model/selectors'
import type { WindowId } from '@/core/model/types'
import { dispatch, getState, useArrangement, useShelf, useWhileLive } from '@/store/shelf'
import { CommandItem } from '@/ui/parts/CommandItem'
import { MenuSeam, MenuSheet, SubMenu } from '@/ui/parts/Menu'
import { Content } from './Content'
import { rememberElement } from './focus'
import { useMoving } from './useMoving'
import { GRIPS, useResizing } from './useResizing'

/**
 * A window's place on the stage. It is drawn when its desktop is first shown; after that it
 * stays mounted, and the browser skips it while it is hidden.
 */
export const WindowSlot = memo(function WindowSlot({ id, warm }: { id: WindowId; warm: boolean }) {
  // Where it stands while windows are laid out to be seen, else whether it is on screen.
  const drawn = useShelf(({ session: { state }, places }) => {
    const window = state.windows[id]
    return !!window && (places ? (places[id] ?? false) : isVisible(state, window))
  })
  const visible = drawn !== false
  const [woken, setWoken] = useState(visible)
  if ((visible || warm) && !woken) setWoken(true)
  if (!woken) return null
  return (
    <div className={visible ? 'slot' : 'slot slot-hidden'}>
      <WindowFrame id={id} live={visible} place={typeof drawn === 'object' ? drawn : undefined} />
    </div>
  )
})

/** A hidden window takes no updates: it looks at the state again when it is shown. */
const WindowFrame = memo(function WindowFrame({
  id,
  live,
  place,
}: {
  id: WindowId
  live: boolean
  place: Place | undefined
}) {
  const window = useWhileLive(live, (state) => state.windows[id])
  const name = useWhileLive(
    live,
    ({ windows, documents }) => documents[windows[id]?.document ?? '']?.title,
  )
  const unsaved = useWhileLive(
    live,
    ({ windows, documents }) => documents[windows[id]?.document ?? '']?.unsaved,
  )
  const focused = useWhileLive(live, (state) => state.focus === id)
  const hue = useWhileLive(live, (state) => (focused ? desktop(state, currentId(state)).hue : null))
  const area = useWhileLive(live, ({ displays, windows }) =>
    windows[id]?.maximised ? displays[windows[id].display] : undefined,
  )
  const resizing = useResizing(id)
  if (!window) return null
  const { x, y, width, height } = area ? { ...area, x: 0, y: 0 } : window.frame
  return (
    <section
      id={`window-${id}`}
      data-window={id}
      data-app={window.app}
      data-desktop={window.desktop}
      data-display={window.display}
      aria-label={name}
      className={`win ${focused ? `win-focused hue-${hue}` : ''}`}
      inert={!!place}
      style={place ? standing(place, x, y) : { left: x, top: y, width, height, zIndex: window.z }}
      onPointerDownCapture={() => raise(id)}
      onFocusCapture={(event) => {
        rememberElement(id, event.target)
        if (getState().focus !== id) dispatch('window.focus', { window: id }, 'app')
      }}
    >
      <div className="win-edge">
        <div className="win-sheet">
          <Hem id={id} app={window.app} name={name ?? ''} unsaved={!!unsaved} maximised={!!area} />
          <div className="win-body" tabIndex={-1}>
            <Content app={window.app} window={id} document={window.document} />
          </div>
        </div>
      </div>
      {GRIPS.map((grip) => (
        <div key={grip} className={`grip grip-${grip}`} data-grip={grip} {...resizing(grip)} />
      ))}
    </section>
  )
})

/** A window as a miniature; what is scrolled out of sight costs nothing. */
const standing = (
  { x, y, width, height, scale }: Place,
  left: number,
  top: number,
): CSSProperties => ({
  left,
  top,
  width,
  height,
  transform: `translate(${x - left}px, ${y - top}px) scale(${scale})`,
  transformOrigin: '0 0',
  contentVisibility: 'auto',
  containIntrinsicSize: `${width}px ${height}px`,
  zIndex: 1,
})

/** A push anywhere in a window puts it on top with the focus; nothing happens when it is there. */
function raise(id: WindowId): void {
  const { focus: focused, top, windows } = getState()
  if (focused !== id || windows[id]?.z !== top) dispatch('window.focus', { window: id }, 'app')
}

const Hem = memo(function Hem({
  id,
  app,
  name,
  unsaved,
  maximised,
}: {
  id: WindowId
  app: string
  name: string
  unsaved: boolean
  maximised: boolean
}) {
  const moving = useMoving(id)
  const Glyph = appOf(app)?.glyph
  const [menu, setMenu] = useState(false)
  const openMenu = (event: MouseEvent) => {
    event.preventDefault()
    setMenu(true)
  }
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: every action is on a key and in the menu
    <header
      className="hem"
      {...moving()}
      onDoubleClick={() => dispatch('window.maximise', { window: id })}
      onContextMenu={openMenu}
    >
      <WindowMenu id={id} open={menu} onOpen={setMenu} label={name}>
        {Glyph ? <Glyph size={15} aria-hidden /> : null}
      </WindowMenu>
      <b className="min-w-0 truncate font-semibold">{name}</b>
      {unsaved ? (
        <span className="shrink-0 border border-current border-dashed px-1 text-[11px] leading-4">
          not saved
        </span>
      ) : null}
      <span className="ml-auto flex shrink-0">
        <HemIcon id={id} command="window.pad" label="Place">
          <Grid3x3 size={14} />
        </HemIcon>
        <HemIcon id={id} command="window.maximise" label={maximised ? 'Restore' : 'Maximise'}>
          {maximised ? <Minimize size={14} /> : <Maximize size={14} />}
        </HemIcon>
        <HemIcon id={id} command="window.minimise" label="Minimise">
          <Minus size={14} />
        </HemIcon>
        <HemIcon id={id} command="window.close" label="Close">
          <X size={14} />
        </HemIcon>
      </span>
    </header>
  )
})

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
  return (
    <button
      type="button"
      className="hem-icon"
      aria-label={label}
      title={label}
      onPointerDown={(event) => event.stopPropagation()}
      onDoubleClick={(event) => event.stopPropagation()}
      onClick={() => dispatch(command, { window: id })}
    >
      {children}
    </button>
  )
}

/** The menu of a window, on its glyph and on a right click in the hem. */
function WindowMenu({
  id,
  open,
  onOpen,
  label,
  children,
}: {
  id: WindowId
  open: boolean
  onOpen(open: boolean): void
  label: string
  children: ReactNode
}) {
  return (
    <DropdownMenu.Root open={open} onOpenChange={onOpen} modal={false}>
      <DropdownMenu.Trigger asChild>
        <button
          type="button"
          className="hem-icon -ml-1"
          aria-label={`Menu of ${label}`}
          onPointerDown={(event) => event.button === 0 && event.stopPropagation()}
          onDoubleClick={(event) => event.stopPropagation()}
        >
          {children}
        </button>
      </DropdownMenu.Trigger>
      <MenuSheet>
        <SendItems id={id} />
        <MenuSeam />
        {['window.pad', 'window.maximise', 'window.minimise'].map((command) => (
          <CommandItem key={command} command={command} args={{ window: id }} />
        ))}
        <MenuSeam />
        {['window.save', 'window.askTitle', 'window.export', 'window.close'].map((command) => (
          <CommandItem key={command} command={command} args={{ window: id }} />
        ))}
      </MenuSheet>
    </DropdownMenu.Root>
  )
}

function SendItems({ id }: { id: WindowId }) {
  const order = useArrangement((state) => state.order)
  const state = getState()
  const lives = state.windows[id]?.desktop
  const others = order.filter((desktopId) => desktopId !== lives)
  return ['send', 'carry'].map((verb) => (
    <SubMenu key={verb} label={verb === 'send' ? 'Send to' : 'Carry to'}>
      {others.map((to) => (
        <CommandItem
          key={to}
          command={`window.${verb}`}
          args={{ window: id, to }}
          label={desktop(state, to).name}
        />
      ))}
      <CommandItem
        command={`window.${verb}`}
        args={{ window: id, to: 'new' }}
        label="A new desktop"
      />
    </SubMenu>
  ))
}
