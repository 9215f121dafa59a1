import { useState } from 'react'
import { searchEmblems } from '@/core/look/emblems'
import { signOf } from '@/core/look/look'
import type { DesktopId } from '@/core/model/ids'
import { BACKDROPS, HUES, SIGN_OPACITY, SIGN_SIZE } from '@/core/model/kinds/look'
import { desktop } from '@/core/model/selectors'
import { Emblem } from '@/parts/Emblem'
import { Kite } from '@/parts/Kite'
import { Pattern } from '@/parts/Pattern'
import { SidePanel } from '@/parts/SidePanel'
import { useArrangement, useShelf } from '@/store/useShelf'
import { Choices, Part, Slider } from './Choices'
import { choosePicture } from './choosePicture'
import { SignFields } from './SignFields'

/** By what a desktop is recognised; the desktop itself, beside it, shows each choice at once. */
export function LookPanel({ id }: { id: DesktopId }) {
  const shelf = useShelf()
  const { name, letter, hue, backdrop, picture, sign, signed } = useArrangement((state) =>
    desktop(state, id),
  )
  const set = (look: object) => shelf.dispatch('desktop.look', { desktop: id, ...look }, 'key')
  // So that the sign stays in sight.
  const side = sign && signOf({ signed }).place.endsWith('right') ? 'left' : 'right'
  const patterns = picture ? [...BACKDROPS, 'picture' as const] : BACKDROPS
  return (
    <SidePanel title={`Look of ${name}`} side={side}>
      <Part name="Hue">
        <Choices
          name="Hue"
          of={HUES}
          chosen={hue}
          onChoose={(choice) => set({ hue: choice })}
          className="grid grid-cols-6 gap-1"
          each="h-12"
        >
          {(choice) => <Kite hue={choice} letter={letter} filled={hue === choice} width={24} />}
        </Choices>
      </Part>
      <Part name="Emblem">
        <Emblems id={id} />
      </Part>
      <Part name="Backdrop">
        <Choices
          name="Backdrop"
          of={patterns}
          chosen={backdrop}
          onChoose={(choice) => set({ backdrop: choice })}
          className="grid grid-cols-3 gap-1.5"
          each={`hue-${hue} h-12 relative overflow-hidden`}
        >
          {(choice) => (
            <>
              <span className="backdrop absolute inset-0">
                <Pattern of={choice} />
              </span>
              <span className="relative bg-panel px-1.5">{choice}</span>
            </>
          )}
        </Choices>
        <button type="button" className="btn mt-2" onClick={() => void choosePicture(shelf, id)}>
          {picture ? 'Another picture…' : 'A picture of your own…'}
        </button>
        {backdrop === 'picture' && picture ? (
          <div className="mt-2 flex flex-col gap-1.5">
            <Choices
              name="Fit"
              of={['fill', 'whole', 'repeat'] as const}
              chosen={picture.fit}
              onChoose={(fit) => set({ picture: { ...picture, fit } })}
              className="grid grid-cols-3 gap-1.5"
              each="h-7"
            >
              {(choice) => choice}
            </Choices>
            {(
              [
                ['across', 'x', 0],
                ['down', 'y', 0],
                ['strength', 'strength', 10],
              ] as const
            ).map(([label, key, least]) => (
              <Slider
                key={key}
                name={label}
                value={picture[key]}
                least={least}
                most={100}
                unit=" %"
                onSet={(value) => set({ picture: { ...picture, [key]: value } })}
              />
            ))}
          </div>
        ) : null}
      </Part>
      <Part name="Sign">
        <label className="flex items-center gap-2">
          <input type="checkbox" checked={sign} onChange={() => set({ sign: !sign })} />
          Draw its name on the desktop
        </label>
        {sign ? (
          <div className={`hue-${hue}`}>
            <SignFields
              sign={signOf({ signed })}
              sizes={SIGN_SIZE}
              opacities={SIGN_OPACITY}
              onSet={(change) => set({ signed: change })}
            />
          </div>
        ) : null}
      </Part>
      <div className="mt-5 flex gap-2 border-seam border-t border-dashed pt-3">
        <button
          type="button"
          className="btn"
          onClick={() => shelf.dispatch('desktop.askCopyLook', { desktop: id }, 'key')}
        >
          Copy to…
        </button>
        <button
          type="button"
          className="btn ml-auto"
          onClick={() => shelf.dispatch('desktop.resetLook', { desktop: id }, 'key')}
        >
          Reset backdrop and sign
        </button>
      </div>
    </SidePanel>
  )
}

/** So many emblems are shown before one types. */
const SHOWN = 36

function Emblems({ id }: { id: DesktopId }) {
  const shelf = useShelf()
  const emblem = useArrangement((state) => desktop(state, id).emblem) ?? ''
  const [query, setQuery] = useState('')
  const found = searchEmblems(query)
  const first = found.slice(0, SHOWN)
  const shown = query || !emblem || first.includes(emblem) ? first : [emblem, ...first.slice(1)]
  return (
    <>
      <input
        type="search"
        className="field mb-1.5 w-full"
        aria-label="Find an emblem"
        placeholder={`find one of ${searchEmblems('').length}`}
        value={query}
        onChange={(event) => setQuery(event.target.value)}
      />
      <Choices
        name="Emblem"
        of={['', ...shown]}
        chosen={emblem}
        onChoose={(choice) =>
          shelf.dispatch('desktop.look', { desktop: id, emblem: choice }, 'key')
        }
        className="grid grid-cols-10 gap-0.5"
        each="h-[33px]"
        says={(choice) => choice.replaceAll('-', ' ') || 'none'}
      >
        {(choice) => (choice ? <Emblem name={choice} size={17} /> : '–')}
      </Choices>
      {found.length === 0 ? <p className="mt-1 text-soft">No emblems match.</p> : null}
    </>
  )
}
