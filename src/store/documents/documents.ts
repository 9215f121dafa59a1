import { useCallback, useEffect, useSyncExternalStore } from 'react'
import type { KeptContent } from '@/core/formats/shelfFile'
import type { DocumentId } from '@/core/model/ids'
import { expected } from '@/store/faults'
import { ofShelf } from '@/store/ofShelf'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'
import type { Source } from './source'

/**
 * The contents of documents, loaded when a window first shows them and written back soon after
 * a change. What was typed is a draft until it is saved; both are kept. Each stands by itself: one
 * that cannot be read or written is told by name and holds nothing else up.
 */
interface Provided {
  source: Source
  /** A document is to be written. */
  changed(id: DocumentId): void
  /** A document was changed on this page; `put` where that was not done in a window of it. */
  told?(id: DocumentId, content: KeptContent | null, put: boolean): void
}

const EMPTY: KeptContent = { saved: null, draft: null }

const own = ofShelf(() => ({
  provided: null as Provided | null,
  /** Whether what is put in comes from another view, which need not be told of it. */
  receiving: false,
}))
const contents = ofShelf(() => new Map<DocumentId, KeptContent>())
/** What was put in from elsewhere than a window: its windows show that instead of what they have. */
const putIn = ofShelf(() => new WeakSet<KeptContent>())
/** Those that could not be read. They are not written over. */
const unreadable = ofShelf(() => new Set<DocumentId>())
const loading = ofShelf(() => new Map<DocumentId, Promise<void>>())
const changed = ofShelf(() => new Set<DocumentId>())
/** Changed since the spare copy was last written. */
const sinceSpare = ofShelf(() => new Set<DocumentId>())
/** Who follows which document: there may be a thousand others. */
const listeners = ofShelf(() => new Map<DocumentId, Set<() => void>>())

const tell = (shelf: Shelf, id: DocumentId) => {
  for (const listener of listeners(shelf).get(id) ?? []) listener()
}

export function provideContents(shelf: Shelf, given: Provided): void {
  own(shelf).provided = given
}

/** Another page has the shelf: nothing of it stays here, and nothing is written any more. */
export function forgetContents(shelf: Shelf): void {
  own(shelf).provided = null
  for (const all of [
    contents(shelf),
    unreadable(shelf),
    loading(shelf),
    changed(shelf),
    sinceSpare(shelf),
  ])
    all.clear()
}

/**
 * Puts a document's content in, before a window for it is opened; null takes it away.
 * @param typed whether it was typed in a window, of another view
 */
export function putContent(
  shelf: Shelf,
  id: DocumentId,
  content: KeptContent | null,
  typed = false,
): void {
  if (content) put(shelf, id, fitted(shelf, id, content), typed)
  else contents(shelf).delete(id)
  unreadable(shelf).delete(id)
  touch(shelf, id)
}

function put(shelf: Shelf, id: DocumentId, content: KeptContent, typed = false): void {
  // It may be the very object that was put in before.
  const own = { ...content }
  if (!typed) putIn(shelf).add(own)
  contents(shelf).set(id, own)
}

/** Whether what is in a document now came from elsewhere than a window of it. */
export function isPutIn(shelf: Shelf, id: DocumentId): boolean {
  const kept = contents(shelf).get(id)
  return kept !== undefined && putIn(shelf).has(kept)
}

function touch(shelf: Shelf, id: DocumentId): void {
  const { provided, receiving } = own(shelf)
  if (!provided) return
  changed(shelf).add(id)
  sinceSpare(shelf).add(id)
  provided.changed(id)
  if (!receiving) provided.told?.(id, contents(shelf).get(id) ?? null, isPutIn(shelf, id))
  tell(shelf, id)
}

/** What another view did to a document. */
export function receiveContent(
  shelf: Shelf,
  id: DocumentId,
  { content, put }: { content: KeptContent | null; put: boolean },
): void {
  own(shelf).receiving = true
  putContent(shelf, id, content, !put)
  own(shelf).receiving = false
}

/** Everything at hand is to be written: who kept it before may not have come to it. */
export function touchAll(shelf: Shelf): void {
  for (const id of contents(shelf).keys()) touch(shelf, id)
}

/** The content that is on screen: the draft where there is one. */
export const shownContent = (content: KeptContent): unknown => content.draft ?? content.saved

/** What is on screen of a document that is loaded; null where it is empty or not loaded. */
export function contentOf(shelf: Shelf, id: DocumentId): unknown {
  const kept = contents(shelf).get(id)
  return kept ? shownContent(kept) : null
}

/** What is kept of a document that is loaded. */
export const keptContent = (shelf: Shelf, id: DocumentId): KeptContent | null =>
  contents(shelf).get(id) ?? null

/**
 * A content as the app of its document can show it. What it cannot is put aside as it was, so that
 * the document opens without it and nothing is lost.
 */
function fitted(shelf: Shelf, id: DocumentId, given: KeptContent): KeptContent {
  const app = shelf.state().documents[id]?.app
  const { saved, draft, typed, aside } = given
  const problem = (content: unknown) => (app ? shelf.contentProblem(app, content) : null)
  const [wrongSaved, wrongDraft] = [problem(saved), problem(draft)]
  const wrongTyped = typed !== undefined && !isTyped(typed)
  const why = wrongSaved ?? wrongDraft
  if (!why && !wrongTyped) return given
  return {
    saved: wrongSaved ? null : saved,
    draft: wrongDraft ? null : (draft ?? null),
    ...(!wrongTyped && typed && { typed }),
    ...(aside && { aside }),
    ...(why && { aside: { saved: wrongSaved && saved, draft: wrongDraft && draft, why } }),
  }
}

const isTyped = (value: unknown): boolean =>
  typeof value === 'object' &&
  value !== null &&
  Object.values(value).every((one) => typeof one === 'string')

/** Lets go of what was put aside. */
export function dropAside(shelf: Shelf, id: DocumentId): void {
  const { aside, ...content } = contents(shelf).get(id) ?? EMPTY
  if (!aside) return
  contents(shelf).set(id, content)
  touch(shelf, id)
}

/**
 * Reads what is kept of a document without holding on to it.
 * @throws when it cannot be read
 */
export async function peekContent(shelf: Shelf, id: DocumentId): Promise<KeptContent> {
  const known = contents(shelf).get(id)
  const { provided } = own(shelf)
  if (known || !provided) return known ?? EMPTY
  return fitted(shelf, id, (await provided.source.read(id)) ?? EMPTY)
}

/**
 * The content of a document, from then on at hand.
 * @throws when it cannot be read
 */
export async function loadContent(shelf: Shelf, id: DocumentId): Promise<KeptContent> {
  if (!contents(shelf).has(id)) {
    if (!loading(shelf).has(id)) loading(shelf).set(id, load(shelf, id))
    await loading(shelf).get(id)
  }
  const kept = contents(shelf).get(id)
  if (!kept) throw new Error(`${id} cannot be read`)
  return kept
}

async function load(shelf: Shelf, id: DocumentId): Promise<void> {
  const from = own(shelf).provided
  try {
    const kept = await peekContent(shelf, id)
    if (!contents(shelf).has(id) && own(shelf).provided) contents(shelf).set(id, kept)
    unreadable(shelf).delete(id)
  } catch {
    // Who had it is not asked any more.
    if (own(shelf).provided !== from) return load(shelf, id)
    unreadable(shelf).add(id)
  } finally {
    loading(shelf).delete(id)
    tell(shelf, id)
  }
}

/** Tries once more to read a document that could not be read. */
export function retryContent(shelf: Shelf, id: DocumentId): void {
  unreadable(shelf).delete(id)
  tell(shelf, id)
  void loadContent(shelf, id).catch(expected('its window tells'))
}

/**
 * Changes a document: saved at once; as a draft that the person saves or discards; or only in
 * how it is looked at, which leaves a draft a draft and a saved document saved.
 */
export function changeContent(
  shelf: Shelf,
  id: DocumentId,
  content: unknown,
  as: 'draft' | 'saved' | 'look',
): void {
  if (unreadable(shelf).has(id)) return
  const before = contents(shelf).get(id) ?? EMPTY
  const drafted = as === 'draft' || (as === 'look' && before.draft !== null)
  contents(shelf).set(id, {
    ...before,
    ...(drafted ? { draft: content } : { saved: content, draft: null }),
  })
  touch(shelf, id)
  markUnsaved(shelf, id, drafted)
}

/** What stands half-typed in a field, kept as it is typed: over another thread, a rest, a reload. */
export function changeTyped(shelf: Shelf, id: DocumentId, field: string, text: string): void {
  if (unreadable(shelf).has(id)) return
  const before = contents(shelf).get(id) ?? EMPTY
  const { [field]: _before, ...others } = before.typed ?? {}
  contents(shelf).set(id, { ...before, typed: text ? { ...others, [field]: text } : others })
  touch(shelf, id)
}

export function saveDraft(shelf: Shelf, id: DocumentId): void {
  const kept = contents(shelf).get(id)
  if (kept?.draft != null) changeContent(shelf, id, kept.draft, 'saved')
}

export function discardDraft(shelf: Shelf, id: DocumentId): void {
  const kept = contents(shelf).get(id)
  if (kept?.draft == null) return
  put(shelf, id, { ...kept, draft: null })
  touch(shelf, id)
  markUnsaved(shelf, id, false)
}

/** The mark of a document whose content was put in from elsewhere. */
export const markAsKept = (shelf: Shelf, id: DocumentId): void =>
  markUnsaved(shelf, id, contents(shelf).get(id)?.draft != null)

function markUnsaved(shelf: Shelf, id: DocumentId, unsaved: boolean): void {
  const known = shelf.state().documents[id]
  if (known && known.unsaved !== unsaved)
    shelf.dispatch('document.set', { document: id, unsaved }, 'app')
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
export async function writeContents(shelf: Shelf): Promise<void> {
  const ids = [...changed(shelf)]
  changed(shelf).clear()
  const failed: DocumentId[] = []
  let why: unknown
  await Promise.all(
    ids.map(async (id) => {
      try {
        await own(shelf).provided?.source.write(id, contents(shelf).get(id) ?? null)
      } catch (error) {
        failed.push(id)
        why = error
      }
    }),
  )
  if (failed.length === 0) return
  for (const id of failed) changed(shelf).add(id)
  throw new NotWritten(failed, why)
}

/** Those that changed since the spare copy was last written, with what they are now. */
export function takeForSpare(shelf: Shelf): Map<DocumentId, KeptContent | null> {
  const taken = new Map([...sinceSpare(shelf)].map((id) => [id, contents(shelf).get(id) ?? null]))
  sinceSpare(shelf).clear()
  return taken
}

/** They could not be copied: the next time. */
export function giveBackForSpare(shelf: Shelf, ids: Iterable<DocumentId>): void {
  for (const id of ids) sinceSpare(shelf).add(id)
}

/** Calls back when a document's content has changed. @returns how to stop */
export function onContent(shelf: Shelf, id: DocumentId, listener: () => void): () => void {
  const all = listeners(shelf).get(id) ?? new Set()
  listeners(shelf).set(id, all.add(listener))
  return () => {
    all.delete(listener)
    if (all.size === 0 && listeners(shelf).get(id) === all) listeners(shelf).delete(id)
  }
}

/** What is picked of all that is known of a document; draws anew only when that changes. */
function useOf<T>(id: DocumentId, pick: (shelf: Shelf) => T): T {
  const shelf = useShelf()
  const subscribe = useCallback(
    (listener: () => void) => onContent(shelf, id, listener),
    [shelf, id],
  )
  const now = () => pick(shelf)
  return useSyncExternalStore(subscribe, now, now)
}

/** What is picked of a document's content, which is undefined until it is loaded. */
export function useContentPart<T>(
  id: DocumentId,
  pick: (content: KeptContent | undefined) => T,
): T {
  const shelf = useShelf()
  useEffect(() => {
    void loadContent(shelf, id).catch(expected('its window tells'))
  }, [id, shelf])
  return useOf(id, () => pick(contents(shelf).get(id)))
}

/** A document's content, undefined until it is loaded. */
export const useContent = (id: DocumentId): KeptContent | undefined =>
  useContentPart(id, (content) => content)

/** A field that is kept as it is typed. */
export function useTyped(id: DocumentId, field: string): [string, (text: string) => void] {
  const shelf = useShelf()
  const typed = useOf(id, () => contents(shelf).get(id)?.typed?.[field] ?? '')
  return [typed, (text) => changeTyped(shelf, id, field, text)]
}

/** Whether a document cannot be read. */
export const useUnreadable = (id: DocumentId): boolean =>
  useOf(id, (shelf) => unreadable(shelf).has(id))
