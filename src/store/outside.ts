import { createStore, useStore } from 'zustand'
import type { DocumentId } from '@/core/model/ids'
import { currentId } from '@/core/model/selectors'
import { ofShelf } from './ofShelf'
import { report } from './reports'
import type { Shelf } from './shelf'
import { useShelf } from './useShelf'

/**
 * Outside windows: pages in browser windows of their own that are members of a desktop all the
 * same. Picking the member brings the browser window forward, closing either closes both.
 */

/** `hidden`: the site hides whether its window is open. */
type Standing = 'open' | 'hidden'

interface Opened {
  page: Window
  since: number
  /** Who opened it, as far as the page there knows. */
  holder: HTMLIFrameElement
}

const opened = ofShelf(() => new Map<DocumentId, Opened>())
const standings = ofShelf(() => createStore<Record<DocumentId, Standing>>(() => ({})))

/** How the browser window of a document is; undefined where none is open that is known of. */
export const useStanding = (id: DocumentId): Standing | undefined =>
  useStore(standings(useShelf()), (all) => all[id])

/** How often it is looked whether one was closed, in milliseconds. */
const LOOK_EVERY = 1000
/** A window that is gone so soon was not closed: its site has cut it off. */
const CUT_WITHIN = 4000

const own = ofShelf(() => ({
  timer: undefined as ReturnType<typeof setInterval> | undefined,
}))

/**
 * Opens a page in a browser window of its own; one that is open is brought forward. To be called
 * while the answer to a key or a push is under way: the browser allows it only then.
 * @returns whether the browser did
 */
export function openOutside(shelf: Shelf, id: DocumentId, address: string): boolean {
  if (bringForward(shelf, id)) return true
  const { innerWidth: width, innerHeight: height } = window
  const size = `popup,width=${Math.round(width * 0.7)},height=${Math.round(height * 0.8)}`
  // Who opened a window can close it, and can be led elsewhere by what is shown there: that is a frame
  // without content, and not this page.
  const holder = document.createElement('iframe')
  holder.hidden = true
  holder.title = 'Holds an outside window'
  document.body.append(holder)
  const page = holder.contentWindow?.open(address, `kite-shelf-outside-${id}`, size)
  if (!page) {
    holder.remove()
    return false
  }
  opened(shelf).set(id, { page, since: shelf.clock(), holder })
  stand(shelf, id, 'open')
  own(shelf).timer ??= setInterval(() => look(shelf), LOOK_EVERY)
  return true
}

/** @returns whether there was one to bring forward */
function bringForward(shelf: Shelf, id: DocumentId): boolean {
  const page = opened(shelf).get(id)?.page
  if (!page || page.closed) return false
  page.focus()
  return true
}

export function closeOutside(shelf: Shelf, id: DocumentId): void {
  opened(shelf).get(id)?.page.close()
  forget(shelf, id)
}

function stand(shelf: Shelf, id: DocumentId, standing: Standing | undefined): void {
  const { [id]: _gone, ...others } = standings(shelf).getState()
  standings(shelf).setState(standing ? { ...others, [id]: standing } : others, true)
  report(shelf, id, standing === 'open' ? { outside: true } : {})
}

function forget(shelf: Shelf, id: DocumentId): void {
  opened(shelf).get(id)?.holder.remove()
  opened(shelf).delete(id)
  stand(shelf, id, undefined)
  if (opened(shelf).size > 0) return
  clearInterval(own(shelf).timer)
  own(shelf).timer = undefined
}

const members = (shelf: Shelf, id: DocumentId) =>
  Object.values(shelf.state().windows).filter(({ document }) => document === id)

/** A browser window that was closed takes its member with it. */
function look(shelf: Shelf): void {
  for (const [id, { page, since }] of [...opened(shelf)]) {
    if (!page.closed) continue
    forget(shelf, id)
    if (shelf.clock() - since < CUT_WITHIN) stand(shelf, id, 'hidden')
    else
      for (const window of members(shelf, id))
        shelf.dispatch('window.close', { window: window.id }, 'app')
  }
}

/** Follows what is done with members. @returns how to stop */
export function followOutside(shelf: Shelf): () => void {
  const offShelf = shelf.page.subscribe((now, before) => {
    if (opened(shelf).size === 0 || now.session.state.windows === before.session.state.windows)
      return
    for (const id of [...opened(shelf).keys()])
      if (members(shelf, id).length === 0) closeOutside(shelf, id)
  })
  const offDone = shelf.onDone((events) => {
    const { windows, settings } = shelf.state()
    // A push on its sheet is no pick: one may only want to move it.
    for (const { kind, by, window } of events)
      if (kind === 'focus' && by !== 'app' && window)
        bringForward(shelf, windows[window]?.document ?? '')
    if (!settings.outside || !events.some(({ kind }) => kind === 'switch')) return
    const here = currentId(shelf.state())
    for (const { desktop, document } of Object.values(windows))
      if (desktop === here) bringForward(shelf, document)
  })
  return () => {
    offShelf()
    offDone()
  }
}
