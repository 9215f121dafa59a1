import { Keys } from '@/parts/Keys'
import { usePage } from '@/store/useShelf'
import { Marks } from './Marks'

/** Near the sign while Alt is held after next or previous: where one is among the desktops. */
export function SmallMap() {
  const shown = usePage((page) => page.map)
  if (!shown) return null
  return (
    <section
      aria-label="Map of desktops"
      className="rise absolute right-6 bottom-24 z-(--over) flex flex-col gap-1.5 border-2 border-ink bg-panel p-3"
    >
      <Marks width={30} />
      <p className="mt-1 text-soft">
        <Keys keys="← → ↑ ↓" /> go on
      </p>
    </section>
  )
}
