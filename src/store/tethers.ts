import { useEffect, useRef } from 'react'
import { createStore, useStore } from 'zustand'
import type { DocumentId } from '@/core/model/ids'
import { ofShelf } from './ofShelf'
import type { Shelf } from './shelf'
import { useShelf } from './useShelf'

/** Something that can be done from afar. */
export interface Control {
  id: string
  label: string
  glyph: 'pause' | 'play' | 'next' | 'drop'
}

/** Pauses what goes on, or lets it go on. */
export const pauseOr = (goesOn: boolean): Control =>
  goesOn
    ? { id: 'pause', label: 'Pause', glyph: 'pause' }
    : { id: 'go on', label: 'Go on', glyph: 'play' }

/** What an app leaves in the line while its window is elsewhere. */
export interface Tether {
  /** What it is about, in a few words. */
  says: string
  /** Whether it offers itself: it is at work, or somebody waits for an answer. */
  offered: boolean
  /** How far it is, 0 to 1. */
  progress?: number
  /** When it is over, in milliseconds since 1970. */
  until?: number
  controls: Control[]
  /** To whom a reply goes, under what name what is half-typed is kept, and how long it may be. */
  replies?: { to: string; typed: string; most: number }
}

/** @param to to whom a reply was begun, as `replies` called it by then */
type Act = (control: string, text?: string, to?: string) => void

const tethers = ofShelf(() => createStore<Record<DocumentId, Tether>>(() => ({})))
const acts = ofShelf(() => new Map<DocumentId, Act>())

/** Leaves a tether for a document as long as its app is there. `reply` is the control of a reply. */
export function useTether(document: DocumentId, tether: Tether | null, act: Act): void {
  const shelf = useShelf()
  const latest = useRef(act)
  latest.current = act
  const given = JSON.stringify(tether)
  useEffect(() => {
    const made = JSON.parse(given) as Tether | null
    if (made) {
      acts(shelf).set(document, (...said) => latest.current(...said))
      tethers(shelf).setState({ [document]: made })
    } else drop(shelf, document)
  }, [document, given, shelf])
  useEffect(() => () => drop(shelf, document), [document, shelf])
}

function drop(shelf: Shelf, document: DocumentId): void {
  acts(shelf).delete(document)
  if (!(document in tethers(shelf).getState())) return
  const { [document]: _gone, ...rest } = tethers(shelf).getState()
  tethers(shelf).setState(rest, true)
}

export const tethersNow = (shelf: Shelf): Record<DocumentId, Tether> => tethers(shelf).getState()

export const useTethers = (): Record<DocumentId, Tether> => useStore(tethers(useShelf()))

/** Does from afar what the app does at its window. */
export const actAfar = (
  shelf: Shelf,
  document: DocumentId,
  control: string,
  text?: string,
  to?: string,
): void => acts(shelf).get(document)?.(control, text, to)
