import { desktopName } from '@/core/journal/words'
import type { DesktopId } from '@/core/model/ids'
import { useArrangement } from '@/store/useShelf'
import { Kite } from './Kite'

/** The mark of a desktop. */
export function DesktopMark({ id, width }: { id: DesktopId; width: number }) {
  const desktops = useArrangement((state) => state.desktops)
  const { hue = 'slate', letter = null } = desktops[id] ?? {}
  return <Kite hue={hue} letter={letter} width={width} />
}

/** A desktop by mark and name, also one that is gone since. */
export function DesktopName({
  id,
  width = 14,
  className = '',
}: {
  id: DesktopId
  width?: number
  className?: string
}) {
  const desktops = useArrangement((state) => state.desktops)
  const name = desktopName({ desktops }, id)
  return (
    <span className="flex min-w-0 items-center gap-1.5">
      <DesktopMark id={id} width={width} />
      <span dir="auto" className={`truncate ${className}`} title={name}>
        {name}
      </span>
    </span>
  )
}
