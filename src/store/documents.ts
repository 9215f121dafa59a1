import { useEffect, useSyncExternalStore } from 'react'
import type { KeptContent } from '@/core/formats/shelfFile'
import type { DocumentId } from '@/core/model/types'
import { dispatch, getState } from './shelf'

/**
 * The contents of documents, loaded when a window first shows them and written back soon after
 * a change. What was typed is a draft until it is saved; both are kept.
 */
export interface ContentStore {
  getItem(key: string): Promise<unknown>
  setItem(key: string, value: unknown): Promise<unknown>
}

let store: ContentStore | null = null
const contents = new Map<DocumentId, KeptContent>()
const loading = new Map<DocumentId, Promise<void>>()
const changed = new Set<DocumentId>()
const listeners = new Set<() => void>()
let onChange = () => {}

const tell = () => {
  for (const listener of listeners) listener()
}

export function provideContents(given: ContentStore, changedSoon: () => void): void {
  store = given
  onChange = changedSoon
}

/** Puts a document's content in, saved, before a window for it is opened. */
export function putContent(id: DocumentId, content: KeptContent): void {
  contents.set(id, content)
  touch(id)
}

function touch(id: DocumentId): void {
  changed.add(id)
  onChange()
  tell()
}

/** The content that is on screen: the draft where there is one. */
export const shownContent = (content: KeptContent): unknown => content.draft ?? content.saved

/** What is on screen of a document that is loaded; null where it is empty or not loaded. */
export function contentOf(id: DocumentId): unknown {
  const kept = contents.get(id)
  return kept ? shownContent(kept) : null
}

export async function loadContent(id: DocumentId): Promise<KeptContent> {
  if (!contents.has(id)) {
    if (!loading.has(id))
      loading.set(
        id,
        (async () => {
          const kept = (await store?.getItem(id)) as KeptContent | null | undefined
          if (!contents.has(id)) contents.set(id, kept ?? { saved: null, draft: null })
          loading.delete(id)
          tell()
        })(),
      )
    await loading.get(id)
  }
  return contents.get(id) ?? { saved: null, draft: null }
}

/**
 * Changes a document: saved at once; as a draft that the person saves or discards; or only in
 * how it is looked at, which leaves a draft a draft and a saved document saved.
 */
export function changeContent(
  id: DocumentId,
  content: unknown,
  as: 'draft' | 'saved' | 'look',
): void {
  const before = contents.get(id) ?? { saved: null, draft: null }
  const drafted = as === 'draft' || (as === 'look' && before.draft !== null)
  contents.set(id, drafted ? { ...before, draft: content } : { saved: content, draft: null })
  touch(id)
  markUnsaved(id, drafted)
}

export function saveDraft(id: DocumentId): void {
  const kept = contents.get(id)
  if (kept?.draft != null) changeContent(id, kept.draft, 'saved')
}

export function discardDraft(id: DocumentId): void {
  const kept = contents.get(id)
  if (kept?.draft == null) return
  contents.set(id, { ...kept, draft: null })
  touch(id)
  markUnsaved(id, false)
}

function markUnsaved(id: DocumentId, unsaved: boolean): void {
  const known = getState().documents[id]
  if (known && known.unsaved !== unsaved) dispatch('document.set', { document: id, unsaved }, 'app')
}

/** Writes what changed since the last call. @throws when the store takes no more */
export async function writeContents(): Promise<void> {
  const ids = [...changed]
  changed.clear()
  try {
    await Promise.all(ids.map((id) => store?.setItem(id, contents.get(id))))
  } catch (error) {
    for (const id of ids) changed.add(id)
    throw error
  }
}

/** A document's content, undefined until it is loaded. */
export function useContent(id: DocumentId): KeptContent | undefined {
  useEffect(() => {
    void loadContent(id)
  }, [id])
  return useSyncExternalStore(
    subscribe,
    () => contents.get(id),
    () => undefined,
  )
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener)
  return () => listeners.delete(listener)
}
