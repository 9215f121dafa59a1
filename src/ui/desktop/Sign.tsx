import { memo } from 'react'
import { signOf } from '@/core/look/look'
import type { DesktopId } from '@/core/model/ids'
import { Emblem } from '@/parts/Emblem'
import { useDesktop, useShelf } from '@/store/useShelf'

const FONTS = {
  display: 'var(--font-display)',
  text: 'var(--font-sans)',
  figures: 'var(--font-mono)',
}
const COLOURS = { hue: 'var(--h)', ink: 'var(--ink)', soft: 'var(--soft)' }
const DOWN = { top: 'start', middle: 'center', left: 'center', right: 'center', bottom: 'end' }
const ACROSS = { left: 'start', right: 'end', top: 'center', middle: 'center', bottom: 'center' }

/** A desktop's name with its emblem, as large and where the person wants it. */
export const Sign = memo(function Sign({ id, labels }: { id: DesktopId; labels: string }) {
  const shelf = useShelf()
  const { name, hue, emblem, signed } = useDesktop(id, ['name', 'hue', 'emblem', 'signed'])
  const { font, size, weight, colour, opacity, place } = signOf({ signed })
  const [first, second] = place.split(' ') as [keyof typeof DOWN, keyof typeof ACROSS | undefined]
  return (
    <div
      className={`hue-${hue} sign-place`}
      style={{ alignItems: DOWN[first], justifyContent: ACROSS[second ?? first] }}
    >
      {/* biome-ignore lint/a11y/noStaticElementInteractions: by key it is renamed like any desktop */}
      <div
        className="sign"
        onDoubleClick={() => shelf.dispatch('desktop.askName', { desktop: id })}
        style={{
          color: COLOURS[colour],
          opacity: opacity / 100,
          font: `${weight} ${size}px / 1.1 ${FONTS[font]}`,
        }}
      >
        <Emblem name={emblem} size={Math.round(size * 0.72)} />
        <h1 id={labels} dir="auto" className="min-w-0 truncate">
          {name}
        </h1>
      </div>
    </div>
  )
})
