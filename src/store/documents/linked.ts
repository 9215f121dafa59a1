import { createStore, useStore } from 'zustand'
import type { DocumentId } from '@/core/model/ids'
import { checksum } from '@/store/disk/checksum'
import { allowed } from '@/store/disk/handles'
import type { KeptStore } from '@/store/disk/storage'
import { keptContent, onContent } from '@/store/documents/documents'
import { expected, logged } from '@/store/faults'
import { ofShelf } from '@/store/ofShelf'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'

/** A file of the computer that a document is kept in, as it was when both last said the same. */
export interface Linked {
  handle: FileSystemFileHandle
  /** Milliseconds since 1970. */
  modified: number
  /** In bytes. */
  size: number
  /** Of what it says, and of what the document had saved. */
  sum: string
  saved: string
  /** Its text, where it is one that is not too long: what is merged from. */
  base: string | null
  /** What was about to be written when this was kept: a page that was shut meanwhile may have. */
  pending?: string
}

/**
 * How a document and its file stand: `ahead`: what is saved here is not in the file; `changed`: the file
 * says something else since; `asks`: the browser wants to be allowed again.
 */
export type Stands = 'same' | 'ahead' | 'changed' | 'asks' | 'gone'

export interface LinkedFacts {
  name: string
  stands: Stands
}

type FileStore = Pick<KeptStore, 'getItem' | 'setItem' | 'removeItem' | 'keys'>

/** More than this is not kept a second time to merge from, in characters. */
const BASE_MOST = 1_000_000

const PREFIX = 'file-'

const own = ofShelf(() => ({
  store: null as FileStore | null,
  channel: null as BroadcastChannel | null,
  linked: new Map<DocumentId, Linked>(),
  follows: new Map<DocumentId, () => void>(),
}))

const facts = ofShelf(() => createStore<Record<DocumentId, LinkedFacts>>(() => ({})))

export const useLinked = (id: DocumentId): LinkedFacts | undefined =>
  useStore(facts(useShelf()), (all) => all[id])

export const factsOfFile = (shelf: Shelf, id: DocumentId): LinkedFacts | undefined =>
  facts(shelf).getState()[id]

export const linkedTo = (shelf: Shelf, id: DocumentId): Linked | undefined =>
  own(shelf).linked.get(id)

/** All documents that have a file. */
export const allLinked = (shelf: Shelf): [DocumentId, Linked][] => [...own(shelf).linked]

/** Of a content, to know whether it is the same again. */
export const sumOf = (content: unknown): string => checksum(JSON.stringify(content ?? null))

/** Of what a file says, whatever it is. */
export const sumOfBytes = (bytes: ArrayBuffer): string =>
  checksum(new TextDecoder('latin1').decode(bytes))

/**
 * Which documents have which file, from what is kept of it; each page of the shelf may write them.
 * @param over cut off when the page has the shelf no more
 */
export async function provideFiles(
  shelf: Shelf,
  name: string,
  store: FileStore,
  over: AbortSignal,
): Promise<void> {
  const mine = own(shelf)
  mine.store = store
  const channel = shelf.channel(`kite-shelf-files-${name}`)
  mine.channel = channel
  channel.onmessage = ({ data }) => void reread(shelf, String(data)).catch(logged('A file'))
  over.addEventListener('abort', () => {
    channel.close()
    mine.channel = null
    mine.store = null
    for (const stop of mine.follows.values()) stop()
    mine.linked.clear()
    facts(shelf).setState({}, true)
  })
  const keys = (await store.keys()).filter((key) => key.startsWith(PREFIX))
  await Promise.all(keys.map((key) => reread(shelf, key.slice(PREFIX.length))))
}

async function reread(shelf: Shelf, id: DocumentId): Promise<void> {
  const found = (await own(shelf).store?.getItem(`${PREFIX}${id}`)) as Linked | null | undefined
  if (!found?.handle) return forget(shelf, id)
  own(shelf).linked.set(id, found)
  const can = await allowed(found.handle, 'read').catch(expected('it asks, then', false))
  setStands(shelf, id, can ? (factsOfFile(shelf, id)?.stands ?? 'same') : 'asks')
  follow(shelf, id)
}

/**
 * From now on a document is kept in that file, and both say the same.
 * @param text what it says, where it is text
 * @param saved what the document had saved when it was written or read
 */
export async function link(
  shelf: Shelf,
  id: DocumentId,
  file: File,
  handle: FileSystemFileHandle,
  text: string | null,
  saved: unknown,
): Promise<void> {
  const linked: Linked = {
    handle,
    modified: file.lastModified,
    size: file.size,
    sum: sumOfBytes(await file.arrayBuffer()),
    saved: sumOf(saved),
    base: text !== null && text.length <= BASE_MOST ? text : null,
  }
  own(shelf).linked.set(id, linked)
  settle(shelf, id)
  follow(shelf, id)
  await keep(shelf, id, linked)
}

/** The file was written anew, and says what was last agreed on, or what was about to be written. */
export const stillSays = (
  shelf: Shelf,
  id: DocumentId,
  file: File,
  said: Pick<Linked, 'sum' | 'base'>,
): Promise<void> => change(shelf, id, { modified: file.lastModified, size: file.size, ...said })

/** What is about to be written. */
export const willSay = (shelf: Shelf, id: DocumentId, pending: string): Promise<void> =>
  change(shelf, id, { pending })

async function change(shelf: Shelf, id: DocumentId, other: Partial<Linked>): Promise<void> {
  const before = linkedTo(shelf, id)
  if (!before) return
  const linked = { ...before, ...other }
  own(shelf).linked.set(id, linked)
  await keep(shelf, id, linked)
}

async function keep(shelf: Shelf, id: DocumentId, linked: Linked): Promise<void> {
  await own(shelf).store?.setItem(`${PREFIX}${id}`, linked)
  own(shelf).channel?.postMessage(id)
}

/** The document is only in the shelf from now on; the file stays. */
export async function unlink(shelf: Shelf, id: DocumentId): Promise<void> {
  forget(shelf, id)
  await own(shelf).store?.removeItem(`${PREFIX}${id}`)
  own(shelf).channel?.postMessage(id)
}

/** Files of documents that are gone for good are let go of. */
export async function unlinkGone(
  shelf: Shelf,
  known: Readonly<Record<DocumentId, unknown>>,
): Promise<void> {
  for (const [id] of allLinked(shelf)) if (!known[id]) await unlink(shelf, id)
}

function forget(shelf: Shelf, id: DocumentId): void {
  own(shelf).linked.delete(id)
  own(shelf).follows.get(id)?.()
  own(shelf).follows.delete(id)
  const { [id]: _gone, ...others } = facts(shelf).getState()
  facts(shelf).setState(others, true)
}

/** The document that is kept in a file, where there is one. */
export async function documentIn(
  shelf: Shelf,
  handle: FileSystemFileHandle,
): Promise<DocumentId | undefined> {
  for (const [id, one] of own(shelf).linked)
    if (await one.handle.isSameEntry(handle).catch(expected('another, then', false))) return id
  return undefined
}

export function setStands(shelf: Shelf, id: DocumentId, stands: Stands): void {
  const linked = linkedTo(shelf, id)
  const is = factsOfFile(shelf, id)
  if (!linked || (is?.stands === stands && is.name === linked.handle.name)) return
  facts(shelf).setState({ [id]: { name: linked.handle.name, stands } })
}

/** The file is as it was when both agreed: what is saved here is the same, or ahead of it. */
export function settle(shelf: Shelf, id: DocumentId): void {
  const kept = keptContent(shelf, id)
  const same = !kept || sumOf(kept.saved) === linkedTo(shelf, id)?.saved
  setStands(shelf, id, same ? 'same' : 'ahead')
}

/** Whether what is saved here is what the file says is looked at when something else is saved. */
function follow(shelf: Shelf, id: DocumentId): void {
  const { follows } = own(shelf)
  if (follows.has(id)) return
  let seen: unknown
  const look = () => {
    const kept = keptContent(shelf, id)
    const linked = linkedTo(shelf, id)
    if (!kept || !linked || kept.saved === seen) return
    seen = kept.saved
    const stands = factsOfFile(shelf, id)?.stands
    if (stands === 'same' || stands === 'ahead') settle(shelf, id)
  }
  follows.set(id, onContent(shelf, id, look))
  look()
}
