import { useEffect, useRef, useState } from 'react'
import { BadShelfFile, difference, readShelfFile, type ShelfFile } from '@/core/formats/shelfFile'
import { differingDocuments, importShelf } from '@/store/exporting'
import { closeView, getState, say } from '@/store/shelf'
import { Dialog } from '@/ui/parts/Dialog'
import { chooseFiles } from '@/ui/stage/openFiles'

interface Read {
  file: ShelfFile
  name: string
  differing: string[]
}

/** Asks for a shelf file and shows what bringing it in would change. */
export function ImportShelf() {
  const [read, setRead] = useState<Read | null>(null)
  const asked = useRef(false)
  useEffect(() => {
    if (asked.current) return
    asked.current = true
    void ask().then((found) => (found ? setRead(found) : closeView()))
  }, [])
  return read ? <Preview {...read} /> : null
}

async function ask(): Promise<Read | null> {
  const [chosen] = await chooseFiles('.json', false)
  if (!chosen) return null
  try {
    const file = readShelfFile(await chosen.text())
    return { file, name: chosen.name, differing: await differingDocuments(file) }
  } catch (error) {
    const why = error instanceof BadShelfFile ? error.message : 'it cannot be read'
    say(
      `“${chosen.name}” is not a shelf file: ${why}. Nothing was changed. Choose a .kite.json file.`,
      {
        refused: true,
      },
    )
    return null
  }
}

function Preview({ file, name, differing }: Read) {
  const change = difference(getState(), file.state)
  const [replace, setReplace] = useState(false)
  const rows: [number, string][] = [
    [change.desktopsAdded.length, `desktops added: ${change.desktopsAdded.join(', ')}`],
    [change.desktopsChanged.length, `desktops changed: ${change.desktopsChanged.join(', ')}`],
    [change.windowsAdded, 'windows added'],
    [change.windowsMoved, 'windows moved to where the file has them'],
    [change.documentsAdded, 'documents added'],
    [change.windowsKept, 'windows that are only here stay'],
  ]
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
        <button type="button" className="btn" onClick={closeView}>
          Cancel
        </button>
        <button
          type="button"
          className="btn btn-main"
          // biome-ignore lint/a11y/noAutofocus: the answer the preview leads to
          autoFocus
          onClick={() => {
            closeView()
            importShelf(file, replace)
          }}
        >
          Import
        </button>
      </div>
    </Dialog>
  )
}
