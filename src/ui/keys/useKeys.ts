import { useEffect } from 'react'
import { registry } from '@/core/commands/registry'
import { asPressed, type Bound, hear, keysFor, LEADER } from '@/core/keys/bindings'
import { dispatch, getState, say, shelf } from '@/store/shelf'
import { isKeeping, keepEarly } from './early'
import { layoutMap } from './layout'
import { type Layout, strokeOf } from './stroke'

/** In all other views the keys are theirs, or a chord would act behind the person's back. */
const CHORDS_IN = new Set(['rename', 'pad', 'line', 'keys'])

/** Beside these one sees what is undone; no other chord acts there. */
const UNDO_IN = new Set(['settings', 'look', 'bindings'])
const UNDOES = ['history.undo', 'history.redo']

/** Turns key strokes anywhere on the page into commands. */
export function useKeys(): void {
  useEffect(() => {
    let layout: Layout | undefined
    void layoutMap().then((map) => {
      layout = map
    })
    const down = (event: KeyboardEvent) => {
      // Keys that are pressed to be bound do nothing else.
      if (event.isComposing || (event.target as Element).matches?.('[data-press]')) return
      const stroke = strokeOf(event, layout)
      // What is pressed after keys that are kept comes after them.
      const kept = event.isTrusted && isKeeping() && keepEarly(event)
      if (kept || (stroke && listen(stroke)) || (event.isTrusted && keepEarly(event))) {
        event.preventDefault()
        event.stopPropagation()
      }
    }
    // A lone Alt let go would open the browser's menu and take the focus along.
    const up = (event: KeyboardEvent) => {
      if (event.key !== 'Alt') return
      event.preventDefault()
      closeMap()
    }
    addEventListener('keydown', down, { capture: true })
    addEventListener('keyup', up)
    addEventListener('blur', closeMap)
    return () => {
      removeEventListener('keydown', down, { capture: true })
      removeEventListener('keyup', up)
      removeEventListener('blur', closeMap)
    }
  }, [])
}

/** @returns whether the stroke was ours */
function listen(stroke: string): boolean {
  const { pending, view } = shelf.getState()
  const undoOnly = view !== null && UNDO_IN.has(view.view)
  if (view && !undoOnly && !CHORDS_IN.has(view.view)) return false
  if (pending && stroke === 'Escape') {
    shelf.setState({ pending: '' })
    return true
  }
  if (walking && ALONG[stroke]) {
    dispatch('desktop.go', { to: ALONG[stroke] }, 'key')
    return true
  }
  const state = getState()
  const led = state.settings.keys === 'leader'
  if (led && stroke === LEADER) {
    shelf.setState({ pending: LEADER })
    return true
  }
  if (led && !pending && stroke.startsWith('Alt+')) return false
  const heard = pending === LEADER ? hear(state, '', `Alt+${stroke}`) : hear(state, pending, stroke)
  const undoes = heard.kind === 'command' && UNDOES.includes(heard.bound.command)
  if (heard.kind === 'nothing' || (undoOnly && !undoes)) {
    if (pending) shelf.setState({ pending: '' })
    return false
  }
  const next = heard.kind === 'prefix' ? heard.keys : ''
  if (next !== pending) shelf.setState({ pending: next })
  if (heard.kind === 'command') {
    run(heard.bound)
    if (stroke.startsWith('Alt+') && steps(heard.bound)) walk()
  }
  if (heard.kind === 'unknown')
    say(
      `${asPressed(heard.keys, state)} means nothing. ${keysFor(state, 'shelf.keys')} shows the keys.`,
      {
        refused: true,
      },
    )
  return true
}

/** While Alt is held after a step, with the small map up, the arrows go on from desktop to desktop. */
const ALONG: Record<string, string> = {
  'Alt+Left': 'previous',
  'Alt+Right': 'next',
  'Alt+Up': 'above',
  'Alt+Down': 'below',
}

/** Whether Alt has been held since a step to a neighbour. */
let walking = false
let timer: ReturnType<typeof setTimeout> | undefined

/** How long Alt is held before the small map is drawn: who only steps does not wait for it. */
const HELD = 180

function walk(): void {
  if (walking) return
  walking = true
  timer = setTimeout(() => shelf.setState({ map: true }), HELD)
}

function closeMap(): void {
  walking = false
  clearTimeout(timer)
  if (shelf.getState().map) shelf.setState({ map: false })
}

const steps = ({ command, args }: Bound): boolean =>
  ['desktop.go', 'window.carry'].includes(command) &&
  Object.values(ALONG).includes(String(args?.to))

/** Runs what was said, about what is chosen in an open list or about what has the focus. */
function run({ command, args = {} }: Bound): void {
  const { chosen, chosenDesktop, marked } = shelf.getState()
  const takes = (name: string) => name in (registry.get(command)?.args.fields ?? {})
  const about = {
    ...(chosen && takes('window') && { window: chosen }),
    // What is done to one of the marked windows is done to all.
    ...(chosen && marked.length > 0 && takes('windows') && { windows: marked }),
    ...(chosenDesktop && takes('desktop') && { desktop: chosenDesktop }),
  }
  if (command === 'window.send' && chosen && marked.length > 0) {
    if (dispatch('window.sendAll', { ...args, windows: marked }, 'key').ok)
      shelf.setState({ marked: [] })
  } else dispatch(command, { ...args, ...about }, 'key')
}
