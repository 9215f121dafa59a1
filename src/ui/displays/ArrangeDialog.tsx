import { useRef, useState } from 'react'
import type { DisplayId } from '@/core/model/ids'
import type { Display } from '@/core/model/kinds/display'
import { Dialog } from '@/parts/Dialog'
import { Keys } from '@/parts/Keys'
import { useArrangement, usePage, useShelf } from '@/store/useShelf'
import { Arrangement } from './Arrangement'
import { DisplayFields } from './DisplayFields'

/** Displays drawn to scale, to be moved, added, sized, plugged and unplugged. */
export function ArrangeDialog() {
  const shelf = useShelf()
  const displays = useArrangement((state) => state.displays)
  const order = useArrangement((state) => state.displayOrder)
  const apart = useArrangement((state) => state.apart)
  const [chosenId, setChosen] = useState<DisplayId>(() => shelf.state().display)
  const chosen: Display | undefined = displays[chosenId] ?? displays[order[0] ?? '']
  const said = usePage((page) => page.said)
  const opened = useRef(said)
  const unplugged = order.flatMap((id) => (displays[id]?.connected ? [] : (displays[id] ?? [])))
  if (!chosen) return null
  const add = () => {
    if (!shelf.dispatch('display.add', {}, 'key').ok) return
    const added = shelf.state().displayOrder.at(-1)
    if (added) setChosen(added)
  }
  return (
    <Dialog
      title="Displays"
      intro="They stand edge to edge. Drag one, or move it with the arrow keys; every change can be undone."
      width={820}
    >
      <div className="mt-4 grid grid-cols-[minmax(0,1fr)_264px] gap-5 max-[700px]:grid-cols-1">
        <div className="flex flex-col gap-3">
          <Arrangement chosen={chosen.id} onChoose={setChosen} />
          {unplugged.length > 0 ? (
            <ul aria-label="Not plugged in" className="flex flex-wrap gap-2">
              {unplugged.map(({ id, name }) => (
                <li
                  key={id}
                  className="flex items-center gap-2 border border-seam border-dashed px-2 py-1"
                >
                  <button
                    type="button"
                    aria-pressed={id === chosen.id}
                    className={id === chosen.id ? 'font-semibold' : ''}
                    onClick={() => setChosen(id)}
                  >
                    {name}
                  </button>
                  <button
                    type="button"
                    className="btn"
                    onClick={() => shelf.dispatch('display.plug', { display: id }, 'key')}
                  >
                    Plug in
                  </button>
                </li>
              ))}
            </ul>
          ) : null}
          <div className="flex flex-wrap items-center gap-2">
            <button type="button" className="btn" onClick={add}>
              Add a display
            </button>
            <fieldset className="ml-auto flex items-center gap-3">
              <legend className="sr-only">How desktops are shown</legend>
              <Way
                checked={apart}
                command="displays.apart"
                title="Each display shows a desktop of its own"
              >
                apart
              </Way>
              <Way
                checked={!apart}
                command="displays.together"
                title="A desktop spans all displays"
              >
                together
              </Way>
            </fieldset>
          </div>
          <p className="text-soft">
            {apart
              ? 'Apart: each display shows a desktop of its own.'
              : 'Together: a desktop spans all displays.'}
          </p>
        </div>
        <DisplayFields key={chosen.id} display={chosen} />
      </div>
      {said?.refused && said !== opened.current ? (
        <p role="alert" className="mt-3 text-alarm">
          {said.text}
        </p>
      ) : null}
      <div className="mt-4 flex justify-end">
        <button type="button" className="btn btn-main" onClick={shelf.closeView}>
          Done <Keys keys="Esc" />
        </button>
      </div>
    </Dialog>
  )
}

function Way({
  checked,
  command,
  title,
  children,
}: {
  checked: boolean
  command: string
  title: string
  children: string
}) {
  const shelf = useShelf()
  return (
    <label className="flex items-center gap-1.5" title={title}>
      <input
        type="radio"
        name="way"
        checked={checked}
        onChange={() => shelf.dispatchAny(command, {}, 'key')}
      />
      {children}
    </label>
  )
}
