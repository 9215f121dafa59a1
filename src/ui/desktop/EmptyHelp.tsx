import { appOf } from '@/apps/list'
import { keysFor } from '@/core/keys/bindings'
import { byUse, currentId, desktop, title } from '@/core/model/selectors'
import { runningNow } from '@/core/runs/runs'
import { Keys } from '@/parts/Keys'
import { useArrangement, usePage, useShelf } from '@/store/useShelf'

const OFFERS: { command: string; args?: object; says: string }[] = [
  { command: 'shelf.openFile', says: 'Open a file from this computer, or drop it here' },
  { command: 'desktop.askName', says: 'Name this desktop' },
  { command: 'desktop.create', says: 'Make another desktop' },
  { command: 'desktop.previewFold', says: 'Fold this desktop' },
  { command: 'shelf.keys', says: 'See all keys' },
]

/** What can be done on a desktop without windows. */
export function EmptyHelp() {
  const empty = useArrangement((state) => desktop(state, currentId(state)).windows.length === 0)
  const minimised = useArrangement((state) =>
    desktop(state, currentId(state)).windows.every((id) => state.windows[id]?.minimised),
  )
  const loft = usePage((now) => now.loft)
  // Who shows others something has no use for it.
  const runs = useArrangement((state) => runningNow(state) !== null)
  if (loft || runs) return null
  if (empty) return <Help />
  return minimised ? <AllMinimised /> : null
}

/** So many windows are named; the trail and the rack have them all. */
const NAMED = 12

/** Where every window of a desktop is minimised: what there is, to be brought back. */
function AllMinimised() {
  const shelf = useShelf()
  const state = useArrangement((now) => now)
  const here = currentId(state)
  const all = byUse(state).filter(({ desktop: lives }) => lives === here)
  return (
    <section aria-label="Minimised windows" className="absolute top-10 left-10 max-w-sm">
      <h2 className="mb-3 font-bold font-display text-lg">
        {all.length === 1 ? 'The window here is minimised' : 'All windows here are minimised'}
      </h2>
      <ul className="flex flex-col gap-1.5">
        {all.slice(0, NAMED).map((window) => {
          const Glyph = appOf(shelf, window.app)?.glyph
          return (
            <li key={window.id}>
              <button
                type="button"
                className="flex max-w-full items-center gap-2.5 px-1 py-0.5 text-left hover:underline hover:decoration-dashed hover:underline-offset-4"
                onClick={() => shelf.dispatch('window.focus', { window: window.id })}
              >
                {Glyph ? <Glyph size={15} aria-hidden className="shrink-0" /> : null}
                <span dir="auto" className="truncate">
                  {title(state, window)}
                </span>
              </button>
            </li>
          )
        })}
      </ul>
      <p className="mt-3 flex items-center gap-2 text-soft">
        <Keys keys={keysFor(state, 'trail.open') ?? ''} /> walks them
      </p>
    </section>
  )
}

function Help() {
  const shelf = useShelf()
  const state = useArrangement((now) => now)
  const apps = state.slots.flatMap((app, at) => {
    const manifest = app ? appOf(shelf, app) : undefined
    return manifest
      ? [
          {
            command: 'app.launch',
            args: { slot: at + 1 },
            says: `Open ${manifest.name}`,
          },
        ]
      : []
  })
  return (
    <section aria-label="Getting started here" className="absolute top-10 left-10 max-w-sm">
      <h2 className="mb-3 font-bold font-display text-lg">Nothing here yet</h2>
      <ul className="flex flex-col gap-1.5">
        {[...apps, ...OFFERS].map(({ command, args, says }) => (
          <li key={says}>
            <button
              type="button"
              className="flex items-center gap-2.5 px-1 text-left py-0.5 hover:underline hover:decoration-dashed hover:underline-offset-4"
              onClick={() => shelf.dispatchAny(command, args)}
            >
              <span className="flex w-44 shrink-0 justify-end">
                <Keys keys={keysFor(state, command, args) ?? ''} />
              </span>
              {says}
            </button>
          </li>
        ))}
      </ul>
    </section>
  )
}
