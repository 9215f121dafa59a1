import { createStore, useStore } from 'zustand'
import type { DocumentId } from '@/core/model/ids'
import { ofShelf } from './ofShelf'
import type { Report } from './report'
import type { Shelf } from './shelf'
import { useShelf } from './useShelf'

type Reports = Record<DocumentId, Report>

const reports = ofShelf((shelf) => {
  const all = createStore<Reports>(() => ({}))
  // Whether what shows a document goes on by itself.
  shelf.provideBusy((document) => all.getState()[document]?.busy ?? false)
  return all
})

type Listener = (document: DocumentId, given: Report) => void
const listeners = ofShelf(() => new Set<Listener>())

/** Calls back with what apps on this page report. */
export function onReport(shelf: Shelf, listener: Listener): () => void {
  listeners(shelf).add(listener)
  return () => listeners(shelf).delete(listener)
}

/** An app on this page reports; what it leaves out is over. */
export function report(shelf: Shelf, document: DocumentId, given: Report): void {
  if (!hearReport(shelf, document, given)) return
  for (const listener of listeners(shelf)) listener(document, given)
  asking(shelf).set(document, given)
  if (asking(shelf).size === 1) setTimeout(() => ask(shelf), TOGETHER)
}

/** What apps report in a burst is told together, in milliseconds. */
const TOGETHER = 80

/** What documents want attention for, the latest of each, to be told next. */
const asking = ofShelf(() => new Map<DocumentId, Report>())

function ask(shelf: Shelf): void {
  const all = shelf.page.getState().ready ? [...asking(shelf)] : []
  asking(shelf).clear()
  for (const [document, { attention = null, says }] of all) {
    const before = shelf.state().attention[document]
    if ((before?.level ?? null) === attention && (!attention || before?.says === (says ?? '')))
      continue
    shelf.dispatch('attention.report', { document, level: attention, ...(says && { says }) }, 'app')
  }
}

/** What an app on another page reports. @returns whether anything of it is new */
export function hearReport(shelf: Shelf, document: DocumentId, given: Report): boolean {
  const before = reports(shelf).getState()[document]
  if (JSON.stringify(before) === JSON.stringify(given)) return false
  reports(shelf).setState({ [document]: given })
  return true
}

export const useReport = (document: DocumentId | undefined): Report | undefined =>
  useStore(reports(useShelf()), (all) => all[document ?? ''])

export const reportOf = (shelf: Shelf, document: DocumentId): Report | undefined =>
  reports(shelf).getState()[document]
