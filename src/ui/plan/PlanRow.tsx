import { Play, SkipForward, Trash2 } from 'lucide-react'
import { useState } from 'react'
import type { Block } from '@/core/model/kinds/block'
import { timeOfDay } from '@/parts/Facts'
import { Kite } from '@/parts/Kite'
import { Tool } from '@/parts/Tool'
import { useArrangement, useShelf } from '@/store/useShelf'

/** A block with its times, which are typed anew to move it, and what else can be done with it. */
export function PlanRow({ block, on }: { block: Block; on: boolean }) {
  const shelf = useShelf()
  const lives = useArrangement((state) => state.desktops[block.desktop])
  if (!lives) return null
  const { id, start, end, skipped, goes, title } = block
  const times = `${timeOfDay(start)}–${timeOfDay(end)}`
  const about = `${lives.name} at ${timeOfDay(start)}`
  return (
    <li
      className={`flex items-center gap-2 border-seam border-b border-dashed py-1.5 last:border-0 ${on ? 'font-semibold' : ''}`}
    >
      <Kite hue={lives.hue} letter={lives.letter} filled={on} width={18} />
      <Times key={times} block={id} times={times} about={about} />
      <span
        dir="auto"
        className={`min-w-0 flex-1 truncate ${skipped ? 'line-through' : ''}`}
        title={title ? `${title}, ${about}` : about}
      >
        {title ?? lives.name}
      </span>
      <label className="flex shrink-0 items-center gap-1 text-[12px] text-soft">
        <input
          type="checkbox"
          checked={goes === true}
          aria-label={`Go by itself: ${about}`}
          onChange={() => shelf.dispatch('plan.goes', { block: id }, 'key')}
        />
        by itself
      </label>
      <Tool
        label={`${skipped ? 'Plan again' : 'Skip'}: ${about}`}
        onClick={() => shelf.dispatch('plan.skip', { block: id }, 'key')}
      >
        {skipped ? <Play size={12} aria-hidden /> : <SkipForward size={12} aria-hidden />}
      </Tool>
      <Tool
        label={`Remove: ${about}`}
        onClick={() => shelf.dispatch('plan.remove', { block: id }, 'key')}
      >
        <Trash2 size={13} aria-hidden />
      </Tool>
    </li>
  )
}

/** What is typed moves the block with Enter, or when one leaves it; Escape brings back what was. */
function Times({ block, times, about }: { block: string; times: string; about: string }) {
  const shelf = useShelf()
  const [text, setText] = useState(times)
  const changed = text.trim() !== times
  const move = () => {
    if (changed) shelf.dispatch('plan.move', { block, text }, 'key')
  }
  return (
    <input
      aria-label={`Times of ${about}`}
      className="w-[6.4rem] shrink-0 border border-transparent bg-transparent px-1 font-mono text-[12px] hover:border-seam focus:border-ink focus:bg-panel"
      value={text}
      data-own-escape={changed || undefined}
      onChange={(event) => setText(event.target.value)}
      onBlur={move}
      onKeyDown={(event) => {
        if (event.key === 'Enter') move()
        if (event.key === 'Escape' && changed) setText(times)
      }}
    />
  )
}
