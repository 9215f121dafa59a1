import { useEffect, useState } from 'react'
import { difference } from '@/core/formats/merge'
import { counted } from '@/core/text/counted'
import { Dialog } from '@/parts/Dialog'
import type { FolderCopy } from '@/store/disk/folder'
import { goOnFrom, type News, newsIn } from '@/store/opening/inFolder'
import { folderOf, pointBefore } from '@/store/opening/opened'
import { when } from '@/store/opening/when'
import { useShelf } from '@/store/useShelf'
import { rowsOf } from './ImportShelf'

/** The machines that share the folder of this shelf: what each wrote, and going on from it. */
export function FolderDialog() {
  const shelf = useShelf()
  const folder = folderOf(shelf)
  return (
    <Dialog
      title="Machines that share the folder"
      intro="Each machine writes its own file in the folder. Nothing is taken from another machine until you say so."
      width={680}
    >
      {folder?.name ? (
        <Machines folder={folder} />
      ) : (
        <p className="mt-4 text-soft">
          {folder
            ? 'No folder yet. Choose the same folder on each machine.'
            : 'This is available in the main window. Open it there.'}
        </p>
      )}
      <div className="mt-5 flex justify-end gap-2">
        {folder && !folder.name ? (
          <button
            type="button"
            className="btn btn-main"
            onClick={() => {
              shelf.closeView()
              shelf.dispatchAny('shelf.keepFolder')
            }}
          >
            Choose a folder
          </button>
        ) : null}
        <button type="button" className="btn" onClick={shelf.closeView}>
          Done
        </button>
      </div>
    </Dialog>
  )
}

function Machines({ folder }: { folder: FolderCopy }) {
  const shelf = useShelf()
  const [name, setName] = useState<string | null>(null)
  const [news, setNews] = useState<News[] | string | null>(null)
  useEffect(() => {
    let over = false
    void folder.machine().then((own) => over || setName(own.name))
    newsIn(shelf, folder).then(
      (found) => over || setNews(found),
      (error: unknown) => over || setNews(`A file can’t be read: ${(error as Error).message}.`),
    )
    return () => {
      over = true
    }
  }, [shelf, folder])
  if (name === null || news === null) return <p className="mt-4 text-soft">Reading…</p>
  return (
    <>
      <label className="mt-4 flex items-center gap-3">
        This machine is called
        <input
          className="field min-w-0 flex-1"
          maxLength={40}
          value={name}
          onChange={(event) => setName(event.target.value)}
          onBlur={() => name.trim() && void folder.rename(name.trim())}
        />
      </label>
      <p className="mt-2 text-soft">The folder is “{folder.name}”.</p>
      {typeof news === 'string' ? <p className="mt-3 text-alarm">{news}</p> : null}
      {typeof news === 'string' || news.length > 0 ? null : (
        <p className="mt-3">No other machine has written there yet.</p>
      )}
      <ul aria-label="Other machines" className="-mx-1 max-h-[52vh] overflow-auto px-1 pb-1">
        {typeof news === 'string'
          ? null
          : news.map((one) => (
              <Machine key={one.other.written.machine} folder={folder} news={one} />
            ))}
      </ul>
    </>
  )
}

const STANDS: Record<News['is'], string> = {
  known: 'You have everything from it.',
  ahead: 'Newer than what is here.',
  apart: 'Both have changed.',
}

function Machine({ folder, news }: { folder: FolderCopy; news: News }) {
  const shelf = useShelf()
  const { other, is, file, taken, both } = news
  const { name, at } = other.written
  const here = shelf.state()
  const titles = (ids: string[]) =>
    ids
      .slice(0, 4)
      .map((id) => `“${file.state.documents[id]?.title ?? id}”`)
      .join(', ') + (ids.length > 4 ? ` and ${ids.length - 4} more` : '')
  const rows: [number, string][] = [
    ...rowsOf(difference(here, file.state)),
    [taken.length, `documents as they are there: ${titles(taken)}`],
    [both.length, `documents changed on both, kept as here and as there: ${titles(both)}`],
  ]
  const shown = rows.filter(([count]) => count > 0)
  const go = (whole: boolean) => () => {
    shelf.closeView()
    void pointBefore(shelf, `Before going on from “${name}”`)
      .then(() => goOnFrom(shelf, folder, news, whole))
      .catch((error: unknown) =>
        shelf.say(`That didn’t work: ${String(error).slice(0, 140)}. Nothing is lost.`, {
          refused: true,
        }),
      )
  }
  return (
    <li className="mt-3 border-seam border-t pt-2">
      <p className="flex items-baseline gap-3">
        <b dir="auto">{name}</b>
        <span className="text-soft">{when(at)}</span>
        <span className="ml-auto">{STANDS[is]}</span>
      </p>
      {is === 'known' ? null : (
        <>
          <ul aria-label={`Changes of ${name}`} className="mt-1">
            {shown.length === 0 ? <li>Nothing you would see.</li> : null}
            {shown.map(([count, what]) => (
              <li key={what} className="flex gap-3 border-seam border-b border-dashed py-1">
                <span className="w-8 text-right font-mono font-semibold">{count}</span>
                <span className="min-w-0">{what}</span>
              </li>
            ))}
          </ul>
          <div className="mt-2 flex flex-wrap items-center justify-end gap-2">
            <p className="mr-auto text-[12px] text-soft">
              A restore point is kept before; undo takes it back.
            </p>
            <button
              type="button"
              className={`btn ${is === 'ahead' ? '' : 'btn-main'}`}
              title={`${counted(taken.length, 'document')} taken; nothing here goes away`}
              // biome-ignore lint/a11y/noAutofocus: the answer the dialog leads to
              autoFocus={is === 'apart'}
              onClick={go(false)}
            >
              Merge
            </button>
            <button
              type="button"
              className={`btn ${is === 'ahead' ? 'btn-main' : ''}`}
              title="All is as it is there"
              // biome-ignore lint/a11y/noAutofocus: the answer the dialog leads to
              autoFocus={is === 'ahead'}
              onClick={go(true)}
            >
              Go on from it
            </button>
          </div>
        </>
      )}
    </li>
  )
}
