import { useEffect, useSyncExternalStore } from 'react'
import type { KeptContent } from '@/core/formats/shelfFile'
import type { DocumentId } from '@/core/model/types'
import { dispatch, getState } from './shelf'
import { patiently } from './storage'

/**
 * The contents of documents, loaded when a window first shows them and written back soon after
 * a change. What was typed is a draft until it is saved; both are kept. Each stands by itself: one
 * that cannot be read or written is told by name and holds nothing else up.
 */
interface ContentStore {
  getItem(key: string): Promise<unknown>
  setItem(key: string, value: unknown): Promise<unknown>
  removeItem(key: string): Promise<void>
}

/** Keeps nothing, and has nothing. */
export const NOWHERE: ContentStore = {
  getItem: async () => null,
  setItem: async () => {},
  removeItem: async () => {},
}

interface Provided {
  store: ContentStore
  /** A document is to be written. */
  changed(id: DocumentId): void
  /** A document was changed on this page. */
  typed?(id: DocumentId, content: KeptContent | null): void
  /** Where else a content may be, for one that the store does not have. */
  spare?: (id: DocumentId) => Promise<KeptContent | null>
}

const EMPTY: KeptContent = { saved: null, draft: null }

let provided: Provided | null = null
const contents = new Map<DocumentId, KeptContent>()
/** Those that could not be read. They are not written over. */
const unreadable = new Set<DocumentId>()
const loading = new Map<DocumentId, Promise<void>>()
const changed = new Set<DocumentId>()
/** Changed since the spare copy was last written. */
const sinceSpare = new Set<DocumentId>()
const listeners = new Set<() => void>()

const tell = () => {
  for (const listener of listeners) listener()
}

export function provideContents(given: Provided): void {
  provided = given
}

/** Another page has the shelf: nothing of it stays here, and nothing is written any more. */
export function forgetContents(): void {
  provided = null
  for (const all of [contents, unreadable, loading, changed, sinceSpare]) all.clear()
}

/** Puts a document's content in, before a window for it is opened; null takes it away. */
export function putContent(id: DocumentId, content: KeptContent | null): void {
  if (content) contents.set(id, content)
  else contents.delete(id)
  unreadable.delete(id)
  touch(id)
}

function touch(id: DocumentId): void {
  if (!provided) return
  changed.add(id)
  sinceSpare.add(id)
  provided.changed(id)
  if (!receiving) provided.typed?.(id, contents.get(id) ?? null)
  tell()
}

/** Whether what is put in comes from another view, which need not be told of it. */
let receiving = false

/** What was typed in another view. One who keeps the shelf keeps it too. */
export function receiveContent(id: DocumentId, content: KeptContent | null, keeps: boolean): void {
  if (!keeps && !contents.has(id)) return
  receiving = true
  putContent(id, content)
  receiving = false
}

/** Everything at hand is to be written: who kept it before may not have come to it. */
export function touchAll(): void {
  for (const id of contents.keys()) touch(id)
}

/** The content that is on screen: the draft where there is one. */
export const shownContent = (content: KeptContent): unknown => content.draft ?? content.saved

/** What is on screen of a document that is loaded; null where it is empty or not loaded. */
export function contentOf(id: DocumentId): unknown {
  const kept = contents.get(id)
  return kept ? shownContent(kept) : null
}

/** What is kept of a document that is loaded. */
export const keptContent = (id: DocumentId): KeptContent | null => contents.get(id) ?? null

const isKept = (value: unknown): value is KeptContent =>
  typeof value === 'object' && value !== null && 'saved' in value

/**
 * Reads what is kept of a document without holding on to it.
 * @throws when it cannot be read, neither from the store nor from the spare copy
 */
export async function peekContent(id: DocumentId): Promise<KeptContent> {
  const known = contents.get(id)
  if (known || !provided) return known ?? EMPTY
  const { store, spare } = provided
  try {
    const kept = await patiently(() => store.getItem(id))
    if (isKept(kept)) return kept
  } catch (error) {
    const copy = await spare?.(id)
    if (copy) return copy
    throw error
  }
  return (await spare?.(id)) ?? EMPTY
}

/**
 * The content of a document, from then on at hand.
 * @throws when it cannot be read
 */
export async function loadContent(id: DocumentId): Promise<KeptContent> {
  if (!contents.has(id)) {
    if (!loading.has(id)) loading.set(id, load(id))
    await loading.get(id)
  }
  const kept = contents.get(id)
  if (!kept) throw new Error(`${id} cannot be read`)
  return kept
}

async function load(id: DocumentId): Promise<void> {
  const from = provided
  try {
    const kept = await peekContent(id)
    if (!contents.has(id) && provided) contents.set(id, kept)
    unreadable.delete(id)
  } catch {
    // Who had it is not asked any more.
    if (provided !== from) return load(id)
    unreadable.add(id)
  } finally {
    loading.delete(id)
    tell()
  }
}

/** Tries once more to read a document that could not be read. */
export function retryContent(id: DocumentId): void {
  unreadable.delete(id)
  tell()
  void loadContent(id).catch(() => {})
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
  if (unreadable.has(id)) return
  const before = contents.get(id) ?? EMPTY
  const drafted = as === 'draft' || (as === 'look' && before.draft !== null)
  contents.set(id, {
    ...before,
    ...(drafted ? { draft: content } : { saved: content, draft: null }),
  })
  touch(id)
  markUnsaved(id, drafted)
}

/** What stands half-typed in a field, kept as it is typed: over another thread, a rest, a reload. */
export function changeTyped(id: DocumentId, field: string, text: string): void {
  if (unreadable.has(id)) return
  const before = contents.get(id) ?? EMPTY
  const { [field]: _before, ...others } = before.typed ?? {}
  contents.set(id, { ...before, typed: text ? { ...others, [field]: text } : others })
  touch(id)
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

/** The mark of a document whose content was put in from elsewhere. */
export const markAsKept = (id: DocumentId): void => markUnsaved(id, contents.get(id)?.draft != null)

function markUnsaved(id: DocumentId, unsaved: boolean): void {
  const known = getState().documents[id]
  if (known && known.unsaved !== unsaved) dispatch('document.set', { document: id, unsaved }, 'app')
}

/** Some documents could not be written; the others were. */
export class NotWritten extends Error {
  constructor(
    readonly ids: DocumentId[],
    readonly why: unknown,
  ) {
    super('Some documents could not be written')
  }
}

/** Writes what changed since the last call. @throws NotWritten with those that could not be */
export async function writeContents(): Promise<void> {
  const ids = [...changed]
  changed.clear()
  const failed: DocumentId[] = []
  let why: unknown
  await Promise.all(
    ids.map(async (id) => {
      try {
        const content = contents.get(id)
        if (content) await provided?.store.setItem(id, content)
        else await provided?.store.removeItem(id)
      } catch (error) {
        failed.push(id)
        why = error
      }
    }),
  )
  if (failed.length === 0) return
  for (const id of failed) changed.add(id)
  throw new NotWritten(failed, why)
}

/** Those that changed since the spare copy was last written, with what they are now. */
export function takeForSpare(): Map<DocumentId, KeptContent | null> {
  const taken = new Map([...sinceSpare].map((id) => [id, contents.get(id) ?? null]))
  sinceSpare.clear()
  return taken
}

/** They could not be copied: the next time. */
export function giveBackForSpare(ids: Iterable<DocumentId>): void {
  for (const id of ids) sinceSpare.add(id)
}

/** A document's content, undefined until it is loaded. */
export function useContent(id: DocumentId): KeptContent | undefined {
  useEffect(() => {
    void loadContent(id).catch(() => {})
  }, [id])
  return useSyncExternalStore(
    subscribe,
    () => contents.get(id),
    () => undefined,
  )
}

/** A field that is kept as it is typed. */
export function useTyped(id: DocumentId, field: string): [string, (text: string) => void] {
  const typed = useSyncExternalStore(
    subscribe,
    () => contents.get(id)?.typed?.[field] ?? '',
    () => '',
  )
  return [typed, (text) => changeTyped(id, field, text)]
}

/** Whether a document cannot be read. */
export const useUnreadable = (id: DocumentId): boolean =>
  useSyncExternalStore(
    subscribe,
    () => unreadable.has(id),
    () => false,
  )

function subscribe(listener: () => void): () => void {
  listeners.add(listener)
  return () => listeners.delete(listener)
}
