import { type FormEvent, useEffect, useState } from 'react'
import { readShelfFile, type ShelfFile } from '@/core/formats/shelfFile'
import { counted } from '@/core/text/counted'
import { Dialog } from '@/parts/Dialog'
import { download } from '@/parts/download'
import { bringBack } from '@/store/documents/catalogue'
import { exportText } from '@/store/documents/exporting'
import { goBackTo } from '@/store/documents/importing'
import { expected } from '@/store/faults'
import { pointBefore, restorePointsOf } from '@/store/opening/opened'
import { when } from '@/store/opening/when'
import type { RestorePoint, RestorePoints } from '@/store/restorePoints'
import { useShelf } from '@/store/useShelf'
import { Stood } from '@/ui/past/Stood'

/** Whole shelves that are kept: one is made, looked at, and gone back to. */
export function RestoreDialog() {
  const shelf = useShelf()
  const points = restorePointsOf(shelf)
  return (
    <Dialog
      title="Restore points"
      intro="The whole shelf with its documents, as you kept it or as it was before an import, an update or a reset. The latest twenty are kept."
      width={1080}
    >
      {points ? (
        <Points points={points} />
      ) : (
        <p className="mt-4 text-soft">This is available in the main window. Open it there.</p>
      )}
    </Dialog>
  )
}

function Points({ points }: { points: RestorePoints }) {
  const shelf = useShelf()
  const [list, setList] = useState<RestorePoint[] | null>(null)
  const [chosen, setChosen] = useState<number | null>(null)
  const read = () =>
    points.all().then(setList, () => {
      setList([])
      shelf.say('Restore points can’t be read now. Try again.', { refused: true })
    })
  // biome-ignore lint/correctness/useExhaustiveDependencies: read once, then after each change
  useEffect(() => void read(), [points])
  if (!list) return <p className="mt-4 text-soft">Reading…</p>
  const point = list.find(({ at }) => at === chosen) ?? list[0]
  return (
    <div className="mt-4 flex h-[min(66vh,900px)] gap-5">
      <div className="flex w-64 shrink-0 flex-col">
        <Keep
          onKeep={async (name) => {
            await points.add(name, true, await exportText(shelf))
            setChosen(null)
            await read()
          }}
        />
        <ul aria-label="Restore points" className="mt-3 min-h-0 flex-1 overflow-auto">
          {list.map((one) => (
            <li key={one.at}>
              <button
                type="button"
                aria-current={one === point ? 'true' : undefined}
                className="w-full px-2 py-1.5 text-left hover:bg-ink/6 aria-[current]:bg-ink/10"
                onClick={() => setChosen(one.at)}
              >
                <b dir="auto" className="block truncate" title={one.name}>
                  {one.name}
                </b>
                <span className="text-soft">
                  {when(one.at)}
                  {one.byHand ? '' : ', by itself'}
                </span>
              </button>
            </li>
          ))}
        </ul>
      </div>
      {point ? (
        <Look
          key={point.at}
          points={points}
          point={point}
          onRemove={() => void points.remove(point.at).then(read)}
        />
      ) : (
        <p className="text-soft">
          None yet. Keep one before you change much; you can look at it here and go back to it.
        </p>
      )}
    </div>
  )
}

/** Keeps the shelf as it is now, under a name. */
function Keep({ onKeep }: { onKeep(name: string): Promise<void> }) {
  const shelf = useShelf()
  const [name, setName] = useState('')
  const [keeping, setKeeping] = useState(false)
  const keep = (event: FormEvent) => {
    event.preventDefault()
    if (keeping) return
    setKeeping(true)
    const called = name.trim() || `As of ${when(shelf.clock())}`
    onKeep(called)
      .then(
        () => {
          setName('')
          shelf.say(`Kept “${called}”`)
        },
        () =>
          shelf.say('It could not be kept. Free some space, or export the shelf.', {
            refused: true,
          }),
      )
      .finally(() => setKeeping(false))
  }
  return (
    <form className="flex gap-2" onSubmit={keep}>
      <input
        // biome-ignore lint/a11y/noAutofocus: a name and Enter is all it takes
        autoFocus
        aria-label="Name of a new restore point"
        placeholder="Name, if any"
        maxLength={80}
        className="field min-w-0 flex-1"
        value={name}
        onChange={(event) => setName(event.target.value)}
      />
      <button type="submit" className="btn btn-main shrink-0" disabled={keeping}>
        Keep
      </button>
    </form>
  )
}

/** The shelf as it was then; all of it, a desktop or a window is brought back. */
function Look({
  points,
  point,
  onRemove,
}: {
  points: RestorePoints
  point: RestorePoint
  onRemove(): void
}) {
  const shelf = useShelf()
  const [found, setFound] = useState<{ file: ShelfFile; text: string } | string | null>(null)
  useEffect(() => {
    let over = false
    points
      .read(point)
      .then((text) => ({ file: readShelfFile(text), text }))
      .catch((error: unknown) => `It can’t be read: ${(error as Error).message}.`)
      .then((read) => over || setFound(read))
    return () => {
      over = true
    }
  }, [points, point])
  if (found === null) return <p className="text-soft">Reading…</p>
  const gone = (
    <button type="button" className="btn" onClick={onRemove}>
      Delete
    </button>
  )
  if (typeof found === 'string')
    return (
      <div className="flex flex-col items-start gap-3">
        <p className="text-alarm">{found}</p>
        {gone}
      </div>
    )
  const { file, text } = found
  const { state } = file
  const bring = async (command: string, args: object, documents: string[]) => {
    await bringBack(shelf, documents).catch(expected('it is known from then', undefined))
    shelf.dispatchAny(command, args, 'key')
  }
  const goBack = () => {
    shelf.closeView()
    void pointBefore(shelf, `Before going back to “${point.name}”`.slice(0, 120))
      .then(() => goBackTo(shelf, file, point.name))
      .catch(() =>
        shelf.say('That restore point can’t be used. Nothing was changed.', { refused: true }),
      )
  }
  return (
    <div className="flex min-w-0 flex-1 flex-col">
      <div className="mb-2 flex flex-wrap items-center gap-2">
        <p className="mr-auto text-soft">
          {counted(state.order.length, 'desktop')},{' '}
          {counted(Object.keys(state.windows).length, 'window')},{' '}
          {counted(Object.keys(file.documents).length, 'document')}
        </p>
        {gone}
        <button
          type="button"
          className="btn"
          onClick={() =>
            download(new Blob([text], { type: 'application/json' }), `${point.name}.kite.json`)
          }
        >
          Export
        </button>
        <button
          type="button"
          className="btn btn-main"
          title="Nothing that is open now is closed"
          onClick={goBack}
        >
          Go back to it
        </button>
      </div>
      <Stood
        then={state}
        said={() => undefined}
        onDesktop={(desktop) =>
          void bring(
            'past.desktop',
            { desktop, from: state },
            (state.desktops[desktop]?.windows ?? []).flatMap(
              (id) => state.windows[id]?.document ?? [],
            ),
          )
        }
        onWindow={({ id, document }) =>
          void bring('past.window', { window: id, from: state }, [document])
        }
      />
    </div>
  )
}
