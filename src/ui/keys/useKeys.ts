import { useEffect } from 'react'
import { registry } from '@/core/commands/registry'
import { type Bound, hear } from '@/core/keys/bindings'
import { dispatch, getState, say, shelf } from '@/store/shelf'
import { type Layout, strokeOf } from './stroke'

const LEADER = 'Ctrl+.'

/** Views that take the keys themselves, or in which a chord would act behind the person's back. */
const MODAL = new Set([
  'trail',
  'unstack',
  'fold',
  'unsaved',
  'letter',
  'look',
  'title',
  'import shelf',
])

/** Turns key strokes anywhere on the page into commands. */
export function useKeys(): void {
  useEffect(() => {
    let layout: Layout | undefined
    void layoutMap().then((map) => {
      layout = map
    })
    const down = (event: KeyboardEvent) => {
      if (event.isComposing) return
      const stroke = strokeOf(event, layout)
      if (stroke && listen(stroke)) {
        event.preventDefault()
        event.stopPropagation()
      }
    }
    // A lone Alt let go would open the browser's menu and take the focus along.
    const up = (event: KeyboardEvent) => {
      if (event.key === 'Alt') event.preventDefault()
    }
    addEventListener('keydown', down, { capture: true })
    addEventListener('keyup', up)
    return () => {
      removeEventListener('keydown', down, { capture: true })
      removeEventListener('keyup', up)
    }
  }, [])
}

/** @returns whether the stroke was ours */
function listen(stroke: string): boolean {
  const { pending, view } = shelf.getState()
  if (view && MODAL.has(view.view)) return false
  if (pending && stroke === 'Escape') {
    shelf.setState({ pending: '' })
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
  if (heard.kind === 'nothing') {
    if (pending) shelf.setState({ pending: '' })
    return false
  }
  const next = heard.kind === 'prefix' ? heard.keys : ''
  if (next !== pending) shelf.setState({ pending: next })
  if (heard.kind === 'command') run(heard.bound)
  if (heard.kind === 'unknown')
    say(`${heard.keys} means nothing. Alt+Shift+/ shows the keys.`, { refused: true })
  return true
}

/** Runs what was said, about what is chosen in an open list or about what has the focus. */
function run({ command, args = {} }: Bound): void {
  const { chosen, chosenDesktop } = shelf.getState()
  const takes = (name: string) => name in (registry.get(command)?.args.fields ?? {})
  const about = {
    ...(chosen && takes('window') && { window: chosen }),
    ...(chosenDesktop && takes('desktop') && { desktop: chosenDesktop }),
  }
  dispatch(command, { ...args, ...about }, 'key')
}

/** The layout of this keyboard, in browsers that tell. */
async function layoutMap(): Promise<Layout | undefined> {
  const { keyboard } = navigator as { keyboard?: { getLayoutMap(): Promise<Layout> } }
  try {
    return await keyboard?.getLayoutMap()
  } catch {
    return undefined
  }
}
