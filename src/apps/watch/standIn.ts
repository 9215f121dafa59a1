const STEPS = 12
/** What it builds stands still for so many steps before it begins again. */
const REST = 24

/**
 * A program that is made up: it builds something step by step, is done, and begins again after a while.
 * It stands in where nothing may be captured.
 * @param pace milliseconds a step takes
 */
export function standIn(pace: number): MediaStream {
  const canvas = document.createElement('canvas')
  Object.assign(canvas, { width: 640, height: 400 })
  const context = canvas.getContext('2d')
  let step = 0
  const draw = () => {
    if (!context) return
    const done = Math.min(STEPS, step % (STEPS + REST))
    context.fillStyle = '#20242b'
    context.fillRect(0, 0, 640, 400)
    context.font = '18px monospace'
    for (let line = 0; line < done; line++) {
      context.fillStyle = '#cdd6e0'
      context.fillText(`built part ${line + 1} of ${STEPS}`, 24, 44 + line * 26)
    }
    context.fillStyle = done === STEPS ? '#7fc08a' : '#e0b15c'
    context.fillRect(24, 368, (592 * done) / STEPS, 14)
    step++
  }
  draw()
  const timer = setInterval(draw, pace)
  const stream = canvas.captureStream(5)
  // It works as long as somebody watches it.
  const [track] = stream.getVideoTracks()
  const stop = track?.stop.bind(track)
  if (track && stop)
    track.stop = () => {
      clearInterval(timer)
      stop()
    }
  return stream
}
