import { transfer } from 'comlink'
import { useEffect, useRef, useState } from 'react'
import { expected } from '@/store/faults'
import { type Place, placeOffPage } from '@/store/offPage'
import { sameValues } from '@/store/same'
import { useShelf } from '@/store/useShelf'
import { SMALL } from './compare'
import type { WatchContent } from './content'
import type { Looker } from './look'
import { begun, looked, type Watching } from './watching'

/** How often it is looked, in milliseconds. */
const LOOK_EVERY = 400

const LOOKER = {
  worker: () => new Worker(new URL('./look.worker.ts', import.meta.url), { type: 'module' }),
  onPage: async () => new (await import('./look')).Looker(),
}

/** How it stands with what a stream shows; null while there is none. */
export function useWatching(
  stream: MediaStream | null,
  content: WatchContent,
  onTell: (what: 'changed' | 'still') => void,
): (Watching & { black: boolean }) | null {
  const shelf = useShelf()
  const [now, setNow] = useState<(Watching & { black: boolean }) | null>(null)
  const latest = useRef({ content, onTell })
  latest.current = { content, onTell }
  useEffect(() => {
    setNow(null)
    if (!stream) return
    // Apart from the one that is shown: it goes on where nothing is drawn of the window.
    const eye = document.createElement('video')
    Object.assign(eye, { muted: true, srcObject: stream })
    void eye.play().catch(expected('it is looked at again'))
    let watching = begun(shelf.clock())
    let place: Place<Looker> | null = null
    let timer: ReturnType<typeof setTimeout> | undefined
    let over = false
    const look = async () => {
      const { content, onTell } = latest.current
      if (place && eye.readyState >= eye.HAVE_CURRENT_DATA) {
        const picture = await createImageBitmap(eye, {
          resizeWidth: SMALL.width,
          resizeHeight: SMALL.height,
          resizeQuality: 'low',
        })
        const { changed, black } = await place.api.look(transfer(picture, [picture]), content.part)
        if (over) return
        const { now: next, tells } = looked(watching, changed, shelf.clock(), content)
        watching = next
        // Drawn anew only for what it says.
        setNow((before) =>
          before && sameValues(before, { ...next, black }) ? before : { ...next, black },
        )
        if (tells) onTell(tells)
      }
    }
    const again = () => {
      timer = setTimeout(() => {
        look()
          .catch(expected('it is looked again'))
          .finally(() => over || again())
      }, LOOK_EVERY)
    }
    void placeOffPage(LOOKER, shelf, () => {}).then((made) => {
      if (over) return made.close()
      place = made
      again()
    }, expected('its code did not come: the window says nothing of it'))
    return () => {
      over = true
      clearTimeout(timer)
      place?.close()
      eye.srcObject = null
    }
  }, [stream, shelf])
  return now
}
