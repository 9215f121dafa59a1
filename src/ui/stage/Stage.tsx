import { type DragEvent, useEffect, useRef, useState } from 'react'
import { currentId, desktop } from '@/core/model/selectors'
import { DISPLAY_LEAST, type Hue } from '@/core/model/types'
import { whenIdle } from '@/store/idle'
import { closeLoft, dispatch, getState, useArrangement, useList, useShelf } from '@/store/shelf'
import { Divider } from '@/ui/full/Divider'
import { Glance } from '@/ui/glance/Glance'
import { Inspector } from '@/ui/inspector/Inspector'
import { useFocus } from '@/ui/keys/useFocus'
import { Loft } from '@/ui/loft/Loft'
import { SmallMap } from '@/ui/map/SmallMap'
import { Guarded } from '@/ui/parts/Guarded'
import { Unstack } from '@/ui/unstack/Unstack'
import { WindowSlot } from '@/ui/window/WindowSlot'
import { EmptyHelp } from './EmptyHelp'
import { openFiles } from './openFiles'
import { Pad } from './Pad'
import { useRest } from './rest'

/** The focused display: the windows of the current desktop over its backdrop and sign. */
export function Stage() {
  const stage = useRef<HTMLElement>(null)
  const here = useArrangement(currentId)
  const { name, hue, backdrop, sign } = useArrangement((state) => desktop(state, here))
  const empty = useArrangement((state) => desktop(state, here).windows.length === 0)
  const display = useArrangement((state) => state.display)
  const loft = useShelf((now) => now.loft)
  const [dropping, setDropping] = useState(false)
  useStageSize(stage, display)
  useFocus()
  useRest()
  const takesFiles = (event: DragEvent) => event.dataTransfer.types.includes('Files')
  return (
    <main
      id="stage"
      ref={stage}
      tabIndex={-1}
      aria-label={`Stage, ${name}`}
      className="relative isolate overflow-clip outline-none"
      onDragOver={(event) => {
        if (!takesFiles(event)) return
        event.preventDefault()
        setDropping(true)
      }}
      onDragLeave={(event) => {
        if (!event.currentTarget.contains(event.relatedTarget as Node | null)) setDropping(false)
      }}
      onDrop={(event) => {
        if (!takesFiles(event)) return
        event.preventDefault()
        setDropping(false)
        void openFiles([...event.dataTransfer.files])
      }}
    >
      {/* Beside the windows, not around them: a new hue is none of their business. */}
      <div className={`hue-${hue} backdrop backdrop-${backdrop} absolute inset-0`}>
        <h1 dir="auto" className={sign ? 'sign' : 'sr-only'}>
          {name}
        </h1>
      </div>
      {sign ? <Arrival key={here} name={name} hue={hue} /> : null}
      {empty && !loft ? <EmptyHelp /> : null}
      {/* Always a box: to become one would build all windows anew when the loft opens. */}
      <div
        id="windows"
        className={
          loft
            ? 'pointer-events-none fixed top-0 right-[320px] bottom-9 left-0 z-30 isolate overflow-auto bg-ground max-[1000px]:right-0'
            : 'pointer-events-none absolute inset-0'
        }
      >
        {loft ? (
          <Guarded name="The loft" onFail={closeLoft}>
            <Loft />
          </Guarded>
        ) : null}
        <Windows />
      </div>
      <Divider />
      <Guarded name="The inspector" onFail={() => dispatch('shelf.inspector', {}, 'app')}>
        <Inspector />
      </Guarded>
      <Guarded name="The pad">
        <Pad />
      </Guarded>
      <Guarded name="Unstack">
        <Unstack />
      </Guarded>
      <Guarded name="Looking into a desktop">
        <Glance />
      </Guarded>
      <SmallMap />
      {dropping ? (
        <div className="pointer-events-none absolute inset-2 z-[2147483001] grid place-items-center border-2 border-ink border-dashed">
          <p className="bg-panel px-4 py-2 font-semibold">Drop to open on {name}</p>
        </div>
      ) : null}
    </main>
  )
}

/** Every window, in the order they were opened, so that none is ever moved in the page. */
function Windows() {
  const ids = useList((state) => Object.keys(state.windows))
  const warm = useWarming(ids.length)
  return ids.map((id, at) => <WindowSlot key={id} id={id} warm={at < warm} />)
}

/** How many windows are drawn ahead of being shown: one more whenever the page has nothing to do. */
function useWarming(count: number): number {
  const [warm, setWarm] = useState(0)
  const most = Math.min(count, WARM_MOST)
  useEffect(() => {
    if (warm >= most) return
    return whenIdle(() => setWarm(warm + 1), 2000)
  }, [warm, most])
  return warm
}

const WARM_MOST = 300

/** The name of the desktop one has come to, for a moment above its windows. */
function Arrival({ name, hue }: { name: string; hue: Hue }) {
  const [over, setOver] = useState(false)
  if (over) return null
  return (
    <div
      aria-hidden
      dir="auto"
      className={`hue-${hue} sign sign-arriving`}
      onAnimationEnd={() => setOver(true)}
    >
      {name}
    </div>
  )
}

function useStageSize(stage: React.RefObject<HTMLElement | null>, display: string): void {
  useEffect(() => {
    const element = stage.current
    if (!element) return
    const measure = () => {
      const width = Math.max(DISPLAY_LEAST.width, Math.round(element.clientWidth))
      const height = Math.max(DISPLAY_LEAST.height, Math.round(element.clientHeight))
      const known = getState().displays[display]
      if (known?.width !== width || known.height !== height)
        dispatch('display.resize', { display, width, height }, 'app')
    }
    measure()
    const observer = new ResizeObserver(measure)
    observer.observe(element)
    return () => observer.disconnect()
  }, [stage, display])
}
