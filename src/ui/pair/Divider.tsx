import { useDrag } from '@use-gesture/react'
import { currentId, SEAM } from '@/core/model/selectors'
import { useArrangement, useShelf } from '@/store/useShelf'

/** Between the windows of a pair: dragged by pointer, moved by arrows, 20 to 80 %. */
export function Divider() {
  const shelf = useShelf()
  const divider = useArrangement((state) => {
    const here = state.desktops[currentId(state)]
    return here?.kind === 'pair' ? (here.divider ?? 0.5) : null
  })
  const width = useArrangement((state) => state.displays[state.display]?.width ?? 0)
  const drag = useDrag(
    ({ last, xy: [x], event }) => {
      const element = event.target as HTMLElement
      const left = document.getElementById('desktop')?.getBoundingClientRect().left ?? 0
      const to = Math.min(0.8, Math.max(0.2, (x - left - SEAM / 2) / (width - SEAM)))
      if (last) {
        element.style.translate = ''
        shelf.dispatch('pair.divide', { to })
      } else element.style.translate = `${(to - (divider ?? 0.5)) * (width - SEAM)}px`
    },
    { pointer: { keys: false } },
  )
  if (divider === null) return null
  return (
    <div
      role="separator"
      tabIndex={0}
      aria-label="Divider of the pair"
      aria-orientation="vertical"
      aria-valuemin={20}
      aria-valuemax={80}
      aria-valuenow={Math.round(divider * 100)}
      className="absolute top-0 bottom-0 z-(--above) cursor-ew-resize touch-none border-ink border-x-[1.5px] border-dashed bg-ground"
      style={{ left: (width - SEAM) * divider, width: SEAM }}
      {...drag()}
      onKeyDown={(event) => {
        const by = { ArrowLeft: -0.05, ArrowRight: 0.05 }[event.key]
        if (by) shelf.dispatch('pair.divide', { by }, 'key')
      }}
    />
  )
}
