import { useCallback, useEffect, useRef, useState } from 'react'
import { serviceSpeed } from '../useService'
import { standIn } from './standIn'

/** A step of the made-up program, in milliseconds. */
const PACE = 900

/** The live picture of a window or a screen of this machine, as the person chose it in the browser's dialog. */
export function useCapture() {
  const [stream, setStream] = useState<MediaStream | null>(null)
  const [problem, setProblem] = useState('')
  const held = useRef<MediaStream | null>(null)
  const take = useCallback((next: MediaStream | null, why = '') => {
    for (const track of held.current?.getTracks() ?? []) track.stop()
    held.current = next
    setStream(next)
    setProblem(why)
    const ended = () =>
      held.current === next && take(null, 'The picture stopped. Choose the window again.')
    next?.getVideoTracks()[0]?.addEventListener('ended', ended)
  }, [])
  useEffect(() => () => take(null), [take])
  const choose = async () => {
    if (!navigator.mediaDevices?.getDisplayMedia)
      return setProblem('This browser can’t show other programs. Try it with the simulated one.')
    try {
      take(
        await navigator.mediaDevices.getDisplayMedia({
          video: { frameRate: { max: 5 } },
          audio: false,
        }),
      )
    } catch {
      setProblem('You chose nothing, or the browser doesn’t allow it.')
    }
  }
  return {
    stream,
    problem,
    choose,
    simulate: () => take(standIn(PACE / serviceSpeed())),
    end: () => take(null),
  }
}
