import { appOf } from '@/apps/list'
import { CAPTION } from '@/core/geometry/shelves'
import type { WindowId } from '@/core/model/ids'
import { title, window as windowOf } from '@/core/model/selectors'
import { Kite } from '@/parts/Kite'
import { ignoreSecondClick } from '@/parts/secondClick'
import { useArrangement, usePage, useShelf } from '@/store/useShelf'
import { clickedToMark } from '@/ui/hand/marking'
import { useHeldLook } from '@/ui/window/closely'

interface StandingProps {
  id: WindowId
  left: number
  top: number
  width: number
  height: number
  /** How wide its caption may be. */
  caption: number
  chosen: boolean
  /** Whether the mark of its desktop stands with it, where rows are apps. */
  withDesktop: boolean
  onGo(): void
}

/** The caption of a miniature, and what is pushed and dragged in its place. */
export function Standing(given: StandingProps) {
  const shelf = useShelf()
  const { id, left, top, width, height, caption, chosen, withDesktop, onGo } = given
  const name = useArrangement((state) => title(state, windowOf(state, id)))
  const app = useArrangement((state) => windowOf(state, id).app)
  const minimised = useArrangement((state) => windowOf(state, id).minimised)
  const lives = useArrangement(({ windows, desktops }) => desktops[windows[id]?.desktop ?? ''])
  const marked = usePage((page) => page.marked.includes(id))
  const Glyph = appOf(shelf, app)?.glyph
  const spoken = [
    name,
    withDesktop && (lives ? `on ${lives.name}` : 'on every desktop'),
    minimised && 'minimised',
    marked && 'marked',
  ]
  return (
    <button
      type="button"
      tabIndex={-1}
      data-choice={id}
      data-standing={id}
      aria-pressed={marked}
      aria-label={spoken.filter(Boolean).join(', ')}
      title={name}
      className={`absolute z-10 flex touch-pan-y flex-col items-stretch justify-start text-left ${
        chosen ? 'outline-2 outline-ink outline-dashed outline-offset-2' : ''
      }`}
      style={{ left, top, width: caption, height: height + CAPTION }}
      {...useHeldLook(id)}
      onClick={(event) => {
        if (clickedToMark(shelf, id, event)) return
        ignoreSecondClick(event)
        onGo()
      }}
      onContextMenu={(event) => shelf.openMenu(event, { window: id })}
    >
      <span
        className={`flex h-[22px] items-center gap-1.5 text-[12px] ${minimised ? 'text-soft' : ''}`}
      >
        {withDesktop && lives ? (
          <Kite hue={lives.hue} letter={lives.letter} width={14} />
        ) : Glyph ? (
          <Glyph size={13} aria-hidden className="shrink-0" />
        ) : null}
        <span dir="auto" className="truncate">
          {name}
        </span>
      </span>
      {marked ? (
        <span className="absolute top-5" style={{ left: Math.max(0, width - 16) }}>
          <Kite hue="slate" filled width={16} />
        </span>
      ) : null}
    </button>
  )
}
