import { DropdownMenu } from 'radix-ui'
import { shelf, useShelf } from '@/store/shelf'
import { MenuSheet } from '@/ui/parts/Menu'
import { focusContent } from '@/ui/window/focus'
import { DesktopItems } from './DesktopItems'
import { WindowItems } from './WindowItems'

/** The menu that was asked for with a right click, a long touch or the menu key. */
export function AtPointer() {
  const menu = useShelf((now) => now.menu)
  if (!menu) return null
  return (
    <DropdownMenu.Root open modal={false} onOpenChange={() => shelf.setState({ menu: null })}>
      <DropdownMenu.Trigger asChild>
        <span aria-hidden className="fixed" style={{ left: menu.x, top: menu.y }} />
      </DropdownMenu.Trigger>
      <MenuSheet
        aria-label={'window' in menu ? 'Window' : 'Desktop'}
        onCloseAutoFocus={(event) => {
          event.preventDefault()
          const { view, loft } = shelf.getState()
          if (loft && !view) document.getElementById('loft')?.focus()
          else if (!view) focusContent()
        }}
      >
        {'window' in menu ? (
          <WindowItems id={menu.window} away />
        ) : (
          <DesktopItems id={menu.desktop} />
        )}
      </MenuSheet>
    </DropdownMenu.Root>
  )
}
