import { keysFor } from '@/core/keys/bindings'
import { focusId } from '@/core/model/selectors'
import type { Shelf } from '@/store/shelf'

/** Tells who types where nothing takes it: what is lost is not lost without a word. */
export function tellUntaken(shelf: Shelf, { key, altKey, ctrlKey, metaKey }: KeyboardEvent): void {
  if ([...key].length !== 1 || key === ' ' || altKey || ctrlKey || metaKey) return
  const { view, loft, menu, keysOn } = shelf.page.getState()
  const state = shelf.state()
  const at = document.activeElement
  const nowhere = !at || at === document.body || at.id === 'desktop'
  if (!nowhere || view || loft || menu) return
  const there = state.displays[keysOn ?? '']
  if (!there && focusId(state)) return
  const opens = keysFor(state, 'app.launch', { slot: 1 })
  shelf.say(
    there
      ? `The keys are on ${there.name}, in its own window. Click here to get them back.`
      : `No window takes what you type.${opens ? ` ${opens} opens one.` : ''}`,
    { refused: true },
  )
}
