import { allApps } from '@/apps/list'
import type { WindowId } from '@/core/model/ids'
import { byUse, title, window as windowOf } from '@/core/model/selectors'
import { CommandItem } from '@/parts/CommandItem'
import { MenuSeam, SubMenu } from '@/parts/Menu'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'
import { Exceptions } from './Exceptions'

/** So many windows stand in the menu itself, those used last. */
const AT_ONCE = 7

/** A window to go to. */
function Open({ id }: { id: WindowId }) {
  const state = useShelf().state()
  const window = windowOf(state, id)
  return (
    <CommandItem
      command="window.focus"
      args={{ window: id }}
      label={`${title(state, window)} · ${state.desktops[window.desktop]?.name ?? 'every desktop'}`}
    />
  )
}

/** The windows an app has open, each with the desktop it is on, and everything to do with the app. */
export function AppItems({ id }: { id: string }) {
  const shelf = useShelf()
  const state = shelf.state()
  const name = allApps(state.apps).find((app) => app.id === id)?.name ?? ''
  const open = byUse(state).filter((window) => window.app === id)
  return (
    <>
      {open.slice(0, AT_ONCE).map(({ id }) => (
        <Open key={id} id={id} />
      ))}
      {open.length > AT_ONCE ? (
        <SubMenu label={`${open.length - AT_ONCE} more`}>
          {open.slice(AT_ONCE).map(({ id }) => (
            <Open key={id} id={id} />
          ))}
        </SubMenu>
      ) : null}
      {open.length ? <MenuSeam /> : null}
      <CommandItem
        command="app.launch"
        args={{ ...launching(shelf, id), another: true }}
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
      <CommandItem command="home.askOf" args={{ app: id }} label="Home…" />
      <Exceptions app={id} />
      <CommandItem command="app.everywhere" args={{ app: id }} label="All on every desktop" />
      {state.apps[id] ? (
        <CommandItem command="app.remove" args={{ app: id }} label={`Remove ${name}`} />
      ) : null}
    </>
  )
}

/** How an app is launched: by its number key, which is told then, or by its name. */
export function launching(shelf: Shelf, id: string): { slot: number } | { app: string } {
  const slot = shelf.state().slots.indexOf(id) + 1
  return slot ? { slot } : { app: id }
}
