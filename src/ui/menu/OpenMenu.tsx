import { DropdownMenu } from 'radix-ui'
import type { WindowId } from '@/core/model/ids'
import { title, window as windowOf } from '@/core/model/selectors'
import { CommandItem } from '@/parts/CommandItem'
import { giveBack } from '@/parts/focus'
import { MenuSheet } from '@/parts/Menu'
import type { Menu } from '@/store/page'
import { usePage, useShelf } from '@/store/useShelf'
import { AppItems } from '@/ui/apps/AppItems'
import { DesktopItems } from '@/ui/desktop/DesktopItems'
import { WindowItems } from '@/ui/window/WindowItems'

/**
 * The menu that is open, of a window, a desktop or an app: from its button, with a right click, a
 * long touch or the menu key. One for the page, so that none waits beside every window and row.
 */
export function OpenMenu() {
  const shelf = useShelf()
  const menu = usePage((now) => now.menu)
  if (!menu) return null
  return (
    <DropdownMenu.Root open modal={false} onOpenChange={() => shelf.page.setState({ menu: null })}>
      <DropdownMenu.Trigger asChild>
        {/* On the page also when that has become smaller since. */}
        <span
          aria-hidden
          className="fixed"
          style={{ left: `min(${menu.x}px, 100vw)`, top: `min(${menu.y}px, 100vh)` }}
        />
      </DropdownMenu.Trigger>
      <MenuSheet aria-label={nameOf(menu)} onCloseAutoFocus={(event) => giveBack(shelf, event)}>
        <Items menu={menu} />
      </MenuSheet>
    </DropdownMenu.Root>
  )
}

function nameOf(menu: Menu): string {
  if ('window' in menu) return 'Window'
  if ('desktop' in menu) return 'Desktop'
  return 'app' in menu ? 'App' : 'More windows'
}

/** Windows there is no room for where they were asked for; each is gone to. */
function Windows({ ids }: { ids: WindowId[] }) {
  const shelf = useShelf()
  const state = shelf.state()
  return ids.map((id) => (
    <CommandItem
      key={id}
      command="window.focus"
      args={{ window: id }}
      label={title(state, windowOf(state, id))}
    />
  ))
}

function Items({ menu }: { menu: Menu }) {
  if ('window' in menu) return <WindowItems id={menu.window} />
  if ('desktop' in menu) return <DesktopItems id={menu.desktop} />
  return 'app' in menu ? <AppItems id={menu.app} /> : <Windows ids={menu.windows} />
}
