import { useEffect } from 'react'
import type { DocumentId } from '@/core/model/ids'
import { allowed } from '@/store/disk/handles'
import {
  allLinked,
  factsOfFile,
  type Linked,
  linkedTo,
  setStands,
  settle,
  stillSays,
  sumOfBytes,
} from '@/store/documents/linked'
import { logged } from '@/store/faults'
import { notice, putAwayNotice } from '@/store/notices'
import { ofShelf } from '@/store/ofShelf'
import { isWriting } from '@/store/opening/opened'
import type { Shelf } from '@/store/shelf'
import { usePage, useShelf } from '@/store/useShelf'
import { ASKS, noticeOf, textOf } from './saving'

/** How often it is looked whether a file was changed by another program, in milliseconds. */
const LOOKED_EVERY = 1500

/** Files that documents are kept in are watched while the page is in sight. */
export function useFiles(): void {
  const shelf = useShelf()
  const ready = usePage((page) => page.ready)
  useEffect(() => {
    if (!ready) return
    let looking = false
    const look = async () => {
      if (looking || document.visibilityState === 'hidden') return
      looking = true
      await Promise.all(allLinked(shelf).map(([id, linked]) => lookAt(shelf, id, linked)))
        .catch(logged('Files of documents'))
        .finally(() => {
          looking = false
        })
      tellAsking(shelf)
    }
    const timer = setInterval(look, LOOKED_EVERY)
    void look()
    addEventListener('focus', look)
    document.addEventListener('visibilitychange', look)
    return () => {
      clearInterval(timer)
      removeEventListener('focus', look)
      document.removeEventListener('visibilitychange', look)
    }
  }, [shelf, ready])
}

async function lookAt(shelf: Shelf, id: DocumentId, linked: Linked): Promise<void> {
  const { handle, modified, size, sum, base, pending } = linked
  const before = factsOfFile(shelf, id)?.stands
  if (!(await allowed(handle, 'read'))) return setStands(shelf, id, 'asks')
  let file: File
  let said: string
  try {
    file = await handle.getFile()
    if (file.lastModified === modified && file.size === size) {
      // What was gone is there again, as it was.
      if (before === 'gone' || before === 'asks') settle(shelf, id)
      return
    }
    said = sumOfBytes(await file.arrayBuffer())
  } catch (error) {
    // One that is just being written is looked at the next time.
    if ((error as Error).name !== 'NotFoundError') return
    if (before === 'gone' || linkedTo(shelf, id) !== linked) return
    setStands(shelf, id, 'gone')
    const text = `“${handle.name}” isn’t there any more: it was moved, renamed or deleted. “${titleOf(shelf, id)}” is safe in the shelf.`
    return tell(shelf, id, text)
  }
  // It was written or taken meanwhile.
  if (linkedTo(shelf, id) !== linked) return
  if (said === sum || said === pending) {
    // What it said before it was changed, or what was being written when a page was shut.
    await stillSays(shelf, id, file, { sum: said, base: said === sum ? base : await textOf(file) })
    settle(shelf, id)
    return putAwayNotice(shelf, noticeOf(id))
  }
  if (before === 'changed') return
  setStands(shelf, id, 'changed')
  tell(shelf, id, `“${handle.name}” was changed by another program.`, {
    command: 'document.compareFile',
    label: 'Compare',
    args: { document: id },
  })
}

const titleOf = (shelf: Shelf, id: DocumentId): string => shelf.state().documents[id]?.title ?? ''

/** Once, by the page that keeps the shelf. */
function tell(
  shelf: Shelf,
  id: DocumentId,
  text: string,
  offers?: { command: string; label: string; args: object },
): void {
  if (isWriting(shelf)) notice(shelf, { id: noticeOf(id), text, ...(offers && { offers }) })
}

function tellAsking(shelf: Shelf): void {
  if (!isWriting(shelf)) return
  const asks = allLinked(shelf).filter(([id]) => factsOfFile(shelf, id)?.stands === 'asks')
  const [first] = asks
  if (!first) {
    putAwayNotice(shelf, ASKS)
    return
  }
  const more = asks.length - 1
  const files = `“${first[1].handle.name}”${more ? ` and ${more} more` : ''}`
  if (told(shelf).files === files) return
  told(shelf).files = files
  notice(shelf, {
    id: ASKS,
    text: `The browser was restarted and has to be allowed again to read and write ${files}.`,
    offers: { command: 'files.allow', label: 'Allow' },
  })
}

/** What was told is not told again when it was put away. */
const told = ofShelf(() => ({ files: '' }))
