import { useEffect, useRef } from 'react'
import { createStore, useStore } from 'zustand'
import type { DocumentId } from '@/core/model/types'

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
  /** To whom a reply goes, and under what name what is half-typed is kept. */
  replies?: { to: string; typed: string }
}

type Act = (control: string, text?: string) => void

const tethers = createStore<Record<DocumentId, Tether>>(() => ({}))
const acts = new Map<DocumentId, Act>()

/** Leaves a tether for a document as long as its app is there. `reply` is the control of a reply. */
export function useTether(document: DocumentId, tether: Tether | null, act: Act): void {
  const latest = useRef(act)
  latest.current = act
  const given = JSON.stringify(tether)
  useEffect(() => {
    const made = JSON.parse(given) as Tether | null
    if (made) {
      acts.set(document, (...said) => latest.current(...said))
      tethers.setState({ [document]: made })
    } else drop(document)
  }, [document, given])
  useEffect(() => () => drop(document), [document])
}

function drop(document: DocumentId): void {
  acts.delete(document)
  if (!(document in tethers.getState())) return
  const { [document]: _gone, ...rest } = tethers.getState()
  tethers.setState(rest, true)
}

export const tethersNow = (): Record<DocumentId, Tether> => tethers.getState()

export const useTethers = (): Record<DocumentId, Tether> => useStore(tethers)

/** Does from afar what the app does at its window. */
export const actAfar = (document: DocumentId, control: string, text?: string): void =>
  acts.get(document)?.(control, text)
