import { DropdownMenu } from 'radix-ui'
import { useState } from 'react'
import { useShallow } from 'zustand/react/shallow'
import type { AppManifest } from '@/apps/contract'
import { APPS } from '@/apps/list'
import type { State } from '@/core/model/types'
import { dispatch, useArrangement } from '@/store/shelf'
import { CommandItem } from '@/ui/parts/CommandItem'
import { MenuSheet, SubMenu } from '@/ui/parts/Menu'

/** The apps, those on number keys first: how many windows each has, and a click to go there. */
export function Apps() {
  const slots = useArrangement((state) => state.slots)
  const counts = useArrangement(useShallow(countWindows))
  const place = ({ id }: AppManifest) => (slots.indexOf(id) + 10) % 10
  const listed = APPS.toSorted((a, b) => place(a) - place(b))
  return (
    <section aria-label="Apps" className="pb-2">
      {listed.map((app) => (
        <AppRow
          key={app.id}
          app={app}
          slot={slots.indexOf(app.id) + 1}
          count={counts[app.id] ?? 0}
        />
      ))}
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

function AppRow({ app, slot, count }: { app: AppManifest; slot: number; count: number }) {
  const { id, name, glyph: Glyph } = app
  const [menu, setMenu] = useState(false)
  return (
    <DropdownMenu.Root open={menu} onOpenChange={setMenu} modal={false}>
      <div className="relative">
        <DropdownMenu.Trigger asChild>
          {/* The menu opens by its key or a right click; a click launches. */}
          <button
            type="button"
            aria-label={`${name}, ${count === 1 ? '1 window' : `${count} windows`}`}
            className="flex w-full items-center gap-2.5 px-3.5 py-[3px] text-left hover:bg-ink/6 focus-visible:outline-offset-[-2px] max-[1000px]:justify-center"
            onPointerDown={(event) => event.preventDefault()}
            onKeyDown={(event) => {
              if (event.key === 'ArrowDown') event.preventDefault()
              if (event.key === 'Enter' || event.key === ' ') {
                event.preventDefault()
                dispatch('app.launch', { app: id }, 'key')
              }
            }}
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
        </DropdownMenu.Trigger>
      </div>
      <MenuSheet>
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
      </MenuSheet>
    </DropdownMenu.Root>
  )
}
