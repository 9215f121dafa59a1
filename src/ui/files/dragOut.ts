import type { DragEvent } from 'react'
import { asContent } from '@/apps/contents'
import { appOf } from '@/apps/list'
import type { DocumentId } from '@/core/model/ids'
import { fileName } from '@/parts/download'
import { keptContent, shownContent } from '@/store/documents/documents'
import type { Shelf } from '@/store/shelf'

/** How long the system may take to fetch what was dropped, in milliseconds. */
const FETCHED_WITHIN = 60_000

/** A document is dragged out of its window: dropped on another program or a folder it is a file. */
export function dragOut(shelf: Shelf, id: DocumentId, event: DragEvent): void {
  const known = shelf.state().documents[id]
  const app = appOf(shelf, known?.app ?? '')
  const kept = keptContent(shelf, id)
  if (!known || !app?.write || !kept) {
    event.preventDefault()
    return
  }
  const content = app.contents && asContent(app.contents, shownContent(kept))
  const file = app.write(content, known.title)
  const name = fileName(`${known.title}${app.extension?.(content) ?? ''}`)
  const address = URL.createObjectURL(file)
  event.dataTransfer.effectAllowed = 'copy'
  event.dataTransfer.setData('DownloadURL', `${file.type}:${name}:${address}`)
  setTimeout(() => URL.revokeObjectURL(address), FETCHED_WITHIN)
}
