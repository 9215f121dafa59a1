import { memo } from 'react'
import type { Hue } from '@/core/model/kinds/look'
import { drawingOf } from './Emblem'

/** The mark of a desktop: a kite in its hue with its call letter, or its emblem. Filled where one is. */
export const Kite = memo(function Kite({
  hue,
  letter,
  emblem,
  filled,
  width = 28,
}: {
  hue: Hue
  letter?: string | null
  /** Stands where there is no letter. */
  emblem?: string | undefined
  filled?: boolean
  width?: number
}) {
  const Drawing = letter ? undefined : drawingOf(emblem)
  return (
    <svg
      aria-hidden
      className={`hue-${hue} shrink-0`}
      width={width}
      height={Math.round(width * 1.27)}
      viewBox="0 0 30 38"
    >
      <path
        d="M15 1.5 L28.5 14.5 L15 36.5 L1.5 14.5 Z"
        fill={filled ? 'var(--h)' : 'var(--panel)'}
        stroke="var(--h)"
        strokeWidth={2.4}
        strokeLinejoin="round"
      />
      <path
        d="M15 2 V36 M3 14.5 H27"
        stroke={filled ? 'var(--hi)' : 'var(--h)'}
        strokeOpacity={0.22}
      />
      {letter ? (
        <text
          x="15"
          y={letter.length > 1 ? 19 : 20.4}
          textAnchor="middle"
          fontFamily="var(--font-mono)"
          fontWeight={800}
          fontSize={letter.length > 1 ? 13 : 17}
          fill={filled ? 'var(--hi)' : 'var(--ink)'}
          stroke={filled ? 'var(--h)' : 'var(--panel)'}
          strokeWidth={3}
          paintOrder="stroke"
        >
          {letter}
        </text>
      ) : null}
      {Drawing ? (
        <Drawing
          x={7.5}
          y={6.5}
          size={15}
          color={filled ? 'var(--hi)' : 'var(--ink)'}
          strokeWidth={2.4}
        />
      ) : null}
    </svg>
  )
})
