import { useEffect, useState } from 'react'
import { appOf } from '@/apps/list'
import type { DocumentInfo } from '@/core/model/kinds/document'
import { documentsInUse } from '@/core/model/selectors'
import { Answers } from '@/parts/Answers'
import { Dialog } from '@/parts/Dialog'
import { LongList } from '@/parts/LongList'
import { allDocuments, bringBack, TAKEN_BACK_WITHIN } from '@/store/documents/catalogue'
import { peekContent } from '@/store/documents/documents'
import { expected } from '@/store/faults'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'

const DAY = 86_400_000
/** What has not been opened for so long is offered to be cleared up. */
const LONG = 30 * DAY

interface Candidate {
  info: DocumentInfo
  empty: boolean
}

/** Documents that no window shows and that are empty, or were not opened for a month. */
async function candidates(shelf: Shelf, now: number): Promise<Candidate[]> {
  const shown = documentsInUse(shelf.state())
  const closed = Object.values(await allDocuments(shelf)).filter(
    ({ id, discarded }) => !shown.has(id) && !discarded,
  )
  const found: Candidate[] = []
  for (const info of closed) {
    const content = await peekContent(shelf, info.id).catch(
      expected('what cannot be read is not empty'),
    )
    const empty = content?.saved === null && content.draft === null
    if (empty || now - info.openedAt > LONG) found.push({ info, empty })
  }
  return found.sort((a, b) => a.info.openedAt - b.info.openedAt)
}

/** Lists documents that may go; what is ticked is deleted in one step. */
export function ClearUp() {
  const shelf = useShelf()
  const [now] = useState(Date.now)
  const [list, setList] = useState<Candidate[] | null>(null)
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set())
  useEffect(() => {
    let left = false
    candidates(shelf, now).then(
      (found) => {
        if (left) return
        setList(found)
        setTicked(new Set(found.filter(({ empty }) => empty).map(({ info }) => info.id)))
      },
      () => {
        if (left) return
        shelf.closeView()
        shelf.say('What is known of documents could not be read. Nothing was changed; try again.', {
          refused: true,
        })
      },
    )
    return () => {
      left = true
    }
  }, [now, shelf])
  const clear = async () => {
    const documents = [...ticked]
    shelf.closeView()
    await bringBack(shelf, documents)
    shelf.dispatch('documents.discard', { documents }, 'key')
  }
  return (
    <Dialog
      title="Clear up documents"
      intro={`Documents without a window that are empty or unopened for a month. What is ticked is deleted in one step; undo takes it back, and the drawer does for ${TAKEN_BACK_WITHIN / DAY} days.`}
      width={560}
    >
      {list === null ? <p className="mt-4 text-soft">Looking through them…</p> : null}
      {list?.length === 0 ? (
        <div className="mt-4 flex items-center justify-between gap-3">
          <p className="text-soft">There is nothing to clear up.</p>
          <button type="button" className="btn btn-main" onClick={shelf.closeView}>
            Done
          </button>
        </div>
      ) : null}
      {list?.length ? (
        <form
          onSubmit={(event) => {
            event.preventDefault()
            void clear()
          }}
        >
          <LongList label="Documents that may go" className="mt-3 max-h-[46vh]">
            {list.map(({ info, empty }) => (
              <li key={info.id} className="border-seam border-b border-dashed">
                <label className="flex items-center gap-2.5 py-1.5">
                  <input
                    type="checkbox"
                    checked={ticked.has(info.id)}
                    onChange={() => {
                      const next = new Set(ticked)
                      if (!next.delete(info.id)) next.add(info.id)
                      setTicked(next)
                    }}
                  />
                  <span className="min-w-0 flex-1 truncate" title={info.title}>
                    {info.title}
                  </span>
                  <span className="shrink-0 text-soft">
                    {appOf(shelf, info.app)?.name ?? info.app},{' '}
                    {empty ? 'empty' : new Date(info.openedAt).toLocaleDateString()}
                  </span>
                </label>
              </li>
            ))}
          </LongList>
          <Answers ready disabled={ticked.size === 0}>
            Delete {ticked.size === 1 ? '1 document' : `${ticked.size} documents`}
          </Answers>
        </form>
      ) : null}
    </Dialog>
  )
}
