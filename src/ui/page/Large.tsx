import type { ReactNode } from 'react'
import { useArrangement, useShelf } from '@/store/useShelf'
import { largeId, surfaces, useArea } from '@/ui/area/area'
import { useSeat } from '@/ui/area/seat'

/**
 * What is drawn on the display in the large area, in its own pixels. Not scaled by a transform: that
 * would be a layer of its own, which windows cannot stand between.
 */
export function Large({ children }: { children: ReactNode }) {
  const shelf = useShelf()
  useArea()
  const surface = useArrangement((state) => surfaces(shelf, state)[largeId(state)])
  const display = useArrangement((state) => state.displays[largeId(state)])
  const { x, y, scale } = surface ?? { x: 0, y: 0, scale: 1 }
  const { display: own } = useSeat()
  const size = display && {
    left: x,
    top: y,
    width: display.width * scale,
    height: display.height * scale,
  }
  return (
    <div className="large" style={display?.id === own ? undefined : size}>
      <div className="large" style={scale === 1 ? undefined : { zoom: scale }}>
        {children}
      </div>
    </div>
  )
}
