import { createStore, useStore } from 'zustand'
import type { DocumentId } from '@/core/model/ids'
import type { Waiting } from '@/core/model/kinds/waiting'
import { ofShelf } from './ofShelf'
import type { Shelf } from './shelf'
import { useShelf } from './useShelf'

/** What an app tells of a document of its own accord. Nothing of it is kept. */
export interface Report {
  /** What it wants attention for; `alarm` is the most urgent. */
  attention?: Waiting['level'] | null
  /** In words, for the Line and for people who do not see the page. */
  says?: string
  /** How far something is that takes its time, 0 to 1. */
  progress?: number | null
  /** Whether its page is open in a browser window of its own. */
  outside?: boolean
  /** Whether it goes on by itself, so that its window must not be put to rest. */
  busy?: boolean
}

type Reports = Record<DocumentId, Report>

const reports = ofShelf(() => createStore<Reports>(() => ({})))

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

/** Whether what shows a document goes on by itself. */
export const isBusy = (shelf: Shelf, document: DocumentId): boolean =>
  reports(shelf).getState()[document]?.busy ?? false

export const reportOf = (shelf: Shelf, document: DocumentId): Report | undefined =>
  reports(shelf).getState()[document]
