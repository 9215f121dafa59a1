import { type PointerEvent, useRef, useState } from 'react'
import { registry } from '@/core/commands/registry'
import { type Zone, zoneAt } from '@/core/geometry/zones'
import { leadsTo } from '@/core/keys/ways'
import { PUSH_TIME } from '@/core/model/kinds/binding'
import { useToday } from '@/store/journal'
import { useArrangement } from '@/store/useShelf'

/** How near the edge of the small page counts: it is drawn many times smaller. */
const NEAR = 10

/** A small page to push at: what would happen, and when, without doing it. */
export function TryOut() {
  const bindings = useArrangement((state) => state.bindings)
  const brushed = useToday().filter(({ kind }) => kind === 'brush')
  const [zone, setZone] = useState<Zone | null>(null)
  const [fired, setFired] = useState<Zone | null>(null)
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined)
  const led = zone ? leadsTo(bindings, zone) : null
  const enter = (next: Zone | null) => {
    if (next === zone) return
    clearTimeout(timer.current)
    setZone(next)
    setFired(null)
    if (!next) return
    const { time } = leadsTo(bindings, next) ?? { time: PUSH_TIME.first }
    timer.current = setTimeout(() => setFired(next), time)
  }
  const move = ({ currentTarget, clientX, clientY, buttons }: PointerEvent) => {
    const { left, top, width, height } = currentTarget.getBoundingClientRect()
    const at = { x: clientX - left, y: clientY - top }
    enter(buttons ? null : zoneAt(at, { width, height }, NEAR))
  }
  const does = led ? (registry.get(led.command)?.title ?? led.command) : 'nothing'
  return (
    <div className="mt-3">
      <p className="font-semibold">Try it here</p>
      <div
        className="relative mt-1.5 grid h-40 place-items-center border border-edge bg-ground"
        data-try-out={fired ?? ''}
        onPointerMove={move}
        onPointerDown={() => enter(null)}
        onPointerLeave={() => enter(null)}
      >
        {zone ? (
          <span
            aria-hidden
            className={`push-bar push-${zone.replaceAll(' ', '-')} push-tried`}
            style={{ animationDuration: `${led?.time ?? PUSH_TIME.first}ms` }}
          />
        ) : null}
        <p className="px-6 text-center text-soft" role="status">
          {zone
            ? `${zone}: ${fired === zone ? (led ? `now: ${does}` : 'does nothing') : 'stay there'}`
            : 'Push at a corner or an edge of this small page.'}
        </p>
      </div>
      <p className="mt-1.5 text-soft">
        {brushed.length === 0
          ? 'Today the pointer has not stayed at a corner or an edge that does nothing.'
          : `Today the pointer stayed ${brushed.length} ${brushed.length === 1 ? 'time' : 'times'} at one that does nothing: ${timesOf(brushed.map((one) => one.zone ?? ''))}.`}{' '}
        That is how often it would have gone off by accident.
      </p>
    </div>
  )
}

/** “left edge 3, top right corner 1”. */
function timesOf(zones: string[]): string {
  const counts = new Map<string, number>()
  for (const zone of zones) counts.set(zone, (counts.get(zone) ?? 0) + 1)
  return [...counts]
    .sort(([, one], [, other]) => other - one)
    .map(([zone, count]) => `${zone} ${count}`)
    .join(', ')
}
