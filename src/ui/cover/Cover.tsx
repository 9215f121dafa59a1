import { useEffect, useLayoutEffect, useRef, useState } from 'react'
import { settle } from '@/parts/focus'
import { Kite } from '@/parts/Kite'
import { every } from '@/store/clock'
import { useArrangement, useShelf } from '@/store/useShelf'
import { followCover, isCovered, liftCover, lowerCover, useCovered } from './cover'

/** A plain cloth over everything, until a key is pressed or a phrase is typed. It isn’t a lock. */
export function Cover({ name }: { name: string }) {
  const shelf = useShelf()
  const down = useCovered()
  useLayoutEffect(() => followCover(shelf, name), [shelf, name])
  useAlone()
  useIdle(() => lowerCover(shelf))
  return down ? <Cloth onLift={() => liftCover(shelf)} /> : null
}

const MODIFIERS = ['Alt', 'AltGraph', 'Control', 'Meta', 'Shift', 'CapsLock']

function Cloth({ onLift }: { onLift(): void }) {
  const shelf = useShelf()
  const phrase = useArrangement((state) => state.settings.coverPhrase)
  const dialog = useRef<HTMLDialogElement>(null)
  const [typed, setTyped] = useState('')
  const [wrong, setWrong] = useState(false)
  useLayoutEffect(() => {
    // Above all that is open, which nothing can be done in meanwhile.
    const shown = dialog.current
    shown?.showModal()
    // Lifted, the keys are where they were, or with the window where that is gone meanwhile.
    return () => {
      shown?.close()
      // After a push on it the browser gives a field the focus back without the caret: nothing is typed.
      const had = document.activeElement
      if (had instanceof HTMLElement && had !== document.body) {
        had.blur()
        had.focus({ preventScroll: true })
      }
      setTimeout(() => settle(shelf))
    }
  }, [shelf])
  return (
    // biome-ignore lint/a11y/useKeyWithClickEvents: any key lifts it
    <dialog
      ref={dialog}
      aria-label="Covered"
      className="cloth"
      onCancel={(event) => event.preventDefault()}
      onClick={phrase ? undefined : onLift}
      onAuxClick={phrase ? undefined : onLift}
      // The browser’s own menu would lie over it, and take the keys after it.
      onContextMenu={(event) => event.preventDefault()}
    >
      <Kite hue="slate" filled width={44} />
      {phrase ? (
        <form
          className="flex items-center gap-2"
          onSubmit={(event) => {
            event.preventDefault()
            setWrong(true)
            setTyped('')
          }}
        >
          <input
            autoFocus
            type="password"
            autoComplete="off"
            aria-label="Phrase"
            aria-invalid={wrong}
            className="field w-56"
            value={typed}
            onChange={({ target: { value } }) => {
              setTyped(value)
              setWrong(false)
              if (value === phrase) onLift()
            }}
          />
        </form>
      ) : null}
      <p role="status">
        {wrong
          ? 'That isn’t the phrase. Try again.'
          : phrase
            ? 'Type your phrase.'
            : 'Press any key.'}
      </p>
      <p className="text-soft">This only hides the page. It isn’t a lock.</p>
    </dialog>
  )
}

/**
 * While it is down keys are heard here alone; one that goes down and up lifts it, where that is all it
 * takes. It listens from the start, so that it hears them before all else.
 */
function useAlone(): void {
  const shelf = useShelf()
  useLayoutEffect(() => {
    const down = new Set<string>()
    const hear = (event: KeyboardEvent) => {
      if (!isCovered(shelf)) return down.clear()
      event.stopImmediatePropagation()
      if (shelf.state().settings.coverPhrase) {
        // A second one would close the dialog, whatever is said to the first.
        if (event.key === 'Escape') event.preventDefault()
        return
      }
      event.preventDefault()
      if (event.type === 'keydown') down.add(event.code)
      else if (down.has(event.code) && !MODIFIERS.includes(event.key)) liftCover(shelf)
    }
    addEventListener('keydown', hear, { capture: true })
    addEventListener('keyup', hear, { capture: true })
    return () => {
      removeEventListener('keydown', hear, { capture: true })
      removeEventListener('keyup', hear, { capture: true })
    }
  }, [shelf])
}

/** How often it is looked whether somebody is there, in milliseconds. */
const LOOK_EVERY = 5000

const SIGNS = ['keydown', 'pointerdown', 'pointermove', 'wheel'] as const

/** Calls back when nobody has touched key or pointer for as long as was chosen. */
function useIdle(onIdle: () => void): void {
  const shelf = useShelf()
  const after = useArrangement((state) => state.settings.coverAfter * 60_000)
  const idle = useRef(onIdle)
  idle.current = onIdle
  useEffect(() => {
    if (!after) return
    let last = shelf.clock()
    const seen = () => {
      last = shelf.clock()
    }
    const end = every(shelf, LOOK_EVERY, () => {
      // Who types into a page from elsewhere is not heard here.
      if (document.hasFocus() && document.activeElement instanceof HTMLIFrameElement) seen()
      if (shelf.clock() - last >= after && !isCovered(shelf)) idle.current()
    })
    for (const sign of SIGNS) addEventListener(sign, seen, { capture: true, passive: true })
    return () => {
      end()
      for (const sign of SIGNS) removeEventListener(sign, seen, { capture: true })
    }
  }, [shelf, after])
}
