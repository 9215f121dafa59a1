import { type ReactNode, useEffect, useRef } from 'react'
import { appOf } from '@/apps/list'
import { shownFrame, title } from '@/core/model/selectors'
import type { WindowId } from '@/core/model/types'
import { useArrangement } from '@/store/shelf'
import { Keys } from '@/ui/parts/Keys'
import { windowElement } from '@/ui/window/focus'
import type { Choice } from './Loft'

const WIDTH = 288

/** Beside the shelves: the chosen window large, its facts, and what can be done with its keys. */
export function Bench({ choice: { row, window: id }, marked }: { choice: Choice; marked: number }) {
  const window = useArrangement((state) => state.windows[id ?? ''])
  const name = useArrangement((state) =>
    window ? title(state, window) : state.desktops[row]?.name,
  )
  const lives = useArrangement((state) => state.desktops[row]?.name)
  const opened = window && new Date(window.openedAt)
  return (
    <aside
      aria-label="Bench"
      className="fixed top-0 right-0 bottom-9 z-30 flex w-[320px] flex-col gap-3 overflow-auto border-seam border-l bg-panel p-4 max-[1000px]:hidden"
    >
      {window ? <Likeness id={window.id} /> : null}
      <h3 className="font-bold font-display text-[17px] leading-tight">{name}</h3>
      {window ? (
        <dl className="grid grid-cols-[70px_1fr] gap-y-1">
          <Fact name="app">{appOf(window.app)?.name ?? window.app}</Fact>
          <Fact name="on">{lives}</Fact>
          <Fact name="size">
            {window.frame.width} × {window.frame.height}
            {window.minimised ? ', minimised' : window.maximised ? ', maximised' : ''}
          </Fact>
          <Fact name="opened">
            {opened?.toLocaleTimeString([], { hour: '2-digit', minute: '2-digit', hour12: false })}
          </Fact>
        </dl>
      ) : null}
      <ul className="mt-1 flex flex-col gap-1.5 border-seam border-t-[1.5px] border-dashed pt-3">
        <Action keys="Enter">go there</Action>
        <Action keys="B…">
          {marked ? `send the ${marked} marked` : 'send it'} to that letter’s desktop
        </Action>
        <Action keys="Space">mark</Action>
        <Action keys="Shift+B…">walk to that row</Action>
        <Action keys="[ ]">move the row</Action>
        <Action keys="=">new desktop</Action>
        <Action keys="; F">fold the row</Action>
        <Action keys="; R">rename the row</Action>
        <Action keys="Delete">close the window</Action>
        <Action keys="/">filter</Action>
        <Action keys="Escape">back</Action>
      </ul>
    </aside>
  )
}

function Fact({ name, children }: { name: string; children: ReactNode }) {
  return (
    <>
      <dt className="text-soft">{name}</dt>
      <dd className="min-w-0 truncate">{children}</dd>
    </>
  )
}

function Action({ keys, children }: { keys: string; children: ReactNode }) {
  return (
    <li className="flex items-center gap-2.5">
      <span className="flex w-24 justify-end">
        <Keys keys={keys} />
      </span>
      {children}
    </li>
  )
}

/** A picture of a window that follows what happens in it: its elements, copied when they change. */
function Likeness({ id }: { id: WindowId }) {
  const size = useArrangement((state) => {
    const window = state.windows[id]
    return window ? shownFrame(state, window) : null
  })
  const place = useRef<HTMLDivElement>(null)
  useEffect(() => {
    const original = windowElement(id)?.querySelector('.win-edge')
    if (!original) return
    const copy = () => place.current?.replaceChildren(original.cloneNode(true))
    copy()
    const watch = new MutationObserver(copy)
    watch.observe(original, {
      childList: true,
      subtree: true,
      characterData: true,
      attributes: true,
    })
    return () => watch.disconnect()
  }, [id])
  if (!size) return null
  const scale = Math.min(WIDTH / size.width, 260 / size.height)
  return (
    <div aria-hidden inert style={{ height: size.height * scale }}>
      <div
        ref={place}
        className="win pointer-events-none"
        style={{
          position: 'relative',
          width: size.width,
          height: size.height,
          transform: `scale(${scale})`,
          transformOrigin: '0 0',
        }}
      />
    </div>
  )
}
