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

/** Calls back when Escape is pressed. Returns how to stop listening. */
export function onEscape(callback: () => void): () => void {
  const listen = (event: KeyboardEvent) => {
    if (event.key !== 'Escape') return
    event.preventDefault()
    event.stopPropagation()
    callback()
  }
  addEventListener('keydown', listen, { capture: true })
  return () => removeEventListener('keydown', listen, { capture: true })
}
