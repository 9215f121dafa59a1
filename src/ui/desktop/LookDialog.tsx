import { desktop } from '@/core/model/selectors'
import { BACKDROPS, type DesktopId, HUES } from '@/core/model/types'
import { closeView, dispatch, useArrangement } from '@/store/shelf'
import { Dialog } from '@/ui/parts/Dialog'
import { Kite } from '@/ui/parts/Kite'

/**
 * The stitched edge of what is chosen. Selectors that look into elements (`:has`) are not used
 * anywhere: with them every focus would be looked for in the whole page.
 */
const edge = (chosen: boolean): string =>
  `focus-within:outline-2 focus-within:outline-ink ${
    chosen ? 'border-2 border-ink border-dashed' : 'border-seam'
  }`

/** Hue, backdrop and sign of a desktop; every choice shows at once and can be undone. */
export function LookDialog({ id }: { id: DesktopId }) {
  const { name, letter, hue, backdrop, sign } = useArrangement((state) => desktop(state, id))
  const set = (look: object) => dispatch('desktop.look', { desktop: id, ...look }, 'key')
  return (
    <Dialog title={`Look of ${name}`} width={436}>
      <fieldset className="mt-4">
        <legend className="mb-1.5 font-semibold">Hue</legend>
        <div className="flex flex-wrap gap-1">
          {HUES.map((choice) => (
            <label
              key={choice}
              title={choice}
              className={`grid size-[60px] place-items-center border ${edge(hue === choice)}`}
            >
              <input
                type="radio"
                name="hue"
                aria-label={choice}
                className="sr-only"
                checked={hue === choice}
                onChange={() => set({ hue: choice })}
              />
              <Kite hue={choice} letter={letter} filled={hue === choice} width={30} />
            </label>
          ))}
        </div>
      </fieldset>
      <fieldset className="mt-4">
        <legend className="mb-1.5 font-semibold">Backdrop</legend>
        <div className="grid grid-cols-3 gap-2">
          {BACKDROPS.map((choice) => (
            <label
              key={choice}
              className={`hue-${hue} backdrop backdrop-${choice} grid h-14 items-end border p-1 ${edge(backdrop === choice)}`}
            >
              <input
                type="radio"
                name="backdrop"
                className="sr-only"
                checked={backdrop === choice}
                onChange={() => set({ backdrop: choice })}
              />
              <span className="justify-self-start bg-panel px-1.5">{choice}</span>
            </label>
          ))}
        </div>
      </fieldset>
      <div className="mt-4 flex items-center">
        <label className="flex items-center gap-2">
          <input type="checkbox" checked={sign} onChange={() => set({ sign: !sign })} />
          Draw its name on the desktop
        </label>
        <button type="button" className="btn btn-main ml-auto" onClick={closeView}>
          Done
        </button>
      </div>
    </Dialog>
  )
}
