import { useId } from 'react'
import type { Desktop } from '@/core/model/types'

/** The lines of a grid in a tile of 48 pixels, as a path. */
const grid = (step: number): string =>
  Array.from({ length: 48 / step }, (_, at) => at * step)
    .map((at) => `M0 ${at}h48v1h-48zM${at} 0h1v48h-1z`)
    .join('')

interface Tile {
  width: number
  height: number
  /** Paths, in pixels of the tile. */
  weave?: string
  fine?: string
}

const TILES: Partial<Record<Desktop['backdrop'], Tile>> = {
  ripstop: { width: 48, height: 48, weave: grid(48), fine: grid(8) },
  stripes: { width: 64, height: 128, fine: 'M0 0h16l-16 32zM64 0v32l-48 96h-16z' },
  panels: { width: 240, height: 180, weave: 'M0 0h240v2h-240z', fine: 'M0 0h120v180h-120z' },
  dots: { width: 24, height: 24, weave: 'M9.75 12a2.25 2.25 0 1 0 4.5 0a2.25 2.25 0 1 0-4.5 0' },
}

/**
 * A pattern in the hue of what it lies in. It is painted with every change in front of it, and a tile
 * that repeats costs a third of gradients laid over one another.
 */
export function Pattern({ of }: { of: Desktop['backdrop'] }) {
  const id = useId()
  const tile = TILES[of]
  if (of === 'contour') return <div aria-hidden className="contour absolute inset-0 -z-1" />
  if (!tile) return null
  const { width, height, weave, fine } = tile
  return (
    <svg aria-hidden className="absolute inset-0 -z-1 size-full">
      <pattern id={id} width={width} height={height} patternUnits="userSpaceOnUse">
        {fine ? <path d={fine} className="fill-(--fine)" /> : null}
        {weave ? <path d={weave} className="fill-(--weave)" /> : null}
      </pattern>
      <rect width="100%" height="100%" fill={`url(#${id})`} />
    </svg>
  )
}
