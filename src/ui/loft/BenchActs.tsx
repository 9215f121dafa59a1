import type { DesktopId, WindowId } from '@/core/model/ids'
import { Keys } from '@/parts/Keys'
import { useArrangement, useShelf } from '@/store/useShelf'
import { runAbout } from '@/ui/keys/running'
import type { Acts } from '@/ui/keys/usePlaceKeys'
import { loftKeys } from './acting'

/** Something that can be done with the choice; without a command it takes a letter. */
interface Offer {
  does: string
  command?: string
  args?: object
  keys?: string
  /** What has to be chosen for it. */
  needs?: 'window' | 'desktop'
}

const offers = (marked: number, by: 'desktop' | 'app', stowed: DesktopId | null): Offer[] => [
  { command: 'loft:go', does: stowed ? 'bring it back' : 'go there' },
  ...(stowed
    ? [{ command: 'desktop.export', args: { desktop: stowed }, does: 'export it as a file' }]
    : []),
  { keys: 'B…', does: `send ${marked ? `the ${marked} marked` : 'it'} to that letter’s desktop` },
  { command: 'loft:mark', does: 'mark; hold to look closely', needs: 'window' },
  { keys: 'Shift+B…', does: 'walk to that row' },
  { command: 'desktop.reorder', args: { by: -1 }, does: 'move the row up', needs: 'desktop' },
  { command: 'desktop.reorder', args: { by: 1 }, does: 'move the row down', needs: 'desktop' },
  { command: 'desktop.previewFold', does: 'fold the row', needs: 'desktop' },
  { command: 'desktop.stow', does: 'stow the row', needs: 'desktop' },
  { command: 'desktop.askName', does: 'rename the row', needs: 'desktop' },
  { command: 'unstack.desktop', does: 'unstack the row', needs: 'desktop' },
  { command: 'window.everywhere', does: 'on every desktop', needs: 'window' },
  { command: 'home.ask', does: 'set a home', needs: 'window' },
  { command: 'window.close', does: 'close the window', needs: 'window' },
  { command: 'desktop.create', args: { stay: true }, does: 'new desktop' },
  { command: 'loft.byApp', does: `group by ${by === 'app' ? 'desktop' : 'app'}` },
  { command: 'loft:filter', does: 'filter' },
  { command: 'loft:leave', does: 'back' },
]

/** What can be done with what is chosen in the loft, each with its keys. */
export function BenchActs({
  window,
  desktop,
  marked,
  by,
  stowed,
  acts,
}: {
  window: WindowId | null
  /** The desktop whose row is chosen, where it is one. */
  desktop: DesktopId | null
  marked: WindowId[]
  by: 'desktop' | 'app'
  /** What is chosen, where it was put away. */
  stowed: DesktopId | null
  acts: Acts
}) {
  const shelf = useShelf()
  const state = useArrangement((now) => now)
  const chosen = { window, desktop }
  return (
    <ul className="mt-1 flex flex-col border-seam border-t-[1.5px] border-dashed pt-2">
      {offers(marked.length, by, stowed).map(({ command, args = {}, does, keys, needs }) => (
        <Action
          key={does}
          keys={keys ?? loftKeys(state, command ?? '', args)}
          does={does}
          off={!!needs && !chosen[needs]}
          run={
            command &&
            (() =>
              acts[command]
                ? acts[command](args)
                : runAbout(shelf, command, args, { window, windows: marked, desktop }))
          }
        />
      ))}
    </ul>
  )
}

function Action({
  keys,
  does,
  off,
  run,
}: {
  keys: string | undefined
  does: string
  off: boolean
  run: (() => void) | undefined | ''
}) {
  const shown = (
    <>
      <span className="flex w-24 shrink-0 justify-end">{keys ? <Keys keys={keys} /> : null}</span>
      {does}
    </>
  )
  return (
    <li>
      {run ? (
        <button
          type="button"
          tabIndex={-1}
          disabled={off}
          className="flex min-h-6 w-full items-center gap-2.5 text-left hover:bg-ink/8 disabled:opacity-45"
          onClick={() => {
            run()
            document.getElementById('loft')?.focus()
          }}
        >
          {shown}
        </button>
      ) : (
        <span className="flex min-h-6 items-center gap-2.5">{shown}</span>
      )}
    </li>
  )
}
