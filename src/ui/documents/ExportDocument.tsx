import { useEffect, useRef, useState } from 'react'
import { asContent } from '@/apps/contents'
import type { AppManifest } from '@/apps/contract'
import { APPS, appOf } from '@/apps/list'
import type { DocumentId } from '@/core/model/ids'
import type { DocumentInfo } from '@/core/model/kinds/document'
import { Dialog } from '@/parts/Dialog'
import { download } from '@/parts/download'
import { loadContent, shownContent } from '@/store/documents/documents'
import { expected } from '@/store/faults'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'

/** A document as a file: at once, or asked how where there is more than one way to write it. */
export function ExportDocument({ id }: { id: DocumentId }) {
  const shelf = useShelf()
  const [asks, setAsks] = useState<ReturnType<NonNullable<AppManifest['writes']>>>(null)
  const begun = useRef(false)
  useEffect(() => {
    if (begun.current) return
    begun.current = true
    void begin(shelf, id).then((found) => (found ? setAsks(found) : shelf.closeView()))
  }, [id, shelf])
  const known = shelf.state().documents[id]
  if (!asks || !known) return null
  return (
    <Dialog title={`Export “${known.title}”`} intro={asks.why} width={480}>
      <div className="mt-5 flex flex-wrap justify-end gap-2">
        <button type="button" className="btn" onClick={shelf.closeView}>
          Cancel
        </button>
        {asks.ways.map(({ label, write }, at) => (
          <button
            key={label}
            type="button"
            className={`btn ${at === 0 ? 'btn-main' : ''}`}
            // biome-ignore lint/a11y/noAutofocus: the answer that harms nobody
            autoFocus={at === 0}
            onClick={() => {
              shelf.closeView()
              give(shelf, known, write())
            }}
          >
            {label}
          </button>
        ))}
      </div>
    </Dialog>
  )
}

/** Exports what can be exported in one way only. @returns the ways where there are several */
async function begin(
  shelf: Shelf,
  id: DocumentId,
): Promise<ReturnType<NonNullable<AppManifest['writes']>>> {
  const known = shelf.state().documents[id]
  const app = appOf(shelf, known?.app ?? '')
  if (!known || !app) return null
  if (!app.write) {
    const can = APPS.filter(({ write }) => write).map(({ plural }) => plural)
    shelf.say(`There is nothing to export in it. These can be: ${can.join(', ')}.`, {
      refused: true,
    })
    return null
  }
  const content = await loadContent(shelf, id).catch(expected('told below', null))
  if (!content) {
    shelf.say(`“${known.title}” cannot be read, so it was not exported. Try again.`, {
      refused: true,
    })
    return null
  }
  const shown = app.contents && asContent(app.contents, shownContent(content))
  const ways = app.writes?.(shown, shelf.clock()) ?? null
  if (ways) return ways
  const pack = await app.packs?.(shown, known.title, shelf)
  if (pack) {
    download(pack.file, `${known.title}${pack.extension}`)
    shelf.say(`Exported “${known.title}”${pack.says ? `. ${pack.says}` : ''}`)
  } else give(shelf, known, app.write(shown, known.title), shown)
  return null
}

function give(shelf: Shelf, { app, title }: DocumentInfo, file: Blob, content?: unknown): void {
  download(file, `${title}${appOf(shelf, app)?.extension?.(content) ?? ''}`)
  shelf.say(`Exported “${title}”`)
}
