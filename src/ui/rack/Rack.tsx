import { closestCenter, DndContext, PointerSensor, useSensor, useSensors } from '@dnd-kit/core'
import {
  rectSortingStrategy,
  SortableContext,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable'
import { type PointerEvent, type RefObject, useEffect, useRef } from 'react'
import { currentId } from '@/core/model/selectors'
import { CommandButton } from '@/parts/CommandButton'
import { useArrangement, useShelf } from '@/store/useShelf'
import { Apps } from '@/ui/apps/Apps'
import { incoming, isTaken, takeIn } from '@/ui/files/takeIn'
import { APP_IN_HAND, contentOver, dropApp, rowOf, useContentDrag } from '@/ui/hand/dropping'
import { Marks } from '@/ui/map/Marks'
import { ShelfMenu } from '@/ui/menu/ShelfMenu'
import { Bows } from './Bow'
import { Edge } from './Edge'
import { Pointed, usePointed } from './Pointed'
import { Row } from './Row'
import { Thread } from './Thread'
import { useBowDrag } from './useBowDrag'
import { useFit } from './useFit'
import { useOut } from './useOut'
import { useRackKeys } from './useRackKeys'

/** Room for a row of the map, and what is between its marks, in CSS pixels. */
const MAP = 180
const MAP_GAP = 6

/** Drags rows, but by nothing that hangs from them. */
class RowSensor extends PointerSensor {
  static override activators = [
    {
      eventName: 'onPointerDown' as const,
      handler: ({ nativeEvent }: PointerEvent) =>
        nativeEvent.isPrimary &&
        nativeEvent.button === 0 &&
        !(nativeEvent.target as Element).closest('[data-bow], [aria-haspopup], input'),
    },
  ]
}

/** The list of desktops at the left: where everything is, without opening anything. */
export function Rack({ name }: { name: string }) {
  const shelf = useShelf()
  useContentDrag()
  const order = useArrangement((state) => state.order)
  const columns = useArrangement((state) => state.columns)
  const everywhere = useArrangement((state) => state.everywhere)
  const sensors = useSensors(useSensor(RowSensor, { activationConstraint: { distance: 6 } }))
  const bows = useBowDrag()
  const keys = useRackKeys()
  const rack = useRef<HTMLElement>(null)
  const [fit, room] = useFit(rack, order.length)
  const { at, follow } = usePointed()
  const { out, comesOut } = useOut()
  return (
    <section
      {...bows()}
      ref={rack}
      data-rack=""
      aria-label="Rack"
      className={`rack ${out ? 'rack-out' : ''}`}
      {...comesOut}
    >
      <InSight rack={rack} stand={`${fit} ${room} ${order.length}`} />
      <ShelfMenu name={name} />
      {everywhere.length > 0 ? (
        <section
          aria-label="On every desktop"
          className="flex items-center gap-2 px-3.5 pb-1.5 text-[12px] text-soft strip:flex-col strip:px-1"
        >
          <span className="strip:sr-only">every desktop</span>
          <Bows ids={everywhere} most={3} />
        </section>
      ) : null}
      <CommandButton
        command="loft.open"
        label="loft"
        className="mx-3.5 mb-1 text-[12px] strip:hidden"
      />
      {columns > 1 ? (
        // Of many rows those near the current one: the names below have to have room.
        <div
          data-map=""
          className="mx-3.5 mt-1 mb-2.5 flex max-h-[max(24%,calc(100%-600px))] shrink-0 flex-col gap-1 overflow-y-auto strip:hidden"
        >
          <Marks width={Math.min(20, Math.floor(MAP / columns) - MAP_GAP)} />
        </div>
      ) : null}
      <nav
        aria-label="Desktops"
        {...follow}
        className="min-h-0 overflow-y-auto overflow-x-hidden [overflow-anchor:none]"
        onDragOver={(event) => {
          const row = rowOf(event.target)
          if (
            event.dataTransfer.types.includes(APP_IN_HAND) ||
            (row && isTaken(event.dataTransfer))
          )
            event.preventDefault()
          contentOver(shelf, event.target)
        }}
        onDragLeave={(event) => {
          if (!event.currentTarget.contains(event.relatedTarget as Node | null))
            contentOver(shelf, null)
        }}
        onDrop={(event) => {
          const row = rowOf(event.target)
          if (
            dropApp(shelf, event.nativeEvent) ||
            (row && takeIn(shelf, incoming(event.dataTransfer), row))
          )
            event.preventDefault()
          contentOver(shelf, null)
        }}
      >
        <DndContext
          sensors={sensors}
          collisionDetection={closestCenter}
          onDragEnd={({ active, over }) => {
            const to = over ? order.indexOf(String(over.id)) : -1
            if (over && over.id !== active.id)
              shelf.dispatch('desktop.reorder', { desktop: String(active.id), to })
          }}
        >
          <SortableContext
            items={order}
            strategy={
              fit === 'marks' || fit === 'pairs' ? rectSortingStrategy : verticalListSortingStrategy
            }
          >
            <ol className={`rack-${fit}`} onKeyDown={keys}>
              {order.map((id) => (
                <Row key={id} id={id} />
              ))}
            </ol>
          </SortableContext>
        </DndContext>
      </nav>
      {at ? <Pointed {...at} /> : null}
      <Thread />
      <Apps />
      <Edge rack={rack} />
    </section>
  )
}

/** Keeps the row of the current desktop in sight, and its mark on the map. @param stand how the rows stand */
function InSight({ rack, stand }: { rack: RefObject<HTMLElement | null>; stand: string }) {
  const here = useArrangement(currentId)
  // biome-ignore lint/correctness/useExhaustiveDependencies: another desktop or other room is the reason to look
  useEffect(() => {
    // Once the rows stand as they will.
    const frame = requestAnimationFrame(() => {
      for (const found of ['[data-map] [aria-current]', '.row-current'])
        rack.current?.querySelector(found)?.scrollIntoView({ block: 'nearest' })
    })
    return () => cancelAnimationFrame(frame)
  }, [here, stand])
  return null
}
