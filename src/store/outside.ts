import { createStore, useStore } from 'zustand'
import { currentId } from '@/core/model/selectors'
import type { DocumentId } from '@/core/model/types'
import { report } from './reports'
import { dispatch, getState, onDone, shelf } from './shelf'

/**
 * Outside windows: pages in browser windows of their own that are members of a desktop all the
 * same. Picking the member brings the browser window forward, closing either closes both.
 */

/** `hidden`: the site hides whether its window is open. */
type Standing = 'open' | 'hidden'

const opened = new Map<DocumentId, { page: Window; since: number }>()
const standings = createStore<Record<DocumentId, Standing>>(() => ({}))

/** How the browser window of a document is; undefined where none is open that is known of. */
export const useStanding = (id: DocumentId): Standing | undefined =>
  useStore(standings, (all) => all[id])

/** How often it is looked whether one was closed, in milliseconds. */
const LOOK_EVERY = 1000
/** A window that is gone so soon was not closed: its site has cut it off. */
const CUT_WITHIN = 4000

let timer: ReturnType<typeof setInterval> | undefined

/**
 * Opens a page in a browser window of its own; one that is open is brought forward. To be called
 * while the answer to a key or a push is under way: the browser allows it only then.
 * @returns whether the browser did
 */
export function openOutside(id: DocumentId, address: string): boolean {
  if (bringForward(id)) return true
  const { innerWidth: width, innerHeight: height } = window
  const size = `popup,width=${Math.round(width * 0.7)},height=${Math.round(height * 0.8)}`
  const page = window.open('about:blank', `kite-shelf-outside-${id}`, size)
  if (!page) return false
  // What is shown there must not lead this page elsewhere.
  page.opener = null
  page.location.href = address
  opened.set(id, { page, since: Date.now() })
  stand(id, 'open')
  timer ??= setInterval(look, LOOK_EVERY)
  return true
}

/** @returns whether there was one to bring forward */
function bringForward(id: DocumentId): boolean {
  const page = opened.get(id)?.page
  if (!page || page.closed) return false
  page.focus()
  return true
}

export function closeOutside(id: DocumentId): void {
  opened.get(id)?.page.close()
  forget(id)
}

function stand(id: DocumentId, standing: Standing | undefined): void {
  const { [id]: _gone, ...others } = standings.getState()
  standings.setState(standing ? { ...others, [id]: standing } : others, true)
  report(id, standing === 'open' ? { outside: true } : {})
}

function forget(id: DocumentId): void {
  opened.delete(id)
  stand(id, undefined)
  if (opened.size > 0) return
  clearInterval(timer)
  timer = undefined
}

const members = (id: DocumentId) =>
  Object.values(getState().windows).filter(({ document }) => document === id)

/** A browser window that was closed takes its member with it. */
function look(): void {
  for (const [id, { page, since }] of [...opened]) {
    if (!page.closed) continue
    forget(id)
    if (Date.now() - since < CUT_WITHIN) stand(id, 'hidden')
    else for (const window of members(id)) dispatch('window.close', { window: window.id }, 'app')
  }
}

/** Follows what is done with members. @returns how to stop */
export function followOutside(): () => void {
  const offShelf = shelf.subscribe((now, before) => {
    if (opened.size === 0 || now.session.state.windows === before.session.state.windows) return
    for (const id of [...opened.keys()]) if (members(id).length === 0) closeOutside(id)
  })
  const offDone = onDone((events) => {
    const { windows, settings } = getState()
    // A push on its sheet is no pick: one may only want to move it.
    for (const { kind, by, window } of events)
      if (kind === 'focus' && by !== 'app' && window) bringForward(windows[window]?.document ?? '')
    if (!settings.outside || !events.some(({ kind }) => kind === 'switch')) return
    const here = currentId(getState())
    for (const { desktop, document } of Object.values(windows))
      if (desktop === here) bringForward(document)
  })
  return () => {
    offShelf()
    offDone()
  }
}
