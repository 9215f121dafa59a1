import { useCallback, useEffect, useRef, useState } from 'react'
import { aloneIn } from '@/core/formats/desktopFile'
import { BadLockedFile, isLocked } from '@/core/formats/locked'
import { type Difference, difference } from '@/core/formats/merge'
import { BadShelfFile, readShelfFile, type ShelfFile } from '@/core/formats/shelfFile'
import type { State } from '@/core/model/state'
import { Dialog } from '@/parts/Dialog'
import { allDocuments } from '@/store/documents/catalogue'
import {
  differingDocuments,
  importShelf,
  misfitsOf,
  whyNotBrought,
} from '@/store/documents/importing'
import { pointBefore } from '@/store/opening/opened'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'
import { chooseFiles } from '@/ui/files/openFiles'
import { ImportDesktop } from './ImportDesktop'
import { Misfits } from './Misfits'
import { Unlock } from './Unlock'

interface Read {
  file: ShelfFile
  name: string
  differing: string[]
  misfits: string[]
  here: State
}

/** Asks for a shelf file and shows what bringing it in would change. */
export function ImportShelf() {
  const shelf = useShelf()
  const [read, setRead] = useState<Read | null>(null)
  const [locked, setLocked] = useState<{ name: string; text: string } | null>(null)
  const asked = useRef(false)
  const open = useCallback(
    (chosen: { name: string; text: string }) =>
      void readFile(shelf, chosen).then((found) => (found ? setRead(found) : shelf.closeView())),
    [shelf],
  )
  useEffect(() => {
    if (asked.current) return
    asked.current = true
    void choose().then((chosen) => {
      if (chosen && isLocked(chosen.text)) setLocked(chosen)
      else if (chosen) open(chosen)
      else shelf.closeView()
    })
  }, [shelf, open])
  if (!read)
    return locked ? (
      <Unlock
        {...locked}
        onOpen={(text) => open({ name: locked.name, text })}
        onBad={(error) => {
          shelf.say(notShelf(locked.name, error), { refused: true })
          shelf.closeView()
        }}
      />
    ) : null
  const one = aloneIn(read.file)
  return one ? <ImportDesktop entry={one} {...read} /> : <Preview {...read} />
}

async function choose(): Promise<{ name: string; text: string } | null> {
  const [chosen] = await chooseFiles('.json', false)
  return chosen ? { name: chosen.name, text: await chosen.text() } : null
}

async function readFile(
  shelf: Shelf,
  chosen: { name: string; text: string },
): Promise<Read | null> {
  try {
    const file = readShelfFile(chosen.text)
    const refused = await whyNotBrought(shelf, file)
    if (refused) {
      shelf.say(`“${chosen.name}” can’t be imported. ${refused}`, { refused: true })
      return null
    }
    const differing = await differingDocuments(shelf, file)
    return {
      file,
      name: chosen.name,
      differing,
      misfits: misfitsOf(shelf, file),
      here: { ...shelf.state(), documents: await allDocuments(shelf) },
    }
  } catch (error) {
    shelf.say(notShelf(chosen.name, error), { refused: true })
    return null
  }
}

function notShelf(name: string, error: unknown): string {
  const known = error instanceof BadShelfFile || error instanceof BadLockedFile
  const why = known ? error.message : 'it cannot be read'
  return `“${name}” is not a shelf file: ${why}. Nothing was changed. Choose a .kite.json file.`
}

const some = (names: string[]): string => {
  const first = names.slice(0, 6).map((name) => (name.length > 40 ? `${name.slice(0, 40)}…` : name))
  return `${first.join(', ')}${names.length > 6 ? ` and ${names.length - 6} more` : ''}`
}

/** How many of what would change, and which. */
export function rowsOf(change: Difference): [number, string][] {
  return [
    [change.desktopsAdded.length, `desktops added: ${some(change.desktopsAdded)}`],
    [change.desktopsChanged.length, `desktops changed: ${some(change.desktopsChanged)}`],
    [change.windowsAdded, 'windows added'],
    [change.windowsMoved, 'windows moved to where the file has them'],
    [change.windowsKept, 'windows that are only here stay'],
    [change.documentsAdded.length, `documents added: ${some(change.documentsAdded)}`],
    [change.documentsRenamed.length, `documents renamed: ${some(change.documentsRenamed)}`],
    [change.homesChanged, 'homes added or changed'],
    [change.stowedAdded.length, `stowed desktops added: ${some(change.stowedAdded)}`],
    [change.patternsAdded.length, `patterns added: ${some(change.patternsAdded)}`],
    [change.runsAdded.length, `runs added: ${some(change.runsAdded)}`],
    [change.blocksAdded, 'blocks of the plan added'],
    [change.appsChanged.length, `apps added or changed: ${some(change.appsChanged)}`],
    [change.settingsChanged.length, `settings changed: ${some(change.settingsChanged)}`],
    [Number(change.keysChanged), 'your own keys, or the apps on number keys, as in the file'],
    [Number(change.reordered), 'the order of the desktops, or their rows, as in the file'],
  ]
}

function Preview({ file, name, differing, misfits, here }: Read) {
  const shelf = useShelf()
  const rows = rowsOf(difference(here, file.state))
  const [replace, setReplace] = useState(false)
  const shown = rows.filter(([count]) => count > 0)
  return (
    <Dialog title={`Import “${name}”`} intro="What will change. Undo takes it back." width={500}>
      <ul aria-label="Changes" className="mt-4 border-seam border-t border-dashed">
        {shown.length === 0 ? (
          <li className="py-1.5">Nothing: the shelf is as in the file.</li>
        ) : null}
        {shown.map(([count, what]) => (
          <li key={what} className="flex gap-3 border-seam border-b border-dashed py-1.5">
            <span className="w-8 text-right font-mono font-semibold">{count}</span>
            <span className="min-w-0">{what}</span>
          </li>
        ))}
      </ul>
      {file.missing?.length ? (
        <p className="mt-3 text-alarm">
          These documents could not be read when the file was made: {some(file.missing)}.
        </p>
      ) : null}
      <Misfits list={misfits} />
      {differing.length ? (
        <fieldset className="mt-4 flex flex-col gap-1">
          <legend className="mb-1 font-semibold">
            {differing.length === 1
              ? '1 document has other content here'
              : `${differing.length} documents have other content here`}
          </legend>
          <label className="flex gap-2">
            <input
              type="radio"
              name="documents"
              checked={!replace}
              onChange={() => setReplace(false)}
            />
            Keep what is here
          </label>
          <label className="flex gap-2">
            <input
              type="radio"
              name="documents"
              checked={replace}
              onChange={() => setReplace(true)}
            />
            Take what is in the file
          </label>
        </fieldset>
      ) : null}
      <div className="mt-5 flex justify-end gap-2">
        <button type="button" className="btn" onClick={shelf.closeView}>
          Cancel
        </button>
        <button
          type="button"
          className="btn btn-main"
          // biome-ignore lint/a11y/noAutofocus: the answer the preview leads to
          autoFocus
          onClick={() => {
            shelf.closeView()
            void pointBefore(shelf, `Before importing “${name}”`)
              .then(() => importShelf(shelf, file, replace))
              .catch((error: unknown) =>
                shelf.say(
                  `It was not imported: ${String(error).slice(0, 200)}. Nothing was changed.`,
                  {
                    refused: true,
                  },
                ),
              )
          }}
        >
          Import
        </button>
      </div>
    </Dialog>
  )
}
