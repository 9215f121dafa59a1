import { createStore, useStore } from 'zustand'
import type { Rect } from '@/core/geometry/rect'
import { onScreen } from '@/core/geometry/screens'
import { standsOn } from '@/core/model/displays'
import type { DesktopId, DisplayId, DocumentId } from '@/core/model/ids'
import type { Window as Member } from '@/core/model/kinds/window'
import { currentId, furls, shownFrame } from '@/core/model/selectors'
import { ofShelf } from './ofShelf'
import { report } from './reports'
import { learnScreens, screenOf, UNTOLD } from './screens'
import type { Shelf } from './shelf'
import { useShelf } from './useShelf'

/**
 * Outside windows: pages in browser windows of their own that are members of a desktop all the
 * same. Picking the member brings the browser window forward, closing either closes both. It stands on
 * the screen as its member stands on the display. Furled, it is closed and opens again when one comes back.
 */

/** `hidden`: the site hides whether its window is open. */
type Standing = 'open' | 'hidden' | 'furled'

interface Opened {
  page: Window
  since: number
  address: string
  /** Who opened it, as far as the page there knows. */
  holder: HTMLIFrameElement
  /** What it was placed after. */
  stands?: { member: Member; on: DisplayId }
}

const opened = ofShelf(() => new Map<DocumentId, Opened>())
/** The addresses of those that are closed while one is elsewhere, or while they are minimised. */
const furled = ofShelf(() => new Map<DocumentId, string>())
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
  /** It was told that the browser lets pages of other sites be moved by nobody. */
  toldUnmoved: false,
  /** It was told that the browser keeps to itself which screens there are. */
  toldUntold: false,
}))

/**
 * Opens a page in a browser window of its own; one that is open is brought forward. To be called
 * while the answer to a key or a push is under way: the browser allows it only then.
 * @returns whether the browser did
 */
export function openOutside(shelf: Shelf, id: DocumentId, address: string): boolean {
  if (bringForward(shelf, id)) return true
  const [member] = members(shelf, id)
  const { x, y, width, height } = placeOnScreen(shelf, member)
  const where = `popup,left=${x},top=${y},width=${width},height=${height}`
  // Who opened a window can close it, and can be led elsewhere by what is shown there: that is a frame
  // without content, and not this page.
  const holder = document.createElement('iframe')
  holder.hidden = true
  holder.title = 'Holds an outside window'
  document.body.append(holder)
  const page = holder.contentWindow?.open(address, `kite-shelf-outside-${id}`, where)
  if (!page) {
    holder.remove()
    return false
  }
  furled(shelf).delete(id)
  const stands = member && { member, on: standsOn(shelf.state(), member) }
  opened(shelf).set(id, { page, since: shelf.clock(), address, holder, ...(stands && { stands }) })
  stand(shelf, id, 'open')
  own(shelf).timer ??= setInterval(() => look(shelf), LOOK_EVERY)
  if (member) learn(shelf, id, member)
  return true
}

/** Once it is known which screens there are it goes to its own. */
function learn(shelf: Shelf, id: DocumentId, member: Member): void {
  const mine = own(shelf)
  if (mine.toldUntold) return
  void learnScreens(shelf, standsOn(shelf.state(), member)).then((learnt) => {
    if (learnt === true) place(shelf, id, member)
    if (learnt !== 'refused') return
    mine.toldUntold = true
    shelf.say(UNTOLD, { refused: true })
  })
}

/** Where one stands whose member stands there on its display, in CSS pixels of all screens together. */
function placeOnScreen(shelf: Shelf, member: Member | undefined): Rect {
  const state = shelf.state()
  const display = member && state.displays[standsOn(state, member)]
  if (display) return onScreen(screenOf(shelf, display.id), display, shownFrame(state, member))
  const room = screenOf(shelf, state.display)
  return onScreen(room, { width: 1, height: 1 }, { x: 0, y: 0, width: 0.7, height: 0.8 })
}

/** It goes where its member went; one that was moved by hand stays until then. */
function follow(shelf: Shelf, id: DocumentId, member: Member): void {
  const known = opened(shelf).get(id)
  const on = standsOn(shelf.state(), member)
  if (!known || (known.stands?.member === member && known.stands.on === on)) return
  known.stands = { member, on }
  place(shelf, id, member)
  learn(shelf, id, member)
}

/** As far as the browser lets it be moved. */
function place(shelf: Shelf, id: DocumentId, member: Member): void {
  const page = opened(shelf).get(id)?.page
  const { x, y, width, height } = placeOnScreen(shelf, member)
  try {
    page?.moveTo(x, y)
    page?.resizeTo(width, height)
  } catch {
    if (own(shelf).toldUnmoved) return
    own(shelf).toldUnmoved = true
    shelf.say(
      'The browser doesn’t let Kite Shelf move a window of another site. It will stand there when it is next opened.',
    )
  }
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

/** Closes it as long as one is elsewhere. */
function furl(shelf: Shelf, id: DocumentId): void {
  const known = opened(shelf).get(id)
  if (!known) return
  closeOutside(shelf, id)
  furled(shelf).set(id, known.address)
  stand(shelf, id, 'furled')
}

/** Opens what was furled, as many as the browser lets be opened by one key. */
function unfurl(shelf: Shelf, ids: readonly DocumentId[]): void {
  const wanted = ids.flatMap((id) => {
    const address = furled(shelf).get(id)
    return address === undefined ? [] : { id, address }
  })
  const there = wanted.filter(({ id, address }) => openOutside(shelf, id, address)).length
  if (there === wanted.length) return
  const how = 'or allow this page to open windows, where the browser asks beside its address.'
  shelf.say(
    there === 0
      ? `The browser opened no window. Pick one to open it, ${how}`
      : `The browser opened ${there} of ${wanted.length} windows. Pick the others to open them, ${how}`,
    { refused: true },
  )
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

const members = (shelf: Shelf, id: DocumentId): Member[] =>
  Object.values(shelf.state().windows).filter(({ document }) => document === id)

/** The windows of a desktop that are not minimised, the uppermost first. */
function windowsOn(shelf: Shelf, desktop: DesktopId): Member[] {
  const { windows, stacking } = shelf.state()
  return stacking
    .flatMap((id) => windows[id] ?? [])
    .filter((window) => window.desktop === desktop && !window.minimised)
    .toReversed()
}

const documentsOn = (shelf: Shelf, desktop: DesktopId): DocumentId[] =>
  windowsOn(shelf, desktop).map(({ document }) => document)

/** The documents of a desktop whose browser windows close when it is left. */
const leftOn = (shelf: Shelf, desktop: DesktopId): DocumentId[] =>
  windowsOn(shelf, desktop)
    .filter((window) => furls(shelf.state(), window))
    .map(({ document }) => document)

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

/** What became of the members: closed, minimised, or elsewhere on the display. */
function followMembers(shelf: Shelf): void {
  for (const id of [...opened(shelf).keys()]) {
    const all = members(shelf, id)
    const [first] = all
    if (!first) closeOutside(shelf, id)
    else if (all.every(({ minimised }) => minimised)) furl(shelf, id)
    else follow(shelf, id, first)
  }
  for (const id of [...furled(shelf).keys()])
    if (members(shelf, id).length === 0) {
      furled(shelf).delete(id)
      stand(shelf, id, undefined)
    }
}

/** Follows what is done with members. @returns how to stop */
export function followOutside(shelf: Shelf): () => void {
  const offShelf = shelf.page.subscribe((now, before) => {
    if (now.session.state === before.session.state) return
    if (opened(shelf).size + furled(shelf).size > 0) followMembers(shelf)
  })
  const offDone = shelf.onDone((events) => {
    const { windows, settings, presence } = shelf.state()
    const isShown = (id: DesktopId) => Object.values(presence).some(({ shows }) => shows === id)
    for (const { kind, by, window, from, to } of events) {
      const document = windows[window ?? '']?.document ?? ''
      // A push on its sheet is no pick: one may only want to move it.
      if (kind === 'focus' && by !== 'app' && !bringForward(shelf, document))
        unfurl(shelf, [document])
      if (kind !== 'switch') continue
      // Another display may show it still.
      if (from && !isShown(from)) for (const left of leftOn(shelf, from)) furl(shelf, left)
      if (to) unfurl(shelf, documentsOn(shelf, to))
    }
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
