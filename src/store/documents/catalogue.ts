/**
 * What is known of documents that no window shows and nobody has looked at for a while. It is kept
 * apart from the arrangement, which every start reads and every change is compared with, and is
 * read when it is looked for.
 */

import { useEffect, useMemo, useState } from 'react'
import type { DocumentId } from '@/core/model/ids'
import type { DocumentInfo } from '@/core/model/kinds/document'
import { held, type SomeObjects } from '@/core/model/parts'
import { documentsInUse } from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import type { KeptStore } from '@/store/disk/storage'
import { expected, logged } from '@/store/faults'
import { ofShelf } from '@/store/ofShelf'
import type { Shelf } from '@/store/shelf'
import { useArrangement, useShelf } from '@/store/useShelf'
import { peekContent, putContent } from './documents'

const KEY = 'catalogue'
/** So many closed documents stay at hand, the latest opened. */
const AT_HAND = 150
/** It is tidied when so many more have gathered. */
const GATHERED = 50
/** Deleted documents can be taken back for so long, in milliseconds. */
export const TAKEN_BACK_WITHIN = 30 * 86_400_000

type Catalogue = Record<DocumentId, DocumentInfo>

const own = ofShelf(() => ({
  store: null as KeptStore | null,
  read: null as Promise<Catalogue> | null,
}))

export function provideCatalogue(shelf: Shelf, given: KeptStore | null): void {
  own(shelf).store = given
  own(shelf).read = null
}

function catalogue(shelf: Shelf): Promise<Catalogue> {
  const mine = own(shelf)
  mine.read ??= (mine.store?.getItem(KEY) ?? Promise.resolve(null)).then(
    (kept) => (kept ?? {}) as Catalogue,
    (error: unknown) => {
      mine.read = null
      throw error
    },
  )
  return mine.read
}

/** All documents there are, at hand or not. @throws when the catalogue cannot be read */
export const allDocuments = async (shelf: Shelf): Promise<State['documents']> => ({
  ...(await catalogue(shelf)),
  ...shelf.state().documents,
})

/** All documents, as they change; those that are not at hand come a moment later. */
export function useAllDocuments(): State['documents'] {
  const shelf = useShelf()
  const atHand = useArrangement(({ documents }) => documents)
  const [away, setAway] = useState<Catalogue>({})
  // What is brought back or put away changes what is at hand.
  const count = Object.keys(atHand).length
  // biome-ignore lint/correctness/useExhaustiveDependencies: another count is the reason to read
  useEffect(() => {
    let left = false
    catalogue(shelf).then(
      (found) => left || setAway(found),
      logged('What is known of documents put away'),
    )
    return () => {
      left = true
    }
  }, [count])
  return useMemo(() => ({ ...away, ...atHand }), [away, atHand])
}

/** Brings documents back to hand, before a window shows one or a step of undo is about it. */
export async function bringBack(shelf: Shelf, ids: DocumentId[]): Promise<void> {
  const all = await catalogue(shelf)
  const documents = ids.flatMap((id) => (shelf.state().documents[id] ? [] : (all[id] ?? [])))
  if (documents.length) shelf.dispatch('documents.bring', { documents }, 'app')
}

/** Everything that is shown, may be shown again, or that a step of undo knows. */
function inUse(shelf: Shelf): Set<DocumentId> {
  const { state, history } = shelf.page.getState().session
  const used = documentsInUse(state)
  for (const id of held({ closed: state.closed }, 'document')) used.add(id)
  for (const { back, forth } of [...history.past, ...history.future])
    for (const { objects, parts } of [back, forth]) {
      for (const id of held({ ...parts, ...objects } as SomeObjects, 'document')) used.add(id)
      // Also those that came or went with it.
      for (const id in objects.documents) used.add(id)
    }
  return used
}

/**
 * Puts away what has not been looked at for long, and lets go for good what was never written in,
 * or was deleted a month ago. Nothing that has a window, or could get one back, is touched.
 */
export async function tidy(shelf: Shelf, now: number): Promise<void> {
  const { store } = own(shelf)
  if (!store) return
  const used = inUse(shelf)
  const idle = Object.values(shelf.state().documents)
    .filter(({ id, unsaved }) => !used.has(id) && !unsaved)
    .sort((a, b) => b.openedAt - a.openedAt)
  const gone: DocumentId[] = []
  for (const one of idle) if (await isNothing(shelf, one, now)) gone.push(one.id)
  const left = idle.filter(({ id }) => !gone.includes(id))
  const away = left.length > AT_HAND + GATHERED ? left.slice(AT_HAND) : []
  const kept = await catalogue(shelf)
  if (away.length || gone.some((id) => kept[id])) {
    const next = { ...kept, ...Object.fromEntries(away.map((one) => [one.id, one])) }
    for (const id of gone) delete next[id]
    // Only when it is written there it goes from here.
    await store.setItem(KEY, next)
    own(shelf).read = Promise.resolve(next)
  }
  const documents = [...gone, ...away.map(({ id }) => id)]
  if (documents.length === 0) return
  if (!shelf.dispatch('documents.putAway', { documents }, 'app').ok) return
  for (const id of gone) putContent(shelf, id, null)
}

async function isNothing(shelf: Shelf, one: DocumentInfo, now: number): Promise<boolean> {
  if (one.discarded) return now - (one.discardedAt ?? now) > TAKEN_BACK_WITHIN
  if (one.title !== shelf.appFacts(one.app)?.untitled) return false
  const kept = await peekContent(shelf, one.id).catch(expected('then it is not nothing', null))
  return kept?.saved === null && kept.draft === null
}
