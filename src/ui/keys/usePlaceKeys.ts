import { type KeyboardEvent, useRef } from 'react'
import { hearIn } from '@/core/keys/places'
import type { KeyPlace } from '@/core/model/kinds/binding'
import { useShelf } from '@/store/useShelf'
import { layout } from './layout'
import { runAbout, type Subject } from './running'
import { plainStrokes } from './stroke'

/** What a view does with its keys, by the names of the keymap; without one where it is pushed. */
// biome-ignore lint/suspicious/noExplicitAny: each act takes the arguments its keymap gives it
export type Acts = Record<string, (args: any, key?: globalThis.KeyboardEvent) => void>

/**
 * Hears the keys of a place: what they are bound to is done by its view, or by the command of that
 * name about what is chosen there. @returns whether a key was one of them
 */
export function usePlaceKeys(
  place: KeyPlace,
  acts: Acts,
  subject: () => Subject = () => ({}),
): (event: KeyboardEvent | globalThis.KeyboardEvent) => boolean {
  const shelf = useShelf()
  const before = useRef('')
  return (event) => {
    const key = 'nativeEvent' in event ? event.nativeEvent : event
    const strokes = plainStrokes(key, layout(shelf))
    if (strokes.length === 0) return false
    const heard = hearIn(shelf.state(), place, before.current, strokes)
    before.current = heard.kind === 'prefix' ? heard.keys : ''
    if (heard.kind === 'nothing') return false
    event.preventDefault()
    event.stopPropagation()
    if (heard.kind !== 'command') return true
    const { command, args = {} } = heard.bound
    if (acts[command]) acts[command](args, key)
    else runAbout(shelf, command, args, subject())
    return true
  }
}
