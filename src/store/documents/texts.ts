import { useEffect, useState } from 'react'
import type { Hits, Texts } from '@/core/finding/texts'
import type { DocumentId } from '@/core/model/ids'
import { expected, logged } from '@/store/faults'
import { type OffPage, type Place, placeOffPage } from '@/store/offPage'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'
import { within } from '@/store/within'
import { peekContent, shownContent } from './documents'

/** So many documents are read at a time; the page goes on between. */
const BATCH = 20

/** So often a worker that died, or says nothing for so many milliseconds, is begun anew. */
const DEATHS_MOST = 2
const LOOKS_WITHIN = 5000

/** Texts are looked through off the page, so that none is too long to be. */
const LOOKING: OffPage<Texts> = {
  worker: () => new Worker(new URL('./texts.worker.ts', import.meta.url), { type: 'module' }),
  onPage: async () => new (await import('@/core/finding/texts')).Texts(),
}

/** Where nothing could be read, nothing is found in it: names are found all the same. */
const NOTHING_READ = { look: () => new Map() }

/** What was found, and for what: nothing is at hand before all documents are read. */
export interface Looked {
  typed: string
  hits: Hits
}

/**
 * Looks through all that stands in documents for what is typed; nothing of it is held on to when it
 * is not wanted any more.
 * @param ids the documents; null as long as nothing is looked for
 * @returns what was found last; null until they have been read
 */
export function useLooked(ids: DocumentId[] | null, typed: string): Looked | null {
  const shelf = useShelf()
  const [api, setApi] = useState<Pick<Place<Texts>['api'], 'look'> | typeof NOTHING_READ | null>(
    null,
  )
  const [looked, setLooked] = useState<Looked | null>(null)
  const [deaths, setDeaths] = useState(0)
  const wanted = ids?.join(' ')
  useEffect(() => {
    if (wanted === undefined) return
    // One that dies each time is not begun for ever.
    if (deaths > DEATHS_MOST) return setApi(NOTHING_READ)
    const left = new AbortController()
    void readAll(shelf, wanted.split(' '), left.signal, () => setDeaths((count) => count + 1))
      .then(({ api: read }) => read)
      .catch(logged('The search in texts', NOTHING_READ))
      .then((read) => left.signal.aborted || setApi(() => read))
    return () => {
      left.abort()
      setApi(null)
      setLooked(null)
    }
  }, [wanted, deaths, shelf])
  useEffect(() => {
    if (!api) return
    let left = false
    void within(Promise.resolve(api.look(typed)), LOOKS_WITHIN, 'The search').then(
      (hits) => left || setLooked({ typed, hits }),
      () => left || setDeaths((count) => count + 1),
    )
    return () => {
      left = true
    }
  }, [api, typed])
  return looked
}

/** Reads documents for what looks them through. Pictures have no words, nor has what cannot be read. */
async function readAll(
  shelf: Shelf,
  ids: DocumentId[],
  left: AbortSignal,
  died: () => void,
): Promise<Place<Texts>> {
  const place = await placeOffPage(LOOKING, shelf, died)
  left.addEventListener('abort', place.close)
  for (let at = 0; at < ids.length && !left.aborted; at += BATCH) {
    const contents = await Promise.all(
      ids.slice(at, at + BATCH).map(async (id): Promise<[DocumentId, unknown]> => {
        const content = await peekContent(shelf, id).catch(expected('nothing is found in it', null))
        return [id, content && withWords(shownContent(content))]
      }),
    )
    if (!left.aborted) await place.api.read(contents)
  }
  if (left.aborted) place.close()
  return place
}

/** A file as a data address has no words of its own, and is not copied for it. */
const withWords = (content: unknown): unknown =>
  typeof content === 'object' && content && 'data' in content ? { ...content, data: '' } : content
