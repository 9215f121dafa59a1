import { ChevronDown, ChevronUp, Plus } from 'lucide-react'
import { useShallow } from 'zustand/react/shallow'
import type { AppManifest } from '@/apps/contract'
import { allApps } from '@/apps/list'
import { currentId } from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import { walkAmong } from '@/parts/walking'
import { useArrangement, useShelf } from '@/store/useShelf'
import { APP_IN_HAND } from '@/ui/hand/dropping'
import { launching } from './AppItems'

/** The apps, those on number keys first: how many windows each has, and a click to go there. */
export function Apps() {
  const shelf = useShelf()
  const slots = useArrangement((state) => state.slots)
  const counts = useArrangement(useShallow(({ windows }) => countsOf(windows)))
  const figures = useArrangement((state) => state.settings.appFigures)
  const here = useArrangement(
    useShallow((state) => (figures === 'all' ? NOTHING : countsHere(state))),
  )
  const place = ({ id }: AppManifest) => (slots.indexOf(id) + 10) % 10
  const own = useArrangement((state) => state.apps)
  const listed = allApps(own).toSorted((a, b) => place(a) - place(b))
  const folded = useArrangement((state) => state.settings.apps === 'folded')
  return (
    <section
      aria-label="Apps"
      className={`max-h-[45%] shrink-0 overflow-y-auto ${folded ? 'apps-folded' : ''}`}
      onKeyDown={walkAmong(shelf, '.app-row button')}
    >
      {listed
        .filter(({ id, unlisted }) => !unlisted || counts[id])
        .map((app) => (
          <AppRow
            key={app.id}
            app={app}
            slot={slots.indexOf(app.id) + 1}
            count={counts[app.id] ?? 0}
            figure={figureOf(figures, here[app.id] ?? 0, counts[app.id] ?? 0)}
          />
        ))}
      <div className="apps-tools">
        <button
          type="button"
          title="Add app"
          className="flex flex-1 items-center gap-2.5 text-left text-soft hover:text-ink strip:justify-center"
          onClick={() => shelf.dispatch('app.askAdd')}
        >
          <span className="grid w-5 place-items-center">
            <Plus size={14} aria-hidden />
          </span>
          <span className={folded ? 'sr-only' : 'strip:sr-only'}>add app</span>
        </button>
        <button
          type="button"
          aria-label={folded ? 'List the apps' : 'Fold the apps'}
          title={folded ? 'List the apps' : 'Fold the apps'}
          aria-expanded={!folded}
          className="grid min-w-8 place-items-center text-soft hover:text-ink"
          onClick={() => shelf.dispatch('apps.fold')}
        >
          {folded ? <ChevronUp size={14} aria-hidden /> : <ChevronDown size={14} aria-hidden />}
        </button>
      </div>
    </section>
  )
}

const counted = new WeakMap<State['windows'], Record<string, number>>()

/** How many windows each app has: counted once, as long as they are the same. */
function countsOf(windows: State['windows']): Record<string, number> {
  const known = counted.get(windows)
  if (known) return known
  const counts: Record<string, number> = {}
  counted.set(windows, counts)
  for (const id in windows) {
    const app = windows[id]?.app ?? ''
    counts[app] = (counts[app] ?? 0) + 1
  }
  return counts
}

const NOTHING: Record<string, number> = {}

/** The same of the desktop one is on. */
function countsHere(state: State): Record<string, number> {
  const counts: Record<string, number> = {}
  for (const id of [...(state.desktops[currentId(state)]?.windows ?? []), ...state.everywhere]) {
    const app = state.windows[id]?.app ?? ''
    counts[app] = (counts[app] ?? 0) + 1
  }
  return counts
}

const figureOf = (figures: State['settings']['appFigures'], here: number, all: number): string =>
  figures === 'both' && all > 0 ? `${here} of ${all}` : `${(figures === 'all' ? all : here) || ''}`

interface AppRowProps {
  app: AppManifest
  slot: number
  /** How many windows it has. */
  count: number
  /** What is said of that beside its name. */
  figure: string
}

function AppRow({ app, slot, count, figure }: AppRowProps) {
  const shelf = useShelf()
  const { id, name, glyph: Glyph } = app
  return (
    // Dragged onto another line, the app goes on that one's number key.
    // biome-ignore lint/a11y/noStaticElementInteractions: the same is in its menu, by keys
    <div
      className="app-row"
      data-app-slot={slot || undefined}
      draggable
      onDragStart={(event) => {
        event.dataTransfer.setData(APP_IN_HAND, id)
        event.dataTransfer.effectAllowed = 'move'
      }}
      onDragOver={(event) => {
        if (!slot || !event.dataTransfer.types.includes(APP_IN_HAND)) return
        event.preventDefault()
        event.currentTarget.dataset.drop = 'true'
      }}
      onDragLeave={(event) => {
        delete event.currentTarget.dataset.drop
      }}
      onDrop={(event) => {
        delete event.currentTarget.dataset.drop
        const dropped = event.dataTransfer.getData(APP_IN_HAND)
        if (dropped && dropped !== id) shelf.dispatch('app.slot', { app: dropped, slot })
      }}
    >
      <button
        type="button"
        aria-label={`${name}, ${count === 1 ? '1 window' : `${count} windows`}`}
        title={name}
        className="flex w-full items-center gap-2.5 text-left hover:bg-ink/6 focus-visible:outline-offset-[-2px] strip:justify-center"
        aria-haspopup={count > 1 ? 'menu' : undefined}
        onClick={({ currentTarget, shiftKey }) => {
          // Which of several is meant is to be said.
          if (count > 1 && !shiftKey) shelf.openMenuBelow(currentTarget, { app: id })
          else
            shelf.dispatch('app.launch', {
              ...launching(shelf, id),
              ...(shiftKey && { another: true }),
            })
        }}
        onContextMenu={(event) => shelf.openMenu(event, { app: id })}
      >
        <span className="app-slot key strip:hidden">{slot || '·'}</span>
        <Glyph size={16} aria-hidden />
        <span className="app-name strip:hidden">{name}</span>
        <span className="app-count ml-auto font-mono text-[11px] text-soft strip:hidden">
          {figure}
        </span>
      </button>
    </div>
  )
}
