import { Check } from 'lucide-react'
import { DropdownMenu } from 'radix-ui'
import { dispatch, useArrangement } from '@/store/shelf'
import { CommandItem } from '@/ui/parts/CommandItem'
import { Kite } from '@/ui/parts/Kite'
import { MenuSeam, MenuSheet } from '@/ui/parts/Menu'

const CLOTHS = { system: 'Cloth as the system', day: 'Day cloth', night: 'Night cloth' } as const

/** The name of the product, with the menu of what concerns the whole shelf. */
export function ShelfMenu({ shelf }: { shelf: string }) {
  const settings = useArrangement((state) => state.settings)
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger asChild>
        <button
          type="button"
          className="mx-1.5 mb-1 flex items-center gap-2 px-2 py-1 text-left hover:bg-ink/6 max-[1000px]:justify-center"
          aria-label="Kite Shelf menu"
        >
          <Kite hue="slate" filled width={15} />
          <b className="font-bold font-display text-[15px] max-[1000px]:hidden">Kite Shelf</b>
          {shelf === 'demo' ? (
            <span className="ml-auto text-[11px] text-soft max-[1000px]:hidden">demo</span>
          ) : null}
        </button>
      </DropdownMenu.Trigger>
      <MenuSheet>
        <CommandItem command="shelf.openFile" />
        <CommandItem command="shelf.export" />
        <CommandItem command="shelf.import" />
        <MenuSeam />
        <Choice
          label="Next and previous go round at the ends"
          on={settings.wrap}
          set={() => dispatch('settings.set', { wrap: !settings.wrap })}
        />
        <Choice
          label="Keys after Ctrl+. instead of with Alt"
          on={settings.keys === 'leader'}
          set={() => dispatch('settings.set', { keys: settings.keys === 'alt' ? 'leader' : 'alt' })}
        />
        <MenuSeam />
        {(['system', 'day', 'night'] as const).map((cloth) => (
          <Choice
            key={cloth}
            label={CLOTHS[cloth]}
            on={settings.cloth === cloth}
            set={() => dispatch('settings.set', { cloth })}
          />
        ))}
        <MenuSeam />
        <CommandItem command="shelf.keys" />
        <DropdownMenu.Item className="menu-item" asChild>
          <a href={shelf === 'demo' ? '/shelf' : '/demo'}>
            {shelf === 'demo' ? 'Go to your own shelf' : 'Look at the demo'}
          </a>
        </DropdownMenu.Item>
      </MenuSheet>
    </DropdownMenu.Root>
  )
}

function Choice({ label, on, set }: { label: string; on: boolean; set(): void }) {
  return (
    <DropdownMenu.CheckboxItem className="menu-item" checked={on} onCheckedChange={set}>
      <span className="w-4">{on ? <Check size={14} /> : null}</span>
      {label}
    </DropdownMenu.CheckboxItem>
  )
}
