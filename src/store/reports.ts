import { createStore, useStore } from 'zustand'
import type { DocumentId, Waiting } from '@/core/model/types'
import { dispatch, getState, shelf } from './shelf'

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

const reports = createStore<Reports>(() => ({}))

type Listener = (document: DocumentId, given: Report) => void
const listeners = new Set<Listener>()

/** Calls back with what apps on this page report. */
export function onReport(listener: Listener): () => void {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

/** An app on this page reports; what it leaves out is over. */
export function report(document: DocumentId, given: Report): void {
  if (!hearReport(document, given)) return
  for (const listener of listeners) listener(document, given)
  asking.set(document, given)
  if (asking.size === 1) setTimeout(ask, TOGETHER)
}

/** What apps report in a burst is told together, in milliseconds. */
const TOGETHER = 80

/** What documents want attention for, the latest of each, to be told next. */
const asking = new Map<DocumentId, Report>()

function ask(): void {
  const all = shelf.getState().ready ? [...asking] : []
  asking.clear()
  for (const [document, { attention = null, says }] of all) {
    const before = getState().attention[document]
    if ((before?.level ?? null) === attention && (!attention || before?.says === (says ?? '')))
      continue
    dispatch('attention.report', { document, level: attention, ...(says && { says }) }, 'app')
  }
}

/** What an app on another page reports. @returns whether anything of it is new */
export function hearReport(document: DocumentId, given: Report): boolean {
  const before = reports.getState()[document]
  if (JSON.stringify(before) === JSON.stringify(given)) return false
  reports.setState({ [document]: given })
  return true
}

export const useReport = (document: DocumentId | undefined): Report | undefined =>
  useStore(reports, (all) => all[document ?? ''])

/** Whether what shows a document goes on by itself. */
export const isBusy = (document: DocumentId): boolean => reports.getState()[document]?.busy ?? false

export const reportOf = (document: DocumentId): Report | undefined => reports.getState()[document]
