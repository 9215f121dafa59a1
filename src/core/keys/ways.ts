import { ZONES } from '@/core/geometry/zones'
import { type Binding, PUSH_TIME } from '@/core/model/kinds/binding'

/** Something the pointer does that can run a command, as keys do. */
export interface Way {
  id: string
  /** Whether the pointer has to stay at an edge of the page for it. */
  pushed?: boolean
  /** What it does until it is given something else; without, it does nothing. */
  command?: string
  args?: Record<string, unknown>
}

/** `back` and `forward` are places of the pointer alone, along the desktops one was on. */
const go = (to: string) => ({ command: 'desktop.go', args: { to } })

/** The pointer's ways. Corners and edges do nothing until they are asked to. */
export const WAYS: Way[] = [
  { id: 'Alt and wheel up', ...go('previous') },
  { id: 'Alt and wheel down', ...go('next') },
  { id: 'wheel up over the rack', ...go('previous') },
  { id: 'wheel down over the rack', ...go('next') },
  { id: 'swipe right', ...go('previous') },
  { id: 'swipe left', ...go('next') },
  { id: 'pinch', command: 'loft.open' },
  // In the loft it leaves it.
  { id: 'spread' },
  { id: 'side button back', ...go('back') },
  { id: 'side button forward', ...go('forward') },
  ...ZONES.map((id): Way => ({ id, pushed: true })),
]

export interface Led {
  command: string
  args: Record<string, unknown>
  time: number
}

const IDS = new Set(WAYS.map(({ id }) => id))

/** Whether what is bound is a way of the pointer, not keys. */
export const isWay = (keys: string): boolean => IDS.has(keys)

/** What a way of the pointer does, as the person wants it; null where it does nothing. */
export function leadsTo(bindings: readonly Binding[], id: string): Led | null {
  const own = bindings.findLast(({ keys }) => keys === id)
  const time = own?.time ?? PUSH_TIME.first
  if (own) return own.command ? { command: own.command, args: own.args ?? {}, time } : null
  const { command, args = {} } = WAYS.find((way) => way.id === id) ?? {}
  return command ? { command, args, time } : null
}
