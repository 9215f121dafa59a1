import { type ReactNode, useId } from 'react'
import { LINES } from '@/core/look/look'
import type { Desktop } from '@/core/model/kinds/desktop'

/** The lines of a grid in a tile of 48 pixels, as a path. */
const grid = (step: number): string =>
  Array.from({ length: 48 / step }, (_, at) => at * step)
    .map((at) => `M0 ${at}h48v1h-48zM${at} 0h1v48h-1z`)
    .join('')

interface Tile {
  width: number
  height: number
  /** Paths, in pixels of the tile: what is seen at once, and what is fainter. */
  clear?: string
  faint?: string
}

const TILES: Partial<Record<Desktop['backdrop'], Tile>> = {
  ripstop: { width: 48, height: 48, clear: grid(48), faint: grid(8) },
  stripes: { width: 64, height: 128, faint: 'M0 0h16l-16 32zM64 0v32l-48 96h-16z' },
  panels: { width: 240, height: 180, clear: 'M0 0h240v2h-240z', faint: 'M0 0h120v180h-120z' },
  dots: { width: 24, height: 24, clear: 'M9.75 12a2.25 2.25 0 1 0 4.5 0a2.25 2.25 0 1 0-4.5 0' },
}

/** From one line of the contour to the next, and how wide it is, in pixels. */
const CONTOUR = { step: 39.5, line: 1.5 }

/**
 * A pattern in the hue of what it lies in. It is painted with every change in front of it, and a tile
 * that repeats costs a third of gradients laid over one another. All is said by attributes: a picture
 * of the desktop takes no style of what is within a drawing.
 */
export function Pattern({ of }: { of: Desktop['backdrop'] }) {
  const id = useId()
  const tile = TILES[of]
  if (of !== 'contour' && !tile) return null
  return (
    <svg aria-hidden className="absolute inset-0 -z-1 size-full text-(--h)">
      {tile ? tiled(id, tile) : contour(id)}
      <rect width="100%" height="100%" fill={`url(#${id})`} />
    </svg>
  )
}

function tiled(id: string, { width, height, clear, faint }: Tile): ReactNode {
  return (
    <pattern id={id} width={width} height={height} patternUnits="userSpaceOnUse">
      {faint ? <path d={faint} fill="currentColor" fillOpacity={LINES.faint} /> : null}
      {clear ? <path d={clear} fill="currentColor" fillOpacity={LINES.clear} /> : null}
    </pattern>
  )
}

function contour(id: string): ReactNode {
  const { step, line } = CONTOUR
  const from = 1 - line / step
  return (
    <radialGradient
      id={id}
      gradientUnits="userSpaceOnUse"
      cx="75%"
      cy="110%"
      r={step}
      spreadMethod="repeat"
    >
      <stop offset={from} stopColor="currentColor" stopOpacity={0} />
      <stop offset={from} stopColor="currentColor" stopOpacity={LINES.clear} />
    </radialGradient>
  )
}
