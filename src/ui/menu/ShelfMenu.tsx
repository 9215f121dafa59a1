import { DropdownMenu } from 'radix-ui'
import { CommandItem } from '@/parts/CommandItem'
import { giveBack } from '@/parts/focus'
import { Kite } from '@/parts/Kite'
import { MenuSeam, MenuSheet, SubMenu } from '@/parts/Menu'
import type { Shelf } from '@/store/shelf'
import { usePage, useShelf } from '@/store/useShelf'

const WINDOWS = [
  ...['loft.byApp', 'windows.sweep', 'windows.isolate', 'home.askPutRight'],
  ...['line.float', 'shelf.cover'],
]
const DAY = ['plan.open', 'log.open', 'past.open', 'runs.open']
const ROWS = ['grid.addRow', 'grid.addColumn', 'grid.removeRow', 'grid.removeColumn']
const FILES = ['app.askAdd', 'shelf.openFile', 'sessions.open', 'documents.clearUp']
const KEEPING = [
  ...['shelf.export', 'shelf.exportLocked', 'shelf.import', 'shelf.keepFolder', 'folder.open'],
  ...['restore.open', 'shelf.health', 'shelf.inspector'],
]
const KEYS = ['shelf.keys', 'keys.open', 'sequences.open', 'keys.practise']

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
          className="mx-1.5 mb-1 flex items-center gap-2 px-2 py-1 text-left [app-region:no-drag] hover:bg-ink/6 strip:justify-center"
          aria-label="Kite Shelf menu"
        >
          <Kite hue="slate" filled width={15} />
          <b className="font-bold font-display text-[15px] strip:hidden">Kite Shelf</b>
          {name === 'demo' ? (
            <span className="ml-auto text-[11px] text-soft strip:hidden">demo</span>
          ) : null}
        </button>
      </DropdownMenu.Trigger>
      <MenuSheet onCloseAutoFocus={(event) => giveBack(shelf, event)}>
        <CommandItem command="loft.open" />
        <Group label="Windows" commands={WINDOWS} />
        <MenuSeam />
        <CommandItem command="attention.list" />
        <Group label="The day" commands={DAY} />
        <MenuSeam />
        <CommandItem command="desktop.create" />
        <SubMenu label="Desktops">
          <CommandItem command="patterns.open" />
          <MenuSeam />
          {[1, 2, 3, 4, 5, 6, 7, 8, 9].map((count) => (
            <CommandItem
              key={count}
              command="grid.columns"
              args={{ columns: count }}
              label={count === 1 ? 'In a single line' : `${count} in a row`}
            />
          ))}
          <MenuSeam />
          {ROWS.map((command) => (
            <CommandItem key={command} command={command} />
          ))}
          <MenuSeam />
          <CommandItem command="rack.furl" on={shelf.state().settings.rackFurled} />
        </SubMenu>
        <CommandItem command="displays.arrange" />
        <CommandItem command="home.list" />
        <MenuSeam />
        <Group label="Apps and files" commands={FILES} />
        <Group label="Keep and export" commands={KEEPING} />
        <CommandItem command="settings.open" />
        <Group label="Keys" commands={KEYS} />
        <DropdownMenu.Item className="menu-item" asChild>
          <a href={name === 'demo' ? '/shelf' : '/demo'}>
            {name === 'demo' ? 'Go to your own shelf' : 'See the demo'}
          </a>
        </DropdownMenu.Item>
      </MenuSheet>
    </DropdownMenu.Root>
  )
}

function Group({ label, commands }: { label: string; commands: string[] }) {
  return (
    <SubMenu label={label}>
      {commands.map((command) => (
        <CommandItem key={command} command={command} />
      ))}
    </SubMenu>
  )
}

/** What was chosen in it may have opened something else by then. */
const closeMenu = (shelf: Shelf) =>
  shelf.page.setState(({ view }) => (view?.view === 'menu' ? { view: null } : {}))
