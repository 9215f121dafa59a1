import { DropdownMenu } from 'radix-ui'
import type { Shelf } from '@/store/shelf'
import { usePage, useShelf } from '@/store/useShelf'
import { CommandItem } from '@/ui/parts/CommandItem'
import { giveBack } from '@/ui/parts/focus'
import { Kite } from '@/ui/parts/Kite'
import { MenuSeam, MenuSheet, SubMenu } from '@/ui/parts/Menu'

/** The name of the product, with the menu of what concerns the whole shelf. */
export function ShelfMenu({ name }: { name: string }) {
  const shelf = useShelf()
  const open = usePage(({ view }) => view?.view === 'menu')
  return (
    <DropdownMenu.Root
      modal={false}
      open={open}
      onOpenChange={(wanted) => (wanted ? shelf.dispatch('shelf.menu') : closeMenu(shelf))}
    >
      <DropdownMenu.Trigger asChild>
        <button
          type="button"
          className="mx-1.5 mb-1 flex items-center gap-2 px-2 py-1 text-left hover:bg-ink/6 max-[1000px]:justify-center"
          aria-label="Kite Shelf menu"
        >
          <Kite hue="slate" filled width={15} />
          <b className="font-bold font-display text-[15px] max-[1000px]:hidden">Kite Shelf</b>
          {name === 'demo' ? (
            <span className="ml-auto text-[11px] text-soft max-[1000px]:hidden">demo</span>
          ) : null}
        </button>
      </DropdownMenu.Trigger>
      <MenuSheet onCloseAutoFocus={(event) => giveBack(shelf, event)}>
        <CommandItem command="loft.open" />
        <CommandItem command="loft.byApp" />
        <CommandItem command="windows.sweep" />
        <CommandItem command="windows.isolate" />
        <MenuSeam />
        <CommandItem command="plan.open" />
        <CommandItem command="attention.list" />
        <CommandItem command="patterns.open" />
        <CommandItem command="runs.open" />
        <CommandItem command="sequences.open" />
        <MenuSeam />
        <CommandItem command="home.askPutRight" />
        <CommandItem command="home.list" />
        <CommandItem command="displays.arrange" />
        <MenuSeam />
        <CommandItem command="app.askAdd" />
        <CommandItem command="sessions.open" />
        <CommandItem command="shelf.openFile" />
        <CommandItem command="shelf.export" />
        <CommandItem command="shelf.import" />
        <CommandItem command="shelf.keepFolder" />
        <CommandItem command="shelf.health" />
        <CommandItem command="documents.clearUp" />
        <MenuSeam />
        <CommandItem command="shelf.inspector" />
        <SubMenu label="Desktops in a row">
          {[1, 2, 3, 4, 5, 6, 7, 8, 9].map((count) => (
            <CommandItem
              key={count}
              command="grid.columns"
              args={{ columns: count }}
              label={count === 1 ? 'One (a single line)' : String(count)}
            />
          ))}
          <MenuSeam />
          {['grid.addRow', 'grid.addColumn', 'grid.removeRow', 'grid.removeColumn'].map(
            (command) => (
              <CommandItem key={command} command={command} />
            ),
          )}
        </SubMenu>
        <MenuSeam />
        <CommandItem command="settings.open" />
        <CommandItem command="keys.open" />
        <CommandItem command="shelf.keys" />
        <CommandItem command="keys.practise" />
        <DropdownMenu.Item className="menu-item" asChild>
          <a href={name === 'demo' ? '/shelf' : '/demo'}>
            {name === 'demo' ? 'Go to your own shelf' : 'See the demo'}
          </a>
        </DropdownMenu.Item>
      </MenuSheet>
    </DropdownMenu.Root>
  )
}

/** What was chosen in it may have opened something else by then. */
const closeMenu = (shelf: Shelf) =>
  shelf.page.setState(({ view }) => (view?.view === 'menu' ? { view: null } : {}))
