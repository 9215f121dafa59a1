import { Plus } from 'lucide-react'
import { DropdownMenu } from 'radix-ui'
import { useState } from 'react'
import { useShallow } from 'zustand/react/shallow'
import type { AppManifest } from '@/apps/contract'
import { allApps } from '@/apps/list'
import { byUse, title } from '@/core/model/selectors'
import type { State } from '@/core/model/types'
import { dispatch, getState, useArrangement } from '@/store/shelf'
import { CommandItem } from '@/ui/parts/CommandItem'
import { MenuSeam, MenuSheet, SubMenu } from '@/ui/parts/Menu'

/** The apps, those on number keys first: how many windows each has, and a click to go there. */
export function Apps() {
  const slots = useArrangement((state) => state.slots)
  const counts = useArrangement(useShallow(countWindows))
  const place = ({ id }: AppManifest) => (slots.indexOf(id) + 10) % 10
  const own = useArrangement((state) => state.apps)
  const listed = allApps(own).toSorted((a, b) => place(a) - place(b))
  return (
    <section aria-label="Apps" className="pb-2">
      {listed.map((app) => (
        <AppRow
          key={app.id}
          app={app}
          slot={slots.indexOf(app.id) + 1}
          count={counts[app.id] ?? 0}
          own={!!own[app.id]}
        />
      ))}
      <button
        type="button"
        className="flex w-full items-center gap-2.5 px-3.5 py-[3px] text-left text-soft hover:text-ink max-[1000px]:justify-center"
        onClick={() => dispatch('app.askAdd')}
      >
        <span className="grid w-5 place-items-center">
          <Plus size={14} aria-hidden />
        </span>
        <span className="max-[1000px]:sr-only">add app</span>
      </button>
    </section>
  )
}

/** How many windows each app has. */
function countWindows({ windows }: State): Record<string, number> {
  const counts: Record<string, number> = {}
  for (const id in windows) {
    const app = windows[id]?.app ?? ''
    counts[app] = (counts[app] ?? 0) + 1
  }
  return counts
}

function AppRow({
  app,
  slot,
  count,
  own,
}: {
  app: AppManifest
  slot: number
  count: number
  own: boolean
}) {
  const { id, name, glyph: Glyph } = app
  const [menu, setMenu] = useState(false)
  return (
    <DropdownMenu.Root open={menu} onOpenChange={setMenu} modal={false}>
      {/* Dragged onto another line, the app goes on that one's number key. */}
      {/* biome-ignore lint/a11y/noStaticElementInteractions: the same is in its menu, by keys */}
      <div
        className="app-row relative"
        data-app-slot={slot || undefined}
        draggable
        onDragStart={(event) => {
          event.dataTransfer.setData('application/x-kite-app', id)
          event.dataTransfer.effectAllowed = 'move'
        }}
        onDragOver={(event) => {
          if (!slot || !event.dataTransfer.types.includes('application/x-kite-app')) return
          event.preventDefault()
          event.currentTarget.dataset.drop = 'true'
        }}
        onDragLeave={(event) => {
          delete event.currentTarget.dataset.drop
        }}
        onDrop={(event) => {
          delete event.currentTarget.dataset.drop
          const dropped = event.dataTransfer.getData('application/x-kite-app')
          if (dropped && dropped !== id) dispatch('app.slot', { app: dropped, slot })
        }}
      >
        {/* Only where the menu hangs from: it opens by its key or a right click; a click launches. */}
        <DropdownMenu.Trigger asChild>
          <span aria-hidden className="pointer-events-none absolute inset-0" />
        </DropdownMenu.Trigger>
        <button
          type="button"
          aria-label={`${name}, ${count === 1 ? '1 window' : `${count} windows`}`}
          className="flex w-full items-center gap-2.5 px-3.5 py-[3px] text-left hover:bg-ink/6 focus-visible:outline-offset-[-2px] max-[1000px]:justify-center"
          onClick={(event) =>
            dispatch('app.launch', {
              ...(slot ? { slot } : { app: id }),
              ...(event.shiftKey && { another: true }),
            })
          }
          onContextMenu={(event) => {
            event.preventDefault()
            setMenu(true)
          }}
        >
          <span className="key max-[1000px]:hidden">{slot || '·'}</span>
          <Glyph size={16} aria-hidden />
          <span className="max-[1000px]:hidden">{name}</span>
          <span className="ml-auto font-mono text-[11px] text-soft max-[1000px]:hidden">
            {count || ''}
          </span>
        </button>
      </div>
      <MenuSheet>
        <Open app={id} />
        <CommandItem
          command="app.launch"
          args={slot ? { slot, another: true } : { app: id, another: true }}
          label={`Another ${name.toLowerCase()} window`}
        />
        <SubMenu label="Number key">
          {Array.from({ length: 9 }, (_, at) => at + 1).map((key) => (
            <CommandItem
              key={key}
              command="app.slot"
              args={{ app: id, slot: key }}
              label={String(key)}
            />
          ))}
        </SubMenu>
        <CommandItem command="app.everywhere" args={{ app: id }} label="All on every desktop" />
        {own ? (
          <CommandItem command="app.remove" args={{ app: id }} label={`Remove ${name}`} />
        ) : null}
      </MenuSheet>
    </DropdownMenu.Root>
  )
}

/** The windows an app has open, each with the desktop it is on; picking one goes there. */
function Open({ app }: { app: string }) {
  const state = getState()
  const open = byUse(state).filter((window) => window.app === app)
  if (open.length === 0) return null
  return (
    <>
      {open.map((window) => (
        <CommandItem
          key={window.id}
          command="window.focus"
          args={{ window: window.id }}
          label={`${title(state, window)} · ${state.desktops[window.desktop]?.name ?? 'every desktop'}`}
        />
      ))}
      <MenuSeam />
    </>
  )
}
