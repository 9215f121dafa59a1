/**
 * While something is in hand, moves of the pointer go to it alone. What draws the page would
 * otherwise look at each of them twice, which costs more than the move itself.
 * @returns how to stop
 */
export function heardAlone(move: (event: PointerEvent) => void): () => void {
  const listening = new AbortController()
  const options = { capture: true, signal: listening.signal }
  addEventListener(
    'pointermove',
    (event) => {
      event.stopPropagation()
      move(event)
    },
    options,
  )
  addEventListener('mousemove', (event) => event.stopPropagation(), options)
  return () => listening.abort()
}
