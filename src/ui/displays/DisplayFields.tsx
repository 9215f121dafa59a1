import { type FormEvent, useState } from 'react'
import { LONGEST } from '@/core/geometry/rect'
import { mirroredOn } from '@/core/model/displays'
import { DISPLAY_LEAST, type Display } from '@/core/model/kinds/display'
import { useArrangement, useShelf } from '@/store/useShelf'
import { useShows } from './useShows'

/** Sizes displays are sold in, in their own pixels. */
const COMMON: [width: number, height: number][] = [
  [1280, 800],
  [1366, 768],
  [1920, 1080],
  [1920, 1200],
  [2560, 1440],
  [3440, 1440],
  [3840, 2160],
  [1080, 1920],
  [1080, 1440],
  [1440, 2560],
]

const SCALES = [0.75, 1, 1.25, 1.5, 1.75, 2, 2.5, 3]

/** Name, size and scale of one display, and what can be done with it. */
export function DisplayFields({ display }: { display: Display }) {
  const shelf = useShelf()
  const { id, connected, measured, fitted, scale } = display
  const source = useArrangement((state) => mirroredOn(state, id)?.name)
  const shows = useShows(id)
  const [name, setName] = useState(display.name)
  const change = (given: object) => shelf.dispatch('display.set', { display: id, ...given }, 'key')
  const run = (command: string) => shelf.dispatchAny(command, { display: id }, 'key')
  const rename = () => {
    if (name.trim() === display.name) return
    if (!change({ name }).ok) setName(display.name)
  }
  const submit = (event: FormEvent) => {
    event.preventDefault()
    rename()
  }
  return (
    <form className="flex flex-col gap-3" aria-label={`Display ${display.name}`} onSubmit={submit}>
      <label className="flex flex-col gap-1">
        <span className="font-semibold">Name</span>
        <input
          className="field"
          value={name}
          onChange={(event) => setName(event.target.value)}
          onBlur={rename}
        />
      </label>
      {measured ? (
        <p className="text-soft">
          {display.width} × {display.height}: the size of{' '}
          {fitted ? 'the main window' : 'its browser window'}.
        </p>
      ) : (
        <>
          <SizeFields key={`${display.width} ${display.height}`} display={display} />
          <label className="flex flex-col gap-1">
            <span className="font-semibold">Scale</span>
            <select
              className="field"
              value={scale}
              onChange={(event) => change({ scale: Number(event.target.value) })}
            >
              {[...new Set([...SCALES, scale])]
                .toSorted((a, b) => a - b)
                .map((one) => (
                  <option key={one} value={one}>
                    {one}
                  </option>
                ))}
            </select>
          </label>
        </>
      )}
      {id === 'near' || (measured && !fitted) ? null : (
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            checked={fitted !== undefined}
            onChange={() => run('display.fit')}
          />
          Fit the main window
        </label>
      )}
      <p className="text-soft">
        {connected ? `Shows ${shows}.` : source ? `Mirrors ${source}.` : 'Not plugged in.'}
      </p>
      <Acts display={display} mirrors={source !== undefined} />
    </form>
  )
}

/** What can be done with it as a whole. */
function Acts({ display: { id, connected }, mirrors }: { display: Display; mirrors: boolean }) {
  const shelf = useShelf()
  const main = useArrangement((state) => state.displayOrder[0] === id)
  const run = (command: string) => shelf.dispatchAny(command, { display: id }, 'key')
  return (
    <div className="flex flex-wrap gap-2">
      {connected ? (
        <button type="button" className="btn" onClick={() => run('display.unplug')}>
          Unplug
        </button>
      ) : (
        <button type="button" className="btn" onClick={() => run('display.plug')}>
          Plug in
        </button>
      )}
      {(connected || mirrors) && id !== 'near' ? (
        <button type="button" className="btn" onClick={() => run('display.open')}>
          Open in a window of its own
        </button>
      ) : null}
      {main || mirrors ? null : (
        <button type="button" className="btn" onClick={() => run('display.mirror')}>
          Mirror the main display
        </button>
      )}
      {connected && !main ? (
        <button type="button" className="btn" onClick={() => run('display.main')}>
          Make it the main one
        </button>
      ) : null}
      {main ? null : (
        <button type="button" className="btn" onClick={() => run('display.remove')}>
          Remove
        </button>
      )}
    </div>
  )
}

/** From a list, or typed. */
function SizeFields({ display }: { display: Display }) {
  const shelf = useShelf()
  const [width, setWidth] = useState(String(display.width))
  const [height, setHeight] = useState(String(display.height))
  const known = COMMON.some(([w, h]) => w === display.width && h === display.height)
  const set = (w: number, h: number) => {
    if (w === display.width && h === display.height) return
    if (shelf.dispatch('display.set', { display: display.id, width: w, height: h }, 'key').ok)
      return
    setWidth(String(display.width))
    setHeight(String(display.height))
  }
  const typed = () => set(Number(width), Number(height))
  const field = (label: string, value: string, put: (text: string) => void, least: number) => (
    <input
      className="field w-[92px] font-mono"
      type="number"
      aria-label={label}
      value={value}
      min={least}
      max={LONGEST}
      onChange={(event) => put(event.target.value)}
      onBlur={typed}
      onKeyDown={(event) => event.key === 'Enter' && typed()}
    />
  )
  return (
    <fieldset className="flex flex-col gap-1">
      <legend className="mb-1 font-semibold">Size</legend>
      <select
        className="field"
        aria-label="Common sizes"
        value={known ? `${display.width} ${display.height}` : ''}
        onChange={(event) => {
          const [w = 0, h = 0] = event.target.value.split(' ').map(Number)
          if (w && h) set(w, h)
        }}
      >
        {known ? null : <option value="">typed below</option>}
        {COMMON.map(([w, h]) => (
          <option key={`${w} ${h}`} value={`${w} ${h}`}>
            {w} × {h}
          </option>
        ))}
      </select>
      <div className="flex items-center gap-2">
        {field('Width', width, setWidth, DISPLAY_LEAST.width)} ×
        {field('Height', height, setHeight, DISPLAY_LEAST.height)}
      </div>
    </fieldset>
  )
}
