import { createStore, useStore } from 'zustand'
import { focusedWindow } from '@/core/model/selectors'
import type { DocumentId } from '@/core/model/types'
import { getState, shelf } from './shelf'

/** What an app tells of a document of its own accord. Nothing of it is kept. */
export interface Report {
  /** What it wants attention for; `alarm` is the most urgent. */
  attention?: 'info' | 'mention' | 'alarm' | null
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
  if (hearReport(document, given)) for (const listener of listeners) listener(document, given)
}

/** Attention is announced when it is new. @returns whether anything of it is */
export function hearReport(document: DocumentId, given: Report): boolean {
  const before = reports.getState()[document]
  if (JSON.stringify(before) === JSON.stringify(given)) return false
  reports.setState({ [document]: given })
  const focused = focusedWindow(getState())?.document === document
  if (given.attention && given.says && given.says !== before?.says && !focused)
    shelf.setState({ announced: given.says })
  return true
}

export const useReport = (document: DocumentId | undefined): Report | undefined =>
  useStore(reports, (all) => all[document ?? ''])

/** How many of these documents want attention. */
export const useWaiting = (documents: DocumentId[]): number =>
  useStore(reports, (all) => documents.filter((id) => all[id]?.attention).length)

/** Whether anything at all wants attention. */
export const useAnyWaiting = (): boolean =>
  useStore(reports, (all) => Object.values(all).some((report) => report?.attention))

/** Whether what shows a document goes on by itself. */
export const isBusy = (document: DocumentId): boolean => reports.getState()[document]?.busy ?? false

export const reportOf = (document: DocumentId): Report | undefined => reports.getState()[document]
