import { useEffect } from 'react'
import { isObject } from '@/core/model/shaping'
import { jot, jottedJson } from '@/store/jotted'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'

const KEPT = 'kite-shelf-run-notes'

export interface Note {
  run: string
  stop: string
  notes: string
}

const isNote = (value: unknown): value is Note =>
  isObject(value) && ['run', 'stop', 'notes'].every((name) => typeof value[name] === 'string')

/** Keeps the notes of a stop, where it is still there and they are others. */
export function keepNote(shelf: Shelf, note: Note): void {
  const stop = shelf
    .state()
    .runs.find(({ id }) => id === note.run)
    ?.stops.find(({ id }) => id === note.stop)
  if (stop && stop.notes !== note.notes) shelf.dispatch('run.note', { ...note }, 'key')
}

/** A page that is left may be gone before it has written: what was typed is noted at once. */
export const leaveNote = (note: Note): void =>
  void jot('sessionStorage', KEPT, JSON.stringify(note))

/** It has been kept for a while: what becomes of those notes from here on is newer. */
export function forgetNote({ run, stop }: Note): void {
  const left = jottedJson('sessionStorage', KEPT)
  if (isNote(left) && left.run === run && left.stop === stop) jot('sessionStorage', KEPT, null)
}

/** Notes that were being typed when the page was left are kept when it is there again. */
export function useLeftNote(): void {
  const shelf = useShelf()
  useEffect(() => {
    const left = jottedJson('sessionStorage', KEPT)
    if (!isNote(left)) return
    keepNote(shelf, left)
    forgetNote(left)
  }, [shelf])
}
