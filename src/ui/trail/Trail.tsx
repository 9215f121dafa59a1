import { useEffect, useRef, useState } from 'react'
import { appOf } from '@/apps/list'
import { keysIn } from '@/core/keys/places'
import { byUse, currentId, title } from '@/core/model/selectors'
import { Hint } from '@/parts/Keys'
import { Kite } from '@/parts/Kite'
import { useArrangement, usePage, useShelf } from '@/store/useShelf'
import { useChosen } from '@/ui/keys/useChosen'
import { usePlaceKeys } from '@/ui/keys/usePlaceKeys'
import { useCloseLook } from '@/ui/window/closely'
import { Likeness } from '@/ui/window/Likeness'

/** Recent windows in order of use, while Alt is held; letting go picks. */
export function Trail() {
  const view = usePage((page) => (page.view?.view === 'trail' ? page.view : null))
  return view ? <List back={view.back} /> : null
}

/** A row and how much of the page the list takes at most, as they are drawn. */
const ROW = 48
const SHARE = 0.7

/** How many rows from the chosen one have a miniature; the others are out of sight. */
const near = (): number => Math.ceil((innerHeight * SHARE) / ROW)

function List({ back }: { back: boolean }) {
  const shelf = useShelf()
  const state = useArrangement((now) => now)
  const [here, setHere] = useState(state.settings.trail === 'here')
  const windows = byUse(state).filter((window) => !here || window.desktop === currentId(state))
  const [at, setAt] = useState(back ? windows.length - 1 : Math.min(1, windows.length - 1))
  const list = useRef<HTMLDivElement>(null)
  const index = Math.max(0, Math.min(at, windows.length - 1))
  const chosen = windows[index]
  useChosen(chosen?.id ?? null)
  useEffect(() => {
    list.current?.focus()
  }, [])
  useEffect(() => {
    list.current?.querySelector('[aria-selected="true"]')?.scrollIntoView({ block: 'nearest' })
  })
  const pick = (id: string | undefined) => {
    shelf.closeView()
    if (id) shelf.dispatch('window.focus', { window: id }, 'key')
  }
  const step = (by: number) => setAt((index + by + windows.length) % Math.max(1, windows.length))
  const look = useCloseLook(chosen?.id ?? null)
  const looking = usePage((page) => page.closely !== null)
  const heard = usePlaceKeys(
    'trail',
    {
      'trail:next': () => step(1),
      'trail:previous': () => step(-1),
      'trail:here': () => {
        setHere(!here)
        setAt(0)
      },
      'trail:look': (_, key) => look(key),
      'trail:pick': () => pick(chosen?.id),
      'trail:leave': shelf.closeView,
    },
    () => ({ window: chosen?.id ?? null }),
  )
  const keysOf = (act: string) => keysIn(state, 'trail', act)
  const held = state.settings.keys !== 'leader' && state.settings.keys !== 'layer'
  useEffect(() => {
    const up = (event: KeyboardEvent) => {
      if (event.key === 'Alt') pick(chosen?.id)
    }
    addEventListener('keydown', heard, { capture: true })
    addEventListener('keyup', up)
    return () => {
      removeEventListener('keydown', heard, { capture: true })
      removeEventListener('keyup', up)
    }
  })
  return (
    <div
      role="dialog"
      aria-label="Trail"
      className={`rise fixed top-[12%] left-1/2 z-40 flex max-h-[70vh] w-[600px] -translate-x-1/2 flex-col border-2 border-ink bg-panel ${looking ? 'opacity-0' : ''}`}
    >
      <div
        ref={list}
        role="listbox"
        aria-label="Recent windows"
        aria-activedescendant={chosen ? `trail-${chosen.id}` : undefined}
        tabIndex={0}
        className="min-h-0 flex-1 overflow-auto p-2 outline-none"
      >
        {windows.length === 0 ? <p className="p-2 text-soft">No windows on this desktop.</p> : null}
        {windows.map((window, row) => {
          const Glyph = appOf(shelf, window.app)?.glyph
          const lives = state.desktops[window.desktop]
          return (
            <div
              key={window.id}
              id={`trail-${window.id}`}
              role="option"
              aria-selected={window === chosen}
              tabIndex={-1}
              className="flex min-h-12 items-center gap-2.5 px-2 aria-selected:bg-ink/10 aria-selected:shadow-[inset_2px_0_0_var(--ink)]"
              onClick={() => {
                shelf.closeView()
                shelf.dispatch('window.focus', { window: window.id })
              }}
              onKeyDown={() => {}}
            >
              <span className="grid h-11 w-[72px] shrink-0 place-items-center overflow-hidden">
                {Math.abs(row - index) <= near() ? (
                  <Likeness id={window.id} within={{ width: 72, height: 42 }} />
                ) : null}
              </span>
              <span dir="auto" className="min-w-0 truncate" title={title(state, window)}>
                {title(state, window)}
              </span>
              <span className="flex shrink-0 items-center gap-1.5 text-[12px] text-soft">
                {Glyph ? <Glyph size={14} aria-hidden className="shrink-0" /> : null}
                {appOf(shelf, window.app)?.name}
              </span>
              {window.minimised ? <span className="text-soft">minimised</span> : null}
              <span className="ml-auto flex shrink-0 items-center gap-2 text-soft">
                {lives ? (
                  <>
                    <Kite hue={lives.hue} letter={lives.letter} width={17} />
                    {lives.name}
                  </>
                ) : (
                  'every desktop'
                )}
              </span>
            </div>
          )
        })}
      </div>
      <p className="flex items-center gap-2 border-seam border-t-[1.5px] border-dashed px-3 py-1.5 text-soft">
        <Hint keys={keysOf('trail:next')}>next</Hint>
        <Hint keys={keysOf('trail:look')}>hold to look closely</Hint>
        <Hint keys={keysOf('trail:here')}>{here ? 'all desktops' : 'this desktop only'}</Hint>
        <span className="ml-auto flex items-center gap-2">
          {held ? 'let Alt go to pick' : <Hint keys={keysOf('trail:pick')}>pick</Hint>}
        </span>
      </p>
    </div>
  )
}
