import { useLayoutEffect } from 'react'
import { REPEATS } from '@/core/card/after'
import { type Bound, type Heard, hear, keysFor } from '@/core/keys/bindings'
import { hearIn } from '@/core/keys/places'
import { asPressed, following, isOfSet, LEADER, meant } from '@/core/keys/sets'
import type { KeyPlace } from '@/core/model/kinds/binding'
import type { State } from '@/core/model/state'
import { isMac } from '@/parts/platform'
import { ofShelf } from '@/store/ofShelf'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'
import { toApp } from './appKeys'
import { isKeeping, keepEarly } from './early'
import { inLayer, layerStrokes, leaveLayer, tapped } from './layer'
import { askLayout, layout } from './layout'
import { tellMoved } from './relearn'
import { runAbout } from './running'
import { plainStrokes, strokesOf, typesWithAlt } from './stroke'
import { tellUntaken } from './untaken'

/** In all other views the keys are theirs, or a chord would act behind the person's back. */
const CHORDS_IN = new Set('rename pad line keys practice menu unstack trail'.split(' '))

/** Beside these one sees what is undone; no other chord acts there. */
const UNDO_IN = new Set([
  'settings',
  'look',
  'bindings',
  'sequences',
  'plan',
  'runs',
  'log',
  'past',
])
const UNDOES = ['history.undo', 'history.redo']

/** Turns key strokes anywhere on the page into commands. */
export function useKeys(): void {
  const shelf = useShelf()
  // As soon as the shelf is there: a key that comes before it can be heard is lost.
  useLayoutEffect(() => {
    void askLayout(shelf)
    const down = (event: KeyboardEvent) => {
      tapped(shelf, event)
      // Keys that are pressed to be bound do nothing else.
      if (event.isComposing || (event.target as Element).matches?.('[data-own-escape]')) return
      // What is pressed after keys that are kept comes after them.
      const kept = event.isTrusted && isKeeping(shelf) && keepEarly(shelf, event)
      if (
        kept ||
        leavesTyping(shelf, event) === false ||
        (event.isTrusted && keepEarly(shelf, event))
      ) {
        event.preventDefault()
        event.stopPropagation()
      } else if (!toApp(shelf, event)) tellUntaken(shelf, event)
    }
    // A lone Alt let go would open the browser's menu and take the focus along.
    const up = (event: KeyboardEvent) => {
      tapped(shelf, event)
      if (event.key !== 'Alt') return
      event.preventDefault()
      closeMap(shelf)
    }
    const blur = () => closeMap(shelf)
    const focus = () => void askLayout(shelf)
    addEventListener('keydown', down, { capture: true })
    addEventListener('keyup', up)
    addEventListener('blur', blur)
    addEventListener('focus', focus)
    return () => {
      removeEventListener('keydown', down, { capture: true })
      removeEventListener('keyup', up)
      removeEventListener('blur', blur)
      removeEventListener('focus', focus)
    }
  }, [shelf])
}

const isHeardIn = (shelf: Shelf, place: KeyPlace, event: KeyboardEvent): boolean =>
  hearIn(shelf.state(), place, '', plainStrokes(event, layout(shelf))).kind !== 'nothing'

/** @returns whether a key is left to what types; else it was ours */
function leavesTyping(shelf: Shelf, event: KeyboardEvent): boolean {
  const { pending, view } = shelf.page.getState()
  // Nobody loses a character: where Alt types, keys begin otherwise from then on.
  if (shelf.state().settings.keys === 'auto' && typesWithAlt(event, isMac(), layout(shelf))) {
    shelf.dispatch('keys.leaveTyping', { to: isMac() ? 'control' : 'leader' }, 'app')
    return true
  }
  // There Alt is held all the time: what it has keys for itself is said to it.
  if (view?.view === 'trail' && !pending && isHeardIn(shelf, 'trail', event)) return true
  const strokes = strokesOf(event, layout(shelf))
  return !strokes.length || !listen(shelf, layerStrokes(shelf, strokes), pending, view?.view)
}

/** @returns whether the strokes, one of which was pressed, were ours */
function listen(
  shelf: Shelf,
  strokes: string[],
  pending: string,
  view: string | undefined,
): boolean {
  const undoOnly = view !== undefined && UNDO_IN.has(view)
  if (view && !undoOnly && !CHORDS_IN.has(view)) return false
  const stroke = strokes.at(-1) ?? ''
  if (pending && stroke === 'Escape') {
    shelf.page.setState({ pending: '' })
    return true
  }
  const state = shelf.state()
  if (!pending && repeated(shelf, strokes)) return true
  const layer = inLayer(shelf)
  if (layer && stroke === 'Escape') {
    leaveLayer(shelf)
    return true
  }
  if (state.settings.keys === 'leader' && stroke === LEADER) {
    shelf.page.setState({ pending: LEADER })
    return true
  }
  const heard = hearAny(state, strokes, pending, layer)
  const along = own(shelf).walking && heard.along
  if (along) {
    shelf.dispatch('desktop.go', { to: along }, 'key')
    return true
  }
  if (!pending && !undoOnly) tellMoved(shelf, meant(stroke, state, { pending, layer }) ?? stroke)
  const undoes = heard.kind === 'command' && UNDOES.includes(heard.bound.command)
  if (heard.kind === 'nothing' || (undoOnly && !undoes)) {
    if (pending) shelf.page.setState({ pending: '' })
    return !undoOnly && isOfSet(stroke, state)
  }
  const next = heard.kind === 'prefix' ? heard.keys : ''
  if (next !== pending) shelf.page.setState({ pending: next })
  if (heard.kind === 'command') {
    run(shelf, heard.bound)
    if (pending && REPEATS.has(heard.bound.command)) again(shelf, pending)
    if (/^(Ctrl\+)?Alt\+/.test(stroke) && steps(heard.bound)) walk(shelf)
  }
  if (heard.kind === 'unknown')
    shelf.say(
      `${asPressed(heard.keys, state)} means nothing. ${keysFor(state, 'shelf.keys')} shows the keys.`,
      {
        refused: true,
      },
    )
  return true
}

/** How long the key of what is done again and again is heard by itself, in milliseconds. */
const AGAIN_WITHIN = 1000

function again(shelf: Shelf, before: string): void {
  own(shelf).again = { before, until: performance.now() + AGAIN_WITHIN }
}

/** Does once more what was done a moment ago, or its like. @returns whether that was said */
function repeated(shelf: Shelf, strokes: string[]): boolean {
  const { before, until } = own(shelf).again
  if (performance.now() > until) return false
  for (const stroke of strokes) {
    const heard = hear(shelf.state(), before, following(stroke))
    if (heard.kind !== 'command' || !REPEATS.has(heard.bound.command)) continue
    run(shelf, heard.bound)
    again(shelf, before)
    return true
  }
  // Whoever says something else is done with it.
  own(shelf).again.until = 0
  return false
}

/** What the first of the strokes means that means something. */
function hearAny(
  state: State,
  strokes: string[],
  pending: string,
  layer: boolean,
): Heard & { along?: string | undefined } {
  let last: Heard & { along?: string | undefined } = { kind: 'nothing' }
  for (const stroke of strokes) {
    const said = meant(stroke, state, { pending, layer })
    if (said === null) continue
    const heard = hear(state, pending === LEADER ? '' : pending, said)
    last = { ...heard, along: ALONG[said] }
    if (heard.kind === 'command' || heard.kind === 'prefix') return last
  }
  return last
}

/** While Alt is held after a step, with the small map up, the arrows go on from desktop to desktop. */
const ALONG: Record<string, string> = {
  'Alt+Left': 'previous',
  'Alt+Right': 'next',
  'Alt+Up': 'above',
  'Alt+Down': 'below',
}

const own = ofShelf(() => ({
  /** What began what is done again and again, and how long it goes without. */
  again: { before: '', until: 0 },
  /** Whether Alt has been held since a step to a neighbour. */
  walking: false,
  timer: undefined as ReturnType<typeof setTimeout> | undefined,
}))

/** How long Alt is held before the small map is drawn: who only steps does not wait for it. */
const HELD = 180

function walk(shelf: Shelf): void {
  if (own(shelf).walking) return
  own(shelf).walking = true
  own(shelf).timer = setTimeout(() => shelf.page.setState({ map: true }), HELD)
}

function closeMap(shelf: Shelf): void {
  own(shelf).walking = false
  clearTimeout(own(shelf).timer)
  if (shelf.page.getState().map) shelf.page.setState({ map: false })
}

const steps = ({ command, args }: Bound): boolean =>
  ['desktop.go', 'window.carry'].includes(command) &&
  Object.values(ALONG).includes(String(args?.to))

/** Runs what was said, about what is chosen in an open list or about what has the focus. */
function run(shelf: Shelf, { command, args = {} }: Bound): void {
  const { chosen, chosenDesktop, marked } = shelf.page.getState()
  if (command === 'window.send' && chosen && marked.length > 0) {
    if (shelf.dispatchAny('window.sendAll', { ...args, windows: marked }, 'key').ok)
      shelf.page.setState({ marked: [] })
  } else runAbout(shelf, command, args, { window: chosen, windows: marked, desktop: chosenDesktop })
}
