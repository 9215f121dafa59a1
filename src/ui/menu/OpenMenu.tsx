import { DropdownMenu } from 'radix-ui'
import { type Menu, shelf, useShelf } from '@/store/shelf'
import { AppItems } from '@/ui/apps/AppItems'
import { DesktopItems } from '@/ui/desktop/DesktopItems'
import { giveBack } from '@/ui/parts/focus'
import { MenuSheet } from '@/ui/parts/Menu'
import { WindowItems } from '@/ui/window/WindowItems'

/**
 * The menu that is open, of a window, a desktop or an app: from its button, with a right click, a
 * long touch or the menu key. One for the page, so that none waits beside every window and row.
 */
export function OpenMenu() {
  const menu = useShelf((now) => now.menu)
  if (!menu) return null
  return (
    <DropdownMenu.Root open modal={false} onOpenChange={() => shelf.setState({ menu: null })}>
      <DropdownMenu.Trigger asChild>
        <span aria-hidden className="fixed" style={{ left: menu.x, top: menu.y }} />
      </DropdownMenu.Trigger>
      <MenuSheet
        aria-label={'window' in menu ? 'Window' : 'desktop' in menu ? 'Desktop' : 'App'}
        onCloseAutoFocus={giveBack}
      >
        <Items menu={menu} />
      </MenuSheet>
    </DropdownMenu.Root>
  )
}

function Items({ menu }: { menu: Menu }) {
  if ('window' in menu) return <WindowItems id={menu.window} />
  if ('desktop' in menu) return <DesktopItems id={menu.desktop} />
  return <AppItems id={menu.app} />
}
