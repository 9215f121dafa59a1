import { type Zone, zoneAt } from '@/core/geometry/zones'
import { leadsTo } from '@/core/keys/ways'
import { PUSH_TIME } from '@/core/model/kinds/binding'
import type { Shelf } from '@/store/shelf'

/** The bar that grows while the pointer stays at a corner or an edge that does something. */
function showBar(zone: Zone | null, time = 0): void {
  document.querySelector('.push-bar')?.remove()
  if (!zone) return
  const bar = document.createElement('div')
  bar.className = `push-bar push-${zone.replaceAll(' ', '-')}`
  bar.style.animationDuration = `${time}ms`
  document.body.append(bar)
}

/**
 * Pushes at the corners and edges of the page: the pointer stays there for a time, with no button
 * down. One push does one thing; the pointer has to leave before it can push again. Where nothing
 * is bound it is noted, so that one sees how often something would have happened by accident.
 */
export class Pushes {
  private at: Zone | null = null
  private timer: ReturnType<typeof setTimeout> | undefined

  constructor(
    private shelf: Shelf,
    private take: (zone: Zone) => boolean,
  ) {}

  move = ({ clientX: x, clientY: y, buttons, pointerType }: PointerEvent) => {
    if (pointerType === 'touch') return
    const zone = buttons ? null : zoneAt({ x, y }, { width: innerWidth, height: innerHeight })
    if (zone === this.at) return
    this.leave()
    this.at = zone
    if (!zone) return
    const led = leadsTo(this.shelf.state().bindings, zone)
    const time = led?.time ?? PUSH_TIME.first
    if (led) showBar(zone, time)
    this.timer = setTimeout(() => {
      showBar(null)
      if (led) this.take(zone)
      else this.shelf.dispatch('pointer.brush', { zone }, 'app')
    }, time)
  }

  leave = () => {
    clearTimeout(this.timer)
    this.at = null
    showBar(null)
  }
}
