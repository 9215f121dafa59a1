import { useEffect, useState } from 'react'
import { wordsIn } from '@/core/finding/texts'
import type { Window } from '@/core/model/kinds/window'
import { peekContent, putContent, shownContent } from '@/store/documents/documents'
import { expected } from '@/store/faults'
import { newId } from '@/store/newId'
import { readVersion } from '@/store/opening/opened'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'
import type { Version } from '@/store/versions'

/** Where a document says something else now: what it said then is opened as a document of its own. */
export function Said({ was, name, version }: { was: Window; name: string; version: Version }) {
  const shelf = useShelf()
  const content = useOther(shelf, version)
  if (content === null) return null
  const open = () => {
    const document = newId('document')
    putContent(shelf, document, { saved: content, draft: null })
    shelf.closeView()
    shelf.dispatch('window.open', { app: was.app, document, title: `${name}, as it was` })
  }
  return (
    <button
      type="button"
      className="self-start text-[12px] underline decoration-dashed"
      aria-label={`Open what “${name}” said then`}
      onClick={open}
    >
      what it said then
    </button>
  )
}

/** What a document said, if it says something else now; null where it does not, or until it is read. */
function useOther(shelf: Shelf, version: Version): unknown {
  const [other, setOther] = useState<unknown>(null)
  const { document, until } = version
  useEffect(() => {
    let over = false
    void Promise.all([readVersion(shelf, { document, until }), peekContent(shelf, document)])
      .then(([said, now]) => (wordsIn(said) === wordsIn(shownContent(now)) ? null : said))
      .catch(expected('what cannot be read is not offered', null))
      .then((said) => over || setOther(said))
    return () => {
      over = true
    }
  }, [shelf, document, until])
  return other
}
