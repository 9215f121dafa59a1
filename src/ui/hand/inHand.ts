/** The caption beside the pointer while a window is held over the rack. */
export function showInHand(title: string | null, x: number, y: number): void {
  let caption = document.getElementById('in-hand')
  if (!title) {
    caption?.remove()
    return
  }
  if (!caption) {
    caption = document.createElement('div')
    caption.id = 'in-hand'
    caption.className =
      'fixed top-0 left-0 z-[70] max-w-56 truncate border border-ink bg-panel px-2 py-1 pointer-events-none'
    document.body.append(caption)
  }
  caption.textContent = title
  caption.style.transform = `translate(${x + 14}px, ${y + 10}px)`
}

/**
 * While something is in hand: Escape gives it up. What was shown for it is put away with the push
 * that holds it, also where what was held is gone meanwhile and is told nothing any more.
 * @returns puts it away at once
 */
export function held(giveUp: () => void, putAway: () => void = () => {}): () => void {
  const listening = new AbortController()
  const { signal } = listening
  const end = () => {
    if (signal.aborted) return
    listening.abort()
    putAway()
  }
  const leave = (event: KeyboardEvent) => {
    if (event.key !== 'Escape') return
    event.preventDefault()
    event.stopPropagation()
    giveUp()
  }
  addEventListener('keydown', leave, { capture: true, signal })
  // What is held hears of it first.
  for (const type of ['pointerup', 'pointercancel'] as const)
    addEventListener(type, (event) => event.isPrimary && setTimeout(end), { capture: true, signal })
  return end
}
